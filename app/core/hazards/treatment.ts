import { z } from "zod";
import { IsoDay, addDays } from "../calendar";

/** A treatment on a planting; the days are those of the product's own label, typed by the gardener. */
export const Treatment = z.object({
  product: z.string(),
  treatedOn: IsoDay,
  /** Pre-harvest interval, whole days. */
  intervalDays: z.number().int().min(0).max(365),
});
export type Treatment = z.infer<typeof Treatment>;

/** A planting that may not be picked yet. */
export interface PickBan {
  /** First day on which it may be picked again. */
  until: IsoDay;
  product: string;
  treatedOn: IsoDay;
  intervalDays: number;
}

/**
 * The ban that holds on a day: the treatment whose interval ends last. With an interval of n days the first pick is
 * n days after the treatment; the label has the last word.
 *
 * @returns undefined when nothing holds, also for a day before any treatment
 */
export function pickBan(treatments: readonly Treatment[], day: IsoDay): PickBan | undefined {
  return treatments
    .filter((t) => t.treatedOn <= day)
    .map((t) => ({ ...t, until: addDays(t.treatedOn, t.intervalDays) }))
    .filter((t) => day < t.until)
    .sort((a, b) => b.until.localeCompare(a.until))[0];
}
