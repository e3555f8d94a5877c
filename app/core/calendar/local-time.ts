import { TZDate } from "@date-fns/tz";
import { z } from "zod";
import { isoDay, type IsoDay } from "./day";

const HOUR_MS = 3_600_000;

/** A time of the garden's own clock, "06:30". */
export const ClockTime = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, "Write the time like 14:30.");
export type ClockTime = z.infer<typeof ClockTime>;

/** A moment on the garden's own clock, "2026-09-26T14:30". */
export const LocalMoment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, "Write it like 2026-05-03T14:30.");
export type LocalMoment = z.infer<typeof LocalMoment>;

/** Minutes since midnight of a clock time. */
export function minutesOf(time: ClockTime): number {
  return Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
}

/** Clock time of minutes since midnight; past 24 hours it stays at 23:59. */
export function clockTime(minutes: number): ClockTime {
  const whole = Math.min(1439, Math.max(0, Math.round(minutes)));
  return `${String(Math.floor(whole / 60)).padStart(2, "0")}:${String(whole % 60).padStart(2, "0")}`;
}

/**
 * An instant on the clock of a place.
 *
 * @param timeZone - IANA name
 * @throws {RangeError} when the zone is unknown
 */
export function localMoment(at: Date, timeZone: string): LocalMoment {
  const local = new TZDate(at.getTime(), timeZone);
  if (Number.isNaN(local.getFullYear())) throw new RangeError(`timeZone: ${timeZone} is not known`);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}T${two(local.getHours())}:${two(local.getMinutes())}`;
}

/**
 * The instant of a moment on the clock of a place. A time that the clocks skip in spring is taken an hour on; of
 * one that comes twice in autumn, the first.
 *
 * @throws {RangeError} when the zone is unknown
 */
export function instantOf(moment: LocalMoment, timeZone: string): Date {
  const [y, m, d, h, min] = moment.split(/[-T:]/).map(Number);
  const at = new TZDate(y!, m! - 1, d!, h!, min!, timeZone).getTime();
  if (Number.isNaN(at)) throw new RangeError(`timeZone: ${timeZone} is not known`);
  const before = new Date(at - HOUR_MS);
  return localMoment(before, timeZone) === moment ? before : new Date(at);
}

/** The whole hours of a day at a place: 24 instants, 23 or 25 on the days the clocks change. */
export function hoursOfDay(day: IsoDay, timeZone: string): Date[] {
  const start = instantOf(`${day}T00:00`, timeZone).getTime();
  const end = instantOf(`${nextDay(day)}T00:00`, timeZone).getTime();
  return Array.from({ length: Math.round((end - start) / HOUR_MS) }, (_, n) => new Date(start + n * HOUR_MS));
}

const nextDay = (day: IsoDay) => isoDay(Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000) + 1);
