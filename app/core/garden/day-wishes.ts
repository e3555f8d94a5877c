import { z } from "zod";
import { IsoDay } from "../calendar";
import { Slot } from "../hands";
import { WishedPick } from "./garden-state";
import { BanReason } from "./pick-bans";
import type { PlantingOutlook } from "./planting-outlook";

/** What is asked of the days of a planting, and what may be in the way of it beside the plan. */
export const DayWishes = z.object({
  plantingId: z.string(),
  pickOn: z.array(WishedPick),
  notOn: z.array(IsoDay),
  /** Days on which it was picked: a wish for one of them came true. */
  pickedOn: z.array(IsoDay),
  /** What keeps the hands off it on each day of the horizon. */
  bans: z.array(BanReason.nullable()),
});
export type DayWishes = z.infer<typeof DayWishes>;

export function dayWishesOf({ planting, bans }: PlantingOutlook): DayWishes {
  const { pickOn = [], notOn = [] } = planting.wishes ?? {};
  return { plantingId: planting.id, pickOn, notOn, pickedOn: planting.picks.map((m) => m.pickedOn), bans };
}

export const DAY_ASKED = ["pick", "not", "free"] as const;

/** One day of one planting asked for, ruled out, or left to the plan again. */
export const DayEdit = z.object({
  plantingId: z.string().min(1),
  day: IsoDay,
  to: z.enum(DAY_ASKED),
  /** Of a day asked for: in this part of it, or in any. */
  slot: Slot.nullable().default(null),
});
export type DayEdit = z.infer<typeof DayEdit>;

/** A planned pick moved from one day to another. */
export const PickMove = z.object({
  plantingId: z.string().min(1),
  from: IsoDay,
  day: IsoDay,
  /** In this part of the day, or in any. */
  slot: Slot.nullable().default(null),
});
export type PickMove = z.infer<typeof PickMove>;

/** Whether more than one pick of a planting may be planned. */
export const comesAgain = ({ parts }: Pick<PlantingOutlook, "parts">): boolean => parts.length > 1 || parts.some((part) => part.task.repeat); // prettier-ignore

/** The wishes after edits, one day after another; an edit of a planting that is not there changes nothing. */
export function withEdits(wishes: readonly DayWishes[], edits: readonly DayEdit[]): DayWishes[] {
  return wishes.map((w) =>
    edits
      .filter((e) => e.plantingId === w.plantingId)
      .reduce((now, { day, to, slot }): DayWishes => {
        const pickOn = now.pickOn.filter((p) => p.day !== day);
        const notOn = now.notOn.filter((d) => d !== day);
        if (to === "pick") pickOn.push({ day, slot });
        if (to === "not") notOn.push(day);
        return { ...now, pickOn, notOn };
      }, w),
  );
}

/**
 * What it means to move a planned pick from one day to another: the other is asked for. A day that was asked for is
 * left free; of what is picked more than once, one that the plan had chosen is ruled out, or it would be picked on both.
 *
 * @param isPickedAgain - whether more than one pick of it may be planned
 */
export function moveEdits(
  { plantingId, pickOn }: Pick<DayWishes, "plantingId" | "pickOn">,
  isPickedAgain: boolean,
  from: IsoDay,
  to: { day: IsoDay; slot: Slot | null },
): DayEdit[] {
  // prettier-ignore
  const asked: DayEdit = { plantingId, day: to.day, to: "pick", slot: to.slot };
  if (from === to.day) return [asked];
  const wasAsked = pickOn.some((p) => p.day === from);
  if (wasAsked) return [{ plantingId, day: from, to: "free", slot: null }, asked];
  return isPickedAgain ? [{ plantingId, day: from, to: "not", slot: null }, asked] : [asked];
}
