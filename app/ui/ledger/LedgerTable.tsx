import { Box, chakra } from "@chakra-ui/react";
import { flexRender, getCoreRowModel, useReactTable, type Header } from "@tanstack/react-table";
import { useMemo } from "react";
import { Link } from "react-router";
import { LEDGER_SORTS } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import { Figures } from "~/ui/theme/parts";
import type { LedgerRow } from "~/views/ledger/ledger-view";
import { ledgerAddress, type LedgerAsked } from "./ledger-address";
import { ledgerColumns } from "./ledger-columns";

/** How lines look, once for all of them. On a phone a line is a few: what and how much; day and where it goes; bed, condition; the note. */
const LINES = {
  "& th, & td": { padding: "9px 14px 9px 0" },
  "& tr[data-withdrawn]": { opacity: 0.6, textDecoration: "line-through" },
  "@media (max-width: 767px)": {
    "& tbody tr": { display: "grid", gridTemplateColumns: "1fr auto", borderBottom: "1px solid var(--chakra-colors-line)", padding: "8px 0" },
    "& td": { border: "none", padding: "1px 0" },
    "& td[data-of=day]": { gridArea: "2 / 1" },
    "& td[data-of=crop]": { gridArea: "1 / 1", fontWeight: 700 },
    "& td[data-of=bed]": { gridArea: "3 / 1", color: "var(--chakra-colors-soft)" },
    "& td[data-of=grams], & td[data-of=pieces]": { gridArea: "1 / 2", textAlign: "right", fontWeight: 700 },
    "& td[data-of=condition]": { gridArea: "3 / 2", textAlign: "right", color: "var(--chakra-colors-soft)" },
    "& td[data-of=fate]": { gridArea: "2 / 2", textAlign: "right" },
    "& td[data-of=note]": { gridArea: "5 / 1", overflowWrap: "anywhere" },
    "& td[data-of=change]": { gridArea: "4 / 2", textAlign: "right" },
    "& td[data-of=person]": { gridArea: "4 / 1", color: "var(--chakra-colors-soft)" },
  },
} as const; // prettier-ignore

interface LedgerTableProps {
  lines: LedgerRow[];
  units: UnitSystem;
  today: string;
  asked: LedgerAsked;
  /** Whether more than one person picks here. */
  withPeople: boolean;
}

/** A page of picks: when, what, where, how much; put in another order by its heads. */
export function LedgerTable({ lines, units, today, asked, withPeople }: LedgerTableProps) {
  const columns = useMemo(() => ledgerColumns(units, today, withPeople), [units, today, withPeople]);
  const table = useReactTable({ data: lines, columns, getCoreRowModel: getCoreRowModel(), manualSorting: true });
  const { rows } = table.getRowModel();
  return (
    <Box overflowX="auto">
      <Figures width="100%" css={LINES}>
        <chakra.thead display={{ base: "none", md: "table-header-group" }}>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <Head key={header.id} header={header} asked={asked} />
              ))}
            </tr>
          ))}
        </chakra.thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} data-withdrawn={row.original.withdrawnAt ? true : undefined}>
              {row.getVisibleCells().map((cell) => (
                <td key={cell.id} data-of={cell.column.id}>
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Figures>
    </Box>
  );
}

const SORTED = { up: ["ascending", " ↑"], down: ["descending", " ↓"] } as const;

const HeadLink = chakra(Link, {
  base: { fontWeight: 700, color: "ink", textDecoration: "none", display: "inline-block", minHeight: "28px" },
});

/** The head of a column, by which the lines are put in order; asked again, the other way round. */
function Head({ header, asked }: { header: Header<LedgerRow, unknown>; asked: LedgerAsked }) {
  const sort = LEDGER_SORTS.find((by) => by === header.column.id);
  const name = flexRender(header.column.columnDef.header, header.getContext());
  if (!sort) return name ? <th scope="col">{name}</th> : <td />;
  const sorted = asked.sort === sort;
  const [spoken, arrow] = sorted ? SORTED[asked.order] : (["none", ""] as const);
  const first = sort === "day" ? "down" : "up";
  const order = sorted ? (asked.order === "up" ? "down" : "up") : first;
  return (
    <th aria-sort={spoken}>
      <HeadLink to={ledgerAddress(asked, { sort, order })} preventScrollReset>
        {name}
        <span aria-hidden>{arrow}</span>
      </HeadLink>
    </th>
  );
}
