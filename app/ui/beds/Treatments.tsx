import { Box, chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import { Field } from "~/ui/forms/Field";
import { FormAnswer, type FormTold } from "~/ui/forms/FormAnswer";
import { Action, Bar, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import type { UnitSystem } from "~/core/units";
import { sayInUnits, shortDay } from "~/views/words";

/** A treatment as it is shown, with the day it ends. */
export interface TreatmentShown {
  id: string;
  product: string;
  treatedOn: string;
  intervalDays: number;
  until: string;
  withdrawnAt: string | null;
}

interface TreatmentsProps {
  treatments: TreatmentShown[];
  today: string;
  units: UnitSystem;
}

/** Treatments of a planting: while a label’s interval runs, nothing of it is picked. */
export function Treatments({ treatments, today, units }: TreatmentsProps) {
  const day = (on: string) => sayInUnits(shortDay(on, today), units);
  const fetcher = useFetcher<FormTold>();
  const errors = fetcher.data?.errors ?? {};
  return (
    <Card title="Sprayed or treated">
      <chakra.p margin="0 0 8px">
        The product’s label says how many days must pass before picking, and who may go near it when. It has the last
        word; products allowed in organic growing have such days too.
      </chakra.p>
      {treatments.map((t) => (
        <Bar key={t.id} gap="0 10px">
          <chakra.span flex="1 1 240px" textDecoration={t.withdrawnAt ? "line-through" : "none"}>
            <strong>{t.product}</strong>, {day(t.treatedOn)}, {t.intervalDays} days:{" "}
            {t.until > today ? `not before ${day(t.until)}` : `over since ${day(t.until)}`}
          </chakra.span>
          <fetcher.Form method="post">
            <input type="hidden" name="treatmentId" value={t.id} />
            <Action
              size="small"
              tone="bare"
              name="intent"
              value={t.withdrawnAt ? "restore treatment" : "withdraw treatment"}
              aria-label={`${t.withdrawnAt ? "It was done after all" : "Typed by mistake"}: ${t.product}`}
            >
              {t.withdrawnAt ? "It was done after all" : "Typed by mistake"}
            </Action>
          </fetcher.Form>
        </Bar>
      ))}
      {/* Empty again once one is logged, so that it is not logged twice. */}
      <fetcher.Form method="post" key={treatments.length}>
        <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))">
          <Field label="Product" help="as on its label" error={errors.product}>
            {(ids) => <TextInput {...ids} name="product" autoComplete="off" />}
          </Field>
          <Field label="Treated on" error={errors.treatedOn}>
            {(ids) => <TextInput {...ids} type="date" name="treatedOn" defaultValue={today} />}
          </Field>
          <Field label="Days before picking" help="pre-harvest interval of the label" error={errors.intervalDays}>
            {(ids) => <TextInput {...ids} name="intervalDays" inputMode="numeric" autoComplete="off" />}
          </Field>
        </Box>
        <Action name="intent" value="log treatment" marginTop="10px">
          Log the treatment
        </Action>
        <FormAnswer told={fetcher.data} />
      </fetcher.Form>
    </Card>
  );
}
