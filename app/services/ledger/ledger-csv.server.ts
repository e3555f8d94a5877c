import Papa from "papaparse";
import type { Db } from "~/db/client.server";
import { allLines } from "./ledger-lines.server";

/** The ledger as an open file: one line a pick, SI units, dates as 2026-09-20; withdrawn lines left out. */
export function ledgerCsv(db: Db): string {
  const rows = allLines(db)
    .filter((l) => l.withdrawnAt === null)
    .map((l) => ({
      picked_on: l.pickedOn,
      crop: l.crop,
      variety: l.variety,
      bed: l.bed,
      outcome: l.outcome,
      net_grams: l.grams === null ? "" : Math.round(l.grams * 10) / 10,
      pieces: l.pieces ?? "",
      estimated: l.estimated ? "yes" : "no",
      gross_grams: l.grossGrams ?? "",
      containers: l.containers.reduce((sum, c) => sum + c.count, 0) || "",
      tare_grams: l.containers.reduce((sum, c) => sum + c.count * c.tareGrams, 0) || "",
      all_taken: l.tookAll ? "yes" : "no",
      condition: l.outcome === "picked" ? l.condition : "",
      fate: l.outcome === "picked" ? l.fate : "",
      label: l.label,
      season_crop: l.seasonCrop,
      note: l.note,
    }));
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}
