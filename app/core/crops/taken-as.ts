import type { Crop } from "./crop";
import type { School } from "./school";

type Option = School["options"][number];

/** The option of each school that holds: the household's, or the usual one. */
export function waysChosen(crop: Crop, ways: Readonly<Record<string, string>>): Option[] {
  return crop.schools.flatMap((s) => s.options.find((o) => o.id === (ways[s.id] ?? s.usual)) ?? []);
}

/**
 * The crop as the household's ways take it: dug as needed or all at once, thinned or not, green ones brought in or not.
 *
 * @param ways - chosen option by school; the usual one where none is
 */
export function takenAs(crop: Crop, ways: Readonly<Record<string, string>>): Crop {
  return waysChosen(crop, ways).reduce(takenBy, crop);
}

function takenBy(crop: Crop, { taking, thins, greenToo }: Option): Crop {
  let as = crop;
  if (taking && taking !== crop.life.taking.way)
    as = { ...as, life: { ...as.life, taking: { ...as.life.taking, way: taking } } };
  if (thins !== undefined && as.thins) as = { ...as, thins: { ...as.thins, value: thins } };
  if (greenToo === false && as.indoors) as = { ...as, indoors: { ...as.indoors, fromGreenDays: undefined } };
  return as;
}
