import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, dayOfYear, daysBetween, type IsoDay } from "~/core/calendar";
import { GardenState, lookAhead, planDays, plannedPicks, type KeptOutlooks, type PlantingOutlook } from "~/core/garden";
import { cropCalendar, type CropLife } from "~/core/life";
import { normalDraw, seeded } from "~/core/statistics";
import { monthlyNormals, type ClimateNormals, type DailyWeather } from "~/core/weather";
import { CLIMATES } from "../tests/reference/handbook-year";

/** Crops of twelve made-up gardens: what is lifted unripe when a model is wrong, and what keeps giving. */
const GARDENS: string[][] = [
  [
    "garlic_hardneck",
    "onion_bulb",
    "potato_maincrop",
    "pea_shelling",
    "carrot",
    "courgette",
    "kale_leaf",
    "strawberry",
  ],
  ["peach", "sweetcorn", "potato_early", "tomato_cherry", "bean_bush", "lettuce_heading", "leek", "rhubarb"],
  [
    "garlic_softneck",
    "beetroot",
    "cabbage",
    "raspberry_summer",
    "bean_runner",
    "radish_root",
    "parsnip",
    "winter_squash",
  ],
];
const CODES = ["C", "K", "H", "S"] as const;
const YEAR = 2025;
const FORECAST_DAYS = 8;

/** Weather of a year round its normals: spells of some days, and single days. */
function weatherOf(normals: ClimateNormals, from: IsoDay, days: number, seed: number): DailyWeather[] {
  const uniform = seeded(seed);
  let spell = 0;
  return Array.from({ length: days }, (_, i) => {
    const day = addDays(from, i);
    const doy = dayOfYear(day);
    spell = 0.75 * spell + 1.9 * normalDraw(uniform);
    const own = normalDraw(uniform);
    const minC = normals.minC[doy]! + spell + own;
    return {
      day,
      minC,
      maxC: Math.max(minC + 1, normals.maxC[doy]! + spell + normalDraw(uniform)),
      rainMm: uniform() < 0.3 ? 6 * uniform() : 0,
      windKmh: 12 + 10 * uniform(),
    };
  });
}

interface Growing {
  id: string;
  cropId: string;
  life: CropLife;
  picks: { pickedOn: IsoDay; pieces: number; tookAll: boolean }[];
  over: boolean;
}

export interface YearWalked {
  gardens: number;
  days: number;
  conflicts: string[];
  lifts: number;
}

/**
 * Twelve gardens walked through a year day by day, nobody looking at anything: what is planned for today is picked.
 * A conflict is a planned pick that the verdict of the same day leaves: before the day it says to look again, or of
 * what it stops, keeps for seed or holds to be over. A lift is unripe when it comes a month before the crop's own
 * calendar has it ready.
 *
 * @param gardens - how many of the twelve
 */
export function yearConflicts(gardens = 12): YearWalked {
  const walked: YearWalked = { gardens: 0, days: 0, conflicts: [], lifts: 0 };
  for (let g = 0; g < gardens; g++) walkGarden(CODES[g % 4]!, GARDENS[Math.floor(g / 4)]!, 700 + g, walked);
  return walked;
}

