import { z } from "zod";
import { Skill } from "~/core/hands";
import type { Db } from "~/db/client.server";
import { deleteHelper, insertHelper, updateHelper } from "~/db/sky/hands.server";
import { cropsOf } from "~/services/garden/household-crops.server";

export const HelperForm = z.object({
  id: z.string().default(""),
  name: z.string().trim().min(1, "Say who helps.").max(60, "Keep the name under 60 letters."),
  minutes: z.coerce
    .number("Minutes as a number.")
    .int("Whole minutes.")
    .min(1, "At least a minute.")
    .max(480, "More than 8 hours: check the number."),
  everyDays: z.coerce
    .number("Days as a number.")
    .int("Whole days.")
    .min(1, "At least every day.")
    .max(14, "At most every two weeks."),
  cropIds: z.array(z.string()).max(40, "Keep the list short: 40 crops at most."),
  skills: z.array(Skill),
});

/** Adds a helper or changes one. */
export function saveHelper(
  db: Db,
  form: z.infer<typeof HelperForm>,
): { status: "saved" } | { status: "refused"; sentence: string } {
  const crops = cropsOf(db);
  const unknown = form.cropIds.find((id) => !crops.some((c) => c.id === id));
  if (unknown) return { status: "refused", sentence: `There is no crop “${unknown}”.` };
  const { id, ...values } = form;
  if (!id) insertHelper(db, { id: crypto.randomUUID(), ...values });
  else if (!updateHelper(db, id, values)) return { status: "refused", sentence: "This helper is no longer there." };
  return { status: "saved" };
}

export function removeHelper(db: Db, id: string): boolean {
  return deleteHelper(db, id);
}
