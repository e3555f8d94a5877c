import type { IsoDay } from "~/core/calendar";
import type { DayEdit } from "~/core/garden";
import { cropAndVariety, lower, sayDay, saySlot } from "../words";

interface Change {
  day: IsoDay;
  before: Pick<DayEdit, "to" | "slot">;
  after: Pick<DayEdit, "to" | "slot">;
}

/** A day and the part of it: "Saturday in the morning". */
export const sayWhen = (day: IsoDay, slot: DayEdit["slot"], today: IsoDay): string =>
  [sayDay(day, today), slot ? saySlot(slot) : ""].filter(Boolean).join(" ");

/** What an edit of a planting's days did: "French bean to Saturday". */
export function changeWords(
  { crop, variety }: { crop: string; variety: string },
  changes: readonly Change[],
  today: IsoDay,
): string {
  const name = cropAndVariety(crop, variety);
  const asked = changes.find((c) => c.after.to === "pick");
  if (asked) return `${name} to ${sayWhen(asked.day, asked.after.slot, today)}`;
  const ruledOut = changes.find((c) => c.after.to === "not");
  if (ruledOut) return `${name} not ${sayDay(ruledOut.day, today)}`;
  const days = changes.map((c) => sayDay(c.day, today)).join(", ");
  return `${name} ${days} left to the plan`;
}

/** As it stands within a sentence. */
export const inASentence = (words: string): string => lower(words);
