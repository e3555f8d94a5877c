import { isNull } from "drizzle-orm";
import { catalogue } from "~/catalogue/catalogue.server";
import type { IsoDay } from "~/core/calendar";
import type { GardenState } from "~/core/garden";
import { ROUND_LOOK } from "~/core/readiness";
import type { Db } from "~/db/client.server";
import {
  bed,
  look,
  pick,
  planting,
  trip,
  weatherDay,
  weekdayMinutes,
  type GardenRow,
  type PickRow,
} from "~/db/schema.server";

const USUAL_MINUTES = 30;

/**
 * The whole garden as the core wants it: growing plantings with their looks and picks, the weather,
 * the hours of free hands.
 */
export function gardenState(db: Db, row: GardenRow, today: IsoDay): GardenState {
  const looks = byPlanting(db.select().from(look).all());
  const picks = byPlanting(db.select().from(pick).where(isNull(pick.withdrawnAt)).all());
  const weather = db.select().from(weatherDay).all();
  const minutes = new Map(db.select().from(weekdayMinutes).all().map((m) => [m.weekday, m.minutes])); // prettier-ignore
  const crops = catalogue();
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
        const repeats = crops.find((c) => c.id === p.cropId)?.mode === "repeat";
        const made = picks.get(p.id) ?? [];
        return {
          ...p,
          packet: p.packetLow !== null && p.packetHigh !== null ? { low: p.packetLow, high: p.packetHigh } : null,
          looks: [...(looks.get(p.id) ?? []), ...made.flatMap((m) => roundLook(m, repeats))],
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
    observed: weather.filter((w) => w.kind === "observed"),
    forecast: weather.filter((w) => w.kind === "forecast"),
    minutesByWeekday: Array.from({ length: 7 }, (_, d) => minutes.get(d) ?? USUAL_MINUTES),
    trips: db.select().from(trip).all().map((t) => ({ name: t.name, from: t.fromDay, to: t.toDay })), // prettier-ignore
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
