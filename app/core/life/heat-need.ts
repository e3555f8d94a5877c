import { addDays, dayOfLight, type IsoDay } from "../calendar";
import type { Crop, Kind } from "../crops";
import { dailyDegreeDays, type ClimateNormals } from "../weather";
import { kindOf } from "./kind";
import { nextCropOf, type Span, type SpanOf } from "./start-span";

/** Heat to the first pick of a planting, and the day from which it counts. */
export interface HeatNeed {
  /** °C·d, the crop's own spread as 10 and 90 % points. */
  low: number;
  high: number;
  countsFrom: IsoDay;
  /** How long it stays good, days. */
  windowDays: number;
  kind: Kind | undefined;
}

/** Seedlings are raised at about this low and high, °C: common practice. */
const NURSERY = { minC: 14, maxC: 21 } as const;
/** What was raised indoors still takes this share of its heat outdoors: our judgement. */
const LEAST_AFTER_PLANTING = 0.4;

export interface NeedOf extends SpanOf {
  startedOn: IsoDay;
}

/**
 * The heat that a planting needs from its start: the crop's own by kind, less what it gained in the nursery, scaled by
 * its packet where that says other days than the crop's. What was sown before it is planted counts from planting out.
 * Where bulbs form by the light it counts from the day that is long enough.
 *
 * @returns undefined for what the same plants give after their first crop: that is told in days
 */
export function heatNeed(crop: Crop, of: NeedOf, normals: ClimateNormals, latitude: number): HeatNeed | undefined {
  if (nextCropOf(crop, of.seasonCrop)) return undefined;
  const kind = kindOf(crop, of, normals);
  const whole = heatOf(crop, kind, of.packet);
  const gained = nurseryHeat(crop, of);
  const doubt = (of.startDoubtDays * whole.high) / (of.packet ?? kind?.days ?? crop.packet).high;
  const less = (heat: number) => Math.max(heat * LEAST_AFTER_PLANTING, heat - gained);
  return {
    low: Math.max(0.5, less(whole.low) - doubt),
    high: less(whole.high) + doubt,
    countsFrom: countsFrom(crop, of, latitude),
    windowDays: kind?.windowDays ?? crop.windowDays.value,
    kind,
  };
}

/** The heat of a kind, for its packet's days or a planting's own. */
function heatOf({ life, packet }: Crop, kind: Kind | undefined, own: Span | null): Span {
  const times = kind?.heatTimes ?? 1;
  const days = own ?? (kind?.days ? kind.days : packet);
  const ofDays = kind?.days ?? life.heat.ofDays;
  const low = (life.heat.low * times * days.low) / ofDays.low;
  return { low, high: Math.max(low, (life.heat.high * times * days.high) / ofDays.high) };
}

/** What a plant set out has gained already, where its packet counts from sowing. */
function nurseryHeat(crop: Crop, { startEvent }: NeedOf): number {
  if (startEvent !== "planted" || crop.packet.from !== "sown") return 0;
  const { baseC, upperC } = crop.degreeDays;
  return (crop.nurseryDays?.value ?? 0) * dailyDegreeDays(NURSERY.minC, NURSERY.maxC, baseC, upperC);
}

function countsFrom(crop: Crop, { startEvent, startedOn }: NeedOf, latitude: number): IsoDay {
  const nursery = startEvent === "sown" && crop.packet.from === "planted" ? (crop.nurseryDays?.value ?? 0) : 0;
  const outdoors = addDays(startedOn, nursery);
  const { dayLight } = crop.life;
  return dayLight ? (dayOfLight(outdoors, dayLight.hours, latitude) ?? outdoors) : outdoors;
}
