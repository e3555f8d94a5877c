import type { IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { isCounted } from "~/core/garden";
import type { EndReason, SeasonCrop } from "~/core/seasons";
import type { LedgerLine } from "../ledger/ledger-view";
import type { Look } from "~/core/readiness";
import type { Planned } from "../planned";
import { liftedView } from "./lifted-view";
import { capital, cropAndVariety, dayAndMonth, sayAmount, sayPieces, sayStand } from "../words";

export type EndedView = ReturnType<typeof endedView>;

/** A planting whose newest season is over. */
export interface EndedPlanting {
  id: string;
  seasonId: string;
  variety: string;
  bed: string;
  plants: number;
  lengthM: number | null;
  /** What the season bore. */
  crop: SeasonCrop;
}

const NEXT_WORDS: Record<SeasonCrop, string> = {
  main: "The same again",
  "side shoots": "Side shoots are to come",
  "second cut": "A second cut is to come",
  regrowth: "It grows again from the stump",
  seed: "It stays for seed",
};

/**
 * What is said, and offered, once all of it was taken or a season is over: undo, a further crate, the plant's next
 * crop, or the end.
 *
 * @param next - what the plants of this crop may give
 */
export function endedView(
  crop: Crop,
  planting: EndedPlanting,
  end: { endedOn: IsoDay; reason: EndReason; pick: LedgerLine | null },
  next: readonly SeasonCrop[],
  { today, units }: Pick<Planned, "today" | "units">,
  looks: readonly Look[],
) {
  const on = dayAndMonth(end.endedOn, today);
  const rests = Boolean(crop.perennial) && end.reason !== "bed free";
  return {
    id: planting.id,
    seasonId: planting.seasonId,
    name: cropAndVariety(crop.name, planting.variety),
    crop: crop.name,
    bed: planting.bed,
    stand: sayStand(planting, units),
    says: sentenceOf(end, on, rests),
    amount: end.pick ? amountOf(end.pick, crop, units) : "",
    undo: end.pick && end.pick.withdrawnAt === null ? { pickId: end.pick.id, lotPage: `/ledger/${end.pick.id}` } : null,
    byHand: end.reason === "over" || end.reason === "bed free",
    rests,
    bedFree: end.reason === "bed free",
    next: end.reason === "bed free" ? [] : next.filter((c) => c !== planting.crop).map((c) => ({ crop: c, words: NEXT_WORDS[c] })), // prettier-ignore
    lifted: end.reason === "all taken" ? liftedView(crop, planting, end.endedOn, looks, { today, units }) : null,
    after: `${capital(crop.after.text)}. ${capital(crop.after.store)}.`,
    counted: isCounted(crop),
    piece: crop.piece,
    repeats: crop.mode !== "once",
    expected: { words: "a further crate of the same", count: 1, guess: sayPieces(crop, 1, units) },
  };
}

/** A bare number says what it counts. */
function amountOf({ grams, pieces, ...pick }: LedgerLine, { piece }: Crop, units: Planned["units"]): string {
  const count = pieces ? `${pieces} ${pieces === 1 ? piece.one : piece.many}` : "";
  const weight = grams ? sayAmount({ ...pick, grams, pieces: null }, units) : "";
  return [count, weight].filter(Boolean).join(", ");
}

function sentenceOf({ reason }: { reason: EndReason }, on: string, rests: boolean): string {
  switch (reason) {
    case "all taken":
      return `All of it was taken on ${on}.`;
    case "bed free":
      return `Finished on ${on}; the bed is free.`;
    case "over":
      return rests ? `Over for this year since ${on}. Its next year opens by itself.` : `Over since ${on}.`;
    case "next crop":
      return `It went on to its next crop on ${on}.`;
    case "year turned":
      return `Its year ended on ${on}.`;
  }
}
