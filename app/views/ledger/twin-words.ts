import type { UnitSystem } from "~/core/units";
import { cropAndVariety, sayAmount } from "../words";
import type { LedgerLine } from "./ledger-view";

/** A pick with the clock at which it was logged. */
interface PickAtClock {
  line: LedgerLine;
  clock: string;
}

/** Two picks that may be one, as they are asked about. */
export interface TwinAsked {
  what: string;
  picks: [TwinPick, TwinPick];
  /** Amount and clock are the same: it does not matter which one is kept. */
  isAlike: boolean;
}

interface TwinPick {
  id: string;
  /** "3, by Mara at 08:10". */
  words: string;
  /** What is kept where this one alone counts. */
  keeps: string;
}

/** Asks about two picks of one planting that two phones logged: one picking written down twice, or two. */
export function twinAsked(first: PickAtClock, second: PickAtClock, units: UnitSystem): TwinAsked {
  const { crop, variety, bed } = first.line;
  return {
    what: `${cropAndVariety(crop, variety)}, ${bed}`,
    picks: [twinPick(first, units), twinPick(second, units)],
    isAlike: amountAt(first, units) === amountAt(second, units),
  };
}

const amountAt = ({ line, clock }: PickAtClock, units: UnitSystem) => `${amountOf(line, units)} at ${clock}`;
const amountOf = (line: LedgerLine, units: UnitSystem) => sayAmount(line, units) || "some";

function twinPick(pick: PickAtClock, units: UnitSystem): TwinPick {
  const by = pick.line.person ? `by ${pick.line.person} ` : "";
  return {
    id: pick.line.id,
    words: `${amountOf(pick.line, units)}, ${by}at ${pick.clock}`,
    keeps: amountAt(pick, units),
  };
}
