import { z } from "zod";
import type { IsoDay } from "~/core/calendar";
import { FATES, USES, amountOf, mergeOf, moveOf, splitOf, usedUp, type LotChange, type LotState } from "~/core/ledger";
import { NO_VOLUME, readAmount } from "~/core/units";
import type { Db } from "~/db/client.server";
import { insertLot, insertMovements, lotById, movementsOf, updateLot, type LotRow } from "~/db/ledger/lots.server";
import { applied, refused, type Applied } from "../entries/applied";

/** What is done with a lot after the pick. */
export const LotForm = z
  .object({
    what: z.enum([...USES, "split", "merge", "move"], "Say what became of it."),
    lotId: z.string().min(1, "Say which lot."),
    /** Empty = all of it. */
    amount: z.string().trim().max(40, "Keep the amount short.").default(""),
    into: z.string().default(""),
    fate: z.enum(FATES, "Choose where it goes.").optional(),
  })
  .refine((f) => f.what !== "merge" || f.into, { error: "Say which lot it is put to.", path: ["into"] })
  .refine((f) => !["split", "move"].includes(f.what) || f.fate, { error: "Choose where it goes.", path: ["fate"] });
export type LotForm = z.infer<typeof LotForm>;

/** A lot with all that is in it now. */
export function lotState(db: Db, row: LotRow): LotState {
  return { lotId: row.id, fate: row.fate, condition: row.condition, ...amountOf(movementsOf(db, row.id)) };
}

/** Splits, merges, moves or uses up a lot; nothing appears or vanishes in it. */
export function changeLot(db: Db, form: LotForm, today: IsoDay): Applied {
  const row = lotById(db, form.lotId);
  if (!row) return refused({ form: "This lot is no longer there." });
  const change = changeOf(db, form, lotState(db, row), today);
  if (change.status === "refused") return refused({ amount: change.sentence });
  db.transaction(() => {
    const fate = form.fate ?? row.fate;
    const split = change.movements.find((m) => m.kind === "split in");
    if (split) insertLot(db, { id: split.lotId, pickId: row.pickId, condition: row.condition, fate });
    insertMovements(db, change.movements.map((m) => (m === split ? { ...m, fate } : m))); // prettier-ignore
    if (form.what === "move") updateLot(db, row.id, { fate });
  });
  return applied;
}

function changeOf(db: Db, form: LotForm, lot: LotState, today: IsoDay): LotChange {
  if (form.what === "move") return moveOf(lot, form.fate ?? lot.fate, today);
  if (form.what === "merge") {
    const into = lotById(db, form.into);
    return into ? mergeOf(lot, lotState(db, into), today) : { status: "refused", sentence: "That lot is no longer there." }; // prettier-ignore
  }
  const much = form.amount ? readAmount(form.amount) : { status: "all" as const };
  if (much.status === "not understood") return { status: "refused", sentence: much.sentence };
  if (much.status === "volume") return { status: "refused", sentence: NO_VOLUME };
  const amount =
    much.status === "all"
      ? { grams: lot.grams, pieces: lot.pieces }
      : much.status === "mass"
        ? { grams: much.grams, pieces: null }
        : { grams: null, pieces: much.count };
  return form.what === "split" ? splitOf(lot, crypto.randomUUID(), today, amount) : usedUp(lot, form.what, today, amount); // prettier-ignore
}
