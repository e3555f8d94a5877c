import { addDays, dayOfYear, type IsoDay } from "../calendar";
import type { Crop, Kind } from "../crops";
import { workedOutStart, yearTurnOn } from "../seasons";
import { normalDegreeDays, type ClimateNormals } from "../weather";
import { bearingOf } from "./bearing";
import { heatNeed } from "./heat-need";
import { usualStarts } from "./kind";
import { YearWalk, type Ending, type YearPlace } from "./year-walk";
import { doubtRange, yearShare, yieldExpected } from "./yield";

export interface YearStart {
  event: "sown" | "planted" | "stands";
  on: IsoDay;
}

/** One life of a crop in the usual weather of a place. */
export interface CropLife {
  kind: Kind["id"] | null;
  start: YearStart;
  /** Set out after a nursery, where it was sown before. */
  plantedOut: IsoDay | null;
  /** Null: it is never ready there. */
  firstPick: IsoDay | null;
  end: IsoDay | null;
  endsBy: Ending | null;
  /** Kilograms a plant in the season, nine gardens in ten. */
  yieldKg: { low: number; high: number };
}

/** What is past ages at least so fast, in the cold too; what lies in the ground keeps there. Our judgement. */
const LEAST_AGEING = { inTheGround: 0.15, above: 0.3 } as const;
/**
 * A crop's life in the usual weather of a place: when its first pieces are ready, how long it bears or stands, what
 * ends it, and what a plant gives. Day by day through the normals, free of any garden.
 *
 * @param start - when it is sown or planted; a perennial that stands starts with its year
 */
export function cropLife(crop: Crop, place: YearPlace, start: YearStart, growingYear: number | null = null): CropLife {
  const { normals, latitude } = place;
  const { baseC, upperC } = crop.degreeDays;
  const startEvent = start.event === "stands" ? (crop.perennial?.opens ?? crop.packet.from) : start.event;
  const of = { startEvent, startedOn: start.on, startDoubtDays: 0, seasonCrop: "main" as const, packet: null };
  const need = heatNeed(crop, of, normals, latitude)!;
  const walk = new YearWalk(crop, place, start.on, need.countsFrom);
  const required = Math.sqrt(need.low * need.high) * leadOf(crop);
  const nursery = start.event === "sown" && crop.packet.from === "planted" ? (crop.nurseryDays?.value ?? 0) : 0;
  const told = {
    kind: need.kind?.id ?? null,
    start,
    plantedOut: nursery > 0 ? addDays(start.on, nursery) : null,
    yieldKg: { low: 0, high: 0 },
  };
  const hardiest = hardiestOf(crop);
  while (walk.heat < required) if (!walk.step(walk.isWinter ? hardiest : null)) return { ...told, firstPick: null, end: null, endsBy: walk.ended }; // prettier-ignore
  const firstPick = walk.day;
  walk.bear();
  const borne = follow(crop, walk, need.windowDays, heatPer(normals, firstPick, baseC, upperC));
  const kg = crop.pieceGrams.value / 1000;
  const pieces = borne.pieces * yearShare(crop, growingYear);
  const range = doubtRange(pieces * kg, yieldExpected(crop, 1, growingYear).logSpread);
  return { ...told, firstPick, end: walk.day, endsBy: borne.by, yieldKg: range };
}

/** How long a crop that ripens as a whole may stand, against its middle, at 10, 50 and 90 %: our judgement. */
const SPAN_AT: Record<string, number> = { "0.1": 0.75, "0.5": 1, "0.9": 1.35 };

/** The first piece of a bed is ready before its middle one: by the stages' spread. */
function leadOf(crop: Crop): number {
  const span = crop.life.taking.way === "in stages" ? crop.life.taking.days : undefined;
  if (!span) return 1;
  return 1 - Math.sqrt(span.low * span.high) / (2 * Math.sqrt(crop.packet.low * crop.packet.high));
}

const heatPer = (normals: ClimateNormals, from: IsoDay, baseC: number, upperC: number) =>
  Math.max(0.3, normalDegreeDays(normals, dayOfYear(addDays(from, 5)), baseC, upperC));

