import { Box } from "@chakra-ui/react";
import type { UnitSystem } from "~/core/units";
import { Field } from "~/ui/forms/Field";
import { Action, Choice, TextInput } from "~/ui/theme/parts";
import { containerWords, type ContainerToChoose } from "~/views/ledger/container-words";

type Stood = { containerId: string; count: string }[];

interface ContainersFieldProps {
  value: Stood;
  onChange: (value: Stood) => void;
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
  errors: Partial<Record<string, string>>;
}

/** What stood on the scale with it: containers of several kinds, each with how many. */
export function ContainersField({ value, onChange, containers, units, errors }: ContainersFieldProps) {
  const rows = value.length > 0 ? value : [{ containerId: "", count: "1" }];
  const change = (at: number, row: Partial<Stood[number]>) =>
    onChange(rows.map((r, i) => (i === at ? { ...r, ...row } : r)).filter((r) => r.containerId));
  return (
    <Box display="grid" gap="8px">
      {rows.map((row, i) => (
        <Box key={i} display="grid" gridTemplateColumns="minmax(0, 1fr) 84px" gap="8px">
          <Field label={i === 0 ? "Weighed in" : "and in"} error={i === 0 ? errors.containers : undefined}>
            {(ids) => (
              <Choice {...ids} value={row.containerId} onChange={(e) => change(i, { containerId: e.target.value })}>
                <option value="">nothing, net weight</option>
                {containers.map((c) => (
                  <option key={c.id} value={c.id}>
                    {containerWords(c, units)}
                  </option>
                ))}
              </Choice>
            )}
          </Field>
          <Field label="How many" error={i === 0 ? errors.containerCount : undefined}>
            {(ids) => (
              <TextInput
                {...ids}
                inputMode="numeric"
                value={row.count}
                onChange={(e) => change(i, { count: e.target.value })}
              />
            )}
          </Field>
        </Box>
      ))}
      {value.length > 0 && value.length < 8 && (
        <Action
          size="small"
          type="button"
          onClick={() => onChange([...value, { containerId: containers[0]?.id ?? "", count: "1" }])}
        >
          Another kind of container
        </Action>
      )}
    </Box>
  );
}
