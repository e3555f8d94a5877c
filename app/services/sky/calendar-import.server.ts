import type { CalendarEvent, CalendarTime } from "~/adapters/calendar-ics.server";
import { readCalendarApart } from "~/adapters/read-apart.server";
import { addDays, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { deleteAllBusy, deleteOfCalendarEvent, insertBusy, insertTrip } from "~/db/sky/hands.server";
import { todayOf } from "../garden/clock.server";
import type { CalendarOutcome, CalendarUse } from "~/views/sky/sky-answer";
import { sayDay } from "~/views/words";

/** Shows what a calendar file holds, with what each event most likely is. */
export async function proposeCalendar(row: GardenRow, text: string): Promise<CalendarOutcome> {
  const today = todayOf(row);
  const read = await readCalendarApart(text, row.timeZone, today);
  if (read.status === "refused") return read;
  if (read.events.length === 0 && read.cancelled.length === 0)
    return {
      status: "refused",
      sentence: `Nothing in the file takes time from today on.${read.leftOut.length ? ` ${read.leftOut[0]}` : ""}`,
    };
  return {
    status: "proposed",
    events: read.events.map((e) => ({
      uid: e.uid,
      name: e.name,
      when: sayWhen(e, today),
      use: likelyUse(e.times[0]!),
    })),
    leftOut: read.leftOut,
  };
}

/** Takes the events in as chosen; a file taken in before changes what it brought and doubles nothing. */
export async function takeCalendar(
  db: Db,
  row: GardenRow,
  text: string,
  chosen: (uid: string) => CalendarUse,
): Promise<CalendarOutcome> {
  const read = await readCalendarApart(text, row.timeZone, todayOf(row));
  if (read.status === "refused") return read;
  let [trips, busy] = [0, 0];
  db.transaction(() => {
    for (const uid of read.cancelled) deleteOfCalendarEvent(db, uid);
    for (const event of read.events) {
      const use = chosen(event.uid);
      deleteOfCalendarEvent(db, event.uid);
      for (const time of use === "no" ? [] : event.times) {
        const calendarKey = `${event.uid}|${time.from}`;
        const id = crypto.randomUUID();
        if (use === "trip") {
          insertTrip(db, { id, name: event.name.slice(0, 60), ...tripDays(time), calendarKey });
          trips++;
        } else {
          insertBusy(db, { id, name: event.name.slice(0, 60), fromAt: time.from, toAt: time.to, calendarKey });
          busy++;
        }
      }
    }
  });
  return { status: "taken", trips, busy, leftOut: read.leftOut };
}

/** Removes all that calendars brought. */
export function forgetCalendar(db: Db): void {
  deleteAllBusy(db);
}

const lastDay = ({ from, to }: CalendarTime): IsoDay =>
  to.slice(11) === "00:00" && to.slice(0, 10) > from.slice(0, 10) ? addDays(to.slice(0, 10), -1) : to.slice(0, 10);

/** A night away makes a trip; hours of a day make a busy time; a single whole day is often only a note. */
function likelyUse(time: CalendarTime): CalendarUse {
  if (lastDay(time) > time.from.slice(0, 10)) return "trip";
  return time.allDay ? "no" : "busy";
}

function tripDays(time: CalendarTime) {
  return {
    fromDay: time.from.slice(0, 10),
    toDay: lastDay(time),
    leaveAt: time.allDay ? null : time.from.slice(11),
    backAt: time.allDay || time.to.slice(11) === "00:00" ? null : time.to.slice(11),
  };
}

function sayWhen(event: CalendarEvent, today: IsoDay): string {
  const time = event.times[0]!;
  const [from, to] = [time.from.slice(0, 10), lastDay(time)];
  const hours = time.allDay
    ? ""
    : ` ${time.from.slice(11)} to ${from === to ? "" : `${sayDay(to, today)} `}${time.to.slice(11)}`;
  const days =
    time.allDay && to > from ? `${sayDay(from, today)} to ${sayDay(to, today)}` : `${sayDay(from, today)}${hours}`;
  return event.times.length > 1 ? `${days}, and ${event.times.length - 1} more times` : days;
}
