import QRCode from "qrcode";
import { theDoor } from "~/db/access/door.server";
import type { Db } from "~/db/db.server";
import { dayInZone } from "~/core/calendar";
import type { GardenRow } from "~/db/garden/garden.server";
import type { PhonesView } from "~/views/access/phones-view";
import { sayDay } from "~/views/words";
import { todayOf } from "../garden/clock.server";
import { devicesIn } from "./devices.server";

/** How the household's phones come in: set by the server that was started for them. */
export interface SharedAt {
  address: string | undefined;
  /** Of the household's own authority, as a phone shows it. */
  fingerprint: string | undefined;
}

const asPicture = async (text: string) =>
  `data:image/svg+xml;base64,${Buffer.from(await QRCode.toString(text, { type: "svg", margin: 2, errorCorrectionLevel: "M" })).toString("base64")}`;

/** Where phones find the garden, and which are in. */
export async function phonesPage(
  db: Db,
  garden: GardenRow,
  { address, fingerprint }: SharedAt,
  deviceId: string | null,
): Promise<PhonesView> {
  const day = (at: string) => sayDay(dayInZone(new Date(at), garden.timeZone), todayOf(garden));
  return {
    isLocked: theDoor(db) !== undefined,
    address: address ? { text: address, picture: await asPicture(address) } : null,
    authority: address && fingerprint ? { at: `${address}/authority.crt`, fingerprint } : null, // prettier-ignore
    devices: devicesIn(db).map(({ id, name, firstAt, seenAt }) => ({ id, name, first: day(firstAt), seen: day(seenAt), isThis: id === deviceId })), // prettier-ignore
  };
}
