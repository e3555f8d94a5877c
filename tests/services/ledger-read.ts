import { linesInTurn, linesOf } from "~/services/ledger/ledger-lines.server";
import type { Db } from "~/db/client.server";
import type { LedgerLine } from "~/views/ledger/ledger-view";

/** Every line, the newest first. */
export const allLines = (db: Db): LedgerLine[] => [...linesInTurn(db)].flat();

/** The line of one pick, if there is such. */
export const pickLines = (db: Db, pickId: string): LedgerLine[] => linesOf(db, [pickId]);
