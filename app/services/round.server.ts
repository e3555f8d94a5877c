import { and, asc, eq, isNull } from "drizzle-orm";
import { BED_MINUTES, ROUND_MINUTES, type PlantingOutlook } from "~/core/garden";
import { walkOf, type Errand, type Walk } from "~/core/rounds";
import type { Db } from "~/db/client.server";
import { errand, pick, round, type GardenRow } from "~/db/schema.server";
import { plannedGarden, type PlannedGarden } from "./outlook.server";

const LOOK_MINUTES = 0.7;

/** The walk that the plan makes of a day: its picks and, today, the looks that are due and still fit. */
export function plannedWalk(planned: PlannedGarden, dayIndex: number): Walk {
  const { outlook, plan } = planned;
  const wet = outlook.terms[dayIndex]?.wetAtStart ?? false;
  const walk = (errands: Errand[]) => walkOf(errands, wet, ROUND_MINUTES, BED_MINUTES);
  const picks = outlook.plantings.flatMap((p): Errand[] => {
    const days = plan.picks[p.planting.id] ?? [];
    const order = days.indexOf(dayIndex);
    if (order < 0) return [];
    const row = order === 0 ? 0 : days[order - 1]! + 1;
    return [errandOf(p, "pick", p.task.minutes[row]?.[dayIndex] ?? 0, p.taskPieces[row]?.[dayIndex] ?? 0)];
  });
  const looks = dayIndex === 0 ? looksDue(outlook.plantings, picks) : [];
  const budget = outlook.minutesFree[dayIndex] ?? 0;
  return walk(
    looks.reduce((errands, look) => {
      const longer = [...errands, look];
      return walk(longer).minutes <= budget ? longer : errands;
    }, picks),
  );
}

/** Plantings whose state only a look can tell, likeliest to be going over first. */
function looksDue(plantings: readonly PlantingOutlook[], picks: readonly Errand[]): Errand[] {
  const picked = new Set(picks.map((e) => e.plantingId));
  const over = (p: PlantingOutlook) => p.judgement.odds.slipping + p.judgement.odds.gone;
  return plantings
    .filter(
      (p) =>
        !picked.has(p.planting.id) && ["look now", "take today", "clear", "past"].includes(p.judgement.verdict.kind),
    )
    .sort((a, b) => over(b) - over(a))
    .map((p) => errandOf(p, "look", LOOK_MINUTES, 0));
}

function errandOf(p: PlantingOutlook, doing: Errand["doing"], minutes: number, pieces: number): Errand {
  return {
    plantingId: p.planting.id,
    crop: p.crop,
    variety: p.planting.variety,
    bedId: p.bed.id,
    bedName: p.bed.name,
    bedPosition: p.bed.position,
    doing,
    minutes,
    pieces,
    grams: pieces * p.crop.pieceGrams.value,
  };
}

export type StartOutcome = { status: "started" | "already out"; roundId: string } | { status: "nothing to do" };

/** The round that is out, if any. */
export function openRound(db: Db) {
  return db.select().from(round).where(isNull(round.finishedAt)).get();
}

/** Starts today's round: its list is written down so that it does not change underfoot. */
export function startRound(db: Db, row: GardenRow): StartOutcome {
  const out = openRound(db);
  if (out) return { status: "already out", roundId: out.id };
  const planned = plannedGarden(db, row);
  const walk = plannedWalk(planned, 0);
  if (walk.stops.length === 0) return { status: "nothing to do" };
  const roundId = crypto.randomUUID();
  const lines = walk.stops.flatMap((stop) => stop.errands.map((e) => ({ ...e, part: stop.part })));
  db.transaction((tx) => {
    tx.insert(round).values({ id: roundId, day: planned.today, startedAt: new Date().toISOString() }).run();
    lines.forEach((e, position) =>
      tx
        .insert(errand)
        .values({
          roundId,
          plantingId: e.plantingId,
          position,
          part: e.part,
          doing: e.doing,
          expectedPieces: e.pieces,
          expectedGrams: e.grams,
          minutes: e.minutes,
        })
        .run(),
    );
  });
  return { status: "started", roundId };
}

/** Passes an errand by (or takes that back). */
export function markErrand(db: Db, roundId: string, plantingId: string, done: boolean): void {
  db.update(errand)
    .set({ doneAt: done ? new Date().toISOString() : null })
    .where(and(eq(errand.roundId, roundId), eq(errand.plantingId, plantingId)))
    .run();
}

/** Ends the round that is out. */
export function finishRound(db: Db, roundId: string): void {
  db.update(round).set({ finishedAt: new Date().toISOString() }).where(eq(round.id, roundId)).run();
}

/** Lines of a round in order, with the pick that closed each. */
export function errandsOf(db: Db, roundId: string) {
  const picks = db
    .select()
    .from(pick)
    .where(and(eq(pick.roundId, roundId), isNull(pick.withdrawnAt)))
    .all();
  return db
    .select()
    .from(errand)
    .where(eq(errand.roundId, roundId))
    .orderBy(asc(errand.position))
    .all()
    .map((e) => ({ ...e, pick: picks.find((p) => p.plantingId === e.plantingId) ?? null }));
}
