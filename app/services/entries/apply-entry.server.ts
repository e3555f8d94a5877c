import { Entry, type EntryAnswer } from "~/core/entries";
import { fieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import { restoreEnds, withdrawEnds } from "~/db/beds/seasons.server";
import { plantingById } from "~/db/beds/plantings.server";
import { entryById, insertNote, isApplied, keepEntry, takeBacksOf, withdrawNote } from "~/db/entries/entries.server";
import { fileTrouble } from "~/db/file-trouble.server";
import { theGarden, type GardenRow } from "~/db/garden/garden.server";
import { pickById } from "~/db/ledger/picks.server";
import { inUnits } from "~/views/words";
import { endSeason, startNextCrop, undoNextCrop } from "../beds/seasons.server";
import { takeCount } from "../check/take-count.server";
import { takeLook } from "../check/take-look.server";
import { takeMarks } from "../horizon/jobs.server";
import { withdrawPick } from "../ledger/correct-pick.server";
import { logPick } from "../ledger/log-pick.server";
import { weighLot } from "../ledger/weigh-lot.server";
import { finishRound, passBy, startRound } from "../round/round.server";
import { applied, refused, type Applied } from "./applied";
import { dayOfEntry, type EntryDay } from "./entry-day.server";

/** Thrown to leave a transaction as if it had never begun. */
class NotApplied extends Error {
  constructor(readonly outcome: Exclude<Applied, { status: "applied" }>) {
    super(outcome.status);
  }
}

const idIn = (raw: unknown) =>
  typeof raw === "object" && raw !== null && "id" in raw && typeof raw.id === "string" ? raw.id : "";

/**
 * Applies one entry in a transaction of its own, once however often it comes, and answers for it. What goes wrong on
 * our side is "not now": the device keeps the entry.
 *
 * @param person - who did it, where that is known
 */
export function applyEntry(db: Db, raw: unknown, person: string | null = null): EntryAnswer {
  const id = idIn(raw);
  const entry = Entry.safeParse(raw);
  if (!entry.success) {
    const fields = fieldErrors(entry.error) as Record<string, string>;
    return { id, status: "refused", sentence: Object.values(fields)[0] ?? "This entry cannot be read.", fields };
  }
  const garden = theGarden(db);
  if (!garden) return { id, status: "not now" };
  if (isApplied(db, id)) return { id, status: "applied" };
  try {
    db.transaction(() => applyOnce(db, garden, inItsTime(entry.data), person), { behavior: "immediate" });
    return { id, status: "applied" };
  } catch (error) {
    if (!(error instanceof NotApplied)) {
      console.error(error);
      const why = fileTrouble(error);
      return { id, status: "not now", ...(why ? { why } : {}) };
    }
    const { outcome } = error;
    if (outcome.status === "not now") return { id, status: "not now" };
    return inUnits({ id, status: "refused", sentence: outcome.sentence, fields: outcome.fields as Record<string, string> }, garden.unitSystem); // prettier-ignore
  }
}

/** A device's clock that runs ahead must not win over all that follows: nothing was done later than now. */
function inItsTime(entry: Entry): Entry {
  const now = new Date().toISOString();
  const at = new Date(entry.at).toISOString();
  return { ...entry, at: at > now ? now : at };
}

/** @throws {NotApplied} so that nothing half-written stays */
function applyOnce(db: Db, garden: GardenRow, entry: Entry, person: string | null): void {
  if (isApplied(db, entry.id)) return;
  const day = dayOfEntry(entry, garden);
  if ("sentence" in day) throw new NotApplied({ status: "refused", sentence: day.sentence, fields: { on: day.sentence } }); // prettier-ignore
  const outcome = apply(db, garden, entry, day, person);
  if (outcome.status !== "applied") throw new NotApplied(outcome);
  keepEntry(db, entry);
  // What was taken back before it arrived goes back at once.
  const [word] = takeBacksOf(db, entry.id);
  if (word && entry.kind !== "take back") undo(db, entry, (JSON.parse(word.body) as { putBack?: boolean }).putBack === true); // prettier-ignore
}

function apply(db: Db, garden: GardenRow, entry: Entry, day: EntryDay, person: string | null): Applied {
  switch (entry.kind) {
    case "pick":
      return logPick(db, entry, day, person);
    case "look":
      return takeLook(db, entry, day);
    case "count":
      return takeCount(db, entry, day);
    case "weighing":
      return weighLot(db, entry, day);
    case "take back":
      return takeBack(db, entry);
    case "pass by":
      return passBy(db, entry, day);
    case "start round":
      return startRound(db, garden, entry);
    case "finish round":
      return finishRound(db, entry, day);
    case "mark jobs":
      return takeMarks(db, garden, entry, day.day);
    case "both count":
      // That it was said is all of it: it is kept as it came.
      return applied;
    case "end":
      return endSeason(db, { ...entry, day: day.day }, entry.bedFree);
    case "next crop":
      return startNextCrop(db, { ...entry, day: day.day }, entry.crop);
    case "note": {
      if (entry.plantingId && !plantingById(db, entry.plantingId)) return refused("This planting is no longer there.");
      insertNote(db, { id: entry.id, plantingId: entry.plantingId, notedOn: day.day, text: entry.text });
      return applied;
    }
  }
}

/** Takes another entry back, or puts it back. One that has not arrived yet is taken back when it does. */
function takeBack(db: Db, { target, putBack, at }: Extract<Entry, { kind: "take back" }>): Applied {
  const [later] = takeBacksOf(db, target);
  if (later && later.doneAt > at) return applied;
  const there = entryById(db, target);
  const entry = there && Entry.safeParse(JSON.parse(there.body));
  if (entry?.success) return undo(db, entry.data, putBack);
  // A pick of before there were entries.
  if (pickById(db, target)) withdrawPick(db, target, putBack);
  return applied;
}

function undo(db: Db, entry: Entry, putBack: boolean): Applied {
  switch (entry.kind) {
    case "pick":
      withdrawPick(db, entry.id, putBack);
      return applied;
    case "note":
      withdrawNote(db, entry.id, putBack);
      return applied;
    case "end":
      if (putBack) restoreEnds(db, { id: entry.id });
      else withdrawEnds(db, { id: entry.id });
      return applied;
    case "next crop":
      if (!putBack) return undoNextCrop(db, entry.plantingId, entry.id);
      return refused("Choose the next crop anew.");
    case "look":
    case "count":
    case "weighing":
    case "pass by":
    case "start round":
    case "finish round":
    case "mark jobs":
    case "both count":
    case "take back":
      return refused("This is not taken back but said anew.");
  }
}
