import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { isCounted } from "~/core/garden";
import { SLOTS } from "~/core/hands";
import { seeded } from "~/core/statistics";
import type { UnitSystem } from "~/core/units";
import type { Db } from "~/db/client.server";
import { appendBed } from "~/db/beds/beds.server";
import { insertPlanting } from "~/db/beds/plantings.server";
import { insertEnd, insertSeason } from "~/db/beds/seasons.server";
import { insertGarden, theGarden } from "~/db/garden/garden.server";
import { insertContainers } from "~/db/ledger/containers.server";
import { insertLot, insertMovements, insertWeighing } from "~/db/ledger/lots.server";
import { insertPick } from "~/db/ledger/picks.server";
import { saveLook } from "~/db/looks/looks.server";
import { saveVariety } from "~/db/notes/household.server";
import { endRound, saveRound } from "~/db/round/rounds.server";
import { insertTrip, saveSlotMinutes } from "~/db/sky/hands.server";
import { FINISHED } from "./demo-finished";
import { BEDS, type DemoPlanting } from "./demo-plantings";
import { plantDemoWeather } from "./demo-weather.server";

/** The demo begins on this Saturday, in a made-up village. */
export const DEMO_DAY: IsoDay = "2026-09-19";

const GARDEN = {
  name: "Hollin Garth",
  latitude: 52.4,
  longitude: -0.6,
  heightM: 90,
  timeZone: "Europe/London",
  demoDay: DEMO_DAY,
} as const;

const CONTAINERS = [
  { id: "basket", name: "Willow basket", tareGrams: 1040 },
  { id: "crate", name: "Heavy crate", tareGrams: 1590 },
  { id: "tray", name: "Light tray", tareGrams: 680 },
];

/** Minutes of the week, morning, midday and evening, Monday first. */
const MINUTES = [
  [0, 0, 20],
  [0, 0, 20],
  [0, 0, 45],
  [0, 0, 15],
  [0, 0, 20],
  [30, 0, 20],
  [0, 40, 0],
] as const;
const LEDGER_DAYS = 14;

const at = (day: IsoDay, hour = 8) => `${day}T${String(hour).padStart(2, "0")}:00:00.000Z`;
const bedIdOf = (name: string) => name.toLowerCase().replace(/\s+/g, "-");
const cropOf = (id: string): Crop => catalogue().find((c) => c.id === id)!;
const seasonOf = (plantingId: string) => `${plantingId}/1`;

/** Fills an empty file with the demo's garden, its ledger of two weeks, its trip and its weather. */
export function plantDemoGarden(db: Db, unitSystem: UnitSystem = "metric"): void {
  db.transaction(() => {
    insertGarden(db, { ...GARDEN, unitSystem });
    insertContainers(db, CONTAINERS);
    saveSlotMinutes(db, MINUTES.flatMap((day, weekday) => SLOTS.map((slot, k) => ({ weekday, slot, minutes: day[k]! })))); // prettier-ignore
    insertTrip(db, { id: "coast", name: "Five days at the coast", fromDay: "2026-09-26", toDay: "2026-09-30", backAt: "17:30" }); // prettier-ignore
    for (const { name, kind } of BEDS) appendBed(db, { id: bedIdOf(name), name, kind });
    for (const { name, plantings } of BEDS) for (const p of plantings) plantDemo(db, bedIdOf(name), p);
    for (const p of FINISHED) {
      plantDemo(db, bedIdOf(p.bed), p);
      insertEnd(db, { id: `end-${p.id}`, seasonId: seasonOf(p.id), endedOn: p.over, reason: "bed free" });
    }
    saveVariety(db, { cropId: "tomato_large", name: "yellow when ripe", ripeColour: "yellow", sizeLowMm: null, sizeHighMm: null, packetLow: null, packetHigh: null }, "tomato-yellow"); // prettier-ignore
    walkDemoRounds(db);
  });
  plantDemoWeather(db, theGarden(db)!, DEMO_DAY);
}

