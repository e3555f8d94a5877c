import { randomBytes } from "node:crypto";
import argon2 from "argon2";
import { lockDoor, theDoor } from "~/db/access/door.server";
import type { Db } from "~/db/db.server";

/** Characters of a passphrase: long enough to be guessed slowly, short enough to be hashed at once. Our judgement. */
const PASSPHRASE = { least: 12, most: 200 };

/** OWASP, Password Storage Cheat Sheet: Argon2id with at least 19 MiB, two passes, one lane. */
const COST = { memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 };

/** As it is compared: written by different keyboards the same letters may be other characters. */
const asTyped = (typed: string) => typed.normalize("NFKC").trim();

/** What is wrong with a new passphrase, in a sentence; undefined when it will do. */
export function faultOf(typed: string): string | undefined {
  const { length } = asTyped(typed);
  if (length < PASSPHRASE.least) return `A passphrase has at least ${PASSPHRASE.least} characters: four words do.`;
  if (length > PASSPHRASE.most) return `A passphrase has at most ${PASSPHRASE.most} characters.`;
  if (new Set(asTyped(typed).toLowerCase()).size < 5) return "That is the same few letters over and over: take four words."; // prettier-ignore
  return undefined;
}

/** Sets it, anew or for the first time; devices that were in have to give it again. */
export async function setPassphrase(
  db: Db,
  typed: string,
  now: Date,
): Promise<{ status: "set" } | { status: "refused"; sentence: string }> {
  const sentence = faultOf(typed);
  if (sentence) return { status: "refused", sentence };
  const passphraseHash = await argon2.hash(asTyped(typed), COST);
  lockDoor(db, { passphraseHash, cookieSecret: randomBytes(32).toString("base64url") }, now.toISOString());
  return { status: "set" };
}

/** Whether it is the household's; where none was set, nothing is. */
export async function isPassphrase(db: Db, typed: string): Promise<boolean> {
  const lock = theDoor(db);
  if (!lock || asTyped(typed).length > PASSPHRASE.most) return false;
  return argon2.verify(lock.passphraseHash, asTyped(typed));
}
