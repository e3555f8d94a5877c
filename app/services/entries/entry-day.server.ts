import { dayInZone, daysBetween, type IsoDay } from "~/core/calendar";
import type { Entry } from "~/core/entries";
import type { GardenRow } from "~/db/garden/garden.server";
import { gardenNow, todayOf } from "../garden/clock.server";

/** The day of the garden that an entry belongs to. */
export interface EntryDay {
  day: IsoDay;
  today: IsoDay;
}

/** A device that was away longer than this has its clock wrong, rather: days, our judgement. */
const LONGEST_AWAY_DAYS = 400;

/**
 * The day an entry was done on: as the gardener said, else by its own time in the garden's zone, so that what is
 * sent the morning after is still of the evening before. The demo's clock stands, so there it is the demo's day.
 *
 * @returns a sentence when no such day can be
 */
export function dayOfEntry(entry: Entry, garden: GardenRow): EntryDay | { sentence: string } {
  const today = todayOf(garden);
  const said = "on" in entry ? entry.on : undefined;
  if (said !== undefined) return said > today ? { sentence: "That day is still to come." } : { day: said, today };
  if (garden.demoDay) return { day: today, today };
  const at = new Date(entry.at);
  // A clock that runs ahead says tomorrow: nothing is done before it arrives.
  const done = at > gardenNow(garden) ? today : dayInZone(at, garden.timeZone);
  if (daysBetween(done, today) > LONGEST_AWAY_DAYS)
    return { sentence: `By the clock of that device it was done on ${done}. Set the day by hand.` };
  return { day: done, today };
}
