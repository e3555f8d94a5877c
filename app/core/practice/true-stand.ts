import { daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { normalDraw, seeded } from "../statistics";
import { trueHeat } from "./true-climate";
import type { TrueCrop } from "./true-crop";

/** A day of real weather over a garden. */
export interface SkyCame {
  day: IsoDay;
  minC: number;
  maxC: number;
  rainMm: number;
  windKmh: number;
  cloudShare: number;
  hail: boolean;
}

/** How a bed differs from the station, °C: on the night's low, on the day's high, and further on a clear, calm night. */
export interface BedCame {
  nightC: number;
  dayC: number;
  radiationC: number;
  /** Under glass or film: neither wind nor rain. */
  sheltered: boolean;
}

/** What took a piece before hands did. */
export const LOST_TO = ["cold", "wind", "soaking", "hail", "heat", "age", "overgrown"] as const;
export type LostTo = (typeof LOST_TO)[number];

/** What hands took: pieces, what they are worth in kilograms of courgette, and how many were early or past. */
export interface Taken {
  pieces: number;
  worth: number;
  early: number;
  past: number;
}

/** What the crops' losses in a storm are told for: gusts and a day's rain. */
const GUST_KMH = 60;
const SOAK_MM = 15;
/** How a real planting strays from its crop's prime life and from what is past (log), our judgement. */
const LIFE_LOG = 0.22;
/** Share that a hailstorm spoils, of pieces that hang in the open: our judgement. */
const HAIL_LOSS: Partial<Record<Crop["group"], number>> = { leaf: 0.4, herb: 0.3, flower: 0.4, berry: 0.4, "tree fruit": 0.3, fruit: 0.2, pod: 0.15, head: 0.1 }; // prettier-ignore
/** Share lost on the second and each further day of lasting chill: our judgement. */
const CHILL_LOSS = 0.06;
/** Later pieces that do not come for each that hangs past its half: our judgement. */
export const SUPPRESSES = { yes: 0.35, slight: 0.15, no: 0 } as const;
/** Good young before it is nearly ready, where it wants thinning, as a share of what is nearly ready: our judgement. */
const YOUNG_SHARE = 0.25;
const SLOWEST_AGEING = 0.15;
const WARM_DAY = { minC: 14, maxC: 26 } as const;

/**
 * One real planting day by day: its pieces come ready, keep, age and are lost to the weather until hands take them.
 * Knows the crop's facts and the weather that came, and nothing of what is expected of either.
 */
export class TrueStand {
  /** Pieces standing by the day that they came ready (of a crop that is ready as a whole, all on one day). */
  readonly standing: Float64Array;
  readonly lost: Record<LostTo, number>;
  /** Share of its plants that live, of those it began with. */
  alive = 1;
  readonly asOne: boolean;
  private readonly crop: Crop;
  private readonly aged: Float64Array;
  private readonly primeDays: number;
  private readonly pastDays: number;
  private readonly suppressed: Float64Array;

  /**
   * @param truth - what comes ready by day, before weather and neglect
   * @param weather - from the planting's start, at least as long as the season is followed
   */
  constructor(
    private readonly truth: TrueCrop,
    private readonly bed: BedCame,
    private readonly weather: readonly SkyCame[],
    seed: number,
  ) {
    const { plant, readyOn } = truth;
    this.crop = plant.crop;
    const draw = seeded(seed);
    this.primeDays = plant.windowDays * Math.exp(LIFE_LOG * normalDraw(draw));
    const { low, high } = this.crop.life.past;
    this.pastDays = Math.sqrt(low * high) * Math.exp(LIFE_LOG * normalDraw(draw));
    this.standing = readyOn.slice();
    this.asOne = readyOn.filter((n) => n > 0).length <= 1;
    this.lost = Object.fromEntries(LOST_TO.map((by) => [by, 0])) as Record<LostTo, number>;
    this.suppressed = new Float64Array(readyOn.length);
    this.aged = new Float64Array(weather.length + 1);
    const { baseC, upperC } = this.crop.degreeDays;
    const warm = trueHeat(WARM_DAY, baseC, upperC, 0);
    for (let i = 0; i < weather.length; i++)
      this.aged[i + 1] = this.aged[i]! + Math.max(SLOWEST_AGEING, (trueHeat(weather[i]!, baseC, upperC, plant.bedC) / warm) ** 0.8); // prettier-ignore
  }

  /** Days since the start. */
  at(day: IsoDay): number {
    return daysBetween(this.truth.plant.startedOn, day);
  }

  /** Pieces that hands could take on a day: of a crop that is ready as a whole all of it, of others what is ready. */
  hanging(i: number): number {
    let sum = 0;
    for (let d = 0; d <= (this.asOne ? this.standing.length - 1 : i); d++) sum += this.standing[d]!;
    return sum;
  }

  /** Whether nothing hangs and nothing more will come. */
  isOver(i: number): boolean {
    for (let d = 0; d < this.standing.length; d++) if (this.standing[d]! > 0.3 && (d <= i || this.alive > 0.02)) return false; // prettier-ignore
    return true;
  }

  /** Worth of a piece of one day's ripening, as a share of prime, when taken on another; 0 = gone. */
  quality(d: number, i: number): number {
    const { worthEarly, worthPast, thins } = this.crop;
    const past = worthPast.value;
    if (!this.asOne) {
      const age = this.aged[i]! - this.aged[d]!;
      if (age <= this.primeDays) return 1;
      if (age > this.primeDays + this.pastDays) return 0;
      return Math.max(past, 1 - ((age - this.primeDays) / this.primeDays) * (1 - past));
    }
    const u = this.developmentAt(i);
    const { nearly, past: over } = this.truth.plant.borders;
    if (u < nearly) return thins?.value && worthEarly.value >= 0.5 ? YOUNG_SHARE * worthEarly.value : 0;
    if (u < 1) return worthEarly.value;
    if (u < over) return 1;
    const slid = (u - over) / (over - 1);
    if (slid < 1) return 1 - slid * (1 - past);
    const since = this.daysSince(over + (over - 1), i);
    return past * 0.5 ** (since / this.pastDays);
  }

  /** Whether what came ready on one day is so old on another that it costs the plant later pieces. */
  isOverHalf(d: number, i: number): boolean {
    return this.aged[i]! - this.aged[d]! > 1.5 * this.primeDays;
  }

  /**
   * Takes up to so many pieces, the best first: where time is short, what is over is left.
   *
   * @returns what was taken, before effort
   */
  take(i: number, most: number): Taken {
    const taken: Taken = { pieces: 0, worth: 0, early: 0, past: 0 };
    const kg = (this.crop.pieceGrams.value * this.crop.worthPerKg.value) / 1000;
    const last = this.asOne ? this.standing.length - 1 : i;
    const ripe = [...this.standing.keys()].filter((d) => d <= last && this.standing[d]! > 0);
    const best = ripe
      .map((d) => ({ d, quality: this.quality(d, i) }))
      .sort((a, b) => b.quality - a.quality || a.d - b.d);
    for (const { d, quality } of best) {
      const n = Math.min(this.standing[d]!, most - taken.pieces);
      if (n <= 0) break;
      this.standing[d]! -= n;
      taken.pieces += n;
      taken.worth += n * quality * kg;
      if (this.asOne && this.developmentAt(i) < 1) taken.early += n;
      else if (quality < 1) taken.past += n;
    }
    return taken;
  }

  /** Lets a day end: the weather takes its share, what is gone drops, what was left costs later pieces. */
  night(i: number): void {
    const { shares, plants } = this.losses(i);
    for (const [by, share] of shares) {
      if (share <= 0) continue;
      for (let d = 0; d <= (this.asOne ? this.standing.length - 1 : i); d++) {
        this.lost[by] += this.standing[d]! * share;
        this.standing[d]! *= 1 - share;
      }
    }
    this.alive *= 1 - plants;
    for (let d = i + 1; d < this.standing.length && !this.asOne; d++) this.standing[d]! *= 1 - plants;
    if (this.asOne) return;
    let costs = 0;
    for (let d = 0; d <= i; d++) {
      if (this.standing[d]! <= 0) continue;
      const age = this.aged[i + 1]! - this.aged[d]!;
      if (age > this.primeDays + this.pastDays) {
        this.lost.age += this.standing[d]!;
        this.standing[d] = 0;
      } else if (age > 1.5 * this.primeDays && !this.suppressed[d]) {
        this.suppressed[d] = 1;
        costs += SUPPRESSES[this.crop.suppressesWhenLeft.value] * this.standing[d]!;
      }
    }
    for (let d = i + 1; d < this.standing.length && costs > 0; d++) {
      const off = Math.min(costs, this.standing[d]!);
      this.standing[d]! -= off;
      this.lost.overgrown += off;
      costs -= off;
    }
  }

  /** Shares of what hangs that the weather of a day and its night take, and the share of the plants that die. */
  losses(i: number): { shares: [LostTo, number][]; plants: number } {
    const { crop } = this;
    const today = this.weather[i]!;
    const next = this.weather[i + 1] ?? today;
    const limit = this.coldLimit(i);
    const low = this.bedLow(next);
    const killed = limit.killC !== null && low < limit.killC;
    const frost = killed ? 1 : limit.damageC !== null && low < limit.damageC ? limit.lostAtDamage : 0;
    const shares: [LostTo, number][] = [["cold", frost]];
    const { sheltered } = this.bed;
    if (!sheltered && today.windKmh >= GUST_KMH) shares.push(["wind", crop.storm.gustLoss]);
    if (!sheltered && today.rainMm >= SOAK_MM) shares.push(["soaking", crop.storm.soakLoss]);
    if (!sheltered && today.hail) shares.push(["hail", HAIL_LOSS[crop.group] ?? 0]);
    if (crop.heat && today.maxC >= crop.heat.aboveC && this.developmentAt(i) >= this.truth.plant.borders.nearly)
      shares.push(["heat", crop.heat.lossPerDay]);
    const isRoot = ["root", "bulb", "tuber"].includes(crop.group);
    const chill = (d: SkyCame | undefined) => d !== undefined && !isRoot && crop.cold.chillC !== undefined && this.bedMean(d) < crop.cold.chillC; // prettier-ignore
    if (chill(today) && chill(this.weather[i - 1])) shares.push(["cold", CHILL_LOSS]);
    return { shares, plants: frost };
  }

  /** The crop's own limits at the age it has come to. */
  private coldLimit(i: number): { killC: number | null; damageC: number | null; lostAtDamage: number } {
    const { cold, life } = this.crop;
    const u = this.developmentAt(i);
    if (u >= (this.asOne ? this.truth.plant.borders.nearly : 0.9)) return cold;
    return (this.asOne && u >= 0.75 ? life.cold.flower : undefined) ?? life.cold.young ?? cold;
  }

  private bedLow({ minC, rainMm, windKmh, cloudShare }: SkyCame): number {
    const { nightC, radiationC } = this.bed;
    const calm = Math.min(1, Math.max(0, (30 - windKmh) / 15));
    return minC + nightC + (rainMm >= 0.5 ? 0 : radiationC * calm * (1 - cloudShare));
  }

  private bedMean({ minC, maxC }: SkyCame): number {
    const { nightC, dayC } = this.bed;
    return (minC + maxC + nightC + dayC) / 2;
  }

  private developmentAt(i: number): number {
    const { development } = this.truth.plant;
    return i < 0 ? 0 : development[Math.min(i, development.length - 1)]!;
  }

  /** Days since development passed a mark. */
  private daysSince(mark: number, i: number): number {
    let since = 0;
    for (let d = i; d >= 0 && this.developmentAt(d) > mark; d--) since++;
    return since;
  }
}