/** From the first pick to the end: the pieces a plant gives, and what ends it. */
function follow(
  crop: Crop,
  walk: YearWalk,
  windowDays: number,
  perDay: number,
  share = 0.5,
): { pieces: number; by: Ending | null } {
  const bearing = bearingOf(crop);
  const whole = crop.piecesPerPlant.value;
  const plantLimit = crop.life.cold.plant ?? partLimit(crop);
  if (crop.mode === "repeat" && bearing) {
    let age = 0;
    let pieces = 0;
    const most = walk.cutDays;
    for (let n = 0; bearing.endedBy(age) < share; n++) {
      if (most !== null && n >= most) return { pieces, by: "age" };
      pieces += whole * walk.pace * bearing.rateAt(age);
      age += bearing.agesBy(walk.pace);
      if (!walk.step(plantLimit)) return { pieces, by: walk.ended };
    }
    return { pieces, by: crop.life.bearing?.ends === "bolted" ? "bolted" : "spent" };
  }
  // A crop that ripens as a whole: over its span, then as long as it stays good.
  const span = bearing ? bearing.days : 0;
  // What is past its best goes bit by bit: half of it is still to be had at the middle.
  let left = (span + windowDays + Math.sqrt(crop.life.past.low * crop.life.past.high) / 2) * SPAN_AT[String(share)]!;
  const limit = crop.mode === "passes" ? (crop.life.cold.plant ?? partLimit(crop)) : partLimit(crop);
  const least = ["root", "bulb", "tuber"].includes(crop.group) ? LEAST_AGEING.inTheGround : LEAST_AGEING.above;
  const hot = walk.pace > 0 ? perDay : 1;
  while (left > 0) {
    left -= Math.min(1.3, Math.max(least, walk.dayHeat / hot));
    if (!walk.step(limit)) return { pieces: whole, by: walk.ended };
  }
  return { pieces: whole, by: "past" };
}

/** How far the end that the season brings lies either way in eight years of ten, days: our judgement. */
const WEATHER_DAYS = 12;

/** When what bears or stands has come to its end, from its first pick on. */
export function bearingEnds(
  crop: Crop,
  place: YearPlace,
  { startedOn, firstPick, windowDays }: { startedOn: IsoDay; firstPick: IsoDay; windowDays: number },
): { p10: IsoDay; p50: IsoDay; p90: IsoDay; by: Ending | null } {
  const { baseC, upperC } = crop.degreeDays;
  const perDay = heatPer(place.normals, firstPick, baseC, upperC);
  const at = (share: number) => {
    const walk = new YearWalk(crop, place, startedOn, startedOn);
    while (walk.day < firstPick) walk.step(null);
    walk.bear();
    const { by } = follow(crop, walk, windowDays, perDay, share);
    return { day: walk.day, by };
  };
  const [early, middle, late] = [at(0.1), at(0.5), at(0.9)];
  // A first frost, or the last growing days, come a week or two sooner or later.
  const weather = middle.by === "cold" || middle.by === "dark" ? WEATHER_DAYS : 0;
  const sooner = addDays(middle.day, -weather);
  const later = addDays(middle.day, weather);
  return {
    p10: early.day < sooner ? early.day : sooner,
    p50: middle.day,
    p90: late.day > later ? late.day : later,
    by: middle.by,
  };
}

/** What kills the hardiest part of it. */
function hardiestOf({ cold, life }: Crop): { killC: number } | null {
  const limits = [cold.killC, life.cold.young?.killC, life.cold.plant?.killC].filter((c) => typeof c === "number");
  return limits.length > 0 ? { killC: Math.min(...limits) } : null;
}

const partLimit = ({ cold }: Crop) => (cold.killC === null ? null : { killC: cold.killC });

/** Where a perennial's year starts in a place, on or after the turn of the year before a day. */
export function standingStart(crop: Crop, { normals, latitude }: YearPlace, day: IsoDay): IsoDay {
  return workedOutStart(crop, yearTurnOn(day, latitude), normals, new Map());
}

/** The growing year in which a plant is in full crop. */
export function grownYear({ perennial, life }: Crop): number {
  const shares = life.yieldByYear?.shares ?? [1];
  return Math.max(perennial?.firstCropYear ?? 1, shares.indexOf(Math.max(...shares)) + 1);
}

/**
 * The year of a crop in a place: early, usual and late starts of each kind, and the life that follows each; of what
 * stands for years the one life of its year.
 *
 * @param from - the starts on or after this day
 * @returns none where it is not grown in the open
 */
export function cropCalendar(crop: Crop, place: YearPlace, from: IsoDay): CropLife[] {
  if (crop.perennial) {
    const grown = grownYear(crop);
    return [cropLife(crop, place, { event: "stands", on: standingStart(crop, place, from) }, grown)];
  }
  return crop.life.kinds.flatMap((kind) =>
    usualStarts(kind, place.normals, from).map((on) => cropLife(crop, place, { event: kind.start.event, on })),
  );
}
