import { z } from "zod";
import { Standing } from "./standing";

export const BESIDE_PICKING = ["stop watering", "cut the tops", "cut the vines", "look for eggs", "net", "search under the leaves"] as const; // prettier-ignore
export const BesidePicking = z.enum(BESIDE_PICKING);
export type BesidePicking = z.infer<typeof BesidePicking>;

/** Something that is done beside picking, and has a day. */
export const ActRule = z.object({
  id: z.string().regex(/^[a-z_]+$/),
  /** Ids of the crops it is done to. */
  crops: z.array(z.string()).min(1),
  act: BesidePicking,
  when: z.discriminatedUnion("by", [
    /** So many days before what is taken as a whole comes up. */
    z.object({
      by: z.literal("days before lift"),
      days: z.number().int().min(1).max(60),
      /** What it is worth: the share that the crop loses when it comes up without it, and what each day too early costs. */
      pays: z.object({ share: z.number().min(0).max(0.5), earlyADay: z.number().min(0).max(0.05) }),
      /** What does it of itself: from the day on which it was seen so. */
      unless: z.object({ cue: z.string(), readings: z.array(z.string()).min(1) }).optional(),
    }),
    /** Again and again from a look that read so, until one reads otherwise. */
    z.object({ by: z.literal("reading"), cue: z.string(), readings: z.array(z.string()).min(1), everyDays: z.number().int().min(1).max(14) }), // prettier-ignore
    /** Once the first are nearly ripe. */
    z.object({ by: z.literal("nearly ripe") }),
    /** On the last day with hands before a trip. */
    z.object({ by: z.literal("last day at home") }),
  ]),
  /** Only where the household goes this way. */
  way: z.object({ school: z.string(), option: z.string() }).optional(),
  /** Minutes that it takes, the going there included, and those of each plant besides; our judgement unless `standing` says more. */
  minutes: z.object({ planting: z.number().min(0).max(60), plant: z.number().min(0).max(10) }),
  /** A clause that gives the reason. */
  why: z.string().min(10),
  standing: Standing,
});
export type ActRule = z.infer<typeof ActRule>;
