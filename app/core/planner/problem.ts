import { z } from "zod";
import { IsoDay } from "../calendar";

/** Worths are in kilograms of courgette; minutes are minutes; day indexes count from the first entry of `days`. */
const Row = z.array(z.number());
const DayIndex = z.number().int().min(0);

/** Something done beside picking: on a day, so many minutes at the bed, and what it costs in worth. */
const Act = z.object({ day: DayIndex, minutes: z.number().min(0), cost: z.number().min(0) });

/**
 * What a planting offers when something is done beside picking that changes what follows: it is covered for a night,
 * brought in, its vines are cut. The tables are shaped as the planting's own, and stand in their place.
 */
const TaskWay = z.object({
  id: z.string().min(1),
  /** None where what differs is the pick itself. */
  acts: z.array(Act),
  worth: z.array(Row),
  minutes: z.array(z.array(z.number().nullable())),
  endWorth: Row,
  kitchen: z.array(z.array(z.number().min(0))).optional(),
});
export type TaskWay = z.infer<typeof TaskWay>;

/**
 * What one planting offers. Row 0 of each table is "no pick yet", row s + 1 "last picked on day s";
 * column t is a pick on day t. Entries with t < row mean nothing. A one-off planting has row 0 only.
 */
export const PlantingTask = z.object({
  id: z.string(),
  bedId: z.string(),
  repeat: z.boolean(),
  /** worth[row][t], effort already taken off. */
  worth: z.array(Row),
  /** minutes[row][t] of handwork, the walk not counted; null = a pick that day is not allowed (too soon after the last). */
  minutes: z.array(z.array(z.number().nullable())),
  /** endWorth[row]: what is still out there after the last day, when last picked as the row says. */
  endWorth: Row,
  /** kitchen[row][t], kg that must be dealt with in the kitchen on the day of the pick; left out = none. */
  kitchen: z.array(z.array(z.number().min(0))).optional(),
  /** Space that a one-off pick takes to cure, m², from its day on for so many dates. */
  curing: z.object({ area: z.number().min(0), days: z.number().int().min(1) }).optional(),
  /** Other ways to treat it, of which a plan takes one or none. */
  ways: z.array(TaskWay).optional(),
  /**
   * Days on whose date it must be picked, in whichever round of it, and days on which it may not be: the household's
   * word, wet leaves, an interval.
   */
  pins: z.array(DayIndex).optional(),
  bans: z.array(DayIndex).optional(),
});
export type PlantingTask = z.infer<typeof PlantingTask>;

/** So many rounds at most on the days from `from` to `to`, both counted in: the household's word. */
const RoundLimit = z.object({ from: DayIndex, to: DayIndex, most: z.number().int().min(0) });

export const PlanProblem = z.object({
  /**
   * In order. A date that stands there twice has two rounds, in the morning and in the evening say: each has minutes,
   * overheads and bans of its own; kitchen and racks they share, and no planting is picked in both.
   */
  days: z.array(IsoDay).min(1),
  /** Minutes of free hands each day; 0 when away. */
  minutesFree: z.array(z.number().min(0)),
  /** Minutes and worth that any round costs: kit, start, putting away. */
  roundMinutes: z.number().min(0),
  roundCost: z.number().min(0),
  /** Minutes and worth of calling at a bed. */
  bedMinutes: z.number().min(0),
  bedCost: z.number().min(0),
  /** Kg that the kitchen can deal with each day, all rounds of a date together: the first entry counts; left out = no limit. */
  kitchenFree: z.array(z.number().min(0)).optional(),
  /**
   * Where what the kitchen has no time for on its date waits for the next that has: kg that it holds, and kg that lie in
   * it when the first date begins. Left out = nothing waits.
   */
  fridge: z.object({ holds: z.number().min(0), taken: z.number().min(0) }).optional(),
  /** m² to cure on, any day or day by day, of a date the first entry; left out = no limit. */
  curingFree: z.union([z.number().min(0), z.array(z.number().min(0))]).optional(),
  /** In order, none over another; left out = no limit. */
  roundLimits: z.array(RoundLimit).optional(),
  tasks: z.array(PlantingTask),
});
export type PlanProblem = z.infer<typeof PlanProblem>;

/** Pick days per planting, rising; empty = not picked in the horizon. */
export type Picks = Record<string, number[]>;

/** The way that is taken with a planting; one that is not named is left as it stands. */
export type Ways = Record<string, string>;
