import { daysBetween, type IsoDay } from "../calendar";

/**
 * The day on which a perennial's year turns: midwinter, taken as 1 January north of the equator and 1 July south
 * of it. Our judgement: between the last fruit and the first growth of all perennials of the catalogue.
 *
 * @returns the turn on or before `day`
 */
export function yearTurnOn(day: IsoDay, latitude: number): IsoDay {
  const year = Number(day.slice(0, 4));
  if (latitude >= 0) return `${year}-01-01`;
  return day.slice(5) >= "07-01" ? `${year}-07-01` : `${year - 1}-07-01`;
}

/**
 * The growing season a planting is in, counted from the one it was planted in: 1 in its first year.
 *
 * @param cameOn - when it came to stand there
 */
export function growingYear(cameOn: IsoDay, day: IsoDay, latitude: number): number {
  const [from, to] = [yearTurnOn(cameOn, latitude), yearTurnOn(day, latitude)];
  return Math.max(1, Math.round(daysBetween(from, to) / 365.25) + 1);
}
