import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Total } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import { Fold } from "~/ui/shell/Fold";
import { Action, ActionLink, Bar, Choice, Page, PageName, TextInput } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { LedgerRow, TotalledBy } from "~/views/ledger/ledger-view";
import { Containers } from "./Containers";
import { LedgerTable } from "./LedgerTable";
import { TotalsStrip } from "./TotalsStrip";

interface LedgerPageProps {
  lines: LedgerRow[];
  totals: Total[];
  by: TotalledBy;
  today: string;
  units: UnitSystem;
  containers: ContainerToChoose[];
  /** Plantings a pick can be logged for. */
  growing: { id: string; words: string }[];
}

/** Every pick: when, what, where, how much; sorted, searched, summed, corrected, taken out as a file. */
export function LedgerPage({ lines, totals, by, today, units, containers, growing }: LedgerPageProps) {
  const [search, setSearch] = useState("");
  return (
    <Page width="wide">
      <Bar gap="10px 20px" marginBottom="12px">
        <PageName marginRight="auto">Ledger</PageName>
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
      </Bar>
      {growing.length > 0 && <LogFor growing={growing} />}
      {lines.length === 0 ? (
        <p>Nothing picked yet. What you log on a round or at a check stands here.</p>
      ) : (
        <>
          <TotalsStrip totals={totals} by={by} units={units} />
          <LedgerTable lines={lines} units={units} today={today} search={search} />
        </>
      )}
      <Box marginTop="14px" maxWidth="640px">
        <Fold quiet summary="Crates and baskets">
          <Containers containers={containers} units={units} />
        </Fold>
      </Box>
    </Page>
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
