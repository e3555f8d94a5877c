import { Box, chakra } from "@chakra-ui/react";
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from "@tanstack/react-table";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { shortDay } from "~/core/calendar";
import type { Total } from "~/core/ledger";
import { sayMass, type UnitSystem } from "~/core/units";
import type { LedgerLine } from "~/services/ledger-view.server";
import { Choice, TextInput } from "~/ui/forms/Field";
import { Action, ActionLink } from "~/ui/shell/Action";

/** On a phone a row is two lines: what and how much; then day, bed, where it goes, and the way to correct it. */
const PHONE_ROW = {
  "@media (max-width: 767px)": {
    borderBottom: "1px solid var(--chakra-colors-line)",
    padding: "8px 0",
    "& td": { border: "none", padding: "1px 0" },
    "& td:nth-of-type(1)": { gridArea: "2 / 1" },
    "& td:nth-of-type(2)": { gridArea: "1 / 1", fontWeight: 700 },
    "& td:nth-of-type(3)": { gridArea: "3 / 1", color: "var(--chakra-colors-soft)" },
    "& td:nth-of-type(4), & td:nth-of-type(5)": { gridArea: "1 / 2", textAlign: "right", fontWeight: 700 },
    "& td:nth-of-type(6)": { display: "none" },
    "& td:nth-of-type(7)": { gridArea: "2 / 2", textAlign: "right" },
    "& td:nth-of-type(8)": { gridArea: "3 / 2", textAlign: "right" },
  },
};

const column = createColumnHelper<LedgerLine>();

