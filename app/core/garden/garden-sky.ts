import { addDays, type IsoDay } from "../calendar";
import {
  BED_CLIMATES,
  BED_KINDS,
  nightOddsBelow,
  rainOutlook,
  stormOdds,
  type BedKind,
  type NightOdds,
  type RainOutlook,
  type StormDay,
} from "../hazards";
import {
  UNMEASURED,
  usualNormals,
  skyHours,
  skyTrack,
  soilOutlook,
  type ClimateNormals,
  type DayHours,
  type SkyTrack,
  type SoilDay,
} from "../weather";
import type { GardenState } from "./garden-state";

/** Days of usual weather laid behind the horizon, so that a window that opens later can be told. */
const BEYOND_DAYS = 75;
/** The sky reaches back at least this far. */
const BACK_DAYS = 30;

/** All that the weather says of a garden, for every planting alike. */
export interface GardenSky {
  today: IsoDay;
  latitude: number;
  days: IsoDay[];
  track: SkyTrack;
  normals: ClimateNormals;
  /** Frost odds in the open, a night each from tonight. */
  frost: NightOdds[];
  storms: StormDay[];
  rain: RainOutlook;
  soils: Record<BedKind, SoilDay[]>;
  /** Hours of each day, as far as the forecast tells them. */
  hours: (DayHours | undefined)[];
}

/** The last day that a sky reaches. */
export const lastDayOf = ({ track }: Pick<GardenSky, "track">): IsoDay => addDays(track.from, track.minC.length - 1);

/**
 * The sky over a garden: the record, the forecast and the usual weather behind it, and what they threaten.
 *
 * @param horizonDays - days from today, today included
 */
export function gardenSky(garden: GardenState, horizonDays: number): GardenSky {
  const { today } = garden;
  const normals = usualNormals(garden.observed, garden.usual, garden.latitude);
  const track = skyTrack(
    garden.observed,
    garden.forecast,
    normals,
    garden.plantings.reduce((day, p) => (p.startedOn < day ? p.startedOn : day), addDays(today, -BACK_DAYS)),
    today,
    addDays(today, horizonDays + BEYOND_DAYS),
    garden.forecastError ?? UNMEASURED,
  );
  return {
    today,
    latitude: garden.latitude,
    days: Array.from({ length: horizonDays }, (_, n) => addDays(today, n)),
    track,
    normals,
    frost: nightOddsBelow(track, "open", 0, horizonDays),
    storms: stormOdds(track, horizonDays),
    rain: rainOutlook(track, horizonDays),
    soils: Object.fromEntries(BED_KINDS.map((kind) => [kind, soilOf(track, kind, horizonDays)])) as Record<BedKind, SoilDay[]>, // prettier-ignore
    hours: skyHours(track, garden, horizonDays, garden.hours),
  };
}

function soilOf(track: SkyTrack, kind: BedKind, horizonDays: number): SoilDay[] {
  const { nightC, dayC } = BED_CLIMATES[kind];
  return soilOutlook(track, horizonDays, (nightC + dayC) / 2);
}
