import type { Crop } from "../crops";

/** Ripening about doubles in speed for 10 °C, between 13 and 24 °C: our judgement. */
const Q10 = 2;

/**
 * Days that a fruit takes to finish off the plant.
 *
 * @param from - "nearly" coloured, or full-grown "green"
 * @param roomC - warmth of the room, 12 to 26 °C; fruit below 10–13 °C does not ripen well
 * @returns days, or null when it does not finish from there
 * @throws {RangeError} when the room is too cold or too warm to say
 */
export function indoorRipeningDays(crop: Crop, from: "nearly" | "green", roomC: number): number | null {
  if (!(roomC >= 12 && roomC <= 26)) throw new RangeError(`roomC: ${roomC} °C is outside 12 to 26`);
  const { indoors } = crop;
  const days = from === "green" ? indoors?.fromGreenDays : indoors?.fromNearlyDays;
  if (!indoors || days === undefined) return null;
  return days * Q10 ** (((indoors.atLowC + indoors.atHighC) / 2 - roomC) / 10);
}
