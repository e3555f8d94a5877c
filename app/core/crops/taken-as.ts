import type { Crop } from "./crop";

/**
 * The crop as the household's ways take it: dug as needed, or all at once.
 *
 * @param ways - chosen option by school; the usual one where none is
 */
export function takenAs(crop: Crop, ways: Readonly<Record<string, string>>): Crop {
  for (const school of crop.schools) {
    const way = school.options.find((o) => o.id === (ways[school.id] ?? school.usual))?.taking;
    if (way && way !== crop.life.taking.way)
      return { ...crop, life: { ...crop.life, taking: { ...crop.life.taking, way } } };
  }
  return crop;
}
