import { addDays, daysBetween, type IsoDay } from "~/core/calendar";

/** A stretch of time as shares of the strip's width, 0 to 1. */
export interface Stretch {
  from: number;
  to: number;
}

/** Days laid along a strip. */
export interface Scale {
  from: IsoDay;
  to: IsoDay;
  at: (day: IsoDay) => number;
  months: { at: number; label: string }[];
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** A scale over some days, with the months that begin in it. */
export function scaleOf(from: IsoDay, to: IsoDay): Scale {
  const days = Math.max(1, daysBetween(from, to));
  const at = (day: IsoDay) => Math.min(1, Math.max(0, daysBetween(from, day) / days));
  const months: Scale["months"] = [];
  for (let i = 0; i <= days; i++) {
    const day = addDays(from, i);
    if (day.endsWith("-01")) months.push({ at: at(day), label: MONTHS[Number(day.slice(5, 7)) - 1]! });
  }
  return { from, to, at, months };
}

/** A stretch between two days; undefined when it lies outside the strip. */
export function stretch(scale: Scale, from: IsoDay, to: IsoDay): Stretch | undefined {
  if (to < scale.from || from > scale.to || to < from) return undefined;
  return { from: scale.at(from), to: scale.at(to) };
}