function plantDemo(db: Db, bedId: string, p: DemoPlanting): void {
  const [startEvent, startedOn] = p.start;
  insertPlanting(db, {
    id: p.id,
    bedId,
    cropId: p.crop,
    variety: p.variety,
    plants: p.plants,
    cameBy: startEvent,
    cameOn: startedOn,
    packetLow: p.packet?.[0] ?? null,
    packetHigh: p.packet?.[1] ?? null,
  });
  insertSeason(db, { id: seasonOf(p.id), plantingId: p.id, opensOn: startedOn, startEvent, startedOn });
  for (const [cueId, readingId, takenOn, measuredMm] of p.looks ?? [])
    saveLook(db, { seasonId: seasonOf(p.id), cueId, readingId, takenOn, takenAt: at(takenOn), measuredMm: measuredMm ?? null, sampleOf: null }); // prettier-ignore
  if (p.first) firstPick(db, p, p.first);
}

/** The first handful of a planting, in the ledger long before the rounds of the last two weeks. */
function firstPick(db: Db, p: DemoPlanting, day: IsoDay): void {
  const crop = cropOf(p.crop);
  const pieces = Math.max(1, Math.round(p.plants * Math.min(1, crop.piecesPerPlant.value) * 0.6));
  const grams = Math.max(10, Math.round((pieces * crop.pieceGrams.value) / 10) * 10);
  const amount = isCounted(crop) ? { grams: null, pieces } : { grams, pieces: null };
  logDemo(db, { id: `${p.id}-first`, plantingId: p.id, day, tookAll: false, note: "first ones", ...amount });
}

/** Rounds of the last two weeks, with what each brought in. */
function walkDemoRounds(db: Db): void {
  const uniform = seeded(7);
  for (let ago = LEDGER_DAYS; ago >= 1; ago--) {
    const day = addDays(DEMO_DAY, -ago);
    const due = BEDS.flatMap((b) => b.plantings).filter(
      (p) => p.every && ago >= (p.last ?? 1) && (ago - (p.last ?? 1)) % p.every === 0,
    );
    if (due.length === 0) continue;
    const roundId = `round-${day}`;
    saveRound(db, { id: roundId, day, startedAt: at(day, 17) }, []);
    endRound(db, roundId, at(day, 18));
    for (const p of due) {
      const crop = cropOf(p.crop);
      const share = 0.55 + 0.5 * uniform();
      const pieces = Math.max(1, Math.round(p.plants * crop.piecesPerPlant.value * p.every! * share * 0.55));
      const grams = Math.round((pieces * crop.pieceGrams.value * (0.9 + 0.2 * uniform())) / 5) * 5;
      const nothing = p.id === "tomato-yellow" && ago > 10;
      const weighed = crop.id !== "courgette" && crop.id !== "cucumber_slicing" && crop.id !== "kale_leaf";
      const estimated = !nothing && weighed && uniform() < 0.2;
      const fate = grams > 900 ? "share" : "eat now";
      const amount = nothing ? {} : weighed ? { grams } : { pieces };
      logDemo(db, { id: `${p.id}-${day}`, plantingId: p.id, roundId, day, tookAll: true, estimated, fate, ...amount });
    }
  }
}

interface DemoPick {
  id: string;
  plantingId: string;
  roundId?: string;
  day: IsoDay;
  tookAll: boolean;
  grams?: number | null;
  pieces?: number | null;
  estimated?: boolean;
  fate?: "eat now" | "share";
  note?: string;
}

function logDemo(db: Db, made: DemoPick): void {
  const { id, plantingId, roundId = null, day, tookAll, grams = null, pieces = null, estimated = false, fate = "eat now", note = "" } = made; // prettier-ignore
  const outcome = grams === null && pieces === null ? "nothing ready" : "picked";
  const loggedAt = at(day, 18);
  insertPick(db, { id, seasonId: seasonOf(plantingId), roundId, pickedOn: day, outcome, tookAll, note, loggedAt });
  if (outcome === "nothing ready") return;
  insertLot(db, { id, pickId: id, fate });
  insertMovements(db, [{ lotId: id, kind: "picked", day, grams, pieces, estimated, fate, condition: "sound", otherLotId: null }]); // prettier-ignore
  if (grams !== null && !estimated)
    insertWeighing(db, { id: `weighed-${id}`, lotId: id, weighedAt: loggedAt, grossGrams: grams, netGrams: grams, containers: [] }); // prettier-ignore
}
