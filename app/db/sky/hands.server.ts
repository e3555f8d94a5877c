import { and, asc, eq, gte, like, lte, or } from "drizzle-orm";
import { SLOTS, type HandsRules, type Slot } from "~/core/hands";
import { FIRST_DAY, LAST_DAY, type IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { busyTime, dayMinutes, helper, slotMinutes, trip } from "../schema/index.server";

export type TripRow = typeof trip.$inferSelect;
export type HelperRow = typeof helper.$inferSelect;
export type BusyRow = typeof busyTime.$inferSelect;

/** Before the household says otherwise: half an hour in the evening. */
const USUAL = { morning: 0, midday: 0, evening: 30, anyTime: true };

/** When hands are free, as the household has told it. */
export function handsRules(db: Db): HandsRules {
  const told = db.select().from(slotMinutes).all();
  return {
    minutesByWeekday: Array.from({ length: 7 }, (_, weekday) => {
      const of = told.filter((m) => m.weekday === weekday);
      if (of.length === 0) return USUAL;
      const minutes = (slot: Slot) => of.find((m) => m.slot === slot)?.minutes ?? 0;
      return { morning: minutes("morning"), midday: minutes("midday"), evening: minutes("evening") };
    }),
    exceptions: db.select().from(dayMinutes).all(),
    busy: allBusy(db).map((b) => ({ name: b.name, from: b.fromAt, to: b.toAt })),
    trips: allTrips(db).map((t) => ({ name: t.name, from: t.fromDay, to: t.toDay, leaveAt: t.leaveAt, backAt: t.backAt })), // prettier-ignore
    helpers: allHelpers(db),
  };
}

export function saveSlotMinutes(db: Db, rows: readonly { weekday: number; slot: Slot; minutes: number }[]): void {
  db.transaction((tx) => {
    for (const row of rows)
      tx.insert(slotMinutes)
        .values(row)
        .onConflictDoUpdate({ target: [slotMinutes.weekday, slotMinutes.slot], set: { minutes: row.minutes } })
        .run();
  });
}

/** Sets a day's own minutes; those as on the weekday are left out. */
export function replaceDayMinutes(db: Db, day: IsoDay, minutes: Partial<Record<Slot, number>>): void {
  db.transaction((tx) => {
    tx.delete(dayMinutes).where(eq(dayMinutes.day, day)).run();
    for (const slot of SLOTS)
      if (minutes[slot] !== undefined) tx.insert(dayMinutes).values({ day, slot, minutes: minutes[slot] }).run();
  });
}

/** Takes back the own minutes of days from one to another. */
export function forgetDayMinutes(db: Db, from: IsoDay, to: IsoDay): void {
  db.delete(dayMinutes)
    .where(and(gte(dayMinutes.day, from), lte(dayMinutes.day, to)))
    .run();
}

/** Days with minutes of their own. */
export function daysWithOwnMinutes(db: Db): Set<IsoDay> {
  return new Set(db.select({ day: dayMinutes.day }).from(dayMinutes).all().map((d) => d.day)); // prettier-ignore
}

export function allTrips(db: Db): TripRow[] {
  return db.select().from(trip).where(and(gte(trip.fromDay, FIRST_DAY), lte(trip.toDay, LAST_DAY))).orderBy(asc(trip.fromDay)).all(); // prettier-ignore
}

export function insertTrip(db: Db, row: typeof trip.$inferInsert): void {
  db.insert(trip).values(row).onConflictDoNothing().run();
}

export function updateTrip(db: Db, id: string, row: Partial<TripRow>): boolean {
  return db.update(trip).set(row).where(eq(trip.id, id)).run().changes > 0;
}

export function deleteTrip(db: Db, id: string): boolean {
  return db.delete(trip).where(eq(trip.id, id)).run().changes > 0;
}

export function allBusy(db: Db): BusyRow[] {
  return db.select().from(busyTime).orderBy(asc(busyTime.fromAt)).all();
}

export function insertBusy(db: Db, row: typeof busyTime.$inferInsert): void {
  db.insert(busyTime).values(row).onConflictDoNothing().run();
}

export function deleteAllBusy(db: Db): void {
  db.delete(busyTime).run();
}

/** "_" and "%" in an identifier are letters, not wild cards; SQLite knows no other escape here than leaving them be. */
const escaped = (uid: string) => uid.replace(/[%_]/g, "_");

/** Takes away what an event of a calendar brought before. */
export function deleteOfCalendarEvent(db: Db, uid: string): void {
  const earlier = (key: typeof trip.calendarKey | typeof busyTime.calendarKey) =>
    or(eq(key, uid), like(key, `${escaped(uid)}|%`));
  db.delete(trip).where(earlier(trip.calendarKey)).run();
  db.delete(busyTime).where(earlier(busyTime.calendarKey)).run();
}

export function allHelpers(db: Db): HelperRow[] {
  return db.select().from(helper).all();
}

export function insertHelper(db: Db, row: HelperRow): void {
  db.insert(helper).values(row).run();
}

export function updateHelper(db: Db, id: string, row: Partial<HelperRow>): boolean {
  return db
    .update(helper)
    .set(row)
    .where(eq(helper.id, id))
    .run().changes > 0; // prettier-ignore
}

export function deleteHelper(db: Db, id: string): boolean {
  return db.delete(helper).where(eq(helper.id, id)).run().changes > 0;
}
