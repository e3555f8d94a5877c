import { linesAfter, linesOf } from "~/services/ledger/ledger-lines.server";
import type { Db } from "~/db/client.server";
import type { LedgerLine } from "~/views/ledger/ledger-view";

/** Every line, the newest first. */
export function allLines(db: Db): LedgerLine[] {
  const all: LedgerLine[] = [];
  for (let after = linesAfter(db, null); after.last; after = linesAfter(db, after.last)) all.push(...after.lines);
  return all;
}

/** The line of one pick, if there is such. */
export const pickLines = (db: Db, pickId: string): LedgerLine[] => linesOf(db, [pickId]);
