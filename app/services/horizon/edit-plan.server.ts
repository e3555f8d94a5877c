import { addDays, type IsoDay } from "~/core/calendar";
import type { DayEdit } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { plantingById } from "~/db/beds/plantings.server";
import { editsMade, editsUndone, forgetPlanEdit, insertPlanEdit, markUndone, type Asked, type DaysEdit, type PlanEdit, type RowsEdit } from "~/db/beds/plan-edits.server"; // prettier-ignore
import { putRows, withChanges } from "~/db/beds/undoable-rows.server";
import { endOf, seasonsOf } from "~/db/beds/seasons.server";
import { deleteWantedDay, putWantedDay, wantedOn } from "~/db/beds/wanted-days.server";
import { changeWords } from "~/views/horizon/edit-words";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";

const MOST_AHEAD_DAYS = 366;

export type EditOutcome = { status: "noted"; sentence: string } | { status: "refused"; sentence: string };

const refused = (sentence: string): EditOutcome => ({ status: "refused", sentence });

/** Asks for days of a planting, rules them out or leaves them free again; can be undone. */
export function editDays(db: Db, row: GardenRow, edits: DayEdit[]): EditOutcome {
  const today = todayOf(row);
  const { plantingId } = edits[0]!;
  const season = seasonsOf(db, plantingId).at(-1);
  if (!season) return refused("This planting is no longer there.");
  if (endOf(db, season.id)) return refused("It does not grow any more.");
  if (edits.some((e) => e.day < today)) return refused("That day is over.");
  if (edits.some((e) => e.day > addDays(today, MOST_AHEAD_DAYS))) return refused("That is more than a year ahead.");
  return db.transaction(() => {
    const changes = edits.map(({ day, to, slot }) => ({ day, before: askedOf(db, plantingId, day), after: { to, slot } })); // prettier-ignore
    for (const { day, after } of changes) put(db, plantingId, day, after);
    insertPlanEdit(db, { plantingId, changes }, new Date().toISOString());
    return { status: "noted", sentence: sentenceOf(db, row, { plantingId, changes }) };
  });
}

/**
 * Does something else that the plan is made of, so that it can be undone: all of it or, where it is refused, nothing.
 *
 * @param about - what it is in words, and the last day on which it is of use
 */
export function editRows(db: Db, about: { words: string; until: IsoDay }, act: () => EditOutcome): EditOutcome {
  // prettier-ignore
  return db.transaction((): EditOutcome => {
    const { value, changes: rows } = withChanges(db, act);
    if (value.status === "noted" && rows.length > 0) insertPlanEdit(db, { ...about, rows }, new Date().toISOString());
    return value;
  });
}

/** Takes the last edit back that concerns a day to come. */
export function undoEdit(db: Db, row: GardenRow): EditOutcome {
  const last = editsMade(db).find((e) => isAhead(e, todayOf(row)));
  if (!last) return refused("There is nothing to undo.");
  return turned(db, row, last, "before");
}

/** Does again what was undone last. */
export function redoEdit(db: Db, row: GardenRow): EditOutcome {
  const next = editsUndone(db).find((e) => isAhead(e, todayOf(row)));
  if (!next) return refused("There is nothing to do again.");
  return turned(db, row, next, "after");
}

function turned(db: Db, row: GardenRow, edit: PlanEdit, to: "before" | "after"): EditOutcome {
  return db.transaction((): EditOutcome => {
    const words = sentenceOf(db, row, edit);
    // What cannot be turned is forgotten, so that what was done before it can be.
    if ("rows" in edit && !putRows(db, edit.rows, to)) {
      forgetPlanEdit(db, edit.number);
      return { status: "noted", sentence: `That was changed since, and stays as it is: ${words}.` };
    }
    if ("plantingId" in edit) for (const change of edit.changes) put(db, edit.plantingId, change.day, change[to]);
    markUndone(db, edit.number, to === "before");
    return { status: "noted", sentence: `${to === "before" ? "Undone" : "Done again"}: ${words}` };
  });
}

/** What can be undone and done again now, in words; null for nothing. */
export function editsAtHand(db: Db, row: GardenRow): { undo: string | null; redo: string | null } {
  const today = todayOf(row);
  const words = (edit: PlanEdit | undefined) => edit ? sentenceOf(db, row, edit) : null; // prettier-ignore
  return {
    undo: words(editsMade(db).find((e) => isAhead(e, today))),
    redo: words(editsUndone(db).find((e) => isAhead(e, today))),
  };
}

const isAhead = (edit: PlanEdit, today: IsoDay) => "rows" in edit ? edit.until >= today : edit.changes.some((c) => c.day >= today); // prettier-ignore

function askedOf(db: Db, plantingId: string, day: IsoDay): Asked {
  const row = wantedOn(db, plantingId, day);
  if (!row) return { to: "free", slot: null };
  return { to: row.isRuledOut ? "not" : "pick", slot: row.slot };
}

function put(db: Db, plantingId: string, day: IsoDay, { to, slot }: Asked): void {
  if (to === "free") deleteWantedDay(db, plantingId, day);
  else putWantedDay(db, { id: crypto.randomUUID(), plantingId, day, slot: to === "pick" ? slot : null, isRuledOut: to === "not" }); // prettier-ignore
}

function sentenceOf(db: Db, row: GardenRow, edit: DaysEdit | RowsEdit): string {
  if ("rows" in edit) return edit.words;
  const planting = plantingById(db, edit.plantingId);
  const crop = cropsOf(db).find((c) => c.id === planting?.cropId)?.name ?? "a planting";
  return changeWords({ crop, variety: planting?.variety ?? "" }, edit.changes, todayOf(row));
}
