import { z } from "zod";
import { RecordDay, addDays } from "~/core/calendar";
import { CoverKind } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { bedById } from "~/db/beds/beds.server";
import { replaceCover } from "~/db/sky/covers.server";

export const CoverForm = z.object({
  bedId: z.string(),
  evening: RecordDay,
  /** So many days and nights running. */
  nights: z.coerce.number().int().min(1).max(14).default(1),
  cover: z.union([CoverKind, z.literal("none")]),
});

/** Notes that a bed is covered for a night or some, or that it is not after all. */
export function coverBed(
  db: Db,
  { bedId, evening, nights = 1, cover }: Omit<z.infer<typeof CoverForm>, "nights"> & { nights?: number },
): { status: "noted" | "no such bed" } {
  if (!bedById(db, bedId)) return { status: "no such bed" };
  for (let n = 0; n < nights; n++) replaceCover(db, bedId, addDays(evening, n), cover === "none" ? null : cover);
  return { status: "noted" };
}
