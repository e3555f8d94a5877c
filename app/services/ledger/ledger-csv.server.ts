import { setImmediate } from "node:timers/promises";
import Papa from "papaparse";
import type { Db } from "~/db/client.server";
import type { LedgerLine } from "~/views/ledger/ledger-view";
import { linesInTurn } from "./ledger-lines.server";

const HEAD = [
  "picked_on",
  "crop",
  "variety",
  "bed",
  "outcome",
  "net_grams",
  "pieces",
  "estimated",
  "gross_grams",
  "containers",
  "tare_grams",
  "all_taken",
  "condition",
  "fate",
  "label",
  "season_crop",
  "note",
] as const;

function rowOf(l: LedgerLine): Record<(typeof HEAD)[number], string | number> {
  return {
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
  };
}

/**
 * The ledger as an open file, in parts: one line a pick, SI units, dates as 2026-09-20; withdrawn lines left out. Other
 * requests are answered between the parts.
 */
export async function* ledgerCsv(db: Db): AsyncGenerator<string> {
  yield `${HEAD.join(",")}\r\n`;
  for (const lines of linesInTurn(db)) {
    const rows = lines.filter((l) => l.withdrawnAt === null).map(rowOf);
    if (rows.length > 0)
      yield `${Papa.unparse({ fields: [...HEAD], data: rows }, { escapeFormulae: true, header: false })}\r\n`;
    await setImmediate();
  }
}
