import { z } from "zod";
import { IsoDay, addDays, daysBetween, weekday } from "../calendar";
import type { Crop } from "../crops";
import type { PlanProblem } from "../planner";

/** What the household can and wants to do beside the hours of its hands; null = no limit. */
export const HouseholdLimits = z.object({
  /** Rounds in a week, Monday to Sunday. */
  roundsAWeek: z.number().int().min(1).max(7).nullable().default(null),
  /** What does not keep, kg that the kitchen can deal with in a day. */
  kitchenKg: z.number().positive().max(500).nullable().default(null),
  /** What of it can wait for the days after, in the fridge or the cool of a larder, kg; without `kitchenKg` it counts nothing. */
  fridgeKg: z.number().positive().max(500).nullable().default(null),
  /** What came to the kitchen in the last days, today's among it. */
  kitchenBrought: z.array(z.object({ on: IsoDay, kg: z.number().min(0) })).default([]),
  /** Racks to cure and dry on, m². */
  racksM2: z.number().positive().max(500).nullable().default(null),
  /** What lies on them, and until when. */
  racksTaken: z.array(z.object({ until: IsoDay, m2: z.number().min(0) })).default([]),
});
export type HouseholdLimits = z.infer<typeof HouseholdLimits>;

/** What keeps for less is for the kitchen at once: our judgement. */
const KEEPS_DAYS = 21;
/** Bulbs, roots and squash in one layer on a rack: our judgement. */
const KG_PER_M2 = 15;

/** Whether a crop has to be eaten, frozen or bottled in the days after the pick. */
export const isForKitchen = ({ group, life }: Crop): boolean => group !== "flower" && life.storage.lowDays < KEEPS_DAYS;

/** Rack that so many pieces of a crop take, m²; none where it is not cured. */
export const rackFor = ({ life, pieceGrams }: Crop, pieces: number): number =>
  life.cure ? (pieces * pieceGrams.value) / 1000 / KG_PER_M2 : 0;

/** Days back from which something could still wait for the kitchen: our judgement. */
export const KITCHEN_LOOKS_BACK = 14;

/** The kitchen as the planner takes it. */
interface KitchenAhead {
  kitchenFree: number[];
  fridge: NonNullable<PlanProblem["fridge"]>;
}

/**
 * The kitchen of each day, kg, and what waits in the fridge when the first begins, of what was brought in before; what was
 * brought today takes of today's. Undefined where there is no limit.
 */
export function kitchenAhead(
  { kitchenKg, fridgeKg, kitchenBrought }: HouseholdLimits,
  days: readonly IsoDay[],
): KitchenAhead | undefined {
  if (kitchenKg === null) return undefined;
  const holds = fridgeKg ?? 0;
  const broughtOn = (day: IsoDay) => kitchenBrought.reduce((sum, b) => sum + (b.on === day ? b.kg : 0), 0);
  const full = (kg: number) => Math.min(holds, Math.max(0, kg));
  let taken = 0;
  for (let back = KITCHEN_LOOKS_BACK; back > 0; back--) taken = full(taken + broughtOn(addDays(days[0]!, -back)) - kitchenKg); // prettier-ignore
  const today = broughtOn(days[0]!);
  return {
    kitchenFree: days.map((_, t) => (t === 0 ? Math.max(0, kitchenKg - today) : kitchenKg)),
    fridge: { holds, taken: full(taken + Math.max(0, today - kitchenKg)) },
  };
}

/** The racks that are free on each day, m²; undefined where there is no limit. */
export function racksFree({ racksM2, racksTaken }: HouseholdLimits, days: readonly IsoDay[]): number[] | undefined {
  if (racksM2 === null) return undefined;
  return days.map((day) => Math.max(0, racksM2 - racksTaken.reduce((sum, r) => sum + (day < r.until ? r.m2 : 0), 0)));
}

/**
 * The limits as the planner takes them.
 *
 * @param walked - days of this week on which something was picked already, today perhaps among them
 */
export function limitsOfPlan(
  limits: HouseholdLimits,
  days: readonly IsoDay[],
  walked: ReadonlySet<IsoDay>,
): Pick<PlanProblem, "roundLimits" | "kitchenFree" | "fridge" | "curingFree"> {
  const racks = racksFree(limits, days);
  return {
    ...(limits.roundsAWeek !== null && { roundLimits: roundLimits(limits.roundsAWeek, days, walked) }),
    ...kitchenOfPlan(limits, days),
    ...(racks && { curingFree: racks }),
  };
}

/** A problem without a fridge has none, rather than one that holds nothing. */
function kitchenOfPlan(limits: HouseholdLimits, days: readonly IsoDay[]): Pick<PlanProblem, "kitchenFree" | "fridge"> {
  const { fridge, ...kitchen } = kitchenAhead(limits, days) ?? {};
  return { ...kitchen, ...(fridge && fridge.holds > 0 && { fridge }) };
}

/** Weeks from Monday; a round that was walked today goes on, and is counted already. */
function roundLimits(aWeek: number, days: readonly IsoDay[], walked: ReadonlySet<IsoDay>) {
  const today = days[0]!;
  const monday = addDays(today, -weekday(today));
  const before = [...walked].filter((day) => day >= monday && day <= today).length;
  const first = walked.has(today) ? 1 : 0;
  const weeks: { from: number; to: number; most: number }[] = [];
  for (let from = first; from < days.length;) {
    const to = Math.min(days.length - 1, 6 - weekday(days[from]!) + from);
    weeks.push({ from, to, most: Math.max(0, aWeek - (daysBetween(monday, days[from]!) < 7 ? before : 0)) });
    from = to + 1;
  }
  return weeks;
}