function columns(units: UnitSystem) {
  return [
    // The ISO day sorts, the spoken one is read and found.
    column.accessor((l) => `${l.pickedOn} ${shortDay(l.pickedOn)}`, {
      id: "day",
      header: "Day",
      cell: ({ row }) => <time dateTime={row.original.pickedOn}>{shortDay(row.original.pickedOn)}</time>,
    }),
    column.accessor((l) => (l.variety ? `${l.crop}, ${l.variety}` : l.crop), { id: "crop", header: "What" }),
    column.accessor("bed", { header: "Where" }),
    column.accessor((l) => l.grams ?? -1, {
      id: "grams",
      header: "Weight",
      cell: ({ row }) => weightOf(row.original, units),
      enableGlobalFilter: false,
    }),
    column.accessor((l) => l.pieces ?? -1, {
      id: "pieces",
      header: "Pieces",
      cell: ({ row }) => row.original.pieces ?? "",
      enableGlobalFilter: false,
    }),
    column.accessor("condition", {
      header: "Condition",
      cell: (c) => (c.row.original.outcome === "nothing ready" ? "" : c.getValue()),
    }),
    column.accessor("fate", {
      header: "Goes to",
      cell: (c) => (c.row.original.outcome === "nothing ready" ? "" : c.getValue()),
    }),
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

function weightOf(line: LedgerLine, units: UnitSystem): string {
  if (line.outcome === "nothing ready") return "nothing ready";
  if (line.grams === null) return "";
  const tare = line.grossGrams === null ? "" : ` (gross ${sayMass(line.grossGrams, units)})`;
  return `${line.estimated ? "about " : ""}${sayMass(line.grams, units)}${tare}`;
}

interface LedgerPageProps {
  lines: LedgerLine[];
  totals: Total[];
  units: UnitSystem;
  /** Plantings a pick can be logged for. */
  growing: { id: string; words: string }[];
}

/** Every pick: when, what, where, how much; sorted, searched, summed, corrected, taken out as a file. */
export function LedgerPage({ lines, totals, units, growing }: LedgerPageProps) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const [search, setSearch] = useState("");
  const table = useReactTable({
    data: lines,
    columns: columns(units),
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  return (
    <Box maxWidth="1180px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <Box display="flex" flexWrap="wrap" gap="10px 20px" alignItems="center" marginBottom="12px">
        <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }} marginRight="auto">
          Ledger
        </chakra.h1>
        <TextInput
          aria-label="Search the ledger"
          placeholder="Search crop, bed, day"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
          width={{ base: "100%", md: "240px" }}
        />
        <ActionLink href="/ledger.csv" download>
          Take out as CSV
        </ActionLink>
      </Box>
      {growing.length > 0 && <LogFor growing={growing} />}
      {lines.length === 0 ? (
        <p>Nothing picked yet. What you log on a round or at a check stands here.</p>
      ) : (
        <>
          <TotalsStrip totals={totals} units={units} />
          <Box overflowX="auto">
            <chakra.table
              width="100%"
              borderCollapse="collapse"
              css={{
                "& th, & td": {
                  textAlign: "left",
                  padding: "9px 14px 9px 0",
                  borderBottom: "1px solid var(--chakra-colors-line)",
                  verticalAlign: "top",
                },
              }}
            >
              <chakra.thead display={{ base: "none", md: "table-header-group" }}>
                {table.getHeaderGroups().map((group) => (
                  <tr key={group.id}>
                    {group.headers.map((header) => (
                      <th
                        key={header.id}
                        aria-sort={
                          header.column.getIsSorted() === "asc"
                            ? "ascending"
                            : header.column.getIsSorted() === "desc"
                              ? "descending"
                              : "none"
                        }
                      >
                        {header.column.getCanSort() ? (
                          <chakra.button
                            type="button"
                            onClick={header.column.getToggleSortingHandler()}
                            fontWeight="700"
                            background="none"
                            border="none"
                            padding="0"
                            cursor="pointer"
                            color="ink"
                            minHeight="28px"
                          >
                            {flexRender(header.column.columnDef.header, header.getContext())}
                            <span aria-hidden>
                              {{ asc: " ↑", desc: " ↓" }[String(header.column.getIsSorted())] ?? ""}
                            </span>
                          </chakra.button>
                        ) : (
                          flexRender(header.column.columnDef.header, header.getContext())
                        )}
                      </th>
                    ))}
                  </tr>
                ))}
              </chakra.thead>
              <tbody>
                {table.getRowModel().rows.map((row) => (
                  <chakra.tr
                    key={row.id}
                    opacity={row.original.withdrawnAt ? 0.6 : 1}
                    textDecoration={row.original.withdrawnAt ? "line-through" : "none"}
                    display={{ base: "grid", md: "table-row" }}
                    gridTemplateColumns="1fr auto"
                    css={PHONE_ROW}
                  >
                    {row.getVisibleCells().map((cell) => (
                      <td key={cell.id}>{flexRender(cell.column.columnDef.cell, cell.getContext())}</td>
                    ))}
                  </chakra.tr>
                ))}
              </tbody>
            </chakra.table>
            {table.getRowModel().rows.length === 0 && <p>No line has “{search}” in it.</p>}
          </Box>
        </>
      )}
    </Box>
  );
}

/** Logs a pick that was not part of a round: choose the planting, then say what came off and when. */
function LogFor({ growing }: Pick<LedgerPageProps, "growing">) {
  const go = useNavigate();
  return (
    <chakra.form
      display="flex"
      gap="10px"
      marginBottom="14px"
      maxWidth="640px"
      onSubmit={(event) => {
        event.preventDefault();
        const chosen = new FormData(event.currentTarget).get("planting");
        if (typeof chosen === "string" && chosen) void go(`/check/${chosen}`);
      }}
    >
      <Choice name="planting" aria-label="Planting to log a pick for">
        {growing.map((p) => (
          <option key={p.id} value={p.id}>
            {p.words}
          </option>
        ))}
      </Choice>
      <Action type="submit" flex="none">
        Log a pick
      </Action>
    </chakra.form>
  );
}

/** Totals by crop; weighed, estimated and counted never mix. */
function TotalsStrip({ totals, units }: { totals: Total[]; units: UnitSystem }) {
  return (
    <Box
      display="flex"
      flexWrap="wrap"
      gap="8px 26px"
      padding="10px 14px"
      marginBottom="14px"
      background="card"
      border="1px solid"
      borderColor="line"
      borderRadius="seed"
    >
      {totals.map((t) => (
        <Box key={t.key}>
          <chakra.span color="soft" fontSize="0.95rem" display="block">
            {t.key}
          </chakra.span>
          <strong>
            {[t.weighedGrams ? sayMass(t.weighedGrams, units) : "", t.pieces ? `${t.pieces} pieces` : ""]
              .filter(Boolean)
              .join(", ")}
          </strong>
          {t.estimatedGrams > 0 && <span> + about {sayMass(t.estimatedGrams, units)}</span>}
        </Box>
      ))}
    </Box>
  );
}
