import { noPrices, type DayPrices, type Draft, type MakesWay } from "./draft";
import type { SeenPlans } from "./seen-plans";

/** Plantings taken out at once, at most: what is put back is exact for each, not for all together. */
const MOST_OUT = 10;
/** The annealing starts from this share of a mean planting's worth. */
const HEAT = 0.05;
/** Share of the steps in which one planting gets what it would have alone. */
const INSISTING = 0.4;
/** Share of the other steps in which a day counts as opened already while they are put back. */
const OPENING = 0.5;
/** Share of the other steps that move a whole round, where rounds are counted. */
const MOVING = 0.25;
/** Share of the other steps that take out what fills the kitchen over some days, where it has a fridge; days at most. */
const STORING = 0.25;
const SPAN = 7;
/** Prices are scaled at random up to this. */
const MOST_SHARE = 1.3;

/**
 * Destroy and repair round an exact best response: takes a few plantings out (of a day, a bed, two days, any), puts each
 * back on its exact best days against prices scaled at random and then against none, and keeps the outcome by annealing.
 * The same seed and budget repeat the run.
 */
export class Improver {
  private readonly out: Int32Array;
  private outCount = 0;
  private readonly order: Int32Array;
  /** What to go back to: touched plantings with their days. */
  private readonly touched: Int32Array;
  private touchedCount = 0;
  private readonly isTouched: Uint8Array;
  private readonly before: Int32Array;
  private readonly beforeCount: Int32Array;
  private readonly beforeWay: Int32Array;
  private readonly none: DayPrices;
  /** Days on which there are hands. */
  private readonly openDays: number[];
  /** Where a round that is moved as a whole goes, −1 for none. */
  private movesTo = -1;
  /** Days shut while what was taken out is put back. */
  private readonly shut: Uint8Array;
  readonly bestDays: Int32Array;
  readonly bestCount: Int32Array;
  readonly bestWay: Int32Array;
  best: number;
  private readonly scale: number;
  private readonly members: number[][];
  private readonly all: number[];

  constructor(
    readonly draft: Draft,
    private readonly prices: DayPrices,
    private readonly uniform: () => number,
    private readonly seen?: SeenPlans,
  ) {
    const { model } = draft;
    const { plantings: n, horizon: H } = model;
    this.out = new Int32Array(n);
    this.order = Int32Array.from({ length: n }, (_, i) => i);
    this.touched = new Int32Array(n);
    this.isTouched = new Uint8Array(n);
    this.before = new Int32Array(n * H);
    this.beforeCount = new Int32Array(n);
    this.beforeWay = new Int32Array(n);
    this.none = noPrices(H);
    this.shut = new Uint8Array(H);
    this.openDays = [...model.minutesFree.keys()].filter((t) => model.minutesFree[t]! > 0);
    this.bestDays = draft.days.slice();
    this.bestCount = draft.count.slice();
    this.bestWay = draft.way.slice();
    this.best = draft.worth;
    const worths = model.stake.reduce((sum, stake, i) => sum + stake * (model.rows[i]! > 1 ? 2 : 1), 0);
    this.scale = worths / Math.max(1, n);
    this.all = [...model.bedOf.keys()];
    this.members = Array.from({ length: model.beds }, (_, b) => [...model.bedOf.keys()].filter((i) => model.bedOf[i] === b)); // prettier-ignore
  }

  /** Runs a cycle of annealing from the best plan known. */
  cycle(iterations: number): void {
    const { draft, uniform } = this;
    if (draft.model.plantings === 0 || this.openDays.length === 0) return;
    this.restoreBest();
    let current = draft.worth;
    for (let k = 0; k < iterations; k++) {
      const temperature = HEAT * this.scale * (1 - k / iterations) ** 2;
      this.touchedCount = 0;
      const placed = this.step();
      const worth = draft.worth;
      if (
        placed &&
        (worth >= current - 1e-9 || uniform() < Math.exp((worth - current) / Math.max(1e-9, temperature)))
      ) {
        current = worth;
        this.seen?.see(draft, this.touched.subarray(0, this.touchedCount));
        if (worth > this.best + 1e-9) this.keepBest();
      } else this.undo();
      for (let j = 0; j < this.touchedCount; j++) this.isTouched[this.touched[j]!] = 0;
    }
    this.restoreBest();
    this.seen?.see(draft, this.all);
  }

  private keepBest(): void {
    this.best = this.draft.worth;
    this.bestDays.set(this.draft.days);
    this.bestCount.set(this.draft.count);
    this.bestWay.set(this.draft.way);
  }

  /** Puts the best plan known back. */
  private restoreBest(): void {
    const { draft } = this;
    const H = draft.model.horizon;
    for (let i = 0; i < draft.model.plantings; i++) draft.clear(i);
    for (let i = 0; i < draft.model.plantings; i++)
      draft.place(i, this.bestDays, i * H, this.bestCount[i]!, this.bestWay[i]!);
  }

  private touch(i: number): void {
    if (this.isTouched[i]) return;
    const { draft, before } = this;
    const H = draft.model.horizon;
    this.isTouched[i] = 1;
    this.touched[this.touchedCount++] = i;
    this.beforeCount[i] = draft.count[i]!;
    this.beforeWay[i] = draft.way[i]!;
    for (let k = 0; k < draft.count[i]!; k++) before[i * H + k] = draft.days[i * H + k]!;
  }

