import { Box } from "@chakra-ui/react";
import type { UnitSystem } from "~/core/units";
import { ErrorLine } from "~/ui/forms/Field";
import { NumberStep } from "~/ui/forms/NumberStep";
import type { PickFieldsState } from "~/ui/ledger/usePickFields";
import { Action, TextInput } from "~/ui/theme/parts";
import type { Loggable } from "./loggable";

interface PickAmountFieldsProps {
  view: Loggable;
  units: UnitSystem;
  state: PickFieldsState;
  /** Of the weight. */
  error: string | undefined;
}

/** How much, the usual way of the crop: counted with a thumb, or weighed. A guess stays marked as one until it is not. */
export function PickAmountFields({ view, units, state, error }: PickAmountFieldsProps) {
  const { fields, set } = state;
  if (view.counted)
    return (
      <NumberStep label={`How many ${view.piece.many}`} value={fields.count} onChange={(count) => set({ count })} />
    );
  const toggle = () =>
    set({
      estimated: !fields.estimated,
      ...(fields.estimated || fields.weight ? {} : { weight: view.expected.guess }),
    });
  return (
    <>
      <Box display="grid" gap="8px" gridTemplateColumns="minmax(0, 1fr) auto">
        <TextInput
          aria-label="How much it weighs"
          aria-invalid={Boolean(error)}
          placeholder={units === "us" ? "1 lb 4 oz" : "840 g or 1.2 kg"}
          value={fields.weight}
          onChange={(e) => set({ weight: e.target.value })}
        />
        <Action tone="dark" aria-pressed={fields.estimated} paddingInline="12px" onClick={toggle}>
          {fields.estimated ? "✓ " : ""}not weighed
        </Action>
      </Box>
      {error && <ErrorLine>{error}</ErrorLine>}
    </>
  );
}
