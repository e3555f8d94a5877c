import { and, eq, isNull } from "drizzle-orm";
import { sayDay } from "~/core/calendar";
import type { Db } from "~/db/client.server";
import { pick, pickCorrection, planting, round, type PickRow, type PlantingRow } from "~/db/schema.server";
import { theGarden, todayOf } from "./clock.server";
import { pickAmount } from "./pick-amount.server";
import type { FieldErrors, PickForm } from "./pick-form";
import { cropsOf } from "./household-crops.server";
import { banOn } from "./treatments.server";

/** Fates by which nothing of it is eaten. */
const NOT_EATEN: readonly PickForm["fate"][] = ["compost", "discard"];

export type LogOutcome =
  | { status: "logged" | "already logged"; pickId: string }
  | { status: "no such planting" }
  | { status: "refused"; errors: FieldErrors };

/** Writes one line of the ledger; sending the same entry twice writes it once. */
export function logPick(db: Db, form: PickForm): LogOutcome {
  const there = db.select().from(pick).where(eq(pick.id, form.id)).get();
  if (there) return { status: "already logged", pickId: there.id };
  const target = db.select().from(planting).where(eq(planting.id, form.plantingId)).get();
  if (!target) return { status: "no such planting" };
  const day = dayError(db, form, target);
  if (day) return { status: "refused", errors: { pickedOn: day } };
  const read = pickAmount(db, form);
  if (read.status === "refused") return read;
  const roundId = form.roundId && db.select().from(round).where(eq(round.id, form.roundId)).get() ? form.roundId : null;
  db.transaction((tx) => {
    tx.insert(pick)
      .values({ ...form, ...read.amount, roundId, loggedAt: new Date().toISOString() })
      .run();
    if (endsPlanting(db, form, target))
      tx.update(planting).set({ finishedOn: form.pickedOn }).where(eq(planting.id, target.id)).run();
  });
  return { status: "logged", pickId: form.id };
}

/** A crop lifted once is over when all of it came off. */
function endsPlanting(
  db: Pick<Db, "select">,
  form: { outcome: string; tookAll: boolean },
  target: PlantingRow,
): boolean {
  const crop = cropsOf(db).find((c) => c.id === target.cropId);
  return crop?.mode === "once" && form.outcome === "picked" && form.tookAll;
}

function dayError(db: Db, form: PickForm, target: PlantingRow): string | undefined {
  const row = theGarden(db);
  if (row && form.pickedOn > todayOf(row)) return "That day is still to come.";
  if (form.pickedOn < target.startedOn) return `It was only ${target.startEvent} on ${target.startedOn}.`;
  return banError(db, form, target, row ? todayOf(row) : form.pickedOn);
}

/** Treated and not over yet: only what goes to the compost or the bin may come off. */
function banError(db: Db, form: PickForm, target: PlantingRow, today: string): string | undefined {
  if (form.outcome !== "picked" || NOT_EATEN.includes(form.fate)) return undefined;
  const ban = banOn(db, target.id, form.pickedOn);
  if (!ban) return undefined;
  return `Treated with ${ban.product} ${sayDay(ban.treatedOn, today)}: by its label not to be picked before ${sayDay(ban.until, today)}. To the compost or the bin is all right.`;
}

/** Corrects a line; what it said before is kept. */
export function correctPick(db: Db, form: PickForm): LogOutcome {
  const earlier = db.select().from(pick).where(eq(pick.id, form.id)).get();
  const target = earlier && db.select().from(planting).where(eq(planting.id, earlier.plantingId)).get();
  if (!earlier || !target) return { status: "no such planting" };
  const day = dayError(db, form, target);
  if (day) return { status: "refused", errors: { pickedOn: day } };
  const read = pickAmount(db, form);
  if (read.status === "refused") return read;
  const { outcome, tookAll, pickedOn, estimated, condition, fate, note } = form;
  db.transaction((tx) => {
    keepEarlier(tx, earlier);
    tx.update(pick)
      .set({ ...read.amount, outcome, tookAll, pickedOn, estimated, condition, fate, note })
      .where(eq(pick.id, earlier.id))
      .run();
    reopenOrEnd(tx, target, endsPlanting(db, form, target) ? pickedOn : null);
  });
  return { status: "logged", pickId: earlier.id };
}

/** Takes a line out of every total; it can be put back. */
export function withdrawPick(db: Db, pickId: string, putBack = false): { status: "done" | "not there" } {
  const row = db.select().from(pick).where(eq(pick.id, pickId)).get();
  const target = row && db.select().from(planting).where(eq(planting.id, row.plantingId)).get();
  if (!row || !target) return { status: "not there" };
  db.transaction((tx) => {
    tx.update(pick)
      .set({ withdrawnAt: putBack ? null : new Date().toISOString() })
      .where(eq(pick.id, pickId))
      .run();
    reopenOrEnd(tx, target, putBack && endsPlanting(db, row, target) ? row.pickedOn : null);
  });
  return { status: "done" };
}

type Tx = Parameters<Parameters<Db["transaction"]>[0]>[0];

function keepEarlier(tx: Tx, earlier: PickRow): void {
  tx.insert(pickCorrection)
    .values({ pickId: earlier.id, correctedAt: new Date().toISOString(), earlier: JSON.stringify(earlier) })
    .run();
}

/** After a change, the planting is over only if a standing line says so. */
function reopenOrEnd(tx: Tx, target: PlantingRow, endsOn: string | null): void {
  const standing = tx
    .select()
    .from(pick)
    .where(and(eq(pick.plantingId, target.id), isNull(pick.withdrawnAt)))
    .all();
  const last = standing.filter((p) => endsPlanting(tx, p, target)).map((p) => p.pickedOn).sort().at(-1); // prettier-ignore
  tx.update(planting)
    .set({ finishedOn: endsOn ?? last ?? null })
    .where(eq(planting.id, target.id))
    .run();
}
