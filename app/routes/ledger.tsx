import type { Route } from "./+types/ledger";
import { bedsView } from "~/services/beds-view.server";
import { knownGarden } from "~/services/known-garden.server";
import { ledgerLines, ledgerTotals } from "~/services/ledger-view.server";
import { LedgerPage } from "~/ui/ledger/LedgerPage";

export const meta: Route.MetaFunction = () => [{ title: "Ledger · Akmedon" }];

export function loader() {
  const { db, garden } = knownGarden();
  const lines = ledgerLines(db);
  return {
    lines,
    totals: ledgerTotals(lines, "crop"),
    units: garden.unitSystem,
    growing: bedsView(db, garden).flatMap((bed) =>
      bed.plantings
        .filter((p) => !p.finished)
        .map((p) => ({ id: p.id, words: `${bed.name}: ${p.crop}${p.variety ? `, ${p.variety}` : ""}` })),
    ),
  };
}

export default function Ledger({ loaderData }: Route.ComponentProps) {
  return <LedgerPage {...loaderData} />;
}
