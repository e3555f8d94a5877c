import { addDays, dayLength, dayOfYear, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { BOLTS_FROM_HOURS, REST_DAYS, yearTurnOn } from "../seasons";
import { normalDegreeDays, type ClimateNormals } from "../weather";
import { growthPace } from "./growth-pace";

/** A place whose usual weather is known. */
export interface YearPlace {
  normals: ClimateNormals;
  /** Degrees, north positive. */
  latitude: number;
}

/** What ends a crop's life. */
export type Ending = "spent" | "bolted" | "cold" | "age" | "past" | "spring" | "dark";

/** A life is followed no longer than this from its start, days. */
const LONGEST = 720;
/** A usual mean below this is winter, °C: our judgement. */
const WINTER_C = 8;
/** Growth below this share of a warm day's for so many days is none that keeps giving: our judgement. */
const DARK = { pace: 0.34, days: 6 } as const;
/** An open bed loses so much more than the station on the clear nights that matter, °C: our judgement. */
const OPEN_BED_C = 1;
/** What stood the winter is followed by heat above this, °C: as `afterWinter` says. */
const SPRING = { baseC: 4.4, upperC: 28 };

/** A walk through the usual days of a place, with what the plants gather and survive. */
export class YearWalk {
  day: IsoDay;
  heat = 0;
  /** Growth of today as a share of a warm day's. */
  pace = 0;
  dayHeat = 0;
  private bears = false;
  ended: Ending | null = null;
  readonly cutDays: number | null;
  private alive = 1;
  private spring = 0;
  private steps = 0;
  private dark = 0;

  constructor(
    private readonly crop: Crop,
    private readonly place: YearPlace,
    private readonly startedOn: IsoDay,
    private readonly countsFrom: IsoDay,
  ) {
    this.day = startedOn;
    const weeks = crop.life.cutWeeks?.weeks.at(-1);
    this.cutDays = weeks === undefined ? (crop.stopCropping?.afterDays ?? null) : 7 * weeks;
    this.grow();
  }

  /** The first piece is ready: from now on it is the nights to come that count. */
  bear(): void {
    this.bears = true;
    this.alive = 1;
  }

  /** Days on which what stands outside has to be hardy; in spring a gardener covers. */
  get isWinter(): boolean {
    const doy = dayOfYear(this.day);
    return (this.place.normals.minC[doy]! + this.place.normals.maxC[doy]!) / 2 < WINTER_C;
  }

  private grow(): void {
    const { baseC, upperC } = this.crop.degreeDays;
    const doy = dayOfYear(this.day);
    this.dayHeat = normalDegreeDays(this.place.normals, doy, baseC, upperC);
    const { minC, maxC, spreadC } = this.place.normals;
    this.pace = growthPace(this.crop, minC[doy]!, maxC[doy]!, spreadC[doy]);
    if (this.day >= this.countsFrom) this.heat += this.dayHeat;
  }

  /** On to the next day. @returns false when the life has ended, `ended` saying how */
  step(limit: { killC: number } | null): boolean {
    const { normals, latitude } = this.place;
    this.day = addDays(this.day, 1);
    const doy = dayOfYear(this.day);
    if (++this.steps > LONGEST) return this.end("dark");
    if (limit && this.countsFrom <= this.day) {
      const odds = below(limit.killC, normals.minC[doy]! - OPEN_BED_C, normals.lowSpreadC[doy]!);
      this.alive *= 1 - odds;
      if (this.alive < 0.5) return this.end("cold");
    }
    if (this.day.slice(5) === yearTurnOn(this.day, latitude).slice(5)) this.spring = 0;
    if (daysBetween(yearTurnOn(this.day, latitude), this.day) >= REST_DAYS)
      this.spring += normalDegreeDays(normals, doy, SPRING.baseC, SPRING.upperC);
    const { afterWinter, bearing } = this.crop.life;
    const wintered = daysBetween(this.startedOn, yearTurnOn(this.day, latitude)) > 0;
    if (
      wintered &&
      afterWinter &&
      !this.crop.perennial &&
      this.spring > afterWinter.heat &&
      dayLength(this.day, latitude) >= BOLTS_FROM_HOURS
    )
      return this.end("spring");
    this.grow();
    // Fruit and leaves of a tender crop come to a stand before a frost takes the plants.
    this.dark = this.pace < DARK.pace ? this.dark + 1 : 0;
    if (bearing && this.heat > 0 && this.dark > DARK.days && this.bears && this.crop.mode === "repeat" && !afterWinter)
      return this.end("dark");
    return true;
  }

  private end(by: Ending): boolean {
    this.ended = by;
    return false;
  }
}

/** P(a night's low is below a limit), straight through the middle of the normal: enough for a calendar. */
function below(limitC: number, usualC: number, spreadC: number): number {
  const z = (limitC - usualC) / Math.max(0.5, spreadC);
  return 1 / (1 + Math.exp(-1.702 * z));
}
