import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { containersInUse } from "~/db/ledger/containers.server";
import { ledgerRow, ledgerTotals, type TotalledBy } from "~/views/ledger/ledger-view";
import { bedsPage } from "../beds/beds-page.server";
import { todayOf } from "../garden/clock.server";
import { allLines } from "./ledger-lines.server";

/** The ledger with its totals, and the plantings that a pick can be logged for. */
export function ledgerPage(db: Db, garden: GardenRow, by: TotalledBy) {
  const lines = allLines(db);
  return {
    // What moved since the pick is shown on the line's own page.
    lines: lines.map(ledgerRow),
    totals: ledgerTotals(lines, by),
    by,
    today: todayOf(garden),
    units: garden.unitSystem,
    containers: containersInUse(db),
    growing: bedsPage(db, garden).flatMap((bed) =>
      bed.plantings
        .filter((p) => !p.finished)
        .map((p) => ({ id: p.id, words: `${bed.name}: ${p.crop}${p.variety ? `, ${p.variety}` : ""}` })),
    ),
  };
}
