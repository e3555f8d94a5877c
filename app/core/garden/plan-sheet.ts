import { z } from "zod";
import { IsoDay } from "../calendar";
import { PlanProblem, type Picks, type Plan } from "../planner";
import { DayRound } from "./day-rounds";
import { DayWishes, comesAgain, dayWishesOf } from "./day-wishes";
import type { GardenOutlook } from "./look-ahead";

const Pieces = z.array(z.array(z.number().min(0)));

/**
 * A plan with all that it takes to ask it again without the garden: the problem before any day was asked for, the
 * wishes, and what each task would bring.
 */
export const PlanSheet = z.object({
  today: IsoDay,
  /** Its days one entry for each of `rounds`. */
  problem: PlanProblem,
  rounds: z.array(DayRound),
  wishes: z.array(DayWishes),
  plantings: z.array(
    z.object({
      id: z.string(),
      crop: z.string(),
      variety: z.string(),
      bed: z.string(),
      /** Worth of a kilogram at its best, in kilograms of courgette. */
      worthPerKg: z.number().positive(),
      pieceGrams: z.number().positive(),
      /** More than one pick of it may be planned. */
      comesAgain: z.boolean(),
    }),
  ),
  /** Tasks that are picks of a planting; pieces[row][day], shaped as the problem's tables before they were parted by round. */
  tasks: z.array(z.object({ id: z.string(), plantingId: z.string(), pieces: Pieces })),
  /** The plan that stands, with the wishes; its days are rounds. */
  plan: z.object({
    picks: z.record(z.string(), z.array(z.number().int().min(0))),
    ways: z.record(z.string(), z.string()),
    worth: z.number(),
    upperBound: z.number(),
  }),
  /** Picks that it stays near to, of the plan before it: rounds, as its own. */
  near: z.record(z.string(), z.array(z.number().int().min(0))).default({}),
});
export type PlanSheet = z.infer<typeof PlanSheet>;

/** Pieces are told to the hundredth. */
const told = (pieces: number) => Math.round(100 * pieces) / 100;

/** The sheet of a garden looked ahead and planned. */
export function planSheet(
  outlook: GardenOutlook,
  plan: Pick<Plan, "picks" | "ways" | "worth" | "upperBound">,
  near: Picks,
): PlanSheet {
  const { today, unwished, rounds, plantings } = outlook;
  const { picks, ways, worth, upperBound } = plan;
  return {
    today,
    problem: unwished,
    rounds,
    wishes: plantings.map(dayWishesOf),
    plantings: plantings.map(({ planting, crop, bed, ...p }) => ({
      id: planting.id,
      crop: crop.name,
      variety: planting.variety,
      bed: bed.name,
      worthPerKg: crop.worthPerKg.value,
      pieceGrams: crop.pieceGrams.value,
      comesAgain: comesAgain(p),
    })),
    tasks: plantings.flatMap((p) => p.parts.map(({ task, pieces }) => ({ id: task.id, plantingId: p.planting.id, pieces: pieces.map((row) => row.map(told)) }))), // prettier-ignore
    plan: { picks, ways, worth, upperBound },
    near,
  };
}
