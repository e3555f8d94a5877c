import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { useFormSender } from "~/ui/outbox/useFormSender";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, Quiet, TextInput } from "~/ui/theme/parts";
import { stoodOnScale } from "~/views/ledger/container-words";
import { ContainersField } from "./ContainersField";
import type { LineOfLedger } from "./line-of-ledger";
import { usePickFields } from "./usePickFields";

/** Put on the scale now: gross, with what stood on it, and a label for its crate. */
export function WeighNow({ page }: { page: LineOfLedger }) {
  const { line, lots, containers, units } = page;
  const lot = lots[0];
  const { sendForm, errors } = useFormSender();
  const state = usePickFields({});
  const [label, setLabel] = useState(lot?.label ?? "");
  const [note, setNote] = useState("");
  if (!lot) return null;
  const weigh = async () => {
    const { weight, containers: stood } = state.fields;
    const body = { kind: "weighing" as const, lotId: lot.id, weight, containers: stood, label };
    const words = `${page.name}: ${weight} on the scale`;
    const result = await sendForm(body, words);
    setNote(result.status === "saved" ? "✓ Weighed." : result.status === "waits for signal" ? "Kept, waits for signal." : ""); // prettier-ignore
  };
  return (
    <Card title="On the scale">
      <Quiet>{scaleWords(page)}</Quiet>
      <Fold quiet summary={line.grams === null || line.estimated ? "Weigh it now" : "Weigh it again"}>
        <Box display="grid" gap="10px">
          <Field label="Weight on the scale" error={errors.weight} help="With the crate on: choose it below">
            {(ids) => (
              <TextInput
                {...ids}
                value={state.fields.weight}
                placeholder={units === "us" ? "3 lb 4 oz" : "3.2 kg"}
                onChange={(e) => state.set({ weight: e.target.value })}
              />
            )}
          </Field>
          <ContainersField
            value={state.fields.containers}
            onChange={(value) => state.set({ containers: value })}
            containers={containers}
            units={units}
            errors={errors}
          />
          <Field label="Label" help="what stands on its crate, if anything" error={errors.label}>
            {(ids) => <TextInput {...ids} value={label} onChange={(e) => setLabel(e.target.value)} />}
          </Field>
          {(errors.count ?? errors.form) && <ErrorLine>{errors.count ?? errors.form}</ErrorLine>}
          <Bar>
            <Action onClick={() => void weigh()}>It weighs this</Action>
            <span aria-live="polite">{note}</span>
          </Bar>
        </Box>
      </Fold>
    </Card>
  );
}

function scaleWords({ line, containers, amount }: LineOfLedger): string {
  if (line.grams === null) return "Not weighed yet.";
  const stood = line.containers.length > 0 ? `, on the scale with ${stoodOnScale(line.containers, containers)}` : "";
  return `${line.estimated ? "Guessed" : "Weighed"}: ${amount}${stood}.`;
}
