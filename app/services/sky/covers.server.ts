import { z } from "zod";
import { RecordDay } from "~/core/calendar";
import { CoverKind } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { bedById } from "~/db/beds/beds.server";
import { replaceCover } from "~/db/sky/covers.server";

export const CoverForm = z.object({
  bedId: z.string(),
  evening: RecordDay,
  cover: z.union([CoverKind, z.literal("none")]),
});

/** Notes that a bed is covered for a night, or that it is not after all. */
export function coverBed(
  db: Db,
  { bedId, evening, cover }: z.infer<typeof CoverForm>,
): { status: "noted" | "no such bed" } {
  if (!bedById(db, bedId)) return { status: "no such bed" };
  replaceCover(db, bedId, evening, cover === "none" ? null : cover);
  return { status: "noted" };
}
