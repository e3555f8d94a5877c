import { tripJustEnded, tripsAhead } from "~/core/garden";
import type { Planned } from "../planned";
import { frostsAhead } from "./frost-sheet";

/** A page about what is ahead. */
export interface PageAhead {
  href: string;
  words: string;
}

/** The plan itself, for paper. */
export const PAPER_PLAN: PageAhead = { href: "/plan", words: "The plan on paper" };

/** The pages that there is a reason to open now: a frost or a trip ahead, a trip just ended. */
export function pagesAhead(planned: Planned): PageAhead[] {
  return [
    ...(tripJustEnded(planned.outlook) ? [{ href: "/back", words: "Back again" }] : []),
    ...(frostsAhead(planned).length > 0 ? [{ href: "/before/frost", words: "Before the frost" }] : []),
    ...(tripsAhead(planned.outlook).length > 0 ? [{ href: "/before/away", words: "Before going away" }] : []),
  ];
}
