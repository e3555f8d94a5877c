import { z } from "zod";
import { allBeds } from "~/db/beds/beds.server";
import { plantingById } from "~/db/beds/plantings.server";
import type { Db } from "~/db/client.server";
import { revisionOf } from "~/db/revision.server";
import type { WalkerAt, WhoIsWhere } from "~/views/round/walker";
import { cropAndVariety } from "~/views/words";
import { cropsOf } from "../garden/household-crops.server";

/** Where a phone on the walk says it is; nowhere once it has left. */
export const Here = z.object({
  device: z.string().min(1).max(64),
  plantingId: z.string().min(1).max(100).nullable(),
});
export type Here = z.infer<typeof Here>;

/** A phone that has not been heard of for longer is not there: it says so every fifteen seconds. Our judgement. */
const HEARD_MS = 40_000;
/** More phones than this are not of a household. */
const MOST = 50;

interface Heard {
  plantingId: string;
  person: string | null;
  at: number;
}

/** Nothing of it is kept: it holds for seconds. */
const heard = new Map<string, Heard>();

/**
 * Hears where a phone is, and tells where the others are.
 *
 * @param person - whose phone it is, where that is known
 */
export function whoIsWhere(db: Db, { device, plantingId }: Here, person: string | null, now = Date.now()): WhoIsWhere {
  for (const [other, { at }] of heard) if (now - at > HEARD_MS) heard.delete(other);
  heard.delete(device);
  if (plantingId && heard.size < MOST) heard.set(device, { plantingId, person, at: now });
  const others = [...heard].filter(([other]) => other !== device).flatMap(([, h]) => otherAt(db, h));
  return { others, as: revisionOf(db) };
}

function otherAt(db: Db, { plantingId, person }: Heard): WalkerAt[] {
  const planting = plantingById(db, plantingId);
  if (!planting) return [];
  const crop = cropsOf(db).find((c) => c.id === planting.cropId)?.name ?? planting.cropId;
  const bed = allBeds(db).find((b) => b.id === planting.bedId)?.name ?? "";
  return [{ person, plantingId, bed, name: cropAndVariety(crop, planting.variety) }];
}
