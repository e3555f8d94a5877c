import { amountOf, isGuessed, harvestOf, restate, type Movement } from "~/core/ledger";
import { ContainersOn, PickBody } from "~/core/entries";
import { IsoDay } from "~/core/calendar";
import { z } from "zod";
import type { Db } from "~/db/client.server";
import { restoreEnds, seasonById, withdrawEnds } from "~/db/beds/seasons.server";
import {
  insertLot,
  insertMovements,
  insertWeighing,
  lotById,
  lotsOfPick,
  movementsOf,
  updateLot,
  type LotRow,
} from "~/db/ledger/lots.server";
import { keepEarlier, pickById, updatePick, type PickRow } from "~/db/ledger/picks.server";
import { personName } from "../access/people.server";
import { applied, refused, type Applied } from "../entries/applied";
import { dayError } from "./log-pick.server";
import { pickAmount } from "./pick-amount.server";

/** A line as it should have been, from a form. */
export const CorrectionForm = z.object({
  outcome: PickBody.shape.outcome,
  tookAll: z.enum(["yes", "no"]).default("no").transform((v) => v === "yes"), // prettier-ignore
  estimated: z.enum(["yes", "no"]).default("no").transform((v) => v === "yes"), // prettier-ignore
  count: PickBody.shape.count,
  weight: PickBody.shape.weight,
  /** As JSON: kinds of containers, each with how many. */
  containers: z
    .string()
    .default("[]")
    .transform((text, context) => {
      const read = z.array(ContainersOn).max(8).safeParse(jsonIn(text));
      if (read.success) return read.data;
      context.addIssue({ code: "custom", message: "Choose containers of the list." });
      return z.NEVER;
    }),
  condition: PickBody.shape.condition,
  fate: PickBody.shape.fate,
  note: PickBody.shape.note,
  /** Not said: as it was. */
  person: z.string().max(200).transform(personName).optional(),
  on: IsoDay,
});
export type Correction = z.infer<typeof CorrectionForm>;

function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** The movements that made a lot's harvest. */
export function harvestIn(db: Db, lotId: string): Movement[] {
  return harvestOf(movementsOf(db, lotId));
}

/** Corrects a line; what it said before is kept. A season that was ended stays so: only an undo reopens it. */
export function correctPick(db: Db, pickId: string, to: Correction, today: IsoDay): Applied {
  const pick = pickById(db, pickId);
  const season = pick && seasonById(db, pick.seasonId);
  if (!pick || !season) return refused({ form: "This line is not in the ledger." });
  const wrong = dayError(db, { ...to, plantingId: season.plantingId }, season, to.on, today);
  if (wrong) return refused({ on: wrong });
  const nothing = to.outcome === "nothing ready";
  const read = nothing ? { status: "ok" as const, value: { grams: null, pieces: null, weighing: null, about: false } } : pickAmount(db, to); // prettier-ignore
  if (read.status === "refused") return refused(read.fields);
  const { grams, pieces, weighing, about } = read.value;
  const lot = lotById(db, pickId) ?? lotsOfPick(db, pickId)[0];
  db.transaction(() => {
    keepEarlier(db, pickId, earlierOf(db, pick, lot));
    updatePick(db, pickId, { outcome: to.outcome, tookAll: !nothing && to.tookAll, pickedOn: to.on, note: to.note, person: to.person === undefined ? pick.person : to.person }); // prettier-ignore
    if (!lot && nothing) return;
    if (!lot) insertLot(db, { id: pickId, pickId, condition: to.condition, fate: to.fate });
    const row = lot ?? lotById(db, pickId)!;
    const { condition, fate } = to;
    const estimated = to.estimated || about;
    insertMovements(
      db,
      restate(row.id, harvestIn(db, row.id), "corrected", to.on, { grams, pieces, estimated, fate, condition }),
    );
    updateLot(db, row.id, { condition, fate });
    if (weighing && (!estimated || weighing.containers.length > 0))
      insertWeighing(db, { id: crypto.randomUUID(), lotId: row.id, weighedAt: new Date().toISOString(), ...weighing });
  });
  return applied;
}

function earlierOf(db: Db, pick: PickRow, lot: LotRow | undefined) {
  const was = amountOf(lot ? harvestIn(db, lot.id) : []);
  const { outcome, pickedOn, tookAll, note, person } = pick;
  return { outcome, pickedOn, tookAll, note, person, grams: was.grams, pieces: was.pieces, estimated: isGuessed(was), fate: lot?.fate, condition: lot?.condition }; // prettier-ignore
}

/** Takes a line out of every total, and back the end it told; or puts both back. */
export function withdrawPick(db: Db, pickId: string, putBack = false): boolean {
  if (!pickById(db, pickId)) return false;
  db.transaction(() => {
    updatePick(db, pickId, { withdrawnAt: putBack ? null : new Date().toISOString() });
    if (putBack) restoreEnds(db, { pickId });
    else withdrawEnds(db, { pickId });
  });
  return true;
}
