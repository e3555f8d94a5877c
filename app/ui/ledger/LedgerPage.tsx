import { Box, chakra } from "@chakra-ui/react";
import { useNavigate } from "react-router";
import type { Total } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import { Fold } from "~/ui/shell/Fold";
import { Action, ActionLink, Bar, Choice, Page, PageName } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { LedgerRow, LedgerShown } from "~/views/ledger/ledger-view";
import { Containers } from "./Containers";
import { LedgerPager } from "./LedgerPager";
import { LedgerSearch } from "./LedgerSearch";
import { LedgerTable } from "./LedgerTable";
import { TotalsStrip } from "./TotalsStrip";
import type { LedgerAsked } from "./ledger-address";

interface LedgerPageProps {
  /** One page of them. */
  lines: LedgerRow[];
  shown: LedgerShown;
  asked: LedgerAsked;
  /** Whether there is no line at all. */
  empty: boolean;
  totals: Total[];
  today: string;
  units: UnitSystem;
  containers: ContainerToChoose[];
  /** Who picks here; none in a household of one. */
  people: string[];
  /** Plantings a pick can be logged for. */
  growing: { id: string; words: string }[];
}

/** Every pick: when, what, where, how much; sorted, searched, summed, corrected, taken out as a file. */
export function LedgerPage({
  lines,
  shown,
  asked,
  empty,
  totals,
  today,
  units,
  containers,
  people,
  growing,
}: LedgerPageProps) {
  // prettier-ignore
  return (
    <Page width="wide">
      <Bar gap="10px 20px" marginBottom="12px">
        <PageName marginRight="auto">Ledger</PageName>
        <LedgerSearch asked={asked} />
        <ActionLink href="/ledger.csv" download>
          Take out as CSV
        </ActionLink>
      </Bar>
      {growing.length > 0 && <LogFor growing={growing} />}
      {empty ? (
        <p>Nothing picked yet. What you log on a round or at a check stands here.</p>
      ) : (
        <>
          <TotalsStrip totals={totals} asked={asked} units={units} />
          {lines.length > 0 && <LedgerTable lines={lines} units={units} today={today} asked={asked} withPeople={people.length > 0} />}
          <LedgerPager shown={shown} asked={asked} />
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
