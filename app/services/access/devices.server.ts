import { randomUUID } from "node:crypto";
import { subDays } from "date-fns";
import { addDevice, changeDevice, deviceByToken, devicesIn, theDoor, type DeviceRow } from "~/db/access/door.server";
import type { Db } from "~/db/db.server";
import { personName } from "./people.server";
import { hashOf, newToken, secretCookie, tokenIn } from "./secret-cookie.server";

/** A device that was not seen for so long has to give the passphrase again: our judgement, a winter and a bit. */
const UNSEEN_DAYS = 180;
/** How often it is written down that a device was seen: every write has the garden worked out anew. */
const SEEN_EVERY_MS = 86_400_000;
const LONGEST_NAME = 40;

const cookieOf = (secret: string) => secretCookie("akmedon", secret, UNSEEN_DAYS);

/** The name a household gives a device, or one for it. */
export const deviceName = (typed: string) => typed.replace(/\s+/g, " ").trim().slice(0, LONGEST_NAME) || "A phone";

/**
 * Lets a device in that gave the passphrase. It always gets a new token: one that was planted in it beforehand is worth
 * nothing.
 *
 * @returns the header that sets its cookie
 */
export async function letIn(db: Db, name: string, person: string, now: Date): Promise<string> {
  const lock = theDoor(db);
  if (!lock) throw new Error("No passphrase is set.");
  const token = newToken();
  const at = now.toISOString();
  addDevice(db, { id: randomUUID(), name: deviceName(name), person: personName(person), tokenHash: hashOf(token), firstAt: at, seenAt: at, endedAt: null }); // prettier-ignore
  return cookieOf(lock.cookieSecret).serialize(token);
}

/** The device that a request's cookies show; undefined where it is none of ours, dropped, or unseen for too long. */
export async function deviceOf(db: Db, cookies: string | null, now: Date): Promise<DeviceRow | undefined> {
  const lock = theDoor(db);
  const token = lock && (await tokenIn(cookieOf(lock.cookieSecret), cookies));
  const found = token && deviceByToken(db, hashOf(token));
  if (!found) return undefined;
  if (new Date(found.seenAt) < subDays(now, UNSEEN_DAYS)) {
    changeDevice(db, found.id, { endedAt: now.toISOString() });
    return undefined;
  }
  if (now.getTime() - Date.parse(found.seenAt) > SEEN_EVERY_MS) changeDevice(db, found.id, { seenAt: now.toISOString() }); // prettier-ignore
  return found;
}

/** The header that takes the cookie off a device. */
export async function forgetCookie(db: Db): Promise<string> {
  return cookieOf(theDoor(db)?.cookieSecret ?? "").serialize("", { maxAge: 0 });
}

export const dropDevice = (db: Db, id: string, now: Date) => changeDevice(db, id, { endedAt: now.toISOString() });
export const describeDevice = (db: Db, id: string, { name, person }: { name: string; person: string }) => changeDevice(db, id, { name: deviceName(name), person: personName(person) }); // prettier-ignore
export { devicesIn };
