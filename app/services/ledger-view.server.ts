import { desc, eq } from "drizzle-orm";
import { totalsBy } from "~/core/ledger";
import type { Db } from "~/db/client.server";
import { bed, pick, planting } from "~/db/schema.server";
import { cropsOf } from "./household-crops.server";

export type LedgerLine = ReturnType<typeof ledgerLines>[number];

/** Every line of the ledger, newest first, withdrawn ones included and marked. */
export function ledgerLines(db: Db) {
  const crops = cropsOf(db);
  return db
    .select()
    .from(pick)
    .innerJoin(planting, eq(pick.plantingId, planting.id))
    .innerJoin(bed, eq(planting.bedId, bed.id))
    .orderBy(desc(pick.pickedOn), desc(pick.loggedAt))
    .all()
    .map((row) => ({
      ...row.pick,
      crop: crops.find((c) => c.id === row.planting.cropId)?.name ?? row.planting.cropId,
      variety: row.planting.variety,
      bed: row.bed.name,
    }));
}

/** Totals over the lines that stand. */
export function ledgerTotals(lines: readonly LedgerLine[], by: "crop" | "bed") {
  return totalsBy(
    lines
      .filter((l) => l.withdrawnAt === null && l.outcome === "picked")
      .map((l) => ({ key: l[by], grams: l.grams, pieces: l.pieces, estimated: l.estimated })),
  ).sort((a, b) => b.weighedGrams + b.estimatedGrams - a.weighedGrams - a.estimatedGrams || b.pieces - a.pieces);
}
