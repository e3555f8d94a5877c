import { devicesIn, theDoor } from "~/db/access/door.server";
import { personOfDevice, pickersOf, setPersonHere } from "~/db/access/people.server";
import type { Db } from "~/db/db.server";

const LONGEST_NAME = 40;

/** A person's name as it is kept; null where none was given. */
export const personName = (typed: string): string | null => typed.replace(/\s+/g, " ").trim().slice(0, LONGEST_NAME) || null; // prettier-ignore

/**
 * Who does what a request brings: the person its device is of; at this machine's own address whoever uses it. Asked once
 * for each device, and not at all in a household of one.
 */
export const personAt = (db: Db, knock: { deviceId: string | null } | undefined): string | null =>
  knock ? knock.deviceId && personOfDevice(db, knock.deviceId) : (theDoor(db)?.person ?? null);

/** Those of the household whose devices are in. */
export function peopleOf(db: Db): string[] {
  const here = theDoor(db)?.person;
  const named = [here, ...devicesIn(db).map((d) => d.person)].filter((person) => typeof person === "string");
  return [...new Set(named)].sort((a, b) => a.localeCompare(b));
}

/** Names by which picks are told apart; none where all of them are of one person and nobody else. */
export function pickersToldApart(db: Db): string[] {
  const household = peopleOf(db);
  const pickers = pickersOf(db);
  if (household.length <= 1 && pickers.every((person) => household.includes(person))) return [];
  return [...new Set([...household, ...pickers])].sort((a, b) => a.localeCompare(b));
}

export { setPersonHere };
