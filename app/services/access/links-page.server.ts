import { z } from "zod";
import { theDoor } from "~/db/access/door.server";
import { helperLinksOpen } from "~/db/access/helper-links.server";
import type { Db } from "~/db/db.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { HelperLinks, LinkTold } from "~/views/access/helper-links";
import { inUnits, sayDay } from "~/views/words";
import { todayOf } from "../garden/clock.server";
import { endLink, HelperLinkForm, makeHelperLink } from "./helper-links.server";
import { qrPicture } from "./qr-picture.server";

export const LinkAct = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("make link"), ...HelperLinkForm.shape }),
  z.object({ intent: z.literal("end link"), id: z.string().max(100) }),
]);
export type LinkAct = z.infer<typeof LinkAct>;

/** Links of helpers that open, and whether one can be made: where the garden is shared. */
export function linksPage(db: Db, garden: GardenRow, address: string | undefined): HelperLinks {
  const today = todayOf(garden);
  const links = helperLinksOpen(db, today).map(({ id, name, untilDay }) => ({ id, name, until: sayDay(untilDay, today) })); // prettier-ignore
  return inUnits({ canMake: address !== undefined && theDoor(db) !== undefined, links }, garden.unitSystem);
}

/** Makes a helper's link, told this once, or ends one. */
export async function actOnLinks(
  db: Db,
  garden: GardenRow,
  address: string | undefined,
  act: LinkAct,
): Promise<LinkTold> {
  // prettier-ignore
  const now = new Date();
  if (act.intent === "end link") return endLink(db, act.id, now) ? { done: "It is over." } : { error: "This link is over already." }; // prettier-ignore
  if (!address) return { error: "The garden is not shared: ./akmedon share" };
  const made = makeHelperLink(db, garden, act, now);
  if (made.status === "refused") return { error: made.sentence };
  const url = `${address}/h/${made.token}`;
  return { made: { name: act.name, url, picture: await qrPicture(url), until: inUnits(sayDay(made.untilDay, todayOf(garden)), garden.unitSystem) } }; // prettier-ignore
}
