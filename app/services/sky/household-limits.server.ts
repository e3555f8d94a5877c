import { z } from "zod";
import type { FieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import { setHouseholdLimits, type GardenRow } from "~/db/garden/garden.server";
import { dataNumber } from "~/views/words";

const typed = z.string().trim().max(20, "Write a number.").default("");

const ROUNDS = "Whole rounds, 1 to 7, or left empty.";

/** As typed, in the household's units; left empty: no limit. */
export const LimitsForm = z.object({
  roundsAWeek: z.union([z.literal("").transform(() => null), z.coerce.number(ROUNDS).int(ROUNDS).min(1, ROUNDS).max(7, ROUNDS)], ROUNDS), // prettier-ignore
  kitchen: typed,
  fridge: typed,
  racks: typed,
});

/** Sets what the household can and wants in a week. */
export function setLimits(
  db: Db,
  { unitSystem }: GardenRow,
  form: z.infer<typeof LimitsForm>,
): { status: "saved" } | { status: "refused"; errors: FieldErrors } {
  // prettier-ignore
  const read = (text: string, unit: string): number | null | undefined => {
    if (!text) return null;
    const value = Number(dataNumber(text.replace(",", "."), unit, unitSystem));
    return Number.isFinite(value) && value > 0 && value <= 500 ? value : undefined;
  };
  const [kitchenKg, fridgeKg, racksM2] = [read(form.kitchen, "kg"), read(form.fridge, "kg"), read(form.racks, "m²")];
  const wrong = "A number above zero and below 500, or left empty.";
  if (kitchenKg === undefined || fridgeKg === undefined || racksM2 === undefined) {
    const errors = { ...(kitchenKg === undefined && { kitchen: wrong }), ...(fridgeKg === undefined && { fridge: wrong }), ...(racksM2 === undefined && { racks: wrong }) }; // prettier-ignore
    return { status: "refused", errors };
  }
  if (fridgeKg !== null && kitchenKg === null)
    return { status: "refused", errors: { kitchen: "How much the kitchen deals with in a day: the fridge empties by it." } }; // prettier-ignore
  setHouseholdLimits(db, { roundsAWeek: form.roundsAWeek, kitchenKg, fridgeKg, racksM2 });
  return { status: "saved" };
}
