import { format } from "date-fns";
import type { Crop } from "../crops";
import { dayNumber, isoDay, type IsoDay } from "../calendar";
import type { DaySetting, DaySpan } from "./day-setting";
import type { LineSetting, ReadLine } from "./line-reading";

const WEEK = 7;

/** A day in words, in the household's order: "3 May 2026", "May 3, 2026". */
function sayDay(day: IsoDay, order: DaySetting["order"]): string {
  return format(new Date(`${day}T12:00:00`), order === "day first" ? "d MMM yyyy" : "MMM d, yyyy");
}

/** Days in words, vague ones as they are: "in 2019", "between 10 and 21 May 2026". */
export function sayDays({ from, to }: DaySpan, { order }: Pick<DaySetting, "order">): string {
  if (from === to) return sayDay(from, order);
  if (from.endsWith("-01-01") && to.endsWith("-12-31") && from.slice(0, 4) === to.slice(0, 4)) return `in ${from.slice(0, 4)}`; // prettier-ignore
  if (from.endsWith("-01-01") && to.endsWith("-12-31")) return `between ${from.slice(0, 4)} and ${to.slice(0, 4)}`;
  if (dayNumber(to) - dayNumber(from) < WEEK) return `about ${sayDay(isoDay(Math.round((dayNumber(from) + dayNumber(to)) / 2)), order)}`; // prettier-ignore
  return `between ${sayDay(from, order)} and ${sayDay(to, order)}`;
}

const EVENT_WORDS = { sown: "sown", planted: "planted", blossom: "in blossom", growth: "growing again" } as const;

/** A line that was understood, as it is shown back. */
export function sayLine(read: ReadLine, crop: Crop, { units, order }: LineSetting): string {
  const variety = read.variety ? `, ${read.variety}` : "";
  const start = `${EVENT_WORDS[read.startEvent!]} ${sayDays({ from: read.from!, to: read.to! }, { order })}`;
  const sown = read.sown ? `sown ${sayDays(read.sown, { order })}, ` : "";
  const came = read.came ? `planted ${sayDays(read.came, { order })}, ` : "";
  const form = read.form ? `, from ${read.form.replace(/^bare.*/, "bare root")}` : "";
  const packet = read.packet ? `, packet ${read.packet.low === read.packet.high ? read.packet.low : `${read.packet.low}–${read.packet.high}`} days` : ""; // prettier-ignore
  return `${sayMuch(read, units)}${crop.name}${variety}${form}, ${sown}${came}${start}${packet}${read.bed ? `, in ${read.bed}` : ""}.`; // prettier-ignore
}

const FOOT_M = 0.3048;

function sayMuch({ plants, about, lengthM, areaM2 }: ReadLine, units: LineSetting["units"]): string {
  if (plants !== null) return `${about ? "about " : ""}${plants} × `;
  if (lengthM !== null) return units === "metric" ? `${lengthM} m of ` : `${Number((lengthM / FOOT_M).toFixed(1))} ft of `; // prettier-ignore
  return units === "metric" ? `${areaM2} m² of ` : `${Number((areaM2! / FOOT_M ** 2).toFixed(1))} sq ft of `;
}
