import { z } from "zod";
import { Life } from "./life";
import { School } from "./school";
import { ActRule } from "./act-rule";
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
  /** Of a size: the measurement from which it reads so, mm (or a count); the first has none. */
  fromMm: z.number().positive().optional(),
  /** Whether it is true of the piece that was looked at, or of the planting, when nobody said of how many. */
  of: z.enum(["piece", "planting"]).default("planting"),
});
export type Reading = z.infer<typeof Reading>;

/** A reading that asks for an act says which, in a phrase that stands by itself. */
const SpokenReading = Reading.refine(
  ({ means, advice = "" }) => (means !== "now" && means !== "unfit") || advice.split(" ").length >= 3,
  { error: "a reading that is now or unfit needs an advice of a few words", path: ["advice"] },
);

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
    "sound",
    "time",
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
  readings: z.array(SpokenReading).min(2),
  /** Of a size in mm: whether it is measured along or across. */
  across: z.enum(["length", "width"]).optional(),
  /** Worked out by the app from dates, picks and weather: nobody is asked. */
  auto: z.enum(["days since start", "days since pick", "frost ahead", "heat ahead"]).optional(),
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

const Statements = z.array(z.object({ text: z.string(), standing: Standing })).default([]);
export const CROP_GROUPS = [
  "leaf",
  "herb",
  "head",
  "stem",
  "root",
  "bulb",
  "tuber",
  "fruit",
  "pod",
  "ear",
  "berry",
  "tree fruit",
  "flower",
  "seed",
  "extra",
] as const;

const fact = <T extends z.ZodType>(value: T) => z.object({ value, standing: Standing });
const span = z
  .object({ low: z.number().nonnegative(), high: z.number().positive(), standing: Standing })
  .refine((s) => s.low <= s.high, "low is above high");

/** What the days of a packet count from; growth: new growth in spring, first spears, flowering, the main cut. */
export const START_EVENTS = ["sown", "planted", "blossom", "growth"] as const;
export const StartEvent = z.enum(START_EVENTS);
export type StartEvent = z.infer<typeof StartEvent>;

