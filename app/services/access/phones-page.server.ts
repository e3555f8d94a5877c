import { theDoor } from "~/db/access/door.server";
import type { Db } from "~/db/db.server";
import { dayInZone } from "~/core/calendar";
import type { GardenRow } from "~/db/garden/garden.server";
import type { PhonesView } from "~/views/access/phones-view";
import { sayDay } from "~/views/words";
import { todayOf } from "../garden/clock.server";
import { devicesIn } from "./devices.server";
import { qrPicture } from "./qr-picture.server";

/** How the household's phones come in: set by the server that was started for them. */
export interface SharedAt {
  address: string | undefined;
  /** Of the household's own authority, as a phone shows it. */
  fingerprint: string | undefined;
}

/** Where phones find the garden, and which are in. */
export async function phonesPage(
  db: Db,
  garden: GardenRow,
  { address, fingerprint }: SharedAt,
  deviceId: string | null,
): Promise<PhonesView> {
  const day = (at: string) => sayDay(dayInZone(new Date(at), garden.timeZone), todayOf(garden));
  const lock = theDoor(db);
  const devices = devicesIn(db).map(({ id, name, person, firstAt, seenAt }) => ({ id, name, person: person ?? "", first: day(firstAt), seen: day(seenAt), isThis: id === deviceId })); // prettier-ignore
  return {
    isLocked: lock !== undefined,
    address: address ? { text: address, picture: await qrPicture(address) } : null,
    authority: address && fingerprint ? { at: `${address}/authority.crt`, fingerprint } : null, // prettier-ignore
    personHere: lock?.person ?? "",
    people: [...new Set(devices.map((d) => d.person))]
      .map((person) => ({ person, devices: devices.filter((d) => d.person === person) }))
      .sort((a, b) => Number(a.person === "") - Number(b.person === "") || a.person.localeCompare(b.person)),
  };
}
