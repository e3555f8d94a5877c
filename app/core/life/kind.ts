import { addDays, dayOfYear, type IsoDay } from "../calendar";
import type { Crop, Kind, StartEvent, StartSeason } from "../crops";
import type { ClimateNormals } from "../weather";

const YEAR = 366;
const wrapped = (doy: number) => ((((doy - 1) % YEAR) + YEAR) % YEAR) + 1;

/** The usual mean of a day, smoothed over a fortnight so that one passing is one passing. */
function meanOn({ minC, maxC }: ClimateNormals, doy: number): number {
  let sum = 0;
  for (let k = -7; k <= 7; k++) sum += (minC[wrapped(doy + k)]! + maxC[wrapped(doy + k)]!) / 2;
  return sum / 15;
}

/** Days of the year with the lowest and the highest usual mean. */
function extremes(normals: ClimateNormals): { coldest: number; warmest: number } {
  let coldest = 1;
  let warmest = 1;
  for (let doy = 1; doy <= YEAR; doy++) {
    if (meanOn(normals, doy) < meanOn(normals, coldest)) coldest = doy;
    if (meanOn(normals, doy) > meanOn(normals, warmest)) warmest = doy;
  }
  return { coldest, warmest };
}

const known = new WeakMap<ClimateNormals, Map<string, number | null>>();

/**
 * The day of the year on which a crop is first started in a climate: the usual mean passes its warmth on the way up
 * (spring) or down (autumn). Where every day is warmer, spring starts on the coldest day, and an autumn start waits
 * for it less its days; where the autumn's warmth is never reached, it starts once the warmest day is past.
 *
 * @returns day of the year; null where it never gets warm enough
 */
export function startOpens(start: StartSeason, normals: ClimateNormals): number | null {
  const of = known.get(normals) ?? new Map<string, number | null>();
  known.set(normals, of);
  const key = `${start.turn} ${start.meanC} ${start.forDays}`;
  const before = of.get(key);
  if (before !== undefined) return before;
  const opens = passing(start, normals);
  of.set(key, opens);
  return opens;
}

function passing({ meanC, turn, forDays }: StartSeason, normals: ClimateNormals): number | null {
  const { coldest, warmest } = extremes(normals);
  const from = turn === "spring" ? coldest : warmest;
  const until = turn === "spring" ? warmest : coldest;
  const span = wrapped(until - from + 1);
  for (let i = 0; i < span; i++) {
    const mean = meanOn(normals, wrapped(from + i));
    if (turn === "spring" ? mean >= meanC : mean <= meanC) return wrapped(from + i);
  }
  return turn === "spring" ? null : wrapped(coldest - forDays);
}

/** Days from the nearest good start of a kind; 0 within its season. */
function daysOff({ start }: Kind, startedOn: IsoDay, normals: ClimateNormals): number {
  const opens = startOpens(start, normals);
  if (opens === null) return YEAR;
  const after = wrapped(dayOfYear(startedOn) - opens + 1) - 1;
  return after <= start.forDays ? 0 : Math.min(after - start.forDays, YEAR - after);
}

/** A start this far outside a kind's season is none of it, days: our judgement. */
const FAR = 45;

/**
 * Which kind of a crop a planting is, by when and how it was started.
 *
 * @returns undefined for a crop that stands for years, and for one started at a time that no kind knows: the usual
 */
export function kindOf(
  crop: Crop,
  { startEvent, startedOn }: { startEvent: StartEvent; startedOn: IsoDay },
  normals: ClimateNormals,
): Kind | undefined {
  const { kinds } = crop.life;
  if (startEvent !== "sown" && startEvent !== "planted") return undefined;
  if (kinds.length < 2) return kinds[0];
  const likely = kinds.map((kind, order) => ({
    kind,
    // The way it was started tells less than the time: a lettuce may be sown or planted in either season.
    off: daysOff(kind, startedOn, normals) + (kind.start.event === startEvent ? 0 : 10) + order,
  }));
  const best = likely.reduce((a, b) => (b.off < a.off ? b : a));
  return best.off > FAR ? kinds[0] : best.kind;
}

/** Early, usual and late starts of a kind in a year, on or after a day; empty where it is not grown. */
export function usualStarts(kind: Kind, normals: ClimateNormals, from: IsoDay): [IsoDay, IsoDay, IsoDay] | [] {
  const opens = startOpens(kind.start, normals);
  if (opens === null) return [];
  const first = addDays(from, wrapped(opens - dayOfYear(from) + 1) - 1);
  return [first, addDays(first, Math.round(kind.start.forDays / 2)), addDays(first, kind.start.forDays)];
}
