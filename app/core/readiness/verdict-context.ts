import type { IsoDay } from "../calendar";
import { addDays } from "../calendar";
import type { Crop, Meaning } from "../crops";
import type { PickBan, RainOutlook, Survival } from "../hazards";
import type { Flag } from "./flags";
import type { Later } from "./later";
import type { KnownLook } from "./look";
import type { ToldShares } from "./told-shares";
import type { Conflict } from "./conflict";
import type { Stage, Window } from "./stages";
import type { Apart, Limit } from "./verdict-reason";

/** Odds from which a state is called: our judgement. */
export const CALL = 0.5;
/** Odds from which a crop is called over; higher, since it ends the waiting. */
export const CALL_OVER = 0.6;

/** Past its packet's days by the calendar of its own growth: counted in days on which it grew. */
export interface Overdue {
  daysPast: number;
  because: string;
}

/** All that a verdict is drawn from. */
export interface VerdictContext {
  crop: Crop;
  today: IsoDay;
  /** Odds of the stages on each day from today. */
  oddsByDay: Record<Stage, number>[];
  window: Window;
  survival: Survival;
  rain: RainOutlook;
  /** Days from today on which somebody can pick. */
  handsFree: boolean[];
  /** Days with nobody there, whatever the leaves or a label say. */
  nobody: boolean[];
  /** Days of a trip. */
  away: boolean[];
  /** Its leaves are wet today and not to be touched so. */
  leavesWet: boolean;
  /** The strongest flag that speaks of the whole planting. */
  flag: Flag | undefined;
  /** A taste or an opened piece of today or yesterday, and a pull, that settle it whatever else was read. */
  settled: { taste: KnownLook | undefined; release: KnownLook | undefined };
  /** What is true of some pieces only. */
  apart: Apart[];
  /** After a pick a decisive look of today found it ready, and none of today says less. */
  seenReady: boolean;
  /** What looks at parts tell of the pieces today; undefined where nobody told of how many. */
  told: ToldShares | undefined;
  /** As many came off as it had, and nobody has seen more since. */
  allPicked: boolean;
  /** Some came off since it was told. */
  pickedSince: boolean;
  /** What is not ready of it, and when it should be. */
  later: Later[];
  conflict: Conflict | null;
  /** Some look says that it is past; undefined when nothing was looked at. */
  seenPast: boolean | undefined;
  /** Share of the pieces that are ready, 0 to 1. */
  shareReady: number;
  /** Set when the calendar outranks size. */
  overdue: Overdue | null;
  /** True when only the calendar speaks: first crop of the planting, nothing looked at yet. */
  byDatesOnly: boolean;
  /** Next to no heat ahead. */
  standsStill: boolean;
  /** What the readings of today and yesterday advise. */
  advices: { means: Meaning; advice: string }[];
  /** Kept for its seed. */
  forSeed: boolean;
  /** Day the bed is wanted for something else. */
  bedNeededOn: IsoDay | null;
  /** First pick of this season, for crops whose picking has to stop. */
  firstPickOn: IsoDay | null;
  /** Growing year of the plants; null where it is not known. */
  growingYear: number | null;
  /** P(what it bears has come to its end). */
  ended: number;
  /** A treatment whose interval is not over. */
  ban: PickBan | undefined;
}

/** What ends the waiting where nobody is there from a day of the horizon on: a trip, or days without free hands. */
export function absence({ today, nobody, away }: VerdictContext, from: number): Limit {
  const next = nobody.findIndex((none, n) => n > from && !none);
  const day = next < 0 ? null : addDays(today, next);
  return away[from] ? { by: "away", backOn: day } : { by: "hands", nextOn: day };
}

/** The first day with free hands from `days` on; that day itself when there is none in the horizon. */
export function nextFreeDay({ today, handsFree }: VerdictContext, days: number): IsoDay {
  for (let n = days; n < handsFree.length; n++) if (handsFree[n]) return addDays(today, n);
  return addDays(today, days);
}
