import { addDays, type IsoDay } from "../calendar";

/** Which of day and month a household writes first. */
export type DayOrder = "day first" | "month first";

/** How days are read: what today is, which comes first, and where summer is in January. */
export interface DaySetting {
  today: IsoDay;
  order: DayOrder;
  south: boolean;
}

/** Days from one to another, both included; the same day twice where it is told exactly. */
export interface DaySpan {
  from: IsoDay;
  to: IsoDay;
}

/** A number of a month or a day in two digits. */
export const two = (n: number) => String(n).padStart(2, "0");
export const oneDay = (day: IsoDay): DaySpan => ({ from: day, to: day });
export const yearOf = (day: IsoDay) => Number(day.slice(0, 4));
export const lastOfMonth = (year: number, month: number) => addDays(month === 12 ? `${year + 1}-01-01` : `${year}-${two(month + 1)}-01`, -1); // prettier-ignore
