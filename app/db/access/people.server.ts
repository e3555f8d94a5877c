import { asc, eq, isNotNull } from "drizzle-orm";
import type { Db } from "../db.server";
import { device, door } from "../schema/access.server";
import { pick } from "../schema/index.server";

/** Who picked what is in the ledger, by name. */
export const pickersOf = (db: Db): string[] =>
  db.selectDistinct({ person: pick.person }).from(pick).where(isNotNull(pick.person)).orderBy(asc(pick.person)).all().map((row) => row.person!); // prettier-ignore

/** Whose a device is; null where nobody said, or where there is none such. */
export const personOfDevice = (db: Db, id: string): string | null =>
  db.select({ person: device.person }).from(device).where(eq(device.id, id)).get()?.person ?? null;

/** Who uses this machine itself. */
export const setPersonHere = (db: Db, person: string | null) => void db.update(door).set({ person }).run();
