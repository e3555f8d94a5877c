import type { Crop } from "./crop";

/** What to take care of with a crop, in a line: of the hands at work, and of who eats it. Null where nothing is known. */
export function cautionOf({ caution, life }: Crop): string | null {
  return [caution, life.eatenRaw?.harms].filter(Boolean).join(" ") || null;
}