export const Crop = z.object({
  id: z.string().regex(/^[a-z_]+$/),
  name: z.string(),
  /** Other words a gardener types for it, lower case. */
  alsoCalled: z.array(z.string()),
  /** One and several of the part that is picked: "ear", "ears". */
  piece: z.object({ one: z.string(), many: z.string() }),
  group: z.enum(CROP_GROUPS),
  family: z.string(),
  /**
   * once: lifted in one or a few goes; passes: a fixed crop taken in several passes as it ripens;
   * repeat: it keeps giving.
   */
  mode: z.enum(["once", "passes", "repeat"]),
  /** Whether it goes on ripening after picking. */
  climacteric: fact(z.enum(["yes", "partly", "no"])),
  /** Whether ready or oversize parts left on lower the later crop. */
  suppressesWhenLeft: fact(z.enum(["yes", "slight", "no"])),
  /** Colour of the usual variety when ripe. */
  ripeColour: z.string().optional(),
  degreeDays: z
    .object({
      baseC: z.number(),
      upperC: z.number(),
      /** Days count alike, whatever the warmth. */
      calendar: z.boolean().optional(),
      standing: Standing,
    })
    .refine((d) => d.baseC < d.upperC, "the upper limit has to be above the base")
    // A degree so far below any weather that every day gives exactly one degree-day.
    .transform((d) => (d.calendar ? { ...d, baseC: -1000, upperC: -999 } : d)),
  /** Days to first pick, counted from `from`. */
  packet: z
    .object({ low: z.number().positive(), high: z.number().positive(), from: StartEvent, standing: Standing })
    .refine((p) => p.low <= p.high, "the later day is before the earlier one"),
  /** Days from sowing to planting out, for crops that may be started either way. */
  nurseryDays: fact(z.number().int().min(1).max(120)).optional(),
  /** Set where the plants stand for years: what opens each year's crop, and in which year the first one comes. */
  perennial: z
    .object({
      opens: z.enum(["growth", "blossom"]),
      /** It opens once this much heat has come since midwinter, °C·d above the base. */
      baseC: z.number(),
      degreeDays: z.number().positive(),
      /** Growing year of the first crop, the year of planting counting as 1. */
      firstCropYear: z.number().int().min(1).max(10),
      standing: Standing,
    })
    .optional(),
  /** What the same plants give once all of it was taken: days to it, and its share of the first crop. */
  nextCrops: z
    .array(
      z
        .object({
          crop: z.enum(["side shoots", "second cut", "regrowth"]),
          low: z.number().positive(),
          high: z.number().positive(),
          share: z.number().positive().max(1),
          standing: Standing,
        })
        .refine((n) => n.low <= n.high, "the later day is before the earlier one"),
    )
    .default([]),
  windowDays: fact(z.number().positive()),
  /** Days between picks of a crop that keeps giving. */
  again: span.optional(),
  size: z.object({ text: z.string(), standing: Standing }),
  /** Size to pick at, as read by one of its size cues; `overMm` is too big. */
  target: z
    .object({
      cue: z.string(),
      lowMm: z.number().positive(),
      highMm: z.number().positive(),
      overMm: z.number().positive().optional(),
      standing: Standing,
    })
    .refine((t) => t.lowMm < t.highMm && (t.overMm ?? t.highMm) >= t.highMm, "the sizes are not in order")
    .optional(),
  /** Spread of development between pieces of one planting (log), where it differs from the usual. */
  unitSpread: fact(z.number().positive()).optional(),
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
  cold: z
    .object({
      /** Lasting cold below this harms it without freezing. */
      chillC: z.number().optional(),
      damageC: z.number().nullable(),
      killC: z.number().nullable(),
      /** Share lost when the damage limit, not the kill limit, is passed. */
      lostAtDamage: z.number().min(0).max(1),
      standing: Standing,
    })
    .refine(
      (c) => c.damageC === null || c.killC === null || c.killC <= c.damageC,
      "what kills it has to be at least as cold as what harms it",
    ),
  /** Share of the pickable crop lost in a storm (gusts of 60 km/h or more) and in a soaking (15 mm). */
  storm: z.object({ gustLoss: z.number().min(0).max(1), soakLoss: z.number().min(0).max(1), standing: Standing }),
  handsOffWhenWet: fact(z.boolean()),
  clockRule: ClockRule.optional(),
  /** Days from the first pick after which picking stops, so that the plant can feed itself. */
  stopCropping: z.object({ afterDays: z.number().positive(), because: z.string(), standing: Standing }).optional(),
  /** Heat that ends the window sooner: days at or above it, and the share lost on each. */
  heat: z
    .object({ aboveC: z.number(), effect: z.string(), lossPerDay: z.number().min(0).max(1), standing: Standing })
    .optional(),
  /** Days to wait after a soaking before it is good again. */
  rainWait: z.object({ low: z.number(), high: z.number(), because: z.string(), standing: Standing }).optional(),
  /** Dry days that have to follow the lifting. */
  dryDays: z.object({ days: z.number(), because: z.string(), standing: Standing }).optional(),
  /** Ripening off the plant: days for nearly coloured and for full-grown green fruit, at the warmth stated. */
  indoors: z
    .object({
      low: z.number(),
      high: z.number(),
      atLowC: z.number(),
      atHighC: z.number(),
      fromNearlyDays: z.number().positive(),
      fromGreenDays: z.number().positive().optional(),
      text: z.string(),
      standing: Standing,
    })
    .optional(),
  /** Leaves that have to stay on each plant. */
  leavesStay: z.object({ count: z.number(), low: z.number(), high: z.number(), standing: Standing }).optional(),
  /** Thinned by taking the biggest, so that the rest have room. */
  thins: fact(z.boolean()).optional(),
  seedSaving: z.object({ text: z.string(), standing: Standing }).optional(),
  after: z.object({
    text: z.string(),
    store: z.string(),
    standing: Standing,
  }),
  caution: z.string().optional(),
  /** What is done beside picking, by day. */
  acts: z.array(ActRule).default([]),
  life: Life,
  cues: z.array(Cue).min(1),
  /** Read of it once it is lifted or picked. */
  liftedCues: z.array(Cue).default([]),
  /** Ways that good gardeners differ on, of this crop. */
  schools: z.array(School).default([]),
  /** The handbook's own words, each statement with its standing. */
  notes: z.object({
    size: Statements,
    time: Statements,
    pick: Statements,
    sensitivities: Statements,
    after: Statements,
  }),
});
export type Crop = z.infer<typeof Crop>;

export type Catalogue = readonly Crop[];
