import type { IsoDay } from "~/core/calendar";
import type { EndReason, Season } from "~/core/seasons";
import { capital, dayAndMonth, sayStart } from "../words";

const REASONS: Record<EndReason, string> = {
  "all taken": "all taken",
  over: "over for the year",
  "bed free": "finished, bed free",
  "next crop": "went on to its next crop",
  "year turned": "the year turned",
};

/** Seasons of a planting as a list, the newest first: when each started, and how it ended. */
export function seasonsView(
  seasons: readonly (Season & { end: { endedOn: IsoDay; reason: EndReason } | null })[],
  today: IsoDay,
) {
  return [...seasons].reverse().map((s) => ({
    id: s.id,
    words: `${s.crop === "main" ? "" : `${s.crop}, `}${sayStart(s, today)}`,
    end: s.end ? `${REASONS[s.end.reason]}, ${dayAndMonth(s.end.endedOn, today)}` : "open",
  })).map((s) => ({ ...s, words: capital(s.words) })); // prettier-ignore
}
