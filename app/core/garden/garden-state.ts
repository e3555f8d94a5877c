import { z } from "zod";
import { IsoDay } from "../calendar";
import { StartEvent, Variety } from "../crops";
import { SHARE_WORDS, SHARE_WORD_LIST } from "../readiness";
import { DayNow, HandsRules, Slot } from "../hands";
import { HouseholdLimits } from "./household-limits";
import { ActMark } from "./act-mark";
import { BedKind, CoverNight, Treatment } from "../hazards";
import { START_STANDINGS, SeasonCrop } from "../seasons";
import { DailyWeather, ForecastError, HourTold, PlaceClimate } from "../weather";

/** A cue read on a day. */
export const LookTaken = z.object({
  cueId: z.string(),
  readingId: z.string(),
  takenOn: IsoDay,
  sampleOf: z.number().int().min(1).max(1000).optional(),
  measuredMm: z.number().positive().max(3000).optional(),
  /** Taken after a pick of that same day: it speaks of what was left. */
  afterPick: z.boolean().optional(),
  /** Share of the pieces that read so: a number, or as it is said over a bed. */
  share: z.union([z.number().gt(0).max(1), z.enum(SHARE_WORD_LIST).transform((word) => SHARE_WORDS[word])]).optional(),
  /** In place of a share: so many of them, out of `outOf`, or of all that the planting has. */
  pieces: z.number().int().min(1).max(100_000).optional(),
  outOf: z.number().int().min(1).max(100_000).optional(),
});
export type LookTaken = z.infer<typeof LookTaken>;

/** Something counted: ready pieces on the whole planting, or leaves on a usual plant. */
export const CountSeen = z.object({
  countedOn: IsoDay,
  what: z.enum(["ready", "leaves"]),
  number: z.number().int().min(0).max(100_000),
});

/** A pick as the outlook needs it. */
export const PickMade = z.object({
  pickedOn: IsoDay,
  pieces: z.number().min(0),
  /** True when all that was ready came off: the clock of a crop that keeps giving starts again. */
  tookAll: z.boolean(),
});

export const MATTERS = ["little", "usual", "much"] as const;

/** A day on which a planting is to be picked, in one part of it or any; a bare day means any. */
export const WishedPick = z.union([
  IsoDay.transform((day): { day: IsoDay; slot: Slot | null } => ({ day, slot: null })),
  z.object({ day: IsoDay, slot: Slot.nullable().default(null) }),
]);
export type WishedPick = z.infer<typeof WishedPick>;

/** What the household wishes of one planting. */
export const PlantingWishes = z.object({
  /** How much it matters against the others. */
  matters: z.enum(MATTERS).default("usual"),
  /** Of what keeps giving: what the household eats of it in a week, g; null = all that comes. */
  eatsGrams: z.number().positive().max(100_000).nullable().default(null),
  pickOn: z.array(WishedPick).default([]),
  /** Days on which it is not to be picked. */
  notOn: z.array(IsoDay).default([]),
});
export type PlantingWishes = z.infer<typeof PlantingWishes>;

/** A planting in its open season. */
export const PlantingState = z.object({
  id: z.string(),
  seasonId: z.string().default(""),
  bedId: z.string(),
  cropId: z.string(),
  variety: z.string(),
  plants: z.number().int().min(1).max(5000).default(1),
  /** Metres of row, where it was told so; it counts, not `plants`. */
  lengthM: z.number().positive().max(500).nullable().default(null),
  startEvent: StartEvent,
  /** Start of the season; the middle of a vague one. */
  startedOn: IsoDay,
  /** Days that the start may lie either side of `startedOn`. */
  startDoubtDays: z.number().min(0).max(200).default(0),
  startStanding: z.enum(START_STANDINGS).default("told"),
  seasonCrop: SeasonCrop.default("main"),
  /** Growing year of the plants, that of planting = 1; null where it is not known. */
  growingYear: z.number().int().min(1).nullable().default(null),
  packet: z
    .object({ low: z.number().positive(), high: z.number().positive() })
    .refine((p) => p.low <= p.high, "the packet's days run backwards")
    .nullable(),
  looks: z.array(LookTaken),
  picks: z.array(PickMade),
  schoolOption: z.string().nullable(),
  counts: z.array(CountSeen).default([]),
  forSeed: z.boolean().default(false),
  /** Told today: its leaves are wet. */
  leavesWet: z.boolean().default(false),
  bedNeededOn: IsoDay.nullable().default(null),
  wishes: PlantingWishes.optional(),
  treatments: z.array(Treatment).default([]),
});
export type PlantingState = z.infer<typeof PlantingState>;

export const BedState = z.object({ id: z.string(), name: z.string(), kind: BedKind, position: z.number() });
export type BedState = z.infer<typeof BedState>;

/** First pick of a planting of this or an earlier season: what learning goes by. */
export const FirstPickMade = z.object({
  cropId: z.string(),
  variety: z.string(),
  bedKind: BedKind,
  /** Left out: as the crop's packet counts. */
  startEvent: StartEvent.optional(),
  startedOn: IsoDay,
  packet: PlantingState.shape.packet,
  pickedOn: IsoDay,
});
export type FirstPickMade = z.infer<typeof FirstPickMade>;

/** What a closed season brought: what learning of amounts goes by. */
export const SeasonPicked = z.object({
  cropId: z.string(),
  variety: z.string(),
  bedKind: BedKind,
  plants: PlantingState.shape.plants,
  lengthM: PlantingState.shape.lengthM,
  seasonCrop: PlantingState.shape.seasonCrop,
  growingYear: PlantingState.shape.growingYear,
  /** First and last pick. */
  firstOn: IsoDay,
  lastOn: IsoDay,
  picks: z.number().int().min(1),
  pieces: z.number().min(0),
});
export type SeasonPicked = z.infer<typeof SeasonPicked>;

/** All that the outlook is worked out from: one household garden on one day. */
export const GardenState = z.object({
  today: IsoDay,
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
  beds: z.array(BedState),
  plantings: z.array(PlantingState),
  /** IANA name: tells the hours of a day. */
  timeZone: z.string().default("UTC"),
  observed: z.array(DailyWeather).readonly(),
  /** Usual months of the place, drawn from places that are known: for where there is no record. */
  usual: PlaceClimate.nullable().default(null),
  /** Coming days; one without the day of its issue counts as issued today. */
  forecast: z.array(DailyWeather.safeExtend({ issuedOn: IsoDay.optional() })),
  /** Hours that the service told, if any. */
  hours: z.array(HourTold).default([]),
  /** What forecasts have been measured to miss by. */
  forecastError: ForecastError.nullable().default(null),
  covers: z.array(CoverNight).default([]),
  /** What was done or left out beside picking. */
  actMarks: z.array(ActMark).default([]),
  ...HandsRules.shape,
  /** What the household can and wants beside its hours. */
  limits: HouseholdLimits.optional(),
  /** How far today has gone; null for a day looked at as a whole. */
  now: DayNow.nullable().default(null),
  varieties: z.array(Variety).default([]),
  /** The household's ways, by crop. */
  schools: z.array(z.object({ cropId: z.string(), schoolId: z.string(), optionId: z.string() })).default([]),
  firstPicks: z.array(FirstPickMade).default([]),
  seasonYields: z.array(SeasonPicked).default([]),
});
export type GardenState = z.infer<typeof GardenState>;
