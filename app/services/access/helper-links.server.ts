import { randomUUID } from "node:crypto";
import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { theDoor } from "~/db/access/door.server";
import { addHelperLink, endHelperLink, helperLinkByToken, helperLinksOpen, type HelperLink } from "~/db/access/helper-links.server"; // prettier-ignore
import type { Db } from "~/db/db.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { allTrips } from "~/db/sky/hands.server";
import { todayOf } from "../garden/clock.server";
import { hashOf, newToken, secretCookie, tokenIn } from "./secret-cookie.server";

/** Longer than any trip: whether it still opens is looked up at every request. */
const COOKIE_DAYS = 60;

export const HelperLinkForm = z.object({
  name: z.string("Say who helps.").trim().min(1, "Say who helps.").max(40, "Keep the name under 40 letters."),
  from: IsoDay,
});

const cookieOf = (secret: string) => secretCookie("akmedon-helper", secret, COOKIE_DAYS);

/**
 * Makes a link for a helper: it opens from now until the last day of the trip, be that made longer or shorter.
 *
 * @returns what the link carries, told once
 */
export function makeHelperLink(
  db: Db,
  garden: GardenRow,
  { name, from }: z.infer<typeof HelperLinkForm>,
  now: Date,
): { status: "made"; token: string; untilDay: IsoDay } | { status: "refused"; sentence: string } {
  const trip = allTrips(db).find((t) => t.fromDay === from && t.toDay >= todayOf(garden));
  if (!trip) return { status: "refused", sentence: "That trip is no longer noted, or it is over." };
  if (!theDoor(db)) return { status: "refused", sentence: "Set a passphrase first: ./akmedon passphrase" };
  const token = newToken();
  addHelperLink(db, { id: randomUUID(), name, tokenHash: hashOf(token), tripId: trip.id, madeAt: now.toISOString(), endedAt: null }); // prettier-ignore
  return { status: "made", token, untilDay: trip.toDay };
}

/** The link that a token opens today. */
export const helperLinkOf = (db: Db, garden: GardenRow, token: string) => helperLinkByToken(db, hashOf(token), todayOf(garden)); // prettier-ignore

/** The link that a request's cookies show, if it opens today. */
export async function helperIn(db: Db, garden: GardenRow, cookies: string | null): Promise<HelperLink | undefined> {
  const lock = theDoor(db);
  const token = lock && (await tokenIn(cookieOf(lock.cookieSecret), cookies));
  return token ? helperLinkOf(db, garden, token) : undefined;
}

/** The header that has a helper's phone show the link from now on. */
export const helperCookie = (db: Db, token: string): Promise<string> => cookieOf(theDoor(db)?.cookieSecret ?? "").serialize(token); // prettier-ignore

export const endLink = (db: Db, id: string, now: Date) => endHelperLink(db, id, now.toISOString());
export { helperLinksOpen };
