import { addDays, clockTime, hoursOfDay, localMoment, sunTimes, type ClockTime, type IsoDay } from "../calendar";
import { heatIndex } from "./heat-index";
import type { HourTold } from "./hour-told";
import { relativeHumidity } from "./humidity";
import { leafWetness, type LeafHour } from "./leaf-wetness";
import { trackIndex, type SkyTrack } from "./sky-track";
import { temperatureAt, type CurveDay } from "./temperature-curve";

export interface Place {
  latitude: number;
  longitude: number;
  timeZone: string;
}

/** One hour of the garden's sky. */
export interface SkyHour {
  at: Date;
  clock: ClockTime;
  airC: number;
  dewPointC: number;
  humidity: number;
  heatIndexC: number;
  sunIsUp: boolean;
  rainMm: number;
  windKmh: number;
  thunderOdds: number;
  /** What leaves are wet with; null = dry. */
  leavesWet: "rain" | "dew" | null;
}

export interface DayHours {
  day: IsoDay;
  hours: SkyHour[];
  /** False when rain is told for the day but not for its hours: it may fall at any. */
  rainHoursKnown: boolean;
}

/** Wind of a usual hour against the strongest of the day: our judgement. */
const USUAL_WIND = 0.45;
/** A day with less rain than this wets nothing for long, mm. */
const WETS_MM = 0.3;

/** The hour that is nearest: services tell whole hours of the world’s clock, and some zones are half an hour off it. */
const hourOf = (ms: number) => Math.round(ms / 3_600_000);

/**
 * The hours of the coming days: temperature by the curve of the day, dew point, rain, and whether leaves are wet.
 * Days beyond the forecast have no hours: a usual day is no call.
 *
 * @param days - counted from today
 * @param told - hours of the service, if it tells any
 */
export function skyHours(track: SkyTrack, place: Place, days: number, told: readonly HourTold[]): DayHours[] {
  const today = trackIndex(track, track.today);
  const first = Math.max(0, today - 1);
  const hoursTold = new Map(told.map((h) => [hourOf(Date.parse(h.at)), h]));
  const found: DayHours[] = [];
  const leaf: (LeafHour & { day: number })[] = [];
  const made: SkyHour[] = [];
  const curves = new Map<number, CurveDay>();
  const curveOf = (i: number) => {
    const known = curves.get(i);
    if (known) return known;
    const curve = curveDay(track, place, i);
    curves.set(i, curve);
    return curve;
  };
  for (let i = first; i < today + days; i++) {
    // Yesterday only runs the balance in; a garden without a record begins with today.
    if (track.source[i] === "normal" && i < today) continue;
    if (track.source[i] === "normal") break;
    const day = addDays(track.from, i);
    const about = [i - 1, i, i + 1].filter((k) => k >= 0 && k < track.minC.length).map(curveOf);
    const instants = hoursOfDay(day, place.timeZone);
    const rainOf = instants.map((at) => hoursTold.get(hourOf(at.getTime()))?.rainMm ?? null);
    const allTold = rainOf.every((r) => r !== null);
    const spread = (track.rainMm[i] ?? 0) >= WETS_MM ? (track.rainMm[i] ?? 0) / instants.length : 0;
    const rainHoursKnown = allTold || (track.rainMm[i] !== null && spread === 0);
    const openSky = opennessOf(track, i);
    instants.forEach((at, n) => {
      const h = hoursTold.get(hourOf(at.getTime()));
      const airC = clampC(h?.airC ?? temperatureAt(about, at.getTime()) ?? track.minC[i]!);
      const dewPointC = Math.min(airC, clampC(h?.dewPointC ?? track.dewPointC[i] ?? track.minC[i]!));
      const humidity = relativeHumidity(airC, dewPointC);
      const sunIsUp = about.some((c) => at.getTime() >= c.riseMs && at.getTime() < c.setMs);
      const rainMm = allTold ? rainOf[n]! : spread;
      const windKmh = h?.windKmh ?? USUAL_WIND * (track.windKmh[i] ?? 15);
      leaf.push({ day: i, airC, dewPointC, rainMm, windKmh, sunIsUp, openSky });
      made.push({
        at,
        clock: clockTime(instants.length === 24 ? 60 * n : clockMinutes(at, place.timeZone)),
        airC,
        dewPointC,
        humidity,
        heatIndexC: heatIndex(airC, humidity),
        sunIsUp,
        rainMm,
        windKmh,
        thunderOdds: h?.thunderOdds ?? track.thunderOdds[i] ?? 0,
        leavesWet: null,
      });
    });
    if (i >= today) found.push({ day, hours: [], rainHoursKnown });
  }
  const wet = leafWetness(leaf);
  leaf.forEach((h, n) => {
    const hours = found[h.day - today];
    if (h.day >= today && hours) hours.hours.push({ ...made[n]!, leavesWet: wet[n]! });
  });
  return found;
}

const clampC = (c: number) => Math.min(50, Math.max(-40, c));

function clockMinutes(at: Date, timeZone: string): number {
  const moment = localMoment(at, timeZone);
  return Number(moment.slice(11, 13)) * 60 + Number(moment.slice(14, 16));
}

/**
 * How openly a night loses heat to the sky, 0 to 1: clear, calm and dry. Unknown rain or wind counts as neither.
 * Wind limits 15 and 30 km/h (the day's strongest), a damp night at 0.7: our judgement.
 */
export function opennessOf(track: SkyTrack, i: number): number {
  const [rain, wind, cloud, dew] = [track.rainMm[i], track.windKmh[i], track.cloudShare[i], track.dewPointC[i]];
  if (rain === null || rain === undefined || wind === null || wind === undefined || rain >= 0.5) return 0;
  const calm = Math.min(1, Math.max(0, (30 - wind) / 15));
  const damp = dew !== null && dew !== undefined && dew >= track.minC[i]! - 0.5 ? 0.7 : 1;
  return calm * (1 - (cloud ?? 0)) * damp;
}

function curveDay(track: SkyTrack, { latitude, longitude }: Place, i: number): CurveDay {
  const day = addDays(track.from, i);
  const sun = sunTimes(day, latitude, longitude);
  const noonMs = Date.parse(`${day}T12:00:00Z`) - (longitude / 360) * 86_400_000;
  const [riseMs, setMs] =
    sun.status === "ok" ? [sun.riseAt.getTime(), sun.setAt.getTime()] : [noonMs - 21_600_000, noonMs + 21_600_000];
  return { minC: track.minC[i]!, maxC: track.maxC[i]!, riseMs, setMs };
}

/** When leaves that are wet in the morning have dried: minutes since midnight, "all day", or null when they are dry. */
export function dryFrom({ hours }: DayHours): number | "all day" | null {
  const minutes = (h: SkyHour) => Number(h.clock.slice(0, 2)) * 60;
  const morning = hours.filter((h) => minutes(h) >= 360 && minutes(h) < 1260);
  if (!morning[0]?.leavesWet) return null;
  const dry = morning.find((h) => !h.leavesWet);
  return dry ? minutes(dry) : "all day";
}