  private undo(): void {
    const { draft } = this;
    const H = draft.model.horizon;
    for (let j = 0; j < this.touchedCount; j++) draft.clear(this.touched[j]!);
    for (let j = 0; j < this.touchedCount; j++) {
      const i = this.touched[j]!;
      draft.place(i, this.before, i * H, this.beforeCount[i]!, this.beforeWay[i]!);
    }
  }

  private below(n: number): number {
    return Math.floor(this.uniform() * n);
  }

  private aDay(): number {
    return this.openDays[this.below(this.openDays.length)]!;
  }

  /** One destruction and repair; false when a pin could not be kept. */
  private step(): boolean {
    if (this.uniform() < INSISTING) return this.insist();
    const { draft, uniform, prices, none, shut } = this;
    const shutDay = this.choose();
    shut.fill(0);
    if (shutDay >= 0) shut[shutDay] = 1;
    for (let j = 0; j < this.outCount; j++) {
      this.touch(this.out[j]!);
      draft.clear(this.out[j]!);
    }
    this.shuffle();
    const share = uniform() * MOST_SHARE;
    // A round, or a call at a bed, that pays for several together pays for none alone.
    const openDay = this.movesTo >= 0 ? this.movesTo : shutDay < 0 && uniform() < OPENING ? this.aDay() : -1;
    for (let j = 0; j < this.outCount; j++) {
      if (!draft.respond(this.out[j]!, prices, share, shut, openDay)) return false;
    }
    this.shuffle();
    for (let j = 0; j < this.outCount; j++) if (!draft.respond(this.out[j]!, none, 0)) return false;
    if (uniform() < 0.3)
      for (let j = 0; j < 4; j++) {
        const i = this.below(draft.model.plantings);
        this.touch(i);
        if (!draft.respond(i, none, 0)) return false;
      }
    return true;
  }

  /** One planting gets what it would have alone; those in its way find other days. */
  private insist(): boolean {
    const { draft, uniform, prices, none } = this;
    const n = draft.model.plantings;
    const i = this.below(n);
    this.touch(i);
    this.outCount = 0;
    const inTheWay: MakesWay = (t, by) => {
      const from = this.below(n);
      for (let k = 0; k < n; k++) {
        const j = (from + k) % n;
        if (j === i || !draft.isUsed(j)) continue;
        if (!draft.isInTheWay(j, t, by)) continue;
        this.touch(j);
        draft.clear(j);
        this.out[this.outCount++] = j;
        return true;
      }
      return false;
    };
    if (!draft.insist(i, prices, uniform() * MOST_SHARE, inTheWay)) return false;
    for (let pass = 0; pass < 2; pass++) {
      this.shuffle();
      const share = pass === 0 ? uniform() : 0;
      for (let j = 0; j < this.outCount; j++)
        if (!draft.respond(this.out[j]!, pass === 0 ? prices : none, share)) return false;
    }
    return uniform() < 0.5 || draft.respond(i, none, 0);
  }

  private shuffle(): void {
    const { out } = this;
    for (let k = this.outCount - 1; k > 0; k--) {
      const j = this.below(k + 1);
      const x = out[k]!;
      out[k] = out[j]!;
      out[j] = x;
    }
  }

  /** Chooses who is taken out; returns a day that is shut while they are put back, −1 for none. */
  private choose(): number {
    const { draft, uniform, members } = this;
    const n = draft.model.plantings;
    const counted = draft.model.mostRounds.length > 0;
    this.movesTo = counted && uniform() < MOVING ? this.aDay() : -1;
    if (this.movesTo >= 0) {
      const left = this.aDay();
      this.outCount = 0;
      if (left !== this.movesTo) this.takeWhere(n, (i) => draft.isOn(i, left));
      if (this.outCount > 0) return left;
      this.movesTo = -1;
    }
    const kind = uniform();
    const t = this.aDay();
    const most = Math.min(n, 2 + this.below(MOST_OUT - 1));
    this.outCount = 0;
    let shutDay = -1;
    if (draft.model.fridge.holds > 0 && uniform() < STORING) {
      const from = this.below(draft.model.horizon);
      const to = from + 1 + this.below(SPAN);
      this.takeWhere(most, (i) => draft.bringsWithin(i, from, to));
    } else if (kind < 0.25) {
      this.takeWhere(most, (i) => draft.isOn(i, t));
      if (uniform() < 0.3) shutDay = t;
    } else if (kind < 0.45) {
      const other = this.aDay();
      this.takeWhere(most, (i) => draft.isOn(i, t) || draft.isOn(i, other));
    } else if (kind < 0.6) {
      const bed = members[this.below(members.length)]!;
      for (const i of bed) this.out[this.outCount++] = i;
      this.shuffle();
      this.outCount = Math.min(this.outCount, most);
    } else if (kind < 0.7) {
      // The plantings of a bed that are picked on a day, and some others of the day.
      const bed = this.below(members.length);
      this.takeWhere(most, (i) => draft.isOn(i, t) && (draft.model.bedOf[i] === bed || uniform() < 0.3));
    }
    if (this.outCount < 2) {
      this.outCount = 0;
      this.takeWhere(Math.min(n, 2 + this.below(5)), () => true);
    }
    return shutDay;
  }

  /** Takes up to so many of those that are meant, in random order. */
  private takeWhere(most: number, isMeant: (i: number) => boolean): void {
    const { order } = this;
    const n = order.length;
    for (let k = 0; k < n && this.outCount < most; k++) {
      const j = k + this.below(n - k);
      const i = order[j]!;
      order[j] = order[k]!;
      order[k] = i;
      if (isMeant(i)) this.out[this.outCount++] = i;
    }
  }
}
