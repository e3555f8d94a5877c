import type { Total } from "~/core/ledger";
import type { Db } from "~/db/client.server";
import { harvestSums } from "~/db/ledger/picks.server";
import { ledgerTotals, type TotalledBy } from "~/views/ledger/ledger-view";
import { cropsOf } from "../garden/household-crops.server";

/** The ledger's totals, from what each season gave. */
export function totalsOf(db: Db, by: TotalledBy): Total[] {
  return ledgerTotals(harvestSums(db, by), by, cropsOf(db));
}
