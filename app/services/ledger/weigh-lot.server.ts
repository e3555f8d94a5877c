import { amountOf, restate } from "~/core/ledger";
import type { Entry } from "~/core/entries";
import type { Db } from "~/db/client.server";
import {
  insertMovements,
  insertWeighing,
  lotById,
  restatedAfter,
  updateLot,
  weighingById,
} from "~/db/ledger/lots.server";
import { applied, refused, type Applied } from "../entries/applied";
import type { EntryDay } from "../entries/entry-day.server";
import { harvestIn } from "./correct-pick.server";
import { pickAmount } from "./pick-amount.server";

/**
 * A lot goes on the scale after it was logged: what was guessed gives way to what it weighs. A lot that has not
 * arrived yet is waited for.
 */
export function weighLot(db: Db, entry: Extract<Entry, { kind: "weighing" }>, { day }: EntryDay): Applied {
  if (weighingById(db, entry.id)) return applied;
  const lot = lotById(db, entry.lotId);
  if (!lot) return { status: "not now" };
  if (!entry.weight) return refused({ weight: "Say how much it weighs, for example 840 g." });
  const read = pickAmount(db, entry);
  if (read.status === "refused") return refused(read.fields);
  const harvest = harvestIn(db, lot.id);
  const { grams, pieces, weighing } = read.value;
  db.transaction(() => {
    const now = {
      grams,
      pieces: pieces ?? amountOf(harvest).pieces,
      estimated: false,
      fate: lot.fate,
      condition: lot.condition,
    };
    insertWeighing(db, { id: entry.id, lotId: lot.id, weighedAt: entry.at, ...weighing! });
    // What was weighed or corrected after it holds, though this comes later.
    if (restatedAfter(db, lot.id, entry.at)) return;
    insertMovements(db, restate(lot.id, harvest, "weighed", day, now), entry.at);
    if (entry.label !== undefined) updateLot(db, lot.id, { label: entry.label });
  });
  return applied;
}
