import type { IsoDay } from "../calendar";
import { addDays } from "../calendar";
import type { Crop } from "../crops";
import type { PickBan, RainOutlook, Survival } from "../hazards";
import type { Flag } from "./flags";
import type { Conflict } from "./conflict";
import type { Stage, Window } from "./stages";
import type { VerdictReason } from "./verdict-reason";

/** Odds from which a state is called: our judgement. */
export const CALL = 0.5;

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
  flag: Flag | undefined;
  conflict: Conflict | null;
  /** Some look says that it is past; undefined when nothing was looked at. */
  seenPast: boolean | undefined;
  /** Share of the pieces that are ready, 0 to 1. */
  shareReady: number;
  /** Set when the calendar outranks size. */
  overdue: Overdue | null;
  /** True when only the calendar speaks: first crop of the planting, nothing looked at yet. */
  byDatesOnly: boolean;
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

/** What to do. */
export interface Verdict {
  kind:
    | "leave"
    | "look again"
    | "look now"
    | "settle"
    | "ready"
    | "take today"
    | "take early"
    | "wait dry"
    | "clear"
    | "past"
    | "unfit"
    | "hold"
    | "seed"
    | "stop";
  because: VerdictReason;
  /** P(the state the verdict speaks of). */
  probability: number;
  /** Last good day to take it, for the verdicts that say take. */
  takeBy: IsoDay | null;
  lookAgain: IsoDay | null;
}

/** The first day with free hands from `days` on; that day itself when there is none in the horizon. */
export function nextFreeDay({ today, handsFree }: VerdictContext, days: number): IsoDay {
  for (let n = days; n < handsFree.length; n++) if (handsFree[n]) return addDays(today, n);
  return addDays(today, days);
}
