import ICAL from "ical.js";
import { addDays, instantOf, localMoment, type IsoDay, type LocalMoment } from "~/core/calendar";

/** One time that a calendar speaks of, on the garden's own clock. */
export interface CalendarTime {
  from: LocalMoment;
  /** End, itself not included. */
  to: LocalMoment;
  allDay: boolean;
}

/** An event with its times ahead: one, or as many as it recurs. */
export interface CalendarEvent {
  uid: string;
  name: string;
  times: CalendarTime[];
}

export type CalendarReading =
  | { status: "read"; events: CalendarEvent[]; leftOut: string[]; cancelled: string[] }
  | { status: "refused"; sentence: string };

/** For whoever has to end a rule that does not end by itself: the loop is inside the library. */
export interface Watch {
  /** Called with each event's place in the file, from 1. */
  onEvent?: (place: number) => void;
  endless?: ReadonlySet<number>;
}

const MOST_LETTERS = 8_000_000;
/** Times before or after these are slips of a file. */
const FIRST = "1950-01-01T00:00";
const LAST = "2199-12-31T00:00";
/** Longer than this nobody is away: our judgement. */
const LONGEST_DAYS = 366;
const AHEAD_DAYS = 366;
/** An endless daily event of thirty years comes to this many turns. */
const MOST_TURNS = 12_000;
const MOST_TIMES = 400;

/**
 * Reads an iCalendar file: what takes time from today on, a year ahead, recurring events turn by turn. Events marked
 * free or cancelled take none.
 *
 * @param timeZone - of the garden: times without a zone are taken as its own
 * @param watch - told of each event before it is expanded; those named endless are not
 * @returns events with their times, or a sentence; an event that cannot be read is left out and said
 */
export function readCalendar(text: string, timeZone: string, today: IsoDay, watch: Watch = {}): CalendarReading {
  const refused = (sentence: string): CalendarReading => ({ status: "refused", sentence });
  if (text.trim() === "") return refused("The file is empty.");
  if (text.length > MOST_LETTERS) return refused("The file is larger than 8 MB: export a shorter stretch of time.");
  if (!/^\uFEFF?\s*BEGIN:VCALENDAR/i.test(text))
    return refused("This is no iCalendar file: it should begin with BEGIN:VCALENDAR.");
  if (!/END:VCALENDAR\s*$/i.test(text)) return refused("The file breaks off before its end, so nothing was taken.");
  const leftOut: string[] = [];
  let calendars: InstanceType<typeof ICAL.Component>[];
  try {
    const parsed = ICAL.parse(text.replace(/^\uFEFF/, "")) as unknown[];
    calendars = (Array.isArray(parsed[0]) ? (parsed as unknown[][]) : [parsed]).map((jcal) => new ICAL.Component(jcal as [string, unknown[], unknown[]])); // prettier-ignore
  } catch (error) {
    return refused(`The file is damaged, so nothing was taken: ${(error as Error).message}.`);
  }
  let place = 0;
  const next = () => {
    place += 1;
    watch.onEvent?.(place);
    if (watch.endless?.has(place)) throw new Error("its rule never comes to a day");
  };
  const events = calendars.flatMap((c) => eventsOf(c, timeZone, today, leftOut, next));
  // They take no time any more: what they brought before goes.
  const off = calendars.flatMap((c) => c.getAllSubcomponents("vevent").filter((e) => takesNoTime(e) && !e.getFirstProperty("recurrence-id"))); // prettier-ignore
  const cancelled = [...new Set(off.map((e) => String(e.getFirstPropertyValue("uid") ?? "")).filter(Boolean))];
  return { status: "read", events, leftOut, cancelled };
}

type Component = InstanceType<typeof ICAL.Component>;
type Time = InstanceType<typeof ICAL.Time>;

