import type { Db } from "~/db/client.server";
import { lotsOfPicks, movementsOfPicks, weighingsOfPicks } from "~/db/ledger/lots.server";
import { pickMarksAfter, type LedgerMark } from "~/db/ledger/picks-in-order.server";
import { ledgerPicks } from "~/db/ledger/picks.server";
import { ledgerLines, type LedgerLine } from "~/views/ledger/ledger-view";
import { cropsOf } from "../garden/household-crops.server";

/** Lines read at once where all are wanted. */
const LINES_AT_ONCE = 500;

/** The lines of some picks, in the order of their ids; one that is not there is left out. */
export function linesOf(db: Db, pickIds: readonly string[]): LedgerLine[] {
  const record = {
    picks: ledgerPicks(db, pickIds),
    lots: lotsOfPicks(db, pickIds),
    movements: movementsOfPicks(db, pickIds),
    weighings: weighingsOfPicks(db, pickIds),
  };
  const lines = new Map(ledgerLines(record, cropsOf(db)).map((line) => [line.id, line]));
  return pickIds.flatMap((id) => lines.get(id) ?? []);
}

/** Some lines that follow one in the ledger, the newest first; none to follow: `last` is null. */
export function linesAfter(db: Db, after: LedgerMark | null): { lines: LedgerLine[]; last: LedgerMark | null } {
  const marks = pickMarksAfter(db, after ?? undefined, LINES_AT_ONCE);
  return { lines: linesOf(db, marks.map((m) => m.id)), last: marks.at(-1) ?? null }; // prettier-ignore
}
