import { desc, eq, min, max, count } from "drizzle-orm";
import { shortDay, sunTimes } from "~/core/calendar";
import { FREEZE_CLASSES, nightOddsBelow, inTenths } from "~/core/hazards";
import { gardenSentences } from "~/core/garden";
import { trackIndex } from "~/core/weather";
import type { Db } from "~/db/client.server";
import { trip, weatherDay, weekdayMinutes, type GardenRow } from "~/db/schema.server";
import { plannedGarden } from "./outlook.server";

export type SkyView = ReturnType<typeof skyView>;

/** Forecast, frost by bed and night, trips and minutes. */
export function skyView(db: Db, row: GardenRow) {
  const planned = plannedGarden(db, row);
  const { outlook, today } = planned;
  const { track } = outlook;
  const offset = trackIndex(track, today);
  const clock = (at: Date) =>
    at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: row.timeZone });
  const beds = [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()].sort(
    (a, b) => a.position - b.position,
  );
  const frostOf = beds.map((bed) => ({
    name: bed.name,
    nights: nightOddsBelow(track, bed.kind, FREEZE_CLASSES.light, outlook.days.length),
  }));
  const observed = db
    .select({ days: count(), from: min(weatherDay.day), to: max(weatherDay.day) })
    .from(weatherDay)
    .where(eq(weatherDay.kind, "observed"))
    .get();
  const newest = db
    .select()
    .from(weatherDay)
    .where(eq(weatherDay.kind, "forecast"))
    .orderBy(desc(weatherDay.importedAt))
    .get();
  const minutes = new Map(db.select().from(weekdayMinutes).all().map((m) => [m.weekday, m.minutes])); // prettier-ignore
  return {
    today,
    units: row.unitSystem,
    days: outlook.days.map((day, n) => {
      const sun = sunTimes(day, row.latitude, row.longitude);
      const worst = frostOf
        .map((b) => ({ name: b.name, odds: b.nights[n]?.odds ?? 0 }))
        .sort((a, b) => b.odds - a.odds)[0];
      return {
        day,
        label: shortDay(day),
        source: track.source[offset + n]!,
        minC: track.minC[offset + n]!,
        maxC: track.maxC[offset + n]!,
        rainMm: track.rainMm[offset + n] ?? null,
        windKmh: track.windKmh[offset + n] ?? null,
        sun: sun.status === "ok" ? `${clock(sun.riseAt)}–${clock(sun.setAt)}` : "",
        frost: worst && worst.odds >= 0.05 ? `${inTenths(worst.odds)}, ${worst.name}` : "",
        storm: Math.max(outlook.storms[n]!.gustOdds, outlook.storms[n]!.soakOdds),
        away: outlook.away[n]!,
        minutesFree: outlook.minutesFree[n]!,
      };
    }),
    frostNights: outlook.days
      .map((day, n) => ({
        evening: day,
        label: shortDay(day),
        beds: frostOf.map((b) => ({ name: b.name, odds: b.nights[n]!.odds, bedMinC: b.nights[n]!.bedMinC })),
      }))
      .filter((night) => night.beds.some((b) => b.odds >= 0.1)),
    threatened: gardenSentences(outlook, planned.plan.picks, [], row.unitSystem).threatened,
    trips: db.select().from(trip).all().sort((a, b) => a.fromDay.localeCompare(b.fromDay)).map((t) => ({ ...t, from: shortDay(t.fromDay), to: shortDay(t.toDay) })), // prettier-ignore
    minutes: Array.from({ length: 7 }, (_, d) => minutes.get(d) ?? 30),
    record: {
      days: observed?.days ?? 0,
      from: observed?.from ?? null,
      to: observed?.to ?? null,
      normalYears: outlook.normalYears,
      forecastSource: newest?.source ?? null,
    },
  };
}
