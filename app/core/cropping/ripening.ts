import { dayNumber, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { bearingOf, growthPace, type Bearing } from "../life";
import { trackIndex, type SkyTrack } from "../weather";

/** Pieces that come ready day by day, from some days before today on. */
export interface Ripening {
  /** Index in the track of day 0. */
  first: number;
  /** Pieces that come ready on each day. */
  born: Float64Array;
  /** Growing days by the start of each day, for how pieces age. */
  aged: Float64Array;
  /** Share of the bearing that has ended by each day: what it once bore it bears no more. */
  ended: Float64Array;
}

export interface RipeningTerms {
  /** Of what keeps giving: pieces a warm day in full bearing; of others: pieces in all. */
  pieces: number;
  /** First pick of the season, where one was made. */
  firstPickOn: IsoDay | null;
  /** The last day on which it was seen to bear: a pick or a count. What keeps giving had not ended by then. */
  seenOn?: IsoDay | null;
  /** P(the first piece was ready by a day of the track), where none was picked yet. */
  begun: (trackDay: number) => number;
  /** P(the plants have come to the end of their lives by a day of the track): bolted after winter, killed. */
  dead?: (trackDay: number) => number;
  /** Warmth of the bed by day, °C. */
  extraC: number;
  horizon: number;
}

/** Starts of bearing are looked for so far back, in steps of so many days. */
const BACK_DAYS = 126;
const STEP = 3;
/** The first pick comes when there is something to pick: so many growing days after the first piece. Our judgement. */
export const FIRST_PICK_AGE = 2;
/** Pieces that came ready longer ago than this are not reckoned with. */
export const BACKLOG_DAYS = 45;

/**
 * What comes ready on each day: of what keeps giving by the day's growth and how far the bearing has come, of what
 * ripens as a whole by its bell. Where no pick tells when it began, over all days on which it may have.
 *
 * @throws {RangeError} for a crop that has no bearing: a caller's mistake
 */
export function ripening(crop: Crop, track: SkyTrack, terms: RipeningTerms): Ripening {
  const bearing = bearingOf(crop);
  if (!bearing) throw new RangeError(`crop: ${crop.id} is taken at once`);
  const today = trackIndex(track, track.today);
  const from = Math.max(0, today - BACK_DAYS);
  const length = today + terms.horizon - from;
  const pace = Float64Array.from({ length }, (_, d) =>
    growthPace(crop, track.minC[from + d]!, track.maxC[from + d]! + terms.extraC),
  );
  const age = new Float64Array(length + 1);
  for (let d = 0; d < length; d++) age[d + 1] = age[d]! + bearing.agesBy(pace[d]!);
  const starts = startsOf(track, from, length, today, terms);
  const first = Math.max(from, today - BACKLOG_DAYS);
  const days = today + terms.horizon - first;
  const seenAt = terms.seenOn && terms.firstPickOn && crop.mode === "repeat" ? dayNumber(terms.seenOn) - dayNumber(track.from) - from : null; // prettier-ignore
  const seen = seenAt === null ? null : age[Math.min(Math.max(0, seenAt), length)]!;
  const out: Ripening = {
    first,
    born: new Float64Array(days),
    aged: new Float64Array(days + 1),
    ended: new Float64Array(days),
  };
  for (let k = 0; k < days; k++) {
    const d = first - from + k;
    out.aged[k + 1] = out.aged[k]! + Math.max(0.15, pace[d]!);
    const { rate, ended } = seen === null ? over(bearing, starts, age[d]!) : since(bearing, starts[0]![0], age[d]!, seen); // prettier-ignore
    const alive = 1 - (terms.dead?.(first + k) ?? 0);
    out.born[k] = terms.pieces * rate * alive * (crop.mode === "repeat" ? pace[d]! : age[d + 1]! - age[d]!);
    out.ended[k] = 1 - (1 - ended) * alive;
  }
  return out;

  /** Where each start of bearing lies in growing days, with its odds. */
  function startsOf(sky: SkyTrack, back: number, count: number, now: number, t: RipeningTerms): [number, number][] {
    if (t.firstPickOn) {
      const at = dayNumber(t.firstPickOn) - dayNumber(sky.from) - back;
      return [[(at < 0 ? at : age[Math.min(at, count)]!) - FIRST_PICK_AGE, 1]];
    }
    const starts: [number, number][] = [];
    let before = 0;
    for (let d = 0; d < count; d += back + d < now - BACKLOG_DAYS ? STEP : 1) {
      const begun = t.begun(back + d);
      if (begun > before) starts.push([age[d]!, begun - before]);
      before = Math.max(before, begun);
    }
    return starts;
  }
}

/** Odds of an end are not carried further than this: past it only eyes tell. */
const LEAST_ALIVE = 0.02;

/** Rate and ended share of plants that were seen to bear at an age: before it they had not ended. */
function since(bearing: Bearing, start: number, at: number, seen: number): { rate: number; ended: number } {
  const alive = (age: number) => Math.max(LEAST_ALIVE, 1 - bearing.endedBy(age - start));
  const kept = at <= seen ? 1 : alive(at) / alive(seen);
  return { rate: bearing.vigourAt(at - start) * kept, ended: 1 - kept };
}

/** Rate and ended share over all starts. */
function over(bearing: Bearing, starts: readonly [number, number][], at: number): { rate: number; ended: number } {
  let rate = 0;
  let ended = 0;
  for (const [start, odds] of starts) {
    rate += odds * bearing.rateAt(at - start);
    ended += odds * bearing.endedBy(at - start);
  }
  return { rate, ended };
}
