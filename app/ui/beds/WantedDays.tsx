import { Box, chakra } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import { Field } from "~/ui/forms/Field";
import { FormAnswer, type FormTold } from "~/ui/forms/FormAnswer";
import { Action, Bar, QuietSpan, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import type { PlantingPageView } from "./planting-page";

/** Days on which the household wants it picked: the plan keeps them, or says what is in the way. */
export function WantedDays({ wanted, today }: Pick<PlantingPageView, "wanted" | "today">) {
  const fetcher = useFetcher<FormTold>();
  const errors = fetcher.data?.errors ?? {};
  return (
    <Card title="Wanted on a day">
      {wanted.length === 0 && <chakra.p margin="0 0 8px">No day asked for: the plan finds the best ones.</chakra.p>}
      {wanted.map((w) => (
        <Bar key={w.id} gap="0 10px">
          <chakra.span flex="1 1 240px">
            <strong>{w.day}</strong>: <QuietSpan>{w.words}</QuietSpan>
          </chakra.span>
          <fetcher.Form method="post">
            <input type="hidden" name="wantedId" value={w.id} />
            <Action size="small" tone="bare" name="intent" value="unwant" aria-label={`Not on ${w.day} after all`}>
              Not after all
            </Action>
          </fetcher.Form>
        </Bar>
      ))}
      <fetcher.Form method="post" key={wanted.length}>
        <Box
          display="grid"
          gap="10px"
          gridTemplateColumns="minmax(0, 260px) auto"
          alignItems="end"
          justifyContent="start"
        >
          <Field label="Pick it on" error={errors.wantedOn}>
            {(ids) => <TextInput {...ids} type="date" name="wantedOn" min={today} />}
          </Field>
          <Action name="intent" value="want" whiteSpace="nowrap" paddingInline="14px">
            Ask for this day
          </Action>
        </Box>
        <FormAnswer told={fetcher.data} />
      </fetcher.Form>
    </Card>
  );
}
