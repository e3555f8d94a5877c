import { eq, inArray } from "drizzle-orm";
import { addDays, sayDay, sunTimes } from "~/core/calendar";
import { BED_MINUTES, sayPieces } from "~/core/garden";
import { inTenths } from "~/core/hazards";
import { sayMass } from "~/core/units";
import type { Db } from "~/db/client.server";
import { bed, planting, type GardenRow } from "~/db/schema.server";
import { checkView } from "./check-view.server";
import { plannedGarden, type PlannedGarden } from "./outlook.server";
import { errandsOf, openRound, plannedWalk } from "./round.server";
import { cropsOf } from "./household-crops.server";

export type RoundView = ReturnType<typeof roundView>;

/** The round that is out, or the walk that could start today. */
export function roundView(db: Db, row: GardenRow) {
  const planned = plannedGarden(db, row);
  const { today } = planned;
  const sun = sunTimes(today, row.latitude, row.longitude);
  const clock = (at: Date) =>
    at.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: row.timeZone });
  const daylight =
    sun.status === "ok" ? `Sun ${clock(sun.riseAt)} to ${clock(sun.setAt)}` : "The sun neither rises nor sets";
  const out = openRound(db);
  const common = { today, units: row.unitSystem, daylight, warnings: skyWarnings(planned) };
  if (!out) {
    const walk = plannedWalk(planned, 0);
    const next = planned.outlook.days.findIndex((_, n) => n > 0 && plannedWalk(planned, n).grams > 0);
    return {
      ...common,
      status: "not started" as const,
      minutes: Math.round(walk.minutes),
      kilos: sayMass(Math.round(walk.grams / 100) * 100, row.unitSystem),
      kit: walk.kit,
      containers: walk.containers.map((c) => c.label),
      cautions: walk.cautions,
      split: walk.splitForWetLeaves,
      next: next > 0 ? sayDay(addDays(today, next), today) : null,
      stops: walk.stops.map((stop) => ({
        bed: stop.bedName,
        part: stop.part,
        errands: stop.errands.map((e) => ({
          id: e.plantingId,
          name: e.variety ? `${e.crop.name}, ${e.variety}` : e.crop.name,
          what: e.doing === "look" ? "look" : sayPieces(e.crop, e.pieces, row.unitSystem),
        })),
      })),
    };
  }
  const errands = errandsOf(db, out.id);
  const ids = errands.map((e) => e.plantingId);
  const plantings = ids.length ? db.select().from(planting).innerJoin(bed, eq(planting.bedId, bed.id)).where(inArray(planting.id, ids)).all() : []; // prettier-ignore
  const crops = cropsOf(db);
  return {
    ...common,
    status: "out" as const,
    roundId: out.id,
    day: out.day,
    bedMinutes: BED_MINUTES,
    errands: errands.map((e) => {
      const found = plantings.find((p) => p.planting.id === e.plantingId)!;
      const crop = crops.find((c) => c.id === found.planting.cropId)!;
      return {
        id: e.plantingId,
        bed: found.bed.name,
        name: found.planting.variety ? `${crop.name}, ${found.planting.variety}` : crop.name,
        part: e.part,
        doing: e.doing,
        minutes: e.minutes,
        expected: e.doing === "pick" ? sayPieces(crop, e.expectedPieces, row.unitSystem) : null,
        done: e.doneAt !== null || e.pick !== null,
        outcome: e.pick ? outcomeInWords(e.pick, row) : e.doneAt ? "passed by" : null,
        pickId: e.pick?.id ?? null,
        view: checkView(planned, row, e.plantingId) ?? null,
      };
    }),
  };
}

/** What the sky of today asks of whoever goes out. */
function skyWarnings({ outlook }: PlannedGarden): string[] {
  const terms = outlook.terms[0]!;
  const { thunderHours, hotSlots } = terms;
  const first = thunderHours[0];
  const thunder = Math.max(outlook.storms[0]!.thunderOdds, ...thunderHours.map((h) => h.thunderOdds));
  return [
    terms.dryFrom
      ? `Leaves are dry from about ${terms.dryFrom}.`
      : terms.wetAllDay
        ? terms.hours?.rainHoursKnown
          ? "Leaves stay wet today."
          : "Rain about today: leaves may be wet."
        : "",
    first ? `Thunder ${inTenths(thunder)}, ${first.clock} to ${thunderHours.at(-1)!.clock}: be in before it.` : "",
    hotSlots.length > 0 ? `Too hot to work at ${hotSlots.join(" and ")}: go early or late, take water.` : "",
  ].filter(Boolean);
}

function outcomeInWords(
  pick: { outcome: string; grams: number | null; pieces: number | null; estimated: boolean },
  row: GardenRow,
): string {
  if (pick.outcome === "nothing ready") return "nothing ready";
  const parts = [
    pick.pieces === null ? "" : String(pick.pieces),
    pick.grams === null ? "" : sayMass(pick.grams, row.unitSystem),
  ].filter(Boolean);
  return `${pick.estimated ? "about " : ""}${parts.join(", ")}`;
}
