import { Box } from "@chakra-ui/react";
import { Form, useSubmit } from "react-router";
import type { Total } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import { Bar, Choice, QuietSpan, Sheet } from "~/ui/theme/parts";
import { TOTALLED_BY } from "~/views/ledger/ledger-view";
import { counted, sayMass } from "~/views/words";
import { unusual, type LedgerAsked } from "./ledger-address";

interface TotalsStripProps {
  totals: Total[];
  asked: LedgerAsked;
  units: UnitSystem;
}

/** Totals; weighed, estimated, counted and spoilt never mix. */
export function TotalsStrip({ totals, asked, units }: TotalsStripProps) {
  const submit = useSubmit();
  return (
    <Sheet aria-label="Totals" padding="10px 14px" marginBottom="14px">
      <Form method="get" onChange={(e) => void submit(e.currentTarget, { preventScrollReset: true })}>
        {unusual({ ...asked, by: "crop" }).map(([name, value]) => (
          <input key={name} type="hidden" name={name} value={value} />
        ))}
        <Choice name="by" aria-label="Totals by" defaultValue={asked.by} width="auto" marginBottom="8px">
          {TOTALLED_BY.map((key) => (
            <option key={key} value={key}>
              by {key}
            </option>
          ))}
        </Choice>
      </Form>
      <Bar gap="8px 26px">
        {totals.map((t) => (
          <OneTotal key={t.key} total={t} units={units} />
        ))}
      </Bar>
    </Sheet>
  );
}

function OneTotal({ total: t, units }: { total: Total; units: UnitSystem }) {
  const harvest = [t.weighedGrams ? sayMass(t.weighedGrams, units) : "", t.pieces ? counted(t.pieces, "piece") : ""];
  const spoilt = [t.spoiltGrams ? sayMass(t.spoiltGrams, units) : "", t.spoiltPieces ? counted(t.spoiltPieces, "piece") : ""]; // prettier-ignore
  return (
    <Box>
      <QuietSpan fontSize="0.95rem" display="block">
        {t.key}
      </QuietSpan>
      <strong>{harvest.filter(Boolean).join(", ")}</strong>
      {t.estimatedGrams > 0 && <span> + about {sayMass(t.estimatedGrams, units)}</span>}
      {spoilt.some(Boolean) && (
        <QuietSpan display="block" size="small">
          spoilt {spoilt.filter(Boolean).join(", ")}
        </QuietSpan>
      )}
    </Box>
  );
}
