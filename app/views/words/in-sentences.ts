import type { PlantingOutlook } from "~/core/garden";

/** A name within a sentence; words that are always capital stay so. */
export const lower = (text: string) =>
  /^(French|Swiss)/.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1);

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

const MOST_NAMED = 4;

/** "beans, tomatoes and basil"; of a long list the first few, "and 5 more". */
export function listOf(words: readonly string[]): string {
  if (words.length <= 1) return words[0] ?? "";
  const more = words.length - MOST_NAMED;
  if (more > 1) return `${words.slice(0, MOST_NAMED).join(", ")} and ${more} more`;
  return `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** Crops of some plantings, each once, as a sentence names them. */
export function cropNames(plantings: readonly PlantingOutlook[]): string[] {
  return [...new Set(plantings.map((p) => lower(p.crop.name.split(",")[0] ?? "")))];
}

/** "Courgette, striped". */
export function cropAndVariety(crop: string, variety: string): string {
  return variety ? `${crop}, ${variety}` : crop;
}

/** A planting by name: "Courgette, striped". */
export function nameOf({ crop, planting }: Pick<PlantingOutlook, "crop" | "planting">): string {
  return cropAndVariety(crop.name, planting.variety);
}
