import { eq } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { countSeen, planting } from "~/db/schema.server";
import { theGarden, todayOf } from "./clock.server";

export const CountForm = z.object({
  plantingId: z.string().min(1),
  what: z.enum(["ready", "leaves"]),
  number: z
    .string()
    .trim()
    .regex(/^\d{1,6}$/, "Write the count as a whole number, nothing below none.")
    .transform(Number),
  countedOn: IsoDay.optional(),
});
export type CountForm = z.infer<typeof CountForm>;

/** Writes down what was counted; a second count of the day replaces the first. */
export function takeCount(
  db: Db,
  { plantingId, what, number, countedOn: given }: CountForm,
): { status: "taken" | "no such planting" | "still to come" } {
  const row = theGarden(db);
  if (!row || !db.select().from(planting).where(eq(planting.id, plantingId)).get())
    return { status: "no such planting" };
  const today = todayOf(row);
  const countedOn = given ?? today;
  if (countedOn > today) return { status: "still to come" };
  db.insert(countSeen)
    .values({ id: crypto.randomUUID(), plantingId, what, number, countedOn })
    .onConflictDoUpdate({ target: [countSeen.plantingId, countSeen.what, countSeen.countedOn], set: { number } })
    .run();
  return { status: "taken" };
}
