import type { UnitSystem } from "~/core/units";
import { sayMass } from "../words";

/** A container as a form offers it. */
export interface ContainerToChoose {
  id: string;
  name: string;
  tareGrams: number;
}

/** "Basket, 1.04 kg". */
export const containerWords = ({ name, tareGrams }: ContainerToChoose, units: UnitSystem) => `${name}, ${sayMass(tareGrams, units)}`; // prettier-ignore

/** What stood on the scale: "2 × Heavy crate, 1 × Basket". */
export function stoodOnScale(
  stood: readonly { containerId: string; count: number }[],
  known: readonly ContainerToChoose[],
): string {
  // prettier-ignore
  return stood.map((s) => `${s.count} × ${known.find((c) => c.id === s.containerId)?.name ?? "a container"}`).join(", ");
}
