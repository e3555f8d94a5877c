import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, type IsoDay } from "~/core/calendar";
import { GardenState, lookAhead } from "~/core/garden";
import { bearTruly, readableCues, readyPieces, type TrueCrop } from "~/core/practice";
import { tellingCues } from "~/core/readiness";
import { normalDraw, seeded } from "~/core/statistics";
import type { ClimateNormals, DailyWeather } from "~/core/weather";
import { firstPickOf, lookAround, knownTo, truthCase, type TruthCase } from "./truth-garden";

/** Crops that are picked again and again, with the days of the year on which a garden starts them. */
const BEARING_CROPS: [string, number, number][] = [
  ["courgette", 140, 170],
  ["bean_bush", 135, 185],
  ["bean_pole", 135, 165],
  ["bean_runner", 135, 165],
  ["pea_shelling", 80, 120],
  ["pea_mangetout", 80, 120],
  ["tomato_large", 145, 165],
  ["tomato_cherry", 145, 165],
  ["cucumber_slicing", 145, 170],
  ["strawberry", 120, 140],
  ["raspberry_summer", 140, 160],
  ["chard", 95, 150],
  ["zinnia", 130, 160],
  ["spinach", 85, 130],
];
const PLANTS = 8;
const PICKS = 3;

export interface AmountsTold {
  /** Expected ÷ true at first picks, and at the fourth. */
  first: number[];
  later: number[];
  byCrop: Map<string, { first: number[]; later: number[] }>;
}

/**
 * What the app expects of a pick against what hangs there: somebody stands before it, has read the telling cue, and
 * picks all that is ready; then again after three picks as often as the crop is picked.
 */
export function amountsTold(base: number, each: number, normals: readonly ClimateNormals[]): AmountsTold {
  const told: AmountsTold = { first: [], later: [], byCrop: new Map() };
  for (const [n, kind] of BEARING_CROPS.entries()) {
    const own = { first: [] as number[], later: [] as number[] };
    told.byCrop.set(kind[0], own);
    for (let k = 0; k < Math.round(each / 4); k++) {
      const seed = base * 3 + n * 1000 + k;
      const c = truthCase(seed, kind, normals[k % normals.length]!);
      const crop = bearTruly(c.truth, PLANTS, c.weather, normalDraw(seeded(seed + 99)), seed * 7 + 3);
      season(c, crop, seed, own);
    }
    told.first.push(...own.first);
    told.later.push(...own.later);
  }
  return told;
}

function season(c: TruthCase, crop: TrueCrop, seed: number, own: { first: number[]; later: number[] }): void {
  const opened = firstPickOf(c.truth, seed);
  if (!opened) return;
  const every = Math.max(1, Math.round(((c.crop.again?.low ?? 3) + (c.crop.again?.high ?? 4)) / 2));
  const picks: { pickedOn: IsoDay; pieces: number; tookAll: boolean }[] = [];
  let day = opened;
  for (let n = 0; n <= PICKS; n++) {
    const before = picks.at(-1)?.pickedOn ?? null;
    const there = readyPieces(crop, before, day);
    // Not worth the walk: one waits a day.
    if (there < 2 || there * c.crop.pieceGrams.value < 40) {
      day = addDays(day, 1);
      if (n-- === 0 && day > addDays(opened, 21)) return;
      if (day > addDays(opened, 60)) return;
      continue;
    }
    if (n === 0) own.first.push(expectedOf(c, picks, day) / there);
    if (n === PICKS) own.later.push(expectedOf(c, picks, day) / there);
    picks.push({ pickedOn: day, pieces: Math.round(there), tookAll: true });
    day = addDays(day, every);
  }
}

/** What the app expects of a pick that day, the telling cue read. */
function expectedOf(
  c: TruthCase,
  picks: { pickedOn: IsoDay; pieces: number; tookAll: boolean }[],
  today: IsoDay,
): number {
  const dev = knownTo(c, today);
  const cues = new Set(readableCues(c.crop).map((q) => q.id));
  const asked: Parameters<typeof lookAround>[4] = (a) => tellingCues(c.crop, dev, a.belief.posterior, a.looks, today).find((t) => cues.has(t.cue.id))?.cue.id; // prettier-ignore
  const looks = picks.length === 0 ? lookAround(c, dev, today, 1, asked).taken : [];
  const outlook = lookAhead(stateOf(c, picks, looks, today), catalogue());
  return outlook.plantings[0]!.pieces[0]!;
}

export function stateOf(c: TruthCase, picks: unknown[], looks: unknown[], today: IsoDay): GardenState {
  const known = (d: DailyWeather) => d.day < today;
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: c.kind, position: 0 }],
    plantings: [
      {
        id: "one",
        bedId: "bed",
        cropId: c.crop.id,
        variety: "",
        plants: PLANTS,
        startEvent: c.crop.packet.from,
        startedOn: c.truth.startedOn,
        growingYear: c.crop.perennial ? 4 : null,
        packet: null,
        looks,
        picks,
        schoolOption: null,
      },
    ],
    observed: c.weather.filter(known),
    forecast: c.weather.filter((d) => !known(d)).slice(0, 8),
    minutesByWeekday: Array.from({ length: 7 }, () => 600),
    exceptions: [],
    busy: [],
    trips: [],
    helpers: [],
  });
}
