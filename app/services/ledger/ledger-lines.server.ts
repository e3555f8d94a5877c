import type { Db } from "~/db/client.server";
import { allLots, allMovements, allWeighings } from "~/db/ledger/lots.server";
import { ledgerPicks } from "~/db/ledger/picks.server";
import { ledgerLines, type LedgerLine } from "~/views/ledger/ledger-view";
import { cropsOf } from "../garden/household-crops.server";

/** Every line of the ledger, the newest first. */
export function allLines(db: Db): LedgerLine[] {
  return linesOf(db);
}

/** The line of one pick, if there is such. */
export function pickLines(db: Db, pickId: string): LedgerLine[] {
  return linesOf(db, pickId);
}

function linesOf(db: Db, pickId?: string): LedgerLine[] {
  const record = {
    picks: ledgerPicks(db, pickId),
    lots: allLots(db, pickId),
    movements: allMovements(db, pickId),
    weighings: allWeighings(db, pickId),
  };
  return ledgerLines(record, cropsOf(db));
}
