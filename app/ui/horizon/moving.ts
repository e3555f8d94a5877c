import type { Slot } from "~/core/hands";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { MoveAnswer } from "./plan.worker";

export type RowPlanting = HorizonView["beds"][number]["plantings"][number];

/** Where a pick may be put: a day, or one part of a day that has several rounds. */
export interface Place {
  day: number;
  slot: Slot | null;
}

/** A pick that is taken up. */
export interface Moving {
  planting: RowPlanting;
  /** Which of its handles. */
  order: number;
  to: Place;
  by: "pointer" | "keys";
  /** Its row stands low in the window. */
  isLow: boolean;
  answer: MoveAnswer | null;
  /** Let go: the plan that stands is on its way. */
  isDropped: boolean;
}

/** Every place along the days, one for each part of a day that has several. */
export function placesOf({ days, rounds }: Pick<HorizonView, "days" | "rounds">): Place[] {
  return days.flatMap((_, day): Place[] => {
    const own = rounds.filter((r) => r.day === day);
    return own.length > 1 ? own.map(({ slot }) => ({ day, slot })) : [{ day, slot: null }];
  });
}

/** Columns narrower than this are a day as a whole to a thumb, px: our judgement. */
const NARROW = 40;

/** The place under a pointer that stands so far along a row. */
export function placeAt(places: readonly Place[], share: number, count: number, columnPx: number): Place {
  const day = Math.min(count - 1, Math.max(0, Math.floor(share * count)));
  const own = places.filter((p) => p.day === day);
  if (own.length === 1 || columnPx < NARROW) return { day, slot: null };
  const at = share * count - day - 0.5;
  return own.reduce((a, b) => (Math.abs(slotOffset(b.slot) - at) < Math.abs(slotOffset(a.slot) - at) ? b : a));
}

/** Where in its column a part of the day stands, columns from the middle. */
export const slotOffset = (slot: Slot | null): number => (slot === "morning" ? -0.28 : slot === "evening" ? 0.28 : 0);
