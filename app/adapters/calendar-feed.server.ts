import ICAL from "ical.js";
import { instantOf, type DatedEvent, type LocalMoment } from "~/core/calendar";

/** An event as it was published last. */
export interface PublishedEvent extends DatedEvent {
  /** How often it has changed since it was first published. */
  sequence: number;
  /** When it changed last, an instant in ISO. */
  changedAt: string;
  isCancelled: boolean;
}

/** Calendars ask again after so long. */
const REFRESH = "PT1H";

/**
 * Writes a calendar that others subscribe to (RFC 5545): times in UTC, ids that last, a number that rises with each change,
 * what is called off marked as such.
 *
 * @param timeZone - of the garden, whose clock the events are told in
 */
export function writeCalendar(name: string, events: readonly PublishedEvent[], timeZone: string): string {
  const calendar = new ICAL.Component(["vcalendar", [], []]);
  calendar.addPropertyWithValue("version", "2.0");
  calendar.addPropertyWithValue("prodid", "-//Akmedon//Garden plan//EN");
  calendar.addPropertyWithValue("method", "PUBLISH");
  calendar.addPropertyWithValue("x-wr-calname", name);
  calendar.addPropertyWithValue("refresh-interval", ICAL.Duration.fromString(REFRESH));
  const utc = (moment: LocalMoment) => ICAL.Time.fromJSDate(instantOf(moment, timeZone), true);
  for (const event of events) {
    const entry = new ICAL.Component("vevent");
    const stamp = ICAL.Time.fromJSDate(new Date(event.changedAt), true);
    entry.addPropertyWithValue("uid", `${event.uid}@akmedon`);
    entry.addPropertyWithValue("dtstamp", stamp);
    entry.addPropertyWithValue("last-modified", stamp);
    entry.addPropertyWithValue("sequence", event.sequence);
    entry.addPropertyWithValue("dtstart", utc(event.from));
    entry.addPropertyWithValue("dtend", utc(event.to));
    entry.addPropertyWithValue("summary", event.title);
    if (event.text) entry.addPropertyWithValue("description", event.text);
    entry.addPropertyWithValue("status", event.isCancelled ? "CANCELLED" : "CONFIRMED");
    if (!event.isCancelled && event.alarmMinutes > 0) entry.addSubcomponent(alarm(event));
    calendar.addSubcomponent(entry);
  }
  return `${calendar.toString()}\r\n`;
}

function alarm({ title, alarmMinutes }: PublishedEvent) {
  const entry = new ICAL.Component("valarm");
  entry.addPropertyWithValue("action", "DISPLAY");
  entry.addPropertyWithValue("description", title);
  entry.addPropertyWithValue("trigger", ICAL.Duration.fromSeconds(-60 * alarmMinutes));
  return entry;
}
