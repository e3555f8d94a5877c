import type { Crop } from "./crop";

export type Catalogue = readonly Crop[];

/** Lower case, accents and plural endings off, so that "Beetroots" finds beetroot. */
function stem(word: string): string {
  return word
    .toLowerCase()
    .normalize("NFD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/ies$/, "y")
    .replace(/(ch|sh|o|x)es$/, "$1")
    .replace(/s$/, "");
}

/**
 * The crop a gardener's word stands for, by name, id or the other words of its entry.
 *
 * @param word - "courgettes", "French bean", "sweetcorn"
 * @returns the crop, or undefined when none or more than one fits
 */
export function findCrop(catalogue: Catalogue, word: string): Crop | undefined {
  const wanted = stem(word.trim());
  if (!wanted) return undefined;
  const namesOf = (crop: Crop) => [crop.name, crop.id.replace(/_/g, " "), ...crop.alsoCalled].map(stem);
  const exact = catalogue.filter((crop) => namesOf(crop).includes(wanted));
  if (exact.length === 1) return exact[0];
  const loose = catalogue.filter((crop) => namesOf(crop).some((name) => name.startsWith(wanted)));
  return exact.length === 0 && wanted.length >= 3 && loose.length === 1 ? loose[0] : undefined;
}
