import { pagesAhead, PAPER_PLAN } from "../ahead/pages";
import type { Planned } from "../planned";
import { nextRound, roundName } from "../round/planned-walk";
import { cropAndVariety } from "../words";

/** A place or an act that the command field goes to. */
export interface Jump {
  group: "Acts" | "Beds" | "Plantings" | "Crops";
  words: string;
  /** What else it is found by, and what is told beside it. */
  beside: string;
  href: string;
}

/** Where one can go from anywhere: acts first, then beds, plantings and the notes on their crops. */
export function jumpsOf(planned: Planned, isRoundOut: boolean): Jump[] {
  const { outlook } = planned;
  const act = (words: string, href: string, beside = ""): Jump => ({ group: "Acts", words, beside, href });
  const round = isRoundOut ? "Go on with the round" : `Walk: ${roundName(nextRound(planned)).toLowerCase()}`;
  const beds = [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()].sort((a, b) => a.position - b.position); // prettier-ignore
  const crops = [...new Map(outlook.plantings.map((p) => [p.crop.id, p.crop])).values()].sort((a, b) => a.name.localeCompare(b.name)); // prettier-ignore
  return [
    act(round, "/round", "start round walk"),
    act("What if …", "/?what-if", "suppose helper fleece leave earlier colder"),
    ...[...pagesAhead(planned), PAPER_PLAN].map((page) => act(page.words, page.href, "print sheet")),
    act("Note a trip, hands or a cover", "/sky", "away holiday helper minutes fleece weather"),
    act("Type what was sown or planted", "/beds", "new planting add lines"),
    act("Correct a pick", "/ledger", "ledger harvest take back"),
    act("The plan as a table", "/plan.csv", "csv export"),
    act("Print crop sheets", "/notes/sheets", "cues how to"),
    ...beds.map((bed): Jump => ({ group: "Beds", words: bed.name, beside: "", href: `/beds#${bed.id}` })),
    ...outlook.plantings.map((p): Jump => ({ group: "Plantings", words: cropAndVariety(p.crop.name, p.planting.variety), beside: p.bed.name, href: `/check/${p.planting.id}` })), // prettier-ignore
    ...crops.map((crop): Jump => ({ group: "Crops", words: `Notes on ${crop.name.toLowerCase()}`, beside: "cues", href: `/notes/${crop.id}` })), // prettier-ignore
  ];
}