function walkGarden(code: (typeof CODES)[number], cropIds: string[], seed: number, walked: YearWalked): void {
  const climate = CLIMATES[code];
  const normals = monthlyNormals(climate.months, climate.lowSpreadC);
  const before = addDays(`${YEAR}-01-01`, -430);
  const weather = weatherOf(normals, before, 430 + 365 + FORECAST_DAYS + 1, seed);
  const growing = cropIds.flatMap((cropId): Growing[] => {
    const crop = catalogue().find((c) => c.id === cropId)!;
    const lives = cropCalendar(crop, { normals, latitude: climate.latitude }, addDays(`${YEAR}-01-01`, -200));
    const usual = lives.length === 3 ? [lives[1]!] : lives.length > 3 ? [lives[1]!, lives[4]!] : lives;
    return usual.filter((l) => l.firstPick).map((life, n) => ({ id: `${cropId}-${n}`, cropId, life, picks: [], over: false })); // prettier-ignore
  });
  const kept: KeptOutlooks = { plantings: new Map() };
  walked.gardens++;
  for (let n = 0; n < 365; n++) {
    const today = addDays(`${YEAR}-01-01`, n);
    const now = growing.filter((p) => !p.over && p.life.start.on <= today);
    const outlook = lookAhead(stateOn(today, code, now, weather), catalogue(), undefined, kept);
    const plan = planDays(outlook, {
      seed: 1,
      relaxIterations: 25,
      boundSplits: 0,
      repairIterations: 40,
      cycles: 1,
    });
    walked.days++;
    for (const p of outlook.plantings) {
      const picks = plannedPicks(p, plan.picks);
      const wrong = picks.find((pick) => leaves(p, today, pick.day));
      if (wrong) walked.conflicts.push(`${code} ${today} ${p.planting.id}: ${p.judgement.verdict.kind} (${p.judgement.verdict.because.why}), planned day ${wrong.day}`); // prettier-ignore
      const first = picks[0];
      if (first?.day === 0) pickNow(p, growing, today, first.pieces, walked);
    }
    for (const p of now) if (p.life.end && daysBetween(p.life.end, today) > 40) p.over = true;
  }
}

/** Whether the verdict leaves what is planned on a day: told apart from the rule that keeps the plan to it. */
function leaves({ judgement: { verdict } }: PlantingOutlook, today: IsoDay, day: number): boolean {
  const { kind, because, lookAgain } = verdict;
  if (kind === "stop" || kind === "seed" || kind === "unfit" || because.why === "may be over") return true;
  if (kind === "look again" && because.why === "nearly" && because.thin) return false;
  const waits = ["leave", "look again", "wait dry", "hold", "settle"].includes(kind);
  return waits && (lookAgain === null || addDays(today, day) < lookAgain);
}

const MUST_BE_RIPE = ["garlic_hardneck", "garlic_softneck", "onion_bulb", "peach", "sweetcorn", "potato_early", "potato_maincrop"]; // prettier-ignore
const EARLY_DAYS = 30;

function pickNow(p: PlantingOutlook, growing: Growing[], today: IsoDay, pieces: number, walked: YearWalked): void {
  const one = growing.find((x) => x.id === p.planting.id)!;
  const ready = one.life.firstPick!;
  if (MUST_BE_RIPE.includes(one.cropId) && daysBetween(today, ready) > EARLY_DAYS) {
    walked.lifts++;
    walked.conflicts.push(`unripe: ${one.id} on ${today}, ready about ${ready}, ${p.judgement.verdict.because.why}`);
  }
  one.picks.push({ pickedOn: today, pieces, tookAll: true });
  const taken = one.picks.reduce((sum, x) => sum + x.pieces, 0);
  if (p.crop.mode === "once" && taken >= 0.95 * p.planting.plants * p.crop.piecesPerPlant.value) one.over = true;
}

function stateOn(today: IsoDay, code: (typeof CODES)[number], now: Growing[], weather: DailyWeather[]): GardenState {
  const crops = catalogue();
  const at = weather.findIndex((d) => d.day === today);
  return GardenState.parse({
    today,
    latitude: CLIMATES[code].latitude,
    longitude: 0,
    beds: [{ id: "bed", name: "the bed", kind: "open", position: 0 }],
    plantings: now.map((p) => {
      const crop = crops.find((c) => c.id === p.cropId)!;
      return {
        id: p.id,
        bedId: "bed",
        cropId: p.cropId,
        variety: "",
        plants: crop.piecesPerPlant.value > 20 ? 2 : 12,
        startEvent: p.life.start.event === "stands" ? (crop.perennial?.opens ?? "growth") : p.life.start.event,
        startedOn: p.life.start.on,
        growingYear: crop.perennial ? 5 : null,
        packet: null,
        looks: [],
        picks: p.picks,
        schoolOption: null,
      };
    }),
    observed: weather.slice(0, at),
    forecast: weather.slice(at, at + FORECAST_DAYS),
    minutesByWeekday: Array.from({ length: 7 }, (_, d) => ({ morning: 0, midday: 0, evening: d > 4 ? 90 : 35 })),
    exceptions: [],
    busy: [],
    trips: [],
    helpers: [],
  });
}
