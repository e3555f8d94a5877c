import Papa from "papaparse";
import { knownGarden } from "~/services/known-garden.server";
import { ledgerLines } from "~/services/ledger-view.server";

/** The ledger as an open file: one line a pick, SI units, dates as 2026-09-20; withdrawn lines left out. */
export function loader() {
  const { db } = knownGarden();
  const rows = ledgerLines(db)
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
      containers: l.containerCount ?? "",
      tare_grams_each: l.tareGrams ?? "",
      all_taken: l.tookAll ? "yes" : "no",
      condition: l.condition,
      fate: l.fate,
      note: l.note,
    }));
  const csv = Papa.unparse(rows, { escapeFormulae: true });
  return new Response(`${csv}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="akmedon-ledger.csv"',
    },
  });
}
