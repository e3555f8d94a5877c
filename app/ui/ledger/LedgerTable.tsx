import { Box, chakra } from "@chakra-ui/react";
import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type Header,
  type SortingState,
} from "@tanstack/react-table";
import { useMemo, useState } from "react";
import type { UnitSystem } from "~/core/units";
import { Figures } from "~/ui/theme/parts";
import type { LedgerRow } from "~/views/ledger/ledger-view";
import { ledgerColumns } from "./ledger-columns";

/** On a phone a row is a few lines: what and how much; day and where it goes; bed, condition; the note. */
const PHONE_ROW = {
  "@media (max-width: 767px)": {
    borderBottom: "1px solid var(--chakra-colors-line)",
    padding: "8px 0",
    "& td": { border: "none", padding: "1px 0" },
    "& td:nth-of-type(1)": { gridArea: "2 / 1" },
    "& td:nth-of-type(2)": { gridArea: "1 / 1", fontWeight: 700 },
    "& td:nth-of-type(3)": { gridArea: "3 / 1", color: "var(--chakra-colors-soft)" },
    "& td:nth-of-type(4), & td:nth-of-type(5)": { gridArea: "1 / 2", textAlign: "right", fontWeight: 700 },
    "& td:nth-of-type(6)": { gridArea: "3 / 2", textAlign: "right", color: "var(--chakra-colors-soft)" },
    "& td:nth-of-type(7)": { gridArea: "2 / 2", textAlign: "right" },
    "& td:nth-of-type(8)": { gridArea: "4 / 1", overflowWrap: "anywhere" },
    "& td:nth-of-type(9)": { gridArea: "4 / 2", textAlign: "right" },
  },
};

interface LedgerTableProps {
  lines: LedgerRow[];
  units: UnitSystem;
  today: string;
  search: string;
}

/** Every pick: when, what, where, how much; sorted by its heads and narrowed by what is searched. */
export function LedgerTable({ lines, units, today, search }: LedgerTableProps) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const columns = useMemo(() => ledgerColumns(units, today), [units, today]);
  const table = useReactTable({
    data: lines,
    columns,
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const { rows } = table.getRowModel();
  return (
    <Box overflowX="auto">
      <Figures width="100%" css={{ "& th, & td": { padding: "9px 14px 9px 0" } }}>
        <chakra.thead display={{ base: "none", md: "table-header-group" }}>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <Head key={header.id} header={header} />
              ))}
            </tr>
          ))}
        </chakra.thead>
        <tbody>
          {rows.map((row) => (
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
      </Figures>
      {rows.length === 0 && <p>No line has “{search}” in it.</p>}
    </Box>
  );
}

const SORTED = { asc: ["ascending", " ↑"], desc: ["descending", " ↓"] } as const;

function Head({ header }: { header: Header<LedgerRow, unknown> }) {
  const sorted = header.column.getIsSorted();
  const [spoken, arrow] = sorted ? SORTED[sorted] : (["none", ""] as const);
  const name = flexRender(header.column.columnDef.header, header.getContext());
  if (!header.column.getCanSort()) return <td>{name}</td>;
  return (
    <th aria-sort={spoken}>
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
        {name}
        <span aria-hidden>{arrow}</span>
      </chakra.button>
    </th>
  );
}
