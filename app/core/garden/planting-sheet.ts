import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { CoverNight } from "../hazards";
import type { ActMark } from "./act-mark";
import type { DayTerms } from "./day-terms";
import type { GardenSky } from "./garden-sky";
import type { LookTaken, PlantingState } from "./garden-state";
import type { HouseholdLimits } from "./household-limits";
import { asTheHouseholdWants } from "./household-parts";
import { liftActs, withLiftActs } from "./lift-ways";
import { lookRestsUntil } from "./look-rests";
import { withLook } from "./looks-due";
import { plantingOutlook, type PlantingOutlook, type PlantingSetting } from "./planting-outlook";
import { withProtections } from "./protections";
import { withStrip } from "./strips";

/** All that the outlook of one planting is worked out from. */
export interface PlantingSheet {
  planting: PlantingState;
  setting: PlantingSetting;
  limits: HouseholdLimits;
  actMarks: ActMark[];
  sky: GardenSky;
  terms: DayTerms[];
}

/** Looks one planting ahead: judged, with what helps it against the sky, the jobs before its lift and the look it wants. */
export function outlookFrom({ planting, setting, limits, actMarks, sky, terms }: PlantingSheet): PlantingOutlook {
  const under = (nights: CoverNight[]) => asTheHouseholdWants(plantingOutlook(planting, { ...setting, covers: [...setting.covers, ...nights] }, sky, terms), limits, sky.days); // prettier-ignore
  const shielded = withStrip(withProtections(under([]), under, sky, terms), sky, terms);
  const acts = liftActs(setting.crop, planting, actMarks, sky.today);
  return withLook(withLiftActs(shielded, sky.today, terms, acts), terms, lookRestsUntil(setting.crop, planting, actMarks)); // prettier-ignore
}

/** A plain answer to a cue, given now. */
export type LookNow = Pick<LookTaken, "cueId" | "sampleOf" | "measuredMm"> & {
  /** Null takes the day's answer back. */
  readingId: string | null;
};

/**
 * The same planting once a cue was answered plainly today: of two answers to one cue on one day the later holds.
 *
 * @returns undefined where the answer hangs on more than the sheet knows: after a pick of the same day, or beside shares
 */
export function withLookNow(sheet: PlantingSheet, { readingId, ...look }: LookNow): PlantingSheet | undefined {
  const { planting, sky } = sheet;
  const ofNow = (l: LookTaken) => l.cueId === look.cueId && l.takenOn === sky.today;
  if (planting.picks.some((p) => p.pickedOn === sky.today) || planting.looks.some((l) => ofNow(l) && l.share !== undefined)) return undefined; // prettier-ignore
  const others = planting.looks.filter((l) => !ofNow(l));
  const looks = readingId === null ? others : [...others, { ...look, readingId, takenOn: sky.today }];
  return { ...sheet, planting: { ...planting, looks } };
}

/** Days before today that a sheet keeps of the weather, where the planting is younger. */
const KEEP_DAYS = 60;

/** The sheet with no more of the weather than its own planting has seen, and of the marks its own: to be sent. */
export function ownSheet({ actMarks, sky, ...sheet }: PlantingSheet): PlantingSheet {
  const { planting } = sheet;
  const { track } = sky;
  const wanted = [addDays(sky.today, -KEEP_DAYS), addDays(planting.startedOn, -1)].sort()[0]!;
  const cut = Math.max(0, daysBetween(track.from, wanted));
  const of = <T>(values: T): T => (Array.isArray(values) || values instanceof Float64Array ? (values.slice(cut) as T) : values); // prettier-ignore
  const shorter = Object.fromEntries(Object.entries(track).map(([name, values]: [string, unknown]) => [name, of(values)])) as unknown as typeof track; // prettier-ignore
  const from: IsoDay = addDays(track.from, cut);
  const own = actMarks.filter((m) => m.key.endsWith(` ${planting.seasonId || planting.id}`));
  return { ...sheet, actMarks: own, sky: { ...sky, track: { ...shorter, from } } };
}
