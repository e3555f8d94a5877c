import { z } from "zod";
import { Standing } from "./standing";

/** What a reading says of the part that is picked, in the order of force of the field handbook. */
export const Meaning = z.enum(["early", "nearly", "ready", "past", "now", "unfit", "none"]);
export type Meaning = z.infer<typeof Meaning>;

export const Reading = z.object({
  id: z.string(),
  /** As a gardener would say it. */
  text: z.string(),
  means: Meaning,
  /** Everyday size: "a golf ball". */
  everyday: z.string().optional(),
  /** What to do about it, when the meaning alone does not say. */
  advice: z.string().optional(),
});
export type Reading = z.infer<typeof Reading>;

export const CueWeight = z.enum(["decisive", "strong", "weak"]);
export type CueWeight = z.infer<typeof CueWeight>;

export const Cue = z.object({
  id: z.string(),
  kind: z.enum([
    "size",
    "colour",
    "feel",
    "foliage",
    "detachment",
    "smell",
    "sample",
    "skin-test",
    "seed-outline",
    "flower",
    "damage",
    "animal",
  ]),
  weight: CueWeight,
  /** The question, short enough for a phone: "How long is the longest?" */
  ask: z.string(),
  /** How to take it, in a line. */
  how: z.string().optional(),
  /** In order from least to most mature, neutral ones anywhere. */
  readings: z.array(Reading).min(2),
  standing: Standing,
});
export type Cue = z.infer<typeof Cue>;

/** A rule of the calendar that the app applies by itself; nobody is asked. */
const ClockRule = z.object({
  /** Days past the later packet day from which the crop is lifted whatever its size. */
  liftPastPacketDays: z.number().positive(),
  because: z.string(),
  standing: Standing,
});

/** A way of doing it that good gardeners differ on: it moves the prime window, never the evidence. */
export const School = z.object({
  id: z.string(),
  question: z.string(),
  standing: Standing,
  options: z
    .array(
      z.object({
        id: z.string(),
        label: z.string(),
        /** Where prime opens and closes, as shares of the base window: 0 opens with it, 1 is its close. */
        opens: z.number(),
        closes: z.number(),
      }),
    )
    .min(2),
  usual: z.string(),
  why: z.string(),
});
export type School = z.infer<typeof School>;

const fact = <T extends z.ZodType>(value: T) => z.object({ value, standing: Standing });
const span = z
  .object({ low: z.number().nonnegative(), high: z.number().positive(), standing: Standing })
  .refine((s) => s.low <= s.high, "low is above high");

export const START_EVENTS = ["sown", "planted", "blossom"] as const;
export const StartEvent = z.enum(START_EVENTS);
export type StartEvent = z.infer<typeof StartEvent>;

export const Crop = z.object({
  id: z.string().regex(/^[a-z_]+$/),
  name: z.string(),
  /** Other words a gardener types for it, lower case. */
  alsoCalled: z.array(z.string()),
  /** One and several of the part that is picked: "ear", "ears". */
  piece: z.object({ one: z.string(), many: z.string() }),
  group: z.enum(["leaf", "root", "bulb", "tuber", "fruit", "pod", "ear", "tree fruit"]),
  family: z.string(),
  /** once: the planting is lifted in one or a few goes; repeat: it keeps giving. */
  mode: z.enum(["once", "repeat"]),
  ripensIndoors: fact(z.boolean()),
  suppressesWhenLeft: fact(z.boolean()),
  degreeDays: z.object({ baseC: z.number(), upperC: z.number(), standing: Standing }),
  /** Days to first pick, counted from `from`. */
  packet: z.object({ low: z.number().positive(), high: z.number().positive(), from: StartEvent, standing: Standing }),
  windowDays: fact(z.number().positive()),
  /** Days between picks of a crop that keeps giving. */
  again: span.optional(),
  size: z.object({ text: z.string(), standing: Standing }),
  /** What waiting costs, once it is ready. */
  waiting: z.object({ text: z.string(), standing: Standing }),
  pick: z.object({
    tool: z.string(),
    kit: z.array(z.string()),
    how: z.string(),
    stays: z.string(),
    not: z.string(),
    standing: Standing,
  }),
  /** Picking speed. */
  piecesPerMinute: fact(z.number().positive()),
  pieceGrams: fact(z.number().positive()),
  /** Pieces a plant gives: at one go (`once`), or a day while it bears (`repeat`). */
  piecesPerPlant: fact(z.number().positive()),
  /** Worth of a kilogram against the others, courgette = 1: a guess the household may change later. */
  worthPerKg: fact(z.number().positive()),
  /** Share of the worth when picked at "nearly", and once well past. */
  worthEarly: fact(z.number().min(0).max(1)),
  worthPast: fact(z.number().min(0).max(1)),
  /** Air temperatures that harm the part that is picked; null where cold does not matter. */
  cold: z.object({
    damageC: z.number().nullable(),
    killC: z.number().nullable(),
    /** Share lost when the damage limit, not the kill limit, is passed. */
    lostAtDamage: z.number().min(0).max(1),
    standing: Standing,
  }),
  /** Share of the pickable crop lost in a storm (gusts of 60 km/h or more) and in a soaking (15 mm). */
  storm: z.object({ gustLoss: z.number().min(0).max(1), soakLoss: z.number().min(0).max(1), standing: Standing }),
  handsOffWhenWet: fact(z.boolean()),
  clockRule: ClockRule.optional(),
  after: z.object({ text: z.string(), store: z.string(), standing: Standing }),
  caution: z.string().optional(),
  cues: z.array(Cue).min(2),
  school: School.optional(),
});
export type Crop = z.infer<typeof Crop>;
