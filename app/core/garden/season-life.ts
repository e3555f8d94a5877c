import { addDays, daysBetween, type IsoDay } from "../calendar";
import { bedMinimum, coldLimitAt } from "../hazards";
import { bearingEnds, doubtRange, plantsOf, standSpread, yieldExpected, type Ending } from "../life";
import type { DayRange } from "../readiness";
import { opennessOf, trackIndex } from "../weather";
import type { GardenSky } from "./garden-sky";
import type { PlantingOutlook } from "./planting-outlook";

/** Something that the weather did to a planting. */
export interface WeatherMark {
  day: IsoDay;
  kind: "frost" | "heat";
  /** Low at the bed, or high of the day, °C. */
  celsius: number;
}

/** A season from its start to its end, as far as it is known today. */
export interface SeasonLife {
  startedOn: IsoDay;
  /** First pick that was made; null before it. */
  pickedFirstOn: IsoDay | null;
  /** When the first pieces are expected; null once one was picked. */
  opens: DayRange | null;
  /** When it is expected to end, and by what; null where its first pick is beyond all outlook. */
  ends: { p10: IsoDay; p50: IsoDay; p90: IsoDay; by: Ending | null } | null;
  /** Pieces of the whole season, nine gardens in ten, by what picks have told. */
  pieces: { low: number; high: number };
  takenPieces: number;
  weather: WeatherMark[];
}

/** Tells a planting's season from what its outlook knows. */
export function seasonLife(p: PlantingOutlook, sky: GardenSky): SeasonLife {
  const { planting, crop, judgement, rate, bears } = p;
  const picks = planting.picks.filter((x) => x.pickedOn >= planting.startedOn);
  const pickedFirstOn = picks.map((x) => x.pickedOn).sort()[0] ?? null; // prettier-ignore
  const opens = pickedFirstOn ? null : judgement.window.opens;
  const first = pickedFirstOn ?? opens?.p50 ?? null;
  const place = { normals: sky.normals, latitude: sky.latitude };
  const of = { startedOn: planting.startedOn, firstPick: first ?? "", windowDays: crop.windowDays.value };
  const expected = yieldExpected(crop, plantsOf(crop, planting), planting.growingYear);
  const spread = Math.hypot(rate?.logSpread ?? bears.logSpread, standSpread(planting));
  const taken = picks.reduce((sum, x) => sum + x.pieces, 0);
  const range = doubtRange(expected.pieces * (rate?.factor ?? bears.factor), spread);
  return {
    startedOn: planting.startedOn,
    pickedFirstOn,
    opens,
    ends: first ? notBefore(bearingEnds(crop, place, of), sky.today, p.ended) : null,
    pieces: { low: Math.max(taken, range.low), high: Math.max(taken, range.high) },
    takenPieces: taken,
    weather: weatherMarks(p, sky, first),
  };
}

/** What still bears today ends today at the earliest. */
function notBefore(ends: ReturnType<typeof bearingEnds>, today: IsoDay, ended: number): ReturnType<typeof bearingEnds> {
  const later = (day: IsoDay, share: number) => (day < today && ended < share ? today : day);
  return { ...ends, p10: later(ends.p10, 0.1), p50: later(ends.p50, 0.5), p90: later(ends.p90, 0.9) };
}

/** Nights and days of the season that mattered: cold at the bed that harms it at its age, and heat that ends it. */
function weatherMarks(
  { planting, crop, bed }: PlantingOutlook,
  { track, today }: GardenSky,
  first: IsoDay | null,
): WeatherMark[] {
  const from = planting.startedOn < track.from ? track.from : planting.startedOn;
  if (from > today) return [];
  const marks: WeatherMark[] = [];
  for (let i = trackIndex(track, from); i <= trackIndex(track, today); i++) {
    if (track.source[i] !== "observed") continue;
    const day = addDays(track.from, i);
    const limit = coldLimitAt(
      crop,
      first && day >= first ? "part" : crop.packet.from === "blossom" ? "flower" : "young",
    );
    const lowC = bedMinimum(bed.kind, track.minC[i]!, opennessOf(track, i));
    if (limit.damageC !== null && lowC <= limit.damageC) marks.push({ day, kind: "frost", celsius: lowC });
    if (crop.heat && track.maxC[i]! >= crop.heat.aboveC && first && daysBetween(day, first) < 30) marks.push({ day, kind: "heat", celsius: track.maxC[i]! }); // prettier-ignore
  }
  return marks;
}
