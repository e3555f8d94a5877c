import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { Form } from "react-router";
import type { FieldErrors } from "~/core/issues";
import { FATES } from "~/core/ledger";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { WordChoice } from "~/ui/forms/WordChoice";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Action, Choice, PlainList, Quiet, TextInput } from "~/ui/theme/parts";
import type { LineOfLedger } from "./line-of-ledger";

type Lot = LineOfLedger["lots"][number];

const WHAT = [
  ["eaten", "Eaten"],
  ["given", "Given away"],
  ["spoilt", "Spoilt"],
  ["thrown out", "Thrown out"],
  ["shrunk", "Dried away"],
  ["move", "Goes elsewhere, all of it"],
  ["split", "Part of it goes elsewhere"],
  ["merge", "Put to another lot"],
] as const;
type What = (typeof WHAT)[number][0];

interface LotCardProps {
  lot: Lot;
  others: Lot[];
  errors: FieldErrors;
}

/** What is left of a lot, where it goes, and what becomes of it. */
export function LotCard({ lot, others, errors }: LotCardProps) {
  const title = `${lot.fate}${lot.condition === "sound" ? "" : `, ${lot.condition}`}${lot.label ? ` · ${lot.label}` : ""}`;
  return (
    <Card title={`${title.charAt(0).toUpperCase()}${title.slice(1)}: ${lot.now}`}>
      <Fold quiet summary={`Its story (${lot.history.length})`}>
        <PlainList marginBottom="8px">
          {lot.history.map((words, i) => (
            <li key={i}>{words}</li>
          ))}
        </PlainList>
      </Fold>
      {lot.isEmpty ? (
        <Quiet>Nothing of it is left.</Quiet>
      ) : (
        // Empty again once something was noted, so that it is not noted twice.
        <ChangeLot key={lot.history.length} lot={lot} others={others.filter((o) => o.id !== lot.id)} errors={errors} />
      )}
    </Card>
  );
}

function ChangeLot({ lot, others, errors }: LotCardProps) {
  const [what, setWhat] = useState<What>("eaten");
  const choices = WHAT.filter(([w]) => w !== "merge" || others.length > 0);
  return (
    <Form method="post">
      <input type="hidden" name="lotId" value={lot.id} />
      <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))" alignItems="start">
        <Field label="What became of it" error={errors.what}>
          {(ids) => (
            <Choice {...ids} name="what" value={what} onChange={(e) => setWhat(e.target.value as What)}>
              {choices.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </Choice>
          )}
        </Field>
        {what !== "move" && what !== "merge" && (
          <Field
            label="How much"
            help={what === "split" ? "a weight or a count" : "left empty: all of it"}
            error={errors.amount}
          >
            {(ids) => <TextInput {...ids} name="amount" autoComplete="off" />}
          </Field>
        )}
        {(what === "move" || what === "split") && (
          <Field label="Where it goes" error={errors.fate ?? (what === "move" ? errors.amount : undefined)}>
            {(ids) => <WordChoice {...ids} words={FATES} name="fate" defaultValue={lot.fate} />}
          </Field>
        )}
        {what === "merge" && (
          <Field label="Put to" error={errors.into ?? errors.amount}>
            {(ids) => (
              <Choice {...ids} name="into">
                {others.map((o) => (
                  <option key={o.id} value={o.id}>
                    {o.fate}: {o.now}
                  </option>
                ))}
              </Choice>
            )}
          </Field>
        )}
      </Box>
      {errors.form && <ErrorLine>{errors.form}</ErrorLine>}
      <Action name="intent" value="change lot" marginTop="8px">
        Note it
      </Action>
    </Form>
  );
}
