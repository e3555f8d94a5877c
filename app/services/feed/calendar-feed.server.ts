import { isEqual } from "es-toolkit";
import { writeCalendar, type PublishedEvent } from "~/adapters/calendar-feed.server";
import { DatedEvent, type IsoDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { forgetEventsBefore, publishEvents, publishedEvents, type FeedEventRow } from "~/db/sky/feed-events.server";
import { feedEvents } from "~/views/feed/feed-events";
import { todayOf } from "../garden/clock.server";
import { jobsAhead } from "../horizon/jobs.server";
import { adviceFor, besideThePlan, planAhead, plannedGarden } from "../garden/planned-garden.server";

/**
 * The plan as a calendar that others subscribe to. What changed since it was asked for last says so, and what is no longer
 * planned is called off until its day is over; today's round that was walked stands.
 */
export async function calendarFeed(db: Db, garden: GardenRow): Promise<string> {
  await planAhead(db, garden);
  const planned = plannedGarden(db, garden);
  const { acts } = await adviceFor(db, planned);
  const jobs = jobsAhead(planned);
  const events = besideThePlan(db, () => publish(db, feedEvents(planned, garden, acts, jobs), todayOf(garden), new Date().toISOString())); // prettier-ignore
  return writeCalendar(`${garden.name}: rounds`, events, garden.timeZone);
}

/**
 * Publishes events, all or none.
 *
 * @returns all that a calendar should know of, by day
 */
export function publish(db: Db, events: readonly DatedEvent[], today: IsoDay, now: string): PublishedEvent[] {
  return db.transaction(() => {
    forgetEventsBefore(db, today);
    const before = new Map(publishedEvents(db).map((row) => [row.uid, row]));
    const ahead = events.filter((event) => event.to.slice(0, 10) >= today);
    const changed = ahead.flatMap((event) => changedRow(event, before.get(event.uid), now) ?? []);
    const uids = new Set(ahead.map((event) => event.uid));
    const gone = [...before.values()].filter((row) => !uids.has(row.uid) && !row.isCancelled && row.day > today);
    publishEvents(db, [...changed, ...gone.map((row) => ({ ...row, isCancelled: true, sequence: row.sequence + 1, changedAt: now }))]); // prettier-ignore
    return publishedEvents(db)
      .map(({ content, day: _, ...row }) => ({ ...row, ...DatedEvent.parse(JSON.parse(content)) }))
      .sort((a, b) => a.from.localeCompare(b.from) || a.uid.localeCompare(b.uid));
  });
}

/** The event as it is to be published; null where it stands as it was. */
function changedRow(event: DatedEvent, before: FeedEventRow | undefined, now: string): FeedEventRow | null {
  const row = { uid: event.uid, content: JSON.stringify(event), day: event.to.slice(0, 10), changedAt: now, isCancelled: false }; // prettier-ignore
  if (!before) return { ...row, sequence: 0 };
  const same = !before.isCancelled && isEqual(DatedEvent.parse(JSON.parse(before.content)), event);
  return same ? null : { ...row, sequence: before.sequence + 1 };
}
