import { createColumnHelper } from "@tanstack/react-table";
import { Link } from "react-router";
import type { UnitSystem } from "~/core/units";
import type { LedgerRow } from "~/views/ledger/ledger-view";
import { cropAndVariety, sayInUnits, sayMass, shortDay } from "~/views/words";

const column = createColumnHelper<LedgerRow>();

/** The ledger's columns, with who picked where more than one does; the lines come in their order. */
export function ledgerColumns(units: UnitSystem, today: string, withPeople: boolean) {
  const picked = (line: LedgerRow, words: string) => (line.outcome === "nothing ready" ? "" : words);
  const day = (on: string) => sayInUnits(shortDay(on, today), units);
  return [
    column.accessor("pickedOn", {
      id: "day",
      header: "Day",
      cell: ({ row }) => <time dateTime={row.original.pickedOn}>{day(row.original.pickedOn)}</time>,
    }),
    column.accessor((l) => cropAndVariety(l.crop, l.variety), { id: "crop", header: "What" }),
    column.accessor("bed", { header: "Where" }),
    column.accessor((l) => l.grams ?? -1, {
      id: "grams",
      header: "Weight",
      cell: ({ row }) => weightOf(row.original, units),
    }),
    column.accessor((l) => l.pieces ?? -1, {
      id: "pieces",
      header: "Pieces",
      cell: ({ row }) => row.original.pieces ?? "",
    }),
    column.accessor("condition", { header: "Condition", cell: (c) => picked(c.row.original, c.getValue()) }),
    column.accessor("fate", { header: "Goes to", cell: (c) => picked(c.row.original, c.getValue()) }),
    column.accessor("note", { header: "Note" }),
    ...(withPeople ? [column.accessor("person", { header: "Who", cell: (c) => c.getValue() ?? "" })] : []),
    column.display({
      id: "change",
      header: "",
      cell: ({ row }) => (
        <Link to={`/ledger/${row.original.id}`} aria-label={`Correct ${row.original.crop} of ${row.original.pickedOn}`}>
          Correct
        </Link>
      ),
    }),
  ];
}

function weightOf(line: LedgerRow, units: UnitSystem): string {
  if (line.outcome === "nothing ready") return "nothing ready";
  if (line.grams === null) return "";
  const tare = line.grossGrams === null ? "" : ` (gross ${sayMass(line.grossGrams, units)})`;
  return `${line.estimated ? "about " : ""}${sayMass(line.grams, units)}${tare}`;
}
