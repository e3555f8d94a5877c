import { and, desc, eq, isNull } from "drizzle-orm";
import type { Db } from "../db.server";
import { device, door, helperLink, type DeviceRow } from "../schema/access.server";

export type { DeviceRow };

const ONLY = 1;

export const theDoor = (db: Db) => db.select().from(door).where(eq(door.id, ONLY)).get();

/** Locks the door anew; whoever was in has to give the new passphrase, and links of helpers are over. */
export function lockDoor(db: Db, lock: { passphraseHash: string; cookieSecret: string }, at: string): void {
  db.transaction((tx) => {
    tx.insert(door).values({ id: ONLY, ...lock, setAt: at }).onConflictDoUpdate({ target: door.id, set: { ...lock, setAt: at } }).run(); // prettier-ignore
    tx.update(device).set({ endedAt: at }).where(isNull(device.endedAt)).run();
    tx.update(helperLink).set({ endedAt: at }).where(isNull(helperLink.endedAt)).run();
  });
}

export const addDevice = (db: Db, row: DeviceRow) => void db.insert(device).values(row).run();

/** Devices that are in, the last seen first. */
export const devicesIn = (db: Db) => db.select().from(device).where(isNull(device.endedAt)).orderBy(desc(device.seenAt)).all(); // prettier-ignore

export const deviceByToken = (db: Db, tokenHash: string) =>
  db.select().from(device).where(and(eq(device.tokenHash, tokenHash), isNull(device.endedAt))).get(); // prettier-ignore

/** @returns whether there is such a device that is in */
export function changeDevice(
  db: Db,
  id: string,
  set: Partial<Pick<DeviceRow, "name" | "person" | "seenAt" | "endedAt">>,
): boolean {
  return db.update(device).set(set).where(and(eq(device.id, id), isNull(device.endedAt))).run().changes > 0; // prettier-ignore
}
