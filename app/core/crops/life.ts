import { z } from "zod";
import { Standing } from "./standing";

const range = (least: number, most: number) =>
  z
    .object({ low: z.number().min(least).max(most), high: z.number().min(least).max(most), standing: Standing })
    .refine((r) => r.low <= r.high, "low is above high");

/** When in the year a start falls: where the usual mean of the day passes a warmth on its way up or down. */
const StartSeason = z.object({
  event: z.enum(["sown", "planted"]),
  meanC: z.number().min(-5).max(30),
  turn: z.enum(["spring", "autumn"]),
  /** From the passing to the last good start, days. */
  forDays: z.number().int().min(10).max(120),
});
export type StartSeason = z.infer<typeof StartSeason>;

/** Seasons and types that differ in when they are started and in what they need. */
export const KIND_IDS = ["spring", "early", "summer", "main", "late", "autumn", "winter", "overwintered"] as const;
const Kind = z.object({
  id: z.enum(KIND_IDS),
  start: StartSeason,
  /** Heat against the usual kind's. */
  heatTimes: z.number().min(0.2).max(12).default(1),
  /** Days from the start as a packet of this kind prints them; left out: the crop's. */
  days: z.object({ low: z.number().positive(), high: z.number().positive() }).optional(),
  /** How long it stays good, where that differs, days. */
  windowDays: z.number().positive().optional(),
  standing: Standing,
});
export type Kind = z.infer<typeof Kind>;

/** What a night harms at one age of the plant: °C in the air over it. */
export const ColdLimit = z
  .object({
    damageC: z.number().min(-40).max(15),
    killC: z.number().min(-45).max(15),
    /** Share lost when the damage limit, not the kill limit, is passed. */
    lostAtDamage: z.number().min(0).max(1),
    /** What helps: picking saves nothing that is not there yet. */
    act: z.enum(["cover", "earth up", "pick", "leave"]),
    standing: Standing,
  })
  .refine((c) => c.killC <= c.damageC, "what kills it has to be at least as cold as what harms it");
export type ColdLimit = z.infer<typeof ColdLimit>;

export const TAKING_WAYS = ["all at once", "as needed", "in stages", "in passes", "keeps giving"] as const;
export const END_CAUSES = ["spent", "bolted", "cold", "dark", "day length", "age", "dries"] as const;
export const PRESERVING = ["high acid", "low acid", "dry", "fresh only"] as const;

/**
 * The life of a crop from its start to its end, each number with its meaning, unit and range. What a household may
 * change of it is listed in `crop-values`.
 */
