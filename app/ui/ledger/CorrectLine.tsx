import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { Form } from "react-router";
import type { FieldErrors } from "~/core/issues";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { Card } from "~/ui/shell/Card";
import { Action, Bar, Choice, TextInput } from "~/ui/theme/parts";
import type { LineOfLedger } from "./line-of-ledger";
import { PickDetails } from "./PickDetails";
import { usePickFields } from "./usePickFields";

interface CorrectLineProps {
  page: LineOfLedger;
  errors: FieldErrors;
}

const SHOWN = new Set(["count", "weight", "containers", "containerCount", "note", "on", "condition", "fate"]);

/** The line as it should have been; what it said is kept. */
export function CorrectLine({ page, errors }: CorrectLineProps) {
  const { line, containers, units, today, people } = page;
  const [outcome, setOutcome] = useState(line.outcome);
  const state = usePickFields({
    count: line.pieces === null ? "" : String(line.pieces),
    weight: page.typedWeight,
    containers: line.containers.map((c) => ({ containerId: c.containerId, count: String(c.count) })),
    estimated: line.estimated,
    condition: line.condition,
    fate: line.fate,
    note: line.note,
    on: line.pickedOn,
  });
  const { fields, set } = state;
  return (
    <Card title="Correct this line">
      <Form method="post">
        <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))" marginBottom="10px">
          <Field label="What happened">
            {(ids) => (
              <Choice
                {...ids}
                name="outcome"
                value={outcome}
                onChange={(e) => setOutcome(e.target.value as typeof outcome)}
              >
                <option>picked</option>
                <option>nothing ready</option>
              </Choice>
            )}
          </Field>
          <Field label="All of it taken">
            {(ids) => <YesNo {...ids} name="tookAll" defaultValue={line.tookAll ? "yes" : "no"} />}
          </Field>
          <Field label="A guess">
            {(ids) => (
              <YesNo
                {...ids}
                name="estimated"
                value={fields.estimated ? "yes" : "no"}
                onChange={(e) => set({ estimated: e.target.value === "yes" })}
              />
            )}
          </Field>
          {people.length > 0 && (
            <Field label="Who picked">
              {(ids) => (
                <>
                  <TextInput {...ids} name="person" list="pickers" defaultValue={line.person ?? ""} maxLength={40} />
                  <datalist id="pickers">
                    {people.map((person) => (
                      <option key={person} value={person} />
                    ))}
                  </datalist>
                </>
              )}
            </Field>
          )}
        </Box>
        {(["count", "weight", "condition", "fate", "note", "on"] as const).map((name) => (
          <input key={name} type="hidden" name={name} value={fields[name]} />
        ))}
        <input type="hidden" name="containers" value={JSON.stringify(fields.containers)} />
        <PickDetails
          state={state}
          errors={errors}
          containers={containers}
          units={units}
          today={today}
          withWeight
          withCount
        />
        {Object.entries(errors)
          .filter(([field]) => !SHOWN.has(field))
          .map(([field, sentence]) => (
            <ErrorLine key={field}>{sentence}</ErrorLine>
          ))}
        <Bar marginTop="14px">
          <Action tone="loud" name="intent" value="save">
            Save the correction
          </Action>
          <Action tone="bare" name="intent" value={line.withdrawnAt ? "put back" : "withdraw"}>
            {line.withdrawnAt ? "Put it back" : "Take the line back"}
          </Action>
        </Bar>
      </Form>
    </Card>
  );
}

function YesNo(props: React.ComponentProps<typeof Choice>) {
  return (
    <Choice {...props}>
      <option>yes</option>
      <option>no</option>
    </Choice>
  );
}
