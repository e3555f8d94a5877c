import { sayMass, type UnitSystem } from "~/core/units";
import type { ContainerRow } from "~/db/schema.server";
import { Choice } from "./Field";

type ChoiceProps = React.ComponentProps<typeof Choice>;

/** Containers with their empty weight, or none. */
export function ContainerChoice({
  containers,
  units,
  ...props
}: ChoiceProps & { containers: ContainerRow[]; units: UnitSystem }) {
  return (
    <Choice {...props}>
      <option value="">nothing, net weight</option>
      {containers.map((c) => (
        <option key={c.id} value={c.id}>
          {c.name}, {sayMass(c.tareGrams, units)}
        </option>
      ))}
    </Choice>
  );
}

/** One of a few words. */
export function WordChoice({ words, ...props }: ChoiceProps & { words: readonly string[] }) {
  return (
    <Choice {...props}>
      {words.map((word) => (
        <option key={word}>{word}</option>
      ))}
    </Choice>
  );
}