export const Life = z.object({
  /**
   * Heat from the start (as `packet.from` counts it) to the first pick, °C·d above the crop's base: its own need,
   * whatever the place and the month. Of a crop that counts days alike: days. `ofDays`: the packet that it belongs
   * to, so that another packet's days ask for more or less of it.
   */
  heat: z
    .object({
      low: z.number().min(1).max(9000),
      high: z.number().min(1).max(9000),
      ofDays: z.object({ low: z.number().positive(), high: z.number().positive() }),
      standing: Standing,
    })
    .refine((r) => r.low <= r.high, "low is above high"),
  /** The heat counts only from the day of the year with so much daylight, hours (bulbs form by the day's length). */
  dayLight: z.object({ hours: z.number().min(8).max(17), standing: Standing }).optional(),
  /** Seasons and types, the usual one first; none where it stands for years. */
  kinds: z.array(Kind).default([]),
  /** How it is taken. */
  taking: z.object({
    way: z.enum(TAKING_WAYS),
    /** In stages: days from the first piece ready to the last. */
    days: z.object({ low: z.number().positive(), high: z.number().positive() }).optional(),
    /** In passes: share of the whole crop that is ripe at a pass. */
    shareAPass: z.object({ low: z.number().min(0.01), high: z.number().max(1) }).optional(),
    /** As needed: what a household digs at a time, g. */
    mealGrams: z.number().positive().max(5000).optional(),
    standing: Standing,
  }),
  /** Days from its first pick to the end of what it bears, at a growing pace, and what ends it. */
  bearing: z
    .object({
      low: z.number().positive().max(400),
      high: z.number().positive().max(400),
      ends: z.enum(END_CAUSES),
      standing: Standing,
    })
    .refine((b) => b.low <= b.high, "low is above high")
    .optional(),
  /** Of what stood the winter: heat since midwinter at which it shoots or toughens, °C·d above 4.4 °C. */
  afterWinter: z.object({ heat: z.number().positive().max(2000), becomes: z.string(), standing: Standing }).optional(),
  /**
   * Winter chill that its buds want before warmth wakes them in full, hours between 0 and 7.2 °C from 61 days before
   * midwinter on: until it is had, warmth counts by the share of it that has been, half at least.
   */
  chill: z.object({ hours: z.number().min(50).max(2000), standing: Standing }).optional(),
  /** Days until a piece that is past its best is gone, and what becomes of it. */
  past: z.object({
    low: z.number().positive().max(400),
    high: z.number().positive().max(400),
    becomes: z.string(),
    standing: Standing,
  }),
  /** Cold by age and part; the part that is picked stands under `cold`. */
  cold: z.object({ young: ColdLimit.optional(), flower: ColdLimit.optional(), plant: ColdLimit.optional() }),
  /** What a grown plant gives in a season, kg: what nine gardens in ten lie within. */
  yield: range(0.001, 100),
  /** Share of the grown plant's yield in each growing year, the last one going on. */
  yieldByYear: z.object({ shares: z.array(z.number().min(0).max(1)).min(1), standing: Standing }).optional(),
  /** Weeks of cutting in each growing year, the last one going on. */
  cutWeeks: z.object({ weeks: z.array(z.number().min(0).max(20)).min(1), standing: Standing }).optional(),
  spacing: z.object({
    /** Plants in a metre of row. */
    plantsPerM: z.number().positive().max(200),
    rowCm: z.number().positive().max(800),
    standing: Standing,
  }),
  storage: z
    .object({
      lowC: z.number().min(-2).max(30),
      highC: z.number().min(-2).max(30),
      lowRh: z.number().min(10).max(100),
      highRh: z.number().min(10).max(100),
      lowDays: z.number().positive().max(2000),
      highDays: z.number().positive().max(2000),
      /** Days in a home fridge; 0: it does not belong there. */
      fridgeDays: z.number().min(0).max(60),
      /** Ripening gas given off, and whether it is harmed by it: what makes it and what feels it lie apart. */
      ethyleneMade: z.enum(["none", "little", "much"]),
      ethyleneFelt: z.boolean(),
      standing: Standing,
    })
    .refine((s) => s.lowC <= s.highC && s.lowRh <= s.highRh && s.lowDays <= s.highDays, "low is above high"),
  /** How long it lies to dry or to heal before it is stored, days, and how; left out: not at all. */
  cure: z
    .object({
      low: z.number().positive().max(90),
      high: z.number().positive().max(90),
      how: z.string().min(10),
      standing: Standing,
    })
    .refine((c) => c.low <= c.high, "low is above high")
    .optional(),
  /** What it does to who eats it raw, as a sentence with what makes it safe; left out where nothing is known. */
  eatenRaw: z.object({ harms: z.string().min(10), standing: Standing }).optional(),
  preserving: z.object({ value: z.enum(PRESERVING), standing: Standing }),
});
export type Life = z.infer<typeof Life>;

/** What putting by asks for, by class: deferred to tested recipes, as food agencies do. */
export const PRESERVING_CAUTIONS: Record<(typeof PRESERVING)[number], string | null> = {
  "high acid": null,
  "low acid": "Low in acid: canned only under pressure, by a tested recipe; else frozen.",
  dry: "Dry it through before it goes into a jar.",
  "fresh only": null,
};
