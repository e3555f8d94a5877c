import { z } from "zod";
import { IsoDay, addDays, daysBetween } from "../calendar";
import { StartEvent } from "../crops";

/** What a season bears: the crop it was planted for, or what the same plants give after it. */
export const SEASON_CROPS = ["main", "side shoots", "second cut", "regrowth", "seed"] as const;
export const SeasonCrop = z.enum(SEASON_CROPS);
export type SeasonCrop = z.infer<typeof SeasonCrop>;

/** How a start is known. */
export const START_STANDINGS = ["told", "worked out"] as const;

/**
 * Why a season ended: all of it came off, the gardener called it over (a perennial rests), the bed is free (nothing
 * stands there any more), the plants went on to their next crop, or a perennial's year turned.
 */
export const END_REASONS = ["all taken", "over", "bed free", "next crop", "year turned"] as const;
export const EndReason = z.enum(END_REASONS);
export type EndReason = z.infer<typeof EndReason>;

/** A season of a planting, as far as days go. */
export const Season = z.object({
  id: z.string(),
  opensOn: IsoDay,
  crop: SeasonCrop,
  startEvent: StartEvent,
  startedOn: IsoDay,
  /** Set when the start is vague: it lies between the two. */
  startedTo: IsoDay.nullable(),
  startStanding: z.enum(START_STANDINGS),
});
export type Season = z.infer<typeof Season>;

/**
 * The season that a day belongs to: the last that had opened by then; a day before all of them belongs to the first.
 *
 * @param seasons - of one planting, in any order
 * @returns undefined when there is none
 */
export function seasonOn<S extends Pick<Season, "opensOn">>(seasons: readonly S[], day: IsoDay): S | undefined {
  const byOpening = [...seasons].sort((a, b) => a.opensOn.localeCompare(b.opensOn));
  return byOpening.filter((s) => s.opensOn <= day).at(-1) ?? byOpening[0];
}

/**
 * The day a start is reckoned from, and how far it may be off.
 *
 * @returns the day itself, or the middle of a vague start with half its range in days
 */
export function startOf({ startedOn, startedTo }: Pick<Season, "startedOn" | "startedTo">): {
  day: IsoDay;
  doubtDays: number;
} {
  if (!startedTo || startedTo <= startedOn) return { day: startedOn, doubtDays: 0 };
  const half = daysBetween(startedOn, startedTo) / 2;
  return { day: addDays(startedOn, Math.floor(half)), doubtDays: Math.ceil(half) };
}
