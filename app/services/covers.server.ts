import { and, eq } from "drizzle-orm";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { CoverKind } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { bed, coverNight } from "~/db/schema.server";

export const CoverForm = z.object({
  bedId: z.string(),
  evening: IsoDay,
  cover: z.union([CoverKind, z.literal("none")]),
});

/** Notes that a bed is covered for a night, or that it is not after all. */
export function coverBed(
  db: Db,
  { bedId, evening, cover }: z.infer<typeof CoverForm>,
): { status: "noted" | "no such bed" } {
  if (!db.select().from(bed).where(eq(bed.id, bedId)).get()) return { status: "no such bed" };
  db.transaction((tx) => {
    tx.delete(coverNight).where(and(eq(coverNight.bedId, bedId), eq(coverNight.evening, evening))).run(); // prettier-ignore
    if (cover !== "none") tx.insert(coverNight).values({ bedId, evening, cover }).run();
  });
  return { status: "noted" };
}
