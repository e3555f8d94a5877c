import { createHash, randomBytes, randomUUID } from "node:crypto";
import { subDays } from "date-fns";
import { createCookie } from "react-router";
import { addDevice, changeDevice, deviceByToken, devicesIn, theDoor, type DeviceRow } from "~/db/access/door.server";
import type { Db } from "~/db/db.server";

/** A device that was not seen for so long has to give the passphrase again: our judgement, a winter and a bit. */
const UNSEEN_DAYS = 180;
/** How often it is written down that a device was seen: every write has the garden worked out anew. */
const SEEN_EVERY_MS = 86_400_000;
const LONGEST_NAME = 40;

const hashOf = (token: string) => createHash("sha256").update(token).digest("base64url");

/**
 * What a device shows: signed, not readable by scripts, sent to us only, by HTTPS only. The name's beginning has the
 * browser hold to that (RFC 6265bis, `__Host-`).
 */
const cookieOf = (secret: string) =>
  createCookie("__Host-akmedon", { secrets: [secret], httpOnly: true, secure: true, sameSite: "lax", path: "/", maxAge: UNSEEN_DAYS * 86_400 }); // prettier-ignore

/** The name a household gives a device, or one for it. */
export const deviceName = (typed: string) => typed.replace(/\s+/g, " ").trim().slice(0, LONGEST_NAME) || "A phone";

/**
 * Lets a device in that gave the passphrase. It always gets a new token: one that was planted in it beforehand is worth
 * nothing.
 *
 * @returns the header that sets its cookie
 */
export async function letIn(db: Db, name: string, now: Date): Promise<string> {
  const lock = theDoor(db);
  if (!lock) throw new Error("No passphrase is set.");
  const token = randomBytes(32).toString("base64url");
  const at = now.toISOString();
  addDevice(db, { id: randomUUID(), name: deviceName(name), tokenHash: hashOf(token), firstAt: at, seenAt: at, endedAt: null }); // prettier-ignore
  return cookieOf(lock.cookieSecret).serialize(token);
}

/** The device that a request's cookies show; undefined where it is none of ours, dropped, or unseen for too long. */
export async function deviceOf(db: Db, cookies: string | null, now: Date): Promise<DeviceRow | undefined> {
  const lock = theDoor(db);
  if (!lock || !cookies) return undefined;
  const token: unknown = await cookieOf(lock.cookieSecret).parse(cookies);
  if (typeof token !== "string") return undefined;
  const found = deviceByToken(db, hashOf(token));
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
export const renameDevice = (db: Db, id: string, name: string) => changeDevice(db, id, { name: deviceName(name) });
export { devicesIn };
