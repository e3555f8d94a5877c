import { z } from "zod";
import { IsoDay } from "../calendar";
import { Slot } from "../hands";
import type { Picks } from "../planner";
import type { DayRound } from "./day-rounds";

/** Picks of each task by their days and parts of the day: they can be found again in a plan of other rounds. */
export const DatedPicks = z.record(z.string(), z.array(z.object({ day: IsoDay, slot: Slot.nullable() })));
export type DatedPicks = z.infer<typeof DatedPicks>;

/** @param picks - by rounds */
export function datedPicks(
  picks: Picks,
  { rounds, days }: { rounds: readonly DayRound[]; days: readonly IsoDay[] },
): DatedPicks {
  const dated = (t: number) => ({ day: days[rounds[t]!.day]!, slot: rounds[t]!.slot });
  return Object.fromEntries(Object.entries(picks).map(([id, of]) => [id, of.map(dated)]));
}

/** The same picks in the rounds of another plan, in the same part of the day where that is a round; days that are over left out. */
export function picksIn(
  dated: DatedPicks,
  { rounds, days }: { rounds: readonly DayRound[]; days: readonly IsoDay[] },
): Picks {
  const roundOf = ({ day, slot }: DatedPicks[string][number]) => {
    const ofDay = [...rounds.keys()].filter((t) => days[rounds[t]!.day] === day);
    return ofDay.find((t) => rounds[t]!.slot === slot) ?? ofDay[0];
  };
  return Object.fromEntries(Object.entries(dated).map(([id, of]) => [id, of.flatMap((pick) => roundOf(pick) ?? [])])); // prettier-ignore
}
