import { getTableColumns, isNull } from "drizzle-orm";
import { addDays, type IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import type { GardenState } from "~/core/garden";
import { SLOTS, type HandsRules } from "~/core/hands";
import { ROUND_LOOK } from "~/core/readiness";
import type { Db } from "~/db/client.server";
import {
  bed,
  busyTime,
  countSeen,
  coverNight,
  dayMinutes,
  helper,
  look,
  pick,
  planting,
  schoolChoice,
  slotMinutes,
  treatment,
  trip,
  variety,
  weatherDay,
  type GardenRow,
  type PickRow,
} from "~/db/schema.server";
import { measuredErrorOf, newestForecast } from "./forecast-archive.server";
import { cropsOf, varietyOf } from "./household-crops.server";

/** What the judgement needs of a day on record: not where it came from. */
const { day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare } = getTableColumns(weatherDay);
const FIGURES = { day, minC, maxC, rainMm, windKmh, dewPointC, cloudShare };
/** Before the household says otherwise: half an hour in the evening. */
const USUAL = { morning: 0, midday: 0, evening: 30 };
const RECORD_BEGINS_DAYS = 7;

/**
 * The whole garden as the core wants it: growing plantings with their looks and picks, the weather,
 * the hours of free hands.
 */
export function gardenState(db: Db, row: GardenRow, today: IsoDay): GardenState {
  const looks = byPlanting(db.select().from(look).all());
  const counts = byPlanting(db.select().from(countSeen).all());
  const picks = byPlanting(db.select().from(pick).where(isNull(pick.withdrawnAt)).all());
  const treatments = byPlanting(db.select().from(treatment).where(isNull(treatment.withdrawnAt)).all());
  const observed = db.select(FIGURES).from(weatherDay).all();
  const forecast = newestForecast(db, today);
  const crops = cropsOf(db);
  return {
    today,
    latitude: row.latitude,
    longitude: row.longitude,
    beds: db.select().from(bed).all(),
    plantings: db
      .select()
      .from(planting)
      .where(isNull(planting.finishedOn))
      .all()
      .map((p) => {
        const repeats = crops.find((c) => c.id === p.cropId)?.mode !== "once";
        const made = picks.get(p.id) ?? [];
        return {
          ...p,
          packet: p.packetLow !== null && p.packetHigh !== null ? { low: p.packetLow, high: p.packetHigh } : null,
          counts: counts.get(p.id) ?? [],
          treatments: treatments.get(p.id) ?? [],
          looks: [
            ...(looks.get(p.id) ?? []).filter((l) => isKnown(crops, p.cropId, l)).map(seenOf),
            ...made.flatMap((m) => roundLook(m, repeats)),
          ],
          picks: made
            .filter((m) => m.outcome === "picked")
            .map((m) => ({
              pickedOn: m.pickedOn,
              pieces: piecesOf(m, crops.find((c) => c.id === p.cropId)?.pieceGrams.value ?? 1),
              // A crop that keeps giving starts its clock again also when the small ones were left.
              tookAll: repeats,
            })),
        };
      }),
    timeZone: row.timeZone,
    observed,
    forecast: forecast.days,
    hours: forecast.hours,
    forecastError: measuredErrorOf(db, observed, row.latitude),
    covers: db.select().from(coverNight).all().filter((c) => c.evening >= today), // prettier-ignore
    ...handsRules(db),
    varieties: db.select().from(variety).all().map(varietyOf),
    schools: db.select().from(schoolChoice).all(),
    firstPicks: firstPicks(db),
  };
}

/** When hands are free, as the household has told it. */
export function handsRules(db: Db): HandsRules {
  const told = db.select().from(slotMinutes).all();
  return {
    minutesByWeekday: Array.from({ length: 7 }, (_, weekday) => {
      const of = told.filter((m) => m.weekday === weekday);
      if (of.length === 0) return USUAL;
      const [morning, midday, evening] = SLOTS.map((slot) => of.find((m) => m.slot === slot)?.minutes ?? 0);
      return { morning: morning!, midday: midday!, evening: evening! };
    }),
    exceptions: db.select().from(dayMinutes).all(),
    busy: db.select().from(busyTime).all().map((b) => ({ name: b.name, from: b.fromAt, to: b.toAt })), // prettier-ignore
    trips: db.select().from(trip).all().map((t) => ({ name: t.name, from: t.fromDay, to: t.toDay, leaveAt: t.leaveAt, backAt: t.backAt })), // prettier-ignore
    helpers: db.select().from(helper).all(),
  };
}

/** The first pick of every planting, finished ones of earlier seasons too: what the garden has learnt from. */
function firstPicks(db: Db): GardenState["firstPicks"] {
  const kinds = new Map(db.select().from(bed).all().map((b) => [b.id, b.kind])); // prettier-ignore
  const first = new Map<string, IsoDay>();
  for (const p of db.select().from(pick).where(isNull(pick.withdrawnAt)).all()) {
    const before = first.get(p.plantingId);
    if (p.outcome === "picked" && (!before || p.pickedOn < before)) first.set(p.plantingId, p.pickedOn);
  }
  // A ledger begun in mid season tells of its first days when it began, not when a crop was ready.
  const began = [...first.values()].sort()[0];
  const teachesFrom = began ? addDays(began, RECORD_BEGINS_DAYS) : "";
  return db
    .select()
    .from(planting)
    .all()
    .flatMap((p) => {
      const pickedOn = first.get(p.id);
      const bedKind = kinds.get(p.bedId);
      if (!pickedOn || !bedKind || pickedOn < teachesFrom) return [];
      const packet = p.packetLow !== null && p.packetHigh !== null ? { low: p.packetLow, high: p.packetHigh } : null;
      return [{ cropId: p.cropId, variety: p.variety, bedKind, startedOn: p.startedOn, packet, pickedOn }];
    });
}

/** Whether the catalogue of today still has this cue and reading; the look stays in the record either way. */
function isKnown(crops: Catalogue, cropId: string, { cueId, readingId }: typeof look.$inferSelect): boolean {
  const cue = crops.find((c) => c.id === cropId)?.cues.find((c) => c.id === cueId);
  return cue?.readings.some((r) => r.id === readingId) ?? false;
}

/** A look as the core wants it: what was not given is left out. */
function seenOf({ cueId, readingId, takenOn, sampleOf, measuredMm }: typeof look.$inferSelect) {
  return {
    cueId,
    readingId,
    takenOn,
    ...(sampleOf === null ? {} : { sampleOf }),
    ...(measuredMm === null ? {} : { measuredMm }),
  };
}

function byPlanting<Row extends { plantingId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) groups.set(row.plantingId, [...(groups.get(row.plantingId) ?? []), row]);
  return groups;
}

/** A call on a round is a look too: nothing was ready, or (where the clock runs on) something was. */
function roundLook(made: PickRow, repeats: boolean) {
  const reading = made.outcome === "nothing ready" ? "none_ready" : repeats ? null : "some_ready";
  return reading ? [{ cueId: ROUND_LOOK.id, readingId: reading, takenOn: made.pickedOn }] : [];
}

function piecesOf(made: PickRow, pieceGrams: number): number {
  return made.pieces ?? (made.grams ?? 0) / pieceGrams;
}
