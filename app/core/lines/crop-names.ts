import type { Crop } from "../crops";

/** "Sweetcorn or maize": crops by the names that tell them apart. */
export function listed(crops: readonly Crop[], joint: "or" | "and" = "and"): string {
  const names = crops.map((c) => `“${c.name.toLowerCase()}”`);
  return names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} ${joint} ${names.at(-1)}`;
}
