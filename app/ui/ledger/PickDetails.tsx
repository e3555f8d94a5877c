import { Box } from "@chakra-ui/react";
import { CONDITIONS, FATES } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import { Field } from "~/ui/forms/Field";
import { WordChoice } from "~/ui/forms/WordChoice";
import { TextInput } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import { ContainersField } from "./ContainersField";
import type { PickFieldsState } from "./usePickFields";

interface PickDetailsProps {
  state: PickFieldsState;
  errors: Partial<Record<string, string>>;
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
  today: string;
  /** Shown where the amount is counted: the weight is one detail more. */
  withWeight: boolean;
  withCount?: boolean;
}

/** What may be said of a pick besides how much: crate, condition, where it goes, the day, a note. */
export function PickDetails({ state, errors, containers, units, today, withWeight, withCount }: PickDetailsProps) {
  const { fields, set } = state;
  return (
    <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))">
      {withCount && (
        <Field label="Pieces" error={errors.count}>
          {(ids) => (
            <TextInput
              {...ids}
              inputMode="numeric"
              value={fields.count}
              onChange={(e) => set({ count: e.target.value })}
            />
          )}
        </Field>
      )}
      {withWeight && (
        <Field label="Weight" error={errors.weight} help="With the crate on: choose it below">
          {(ids) => <TextInput {...ids} value={fields.weight} onChange={(e) => set({ weight: e.target.value })} />}
        </Field>
      )}
      <Box gridColumn="1 / -1">
        <ContainersField
          value={fields.containers}
          onChange={(value) => set({ containers: value })}
          containers={containers}
          units={units}
          errors={errors}
        />
      </Box>
      <Field label="Condition" error={errors.condition}>
        {(ids) => (
          <WordChoice
            {...ids}
            words={CONDITIONS}
            value={fields.condition}
            onChange={(e) => set({ condition: e.target.value })}
          />
        )}
      </Field>
      <Field label="Where it goes" error={errors.fate}>
        {(ids) => (
          <WordChoice {...ids} words={FATES} value={fields.fate} onChange={(e) => set({ fate: e.target.value })} />
        )}
      </Field>
      <Field label="Picked on" error={errors.on}>
        {(ids) => (
          <TextInput
            {...ids}
            type="date"
            max={today}
            value={fields.on || today}
            onChange={(e) => set({ on: e.target.value })}
          />
        )}
      </Field>
      <Field label="Note" error={errors.note}>
        {(ids) => <TextInput {...ids} value={fields.note} onChange={(e) => set({ note: e.target.value })} />}
      </Field>
    </Box>
  );
}