function eventsOf(
  calendar: Component,
  timeZone: string,
  today: IsoDay,
  leftOut: string[],
  next: () => void,
): CalendarEvent[] {
  const zones = new Map(calendar.getAllSubcomponents("vtimezone").map((z) => [String(z.getFirstPropertyValue("tzid")), new ICAL.Timezone(z)])); // prettier-ignore
  const all = calendar.getAllSubcomponents("vevent");
  const changed = all.filter((e) => e.getFirstProperty("recurrence-id"));
  const floor = `${today}T00:00`;
  const ceiling = `${addDays(today, AHEAD_DAYS)}T00:00`;
  return all.flatMap((component): CalendarEvent[] => {
    if (component.getFirstProperty("recurrence-id")) return [];
    const name = String(component.getFirstPropertyValue("summary") ?? "").trim() || "Busy";
    try {
      next();
      if (takesNoTime(component)) return [];
      if (!component.getFirstProperty("dtstart")) throw new Error("it has no start");
      const local = clockOf(component, zones, timeZone, name, leftOut);
      const uid = String(component.getFirstPropertyValue("uid") ?? `${name} ${local(startOf(component))}`);
      const own = changed.filter((c) => c.getFirstPropertyValue("uid") === component.getFirstPropertyValue("uid"));
      const times = timesOf(component, own, local, zones, timeZone, floor, ceiling);
      return times.length > 0 ? [{ uid, name, times }] : [];
    } catch (error) {
      leftOut.push(`“${name.slice(0, 60)}” is left out: ${(error as Error).message}.`);
      return [];
    }
  });
}

function takesNoTime(component: Component): boolean {
  const value = (name: string) => String(component.getFirstPropertyValue(name) ?? "").toUpperCase();
  return value("transp") === "TRANSPARENT" || value("status") === "CANCELLED";
}

const startOf = (component: Component) => component.getFirstPropertyValue("dtstart") as Time;

/** A function that turns a time of this event into the garden's own clock. */
function clockOf(
  component: Component,
  zones: ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>>,
  timeZone: string,
  name: string,
  leftOut: string[],
): (time: Time) => LocalMoment {
  const tzid = component.getFirstProperty("dtstart")?.getFirstParameter("tzid") || undefined;
  const block = tzid ? zones.get(tzid) : undefined;
  const known = tzid && !block ? isZone(tzid) : true;
  if (!known)
    leftOut.push(`“${name.slice(0, 60)}”: the zone “${tzid}” is not known; its hours are taken as the garden’s.`);
  return (time) => {
    const plain = `${time.toString().slice(0, 10)}T${time.isDate ? "00:00" : time.toString().slice(11, 16)}`;
    if (time.isDate) return plain;
    if (time.zone === ICAL.Timezone.utcTimezone) return localMoment(time.toJSDate(), timeZone);
    if (block) {
      const zoned = time.clone();
      zoned.zone = block;
      return localMoment(new Date(zoned.toUnixTime() * 1000), timeZone);
    }
    return tzid && known ? localMoment(instantOf(plain, tzid), timeZone) : plain;
  };
}

function isZone(name: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat("en", { timeZone: name }));
  } catch {
    return false;
  }
}

function timesOf(
  component: Component,
  changed: readonly Component[],
  local: (time: Time) => LocalMoment,
  zones: ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>>,
  timeZone: string,
  floor: LocalMoment,
  ceiling: LocalMoment,
): CalendarTime[] {
  const event = new ICAL.Event(component, { exceptions: [...changed], strictExceptions: false });
  const timeOf = (start: Time, end: Time, clock: (t: Time) => LocalMoment): CalendarTime | undefined => {
    const from = clock(start);
    if (from < FIRST || from > LAST) throw new Error("its year cannot be right");
    const to = end.compare(start) > 0 ? clock(end) : start.isDate ? `${addDays(from.slice(0, 10), 1)}T00:00` : from;
    if (to > `${addDays(from.slice(0, 10), LONGEST_DAYS)}T00:00`) throw new Error("it lasts longer than a year");
    return to > floor && to > from ? { from, to, allDay: start.isDate } : undefined;
  };
  if (!event.isRecurring()) return [timeOf(event.startDate, event.endDate, local)].filter((t) => t !== undefined && t.from < ceiling) as CalendarTime[]; // prettier-ignore
  const times: CalendarTime[] = [];
  const turns = event.iterator();
  for (let n = 0; n < MOST_TURNS && times.length < MOST_TIMES; n++) {
    const turn = turns.next() as Time | null;
    if (!turn || local(turn) >= ceiling) break;
    const { startDate, endDate, item } = event.getOccurrenceDetails(turn);
    if (item !== event && takesNoTime(item.component)) continue;
    const clock = item === event ? local : clockOf(item.component, zones, timeZone, "", []);
    const time = timeOf(startDate, endDate, clock);
    if (time) times.push(time);
  }
  return times;
}
