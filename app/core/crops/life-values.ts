import type { CropValue } from "./crop-value";
import { PRESERVING } from "./life";

type Listed = [path: string, part: CropValue["part"], label: string, unit: string, kind: CropValue["kind"]];

const cold = (age: "young" | "flower" | "plant", words: string): Listed[] => [
  [`life.cold.${age}.damageC`, "weather", `${words} harmed at`, "°C", "number"],
  [`life.cold.${age}.killC`, "weather", `${words} killed at`, "°C", "number"],
];

/** Values of a crop's life that a household may change, in the order of the page. */
export const LIFE_VALUES: readonly Listed[] = [
  ["life.heat.low", "life", "Heat to the first pick, from", "°C·d", "number"],
  ["life.heat.high", "life", "Heat to the first pick, to", "°C·d", "number"],
  ["life.dayLight.hours", "life", "Heat counts from a day of", "hours of light", "number"],
  ["life.bearing.low", "life", "Bears for, from", "days", "number"],
  ["life.bearing.high", "life", "Bears for, to", "days", "number"],
  ["life.past.low", "life", "Past its best, gone after, from", "days", "number"],
  ["life.past.high", "life", "Past its best, gone after, to", "days", "number"],
  ["life.afterWinter.heat", "life", "After winter it shoots at", "°C·d", "number"],
  ["life.chill.hours", "life", "Winter chill it wants", "hours below 7.2 °C", "number"],
  ["life.yield.low", "life", "A grown plant gives, from", "kg a season", "number"],
  ["life.yield.high", "life", "A grown plant gives, to", "kg a season", "number"],
  ["life.spacing.plantsPerM", "life", "Plants in a row", "a metre", "number"],
  ["life.spacing.rowCm", "life", "Between rows", "cm", "number"],
  ["life.taking.mealGrams", "life", "Dug at a time", "g", "number"],
  ...cold("young", "Young plants"),
  ...cold("flower", "Blossom"),
  ...cold("plant", "The plant"),
  ["life.storage.lowC", "after", "Stored at, from", "°C", "number"],
  ["life.storage.highC", "after", "Stored at, to", "°C", "number"],
  ["life.storage.lowRh", "after", "Stored at a humidity of, from", "%", "number"],
  ["life.storage.highRh", "after", "Stored at a humidity of, to", "%", "number"],
  ["life.storage.lowDays", "after", "Keeps so, from", "days", "number"],
  ["life.storage.highDays", "after", "Keeps so, to", "days", "number"],
  ["life.storage.fridgeDays", "after", "In a home fridge (0: not there)", "days", "number"],
  ["life.eatenRaw.harms", "after", "Who eats it", "", "text"],
  ["life.preserving.value", "after", "Putting by", "", PRESERVING],
];
