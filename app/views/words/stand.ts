import type { Stand } from "~/core/life";
import { rowLengthIn, type UnitSystem } from "~/core/units";

/** How much of it stands there: "6 plants", "2.5 m of row", "8 ft of row"; nothing for a single plant. */
export function sayStand({ plants, lengthM }: Stand, system: UnitSystem): string {
  if (lengthM === null) return plants > 1 ? `${plants} plants` : "";
  return `${rowLengthIn(lengthM, system)} ${system === "metric" ? "m" : "ft"} of row`;
}
