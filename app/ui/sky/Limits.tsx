import { Box } from "@chakra-ui/react";
import type { SkyView } from "~/views/sky/sky-view";
import { Field } from "~/ui/forms/Field";
import { Action, Quiet, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

/** What the household can deal with, beside its minutes; left empty there is no limit. */
export function Limits({ view: { limits } }: { view: SkyView }) {
  const { Form, answer, errors } = useSkyDesk();
  return (
    <Card title="What you can take in">
      <Quiet>The plan keeps to these; left empty, there is no limit.</Quiet>
      <Form method="post" action="/sky" key={JSON.stringify(limits)}>
        <Box display="grid" gap="10px" gridTemplateColumns="1fr 1fr" alignItems="start">
          <Field label="Rounds a week" help="at most" error={errors.roundsAWeek}>
            {(ids) => <TextInput {...ids} name="roundsAWeek" inputMode="numeric" defaultValue={limits.roundsAWeek} />}
          </Field>
          <Field
            label="For the kitchen"
            help={`${limits.kitchen.unit} a day of what does not keep`}
            error={errors.kitchen}
          >
            {(ids) => <TextInput {...ids} name="kitchen" inputMode="decimal" defaultValue={limits.kitchen.value} />}
          </Field>
          <Field
            label="In the fridge"
            help={`${limits.fridge.unit} of it that can wait for the next days`}
            error={errors.fridge}
          >
            {(ids) => <TextInput {...ids} name="fridge" inputMode="decimal" defaultValue={limits.fridge.value} />}
          </Field>
          <Field label="Racks to cure on" help={`${limits.racks.unit} in all`} error={errors.racks}>
            {(ids) => <TextInput {...ids} name="racks" inputMode="decimal" defaultValue={limits.racks.value} />}
          </Field>
        </Box>
        <Action name="intent" value="save limits" marginTop="8px">
          Save the limits
        </Action>
        <Answer answer={answer} shown={["roundsAWeek", "kitchen", "fridge", "racks"]} />
      </Form>
    </Card>
  );
}
