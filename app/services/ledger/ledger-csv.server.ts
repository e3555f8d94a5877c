import Papa from "papaparse";
import type { Db } from "~/db/client.server";
import type { LedgerMark } from "~/db/ledger/picks-in-order.server";
import type { LedgerLine } from "~/views/ledger/ledger-view";
import { linesAfter } from "./ledger-lines.server";

/** Its columns. */
export const CSV_HEAD = [
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
  "picked_by",
] as const;

function rowOf(l: LedgerLine): Record<(typeof CSV_HEAD)[number], string | number> {
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
    picked_by: l.person ?? "",
  };
}

export interface CsvPart {
  text: string;
  /** Whatever comes after this line; null once all is there. */
  last: LedgerMark | null;
}

/** The lines that follow one, of the ledger as an open file: SI units, dates as 2026-09-20; withdrawn ones left out. */
export function csvPart(db: Db, after: LedgerMark | null): CsvPart {
  const { lines, last } = linesAfter(db, after);
  const rows = lines.filter((l) => l.withdrawnAt === null).map(rowOf);
  const text = rows.length > 0 ? `${Papa.unparse({ fields: [...CSV_HEAD], data: rows }, { escapeFormulae: true, header: false })}\r\n` : ""; // prettier-ignore
  return { text, last };
}
