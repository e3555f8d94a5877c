import { noPrices, type DayPrices } from "./draft";
import type { PlanModel, WayModel } from "./model";
import { PathFinder, dayTerms, type DayTerms } from "./path";

/** Prices that make what is short dear, and the bound they prove. */
export interface Relaxation {
  upperBound: number;
  prices: DayPrices;
  /** Of planting i's share of a call at its bed on day t, link[i · H + t]. */
  link: Float64Array;
  /** How much of the time planting i was picked on day t while the prices settled, share[i · H + t] in 0 … 1. */
  share: Float64Array;
  /** How much of the time day t was walked, likewise. */
  walked: Float64Array;
}

/** Where the prices start, and how boldly they move. */
export interface RelaxStart {
  from: Pick<Relaxation, "prices" | "link">;
  step: number;
}

/** Share of the earlier direction kept in each step. */
const SMOOTHING = 0.7;
/** The step shrinks after this many iterations without a better bound. */
const PATIENCE = 12;
const SHRINK = 0.6;

/** A kind of price with its direction; `scale` is the size of what it prices. */
export interface Priced {
  price: Float64Array;
  over: Float64Array;
  smooth: Float64Array;
  scale: number;
}

export const priced = (price: Float64Array, scale: number): Priced => ({ price, over: new Float64Array(price.length), smooth: new Float64Array(price.length), scale }); // prettier-ignore

/** A smoothed subgradient with Polyak steps over several kinds of prices, each scaled by what it prices. */
export class Ascent {
  private sinceBetter = 0;
  private isFirst = true;

  constructor(
    private readonly kinds: readonly Priced[],
    private step = 1,
  ) {}

  /** Moves the prices after a bound was found at them; false when there is nothing to gain. */
  move(bound: number, isBetter: boolean, lowerBound: number): boolean {
    if (isBetter) this.sinceBetter = 0;
    else if (++this.sinceBetter >= PATIENCE) {
      this.step *= SHRINK;
      this.sinceBetter = 0;
    }
    const kept = this.isFirst ? 0 : SMOOTHING;
    this.isFirst = false;
    let norm = 0;
    for (const { over, smooth, scale } of this.kinds)
      for (let j = 0; j < over.length; j++) {
        const s = kept * smooth[j]! + ((1 - kept) * over[j]!) / scale;
        smooth[j] = s;
        norm += s * s;
      }
    const gap = bound - lowerBound;
    if (norm < 1e-12 || gap < 1e-9) return false;
    const move = (this.step * gap) / norm;
    for (const { price, smooth, scale } of this.kinds)
      for (let j = 0; j < price.length; j++) price[j] = Math.max(0, price[j]! + (move * smooth[j]!) / scale);
    return true;
  }
}

/** The usual size of what a price is put on: the mean of the positive entries. */
export function usual(tables: Iterable<Float64Array>): number {
  let [sum, count] = [0, 0];
  for (const table of tables)
    for (const x of table)
      if (x > 0 && x < Infinity) {
        sum += x;
        count++;
      }
  return count > 0 ? sum / count : 1;
}

/** What the days offer at some prices: curing space by the m², and its limit. */
export function curingWorth(model: PlanModel, curing: Float64Array): number {
  return curing.reduce((sum, p, t) => (model.curingFree[t] === Infinity ? sum : sum + p * model.curingFree[t]!), 0);
}

/** Adds the price of the curing space that planting i's pick of each day would take. */
export function addCuring(model: PlanModel, i: number, curing: Float64Array, fixed: Float64Array): void {
  const { horizon: H, area, cureTo } = model;
  if (area[i] === 0) return;
  for (let t = 0; t < H; t++) for (let d = t; d < cureTo[i * H + t]!; d++) fixed[t]! += curing[d]! * area[i]!;
}

/** The best that each planting can do by itself at some prices. */
class PricedPaths {
  /** Pick days of the path found last. */
  readonly days: Int32Array;
  private readonly terms: DayTerms;
  private readonly finder: PathFinder;

  /** @param link - of planting i's share of a call on day t, link[i · H + t] */
  constructor(
    private readonly model: PlanModel,
    private readonly prices: DayPrices,
    private readonly link: Float64Array,
  ) {
    const { horizon: H, minutesFree } = model;
    this.terms = dayTerms(H);
    this.finder = new PathFinder(model);
    this.days = new Int32Array(H);
    for (let t = 0; t < H; t++) if (minutesFree[t]! <= 0) this.terms.room[t] = -1;
    this.reprice();
  }

  /** Takes the prices as they stand now. */
  reprice(): void {
    const { terms, prices, model } = this;
    terms.minutePrice.set(prices.minute);
    for (let t = 0; t < model.horizon; t++) terms.kitchenPrice[t] = prices.kitchen[model.dateFrom[t]!]!;
  }

  /** The best way of planting i; a call that its acts pay for is paid for its picks of that day. */
  best(i: number): { value: number; way: WayModel; count: number } {
    const { model, prices, terms, finder } = this;
    const H = model.horizon;
    let chosen = { value: -Infinity, way: model.ways[i]![0]!, count: 0 };
    for (const way of model.ways[i]!) {
      terms.fixed.set(this.link.subarray(i * H, (i + 1) * H));
      let outlay = 0;
      for (const act of way.acts) {
        outlay += act.cost + prices.minute[act.day]! * act.minutes + terms.fixed[act.day]!;
        terms.fixed[act.day] = 0;
      }
      addCuring(model, i, prices.curing, terms.fixed);
      const value = finder.find(i, way, terms) - outlay;
      if (value <= chosen.value) continue;
      chosen = { value, way, count: finder.count };
      this.days.set(finder.days);
    }
    return chosen;
  }
}

/** What a planting can do by itself at some prices, in a problem that holds it alone. */
export function pathWorth(alone: PlanModel, prices: DayPrices, link: Float64Array): number {
  return new PricedPaths(alone, prices, link).best(0).value;
}

/**
 * Lagrangian relaxation of the minutes and kitchen of each day, of the curing space and of the links between picks and
 * calls at a bed; any prices ≥ 0 give a valid upper bound.
 *
 * UB = Σ longest path of each planting against the prices + Σ curing prices · m²
 *    + fridge · Σ max(0, fall of the kitchen's price to the next date)
 *    + Σ over days max(0, −round + price · (minutes − overhead) + price · kg + Σ over beds max(0, links − call));
 * of the days under a limit on rounds only the best ones count, as many as it allows.
 *
 * @param lowerBound - worth of a plan already known
 * @param iterations - budget; a run with the same budget repeats
 * @source Held, Wolfe & Crowder 1974, Math. Programming 6:62–88 (from memory)
 */
export function relax(model: PlanModel, lowerBound: number, iterations: number, start?: RelaxStart): Relaxation {
  const { plantings: n, horizon: H, beds, bedOf, problem, minutesFree, kitchenFree, curingFree, dateFrom, dateTo } = model; // prettier-ignore
  /** The kitchen of a date with several rounds is there whichever of them is walked; with a fridge it is on any date. */
  const isShared = Uint8Array.from(dateFrom, (first, t) => (model.fridge.holds > 0 || dateTo[t]! - first > 1 ? 1 : 0));
  const prices = start ? copyOf(start.from.prices) : noPrices(H);
  const link = priced(start ? start.from.link.slice() : new Float64Array(n * H), 1);
  const ways = model.ways.flat();
  const minute = priced(prices.minute, usual(ways.map((w) => w.minutes)));
  const kitchen = priced(prices.kitchen, usual(ways.map((w) => w.kitchen)));
  const curing = priced(prices.curing, usual([model.area]));
  const ascent = new Ascent([link, minute, kitchen, curing], start?.step);
  const best: Relaxation = { upperBound: Infinity, prices: copyOf(prices), link: link.price.slice(), share: new Float64Array(n * H), walked: new Float64Array(H) }; // prettier-ignore
  const paths = new PricedPaths(model, prices, link.price);
  const linksAt = new Float64Array(beds * H);
  const isCalled = new Uint8Array(beds * H);
  const gain = new Float64Array(H);
  const callsOn = new Int32Array(H);
  for (let k = 0; k < iterations; k++) {
    let bound = curingWorth(model, prices.curing);
    // The mean of the later half tells best what lies between the paths that the prices swing between.
    if (k === Math.floor(iterations / 2)) {
      best.share.fill(0);
      best.walked.fill(0);
    }
    const forgetting = 1 / (k + 1 - (k < iterations / 2 ? 0 : Math.floor(iterations / 2)));
    for (let j = 0; j < best.share.length; j++) best.share[j]! *= 1 - forgetting;
    for (let t = 0; t < H; t++) best.walked[t]! *= 1 - forgetting;
    minute.over.fill(0);
    kitchen.over.fill(0);
    curingFree.forEach((free, t) => (curing.over[t] = free === Infinity ? 0 : -free));
    link.over.fill(0);
    linksAt.fill(0);
    paths.reprice();
    for (let t = 0; t < H; t++) {
      if (!isShared[t] || dateFrom[t] !== t || kitchenFree[t] === Infinity) continue;
      bound += prices.kitchen[t]! * kitchenFree[t]!;
      kitchen.over[t]! -= kitchenFree[t]!;
      bound += model.fridge.holds > 0 ? fridgeWorth(model, t, prices.kitchen, kitchen.over) : 0;
    }
    for (let i = 0; i < n; i++) {
      for (let t = 0; t < H; t++) linksAt[bedOf[i]! * H + t]! += link.price[i * H + t]!;
      const chosen = paths.best(i);
      bound += chosen.value;
      let row = 0;
      for (const act of chosen.way.acts) {
        minute.over[act.day]! += act.minutes;
        link.over[i * H + act.day] = 1;
      }
      for (let p = 0; p < chosen.count; p++) {
        const t = paths.days[p]!;
        minute.over[t]! += chosen.way.minutes[row * H + t]!;
        kitchen.over[dateFrom[t]!]! += chosen.way.kitchen[row * H + t]!;
        for (let d = t; d < model.cureTo[i * H + t]!; d++) curing.over[d]! += model.area[i]!;
        link.over[i * H + t] = 1;
        best.share[i * H + t]! += forgetting;
        if (model.rows[i]! > 1) row = t + 1;
      }
    }
    for (let t = 0; t < H; t++) {
      if (minutesFree[t]! <= 0) continue;
      const mu = prices.minute[t]!;
      let day = -problem.roundCost + mu * (minutesFree[t]! - problem.roundMinutes);
      if (kitchenFree[t]! < Infinity && !isShared[t]) day += prices.kitchen[t]! * kitchenFree[t]!;
      let called = 0;
      for (let b = 0; b < beds; b++) {
        const call = linksAt[b * H + t]! - mu * problem.bedMinutes - problem.bedCost;
        isCalled[b * H + t] = call > 0 ? 1 : 0;
        if (call <= 0) continue;
        day += call;
        called++;
      }
      gain[t] = day;
      callsOn[t] = called;
    }
    for (const t of walked(model, gain)) {
      bound += gain[t]!;
      best.walked[t]! += forgetting;
      minute.over[t]! -= minutesFree[t]! - problem.roundMinutes - callsOn[t]! * problem.bedMinutes;
      if (kitchenFree[t]! < Infinity && !isShared[t]) kitchen.over[t]! -= kitchenFree[t]!;
      for (let i = 0; i < n; i++) if (isCalled[bedOf[i]! * H + t]) link.over[i * H + t]! -= 1;
    }
    for (let t = 0; t < H; t++) {
      if (kitchenFree[t] === Infinity) kitchen.over[t] = 0;
      if (curingFree[t] === Infinity) curing.over[t] = 0;
    }
    const isBetter = bound < best.upperBound - 1e-9;
    if (isBetter) {
      best.upperBound = bound;
      for (const kind of ["minute", "kitchen", "curing"] as const) best.prices[kind].set(prices[kind]);
      best.link.set(link.price);
    }
    // Nothing better than the plan known can be there.
    if (best.upperBound <= lowerBound || !ascent.move(bound, isBetter, lowerBound)) break;
  }
  return best;
}

/**
 * What the fridge is worth at the end of the date that begins with day t: full where the kitchen is dearer now than on the
 * next date, empty otherwise. What waits comes off the first and onto the second, in `over`.
 */
function fridgeWorth(
  { fridge, dateTo, horizon }: PlanModel,
  t: number,
  price: Float64Array,
  over: Float64Array,
): number {
  const next = dateTo[t]!;
  const later = next < horizon ? price[next]! : 0;
  const before = t === 0 ? price[0]! * fridge.taken : 0;
  if (t === 0) over[0]! += fridge.taken;
  if (price[t]! <= later) return -before;
  over[t]! -= fridge.holds;
  if (next < horizon) over[next]! += fridge.holds;
  return fridge.holds * (price[t]! - later) - before;
}

/** Days whose round pays at these prices; under a limit on rounds the best of them. */
function walked({ minutesFree, limitOf, mostRounds, isWalked }: PlanModel, gain: Float64Array): number[] {
  const pays = [...gain.keys()].filter((t) => minutesFree[t]! > 0 && (gain[t]! > 0 || isWalked[t]));
  if (mostRounds.length === 0) return pays;
  const left = mostRounds.slice();
  return pays
    .sort((a, b) => isWalked[b]! - isWalked[a]! || gain[b]! - gain[a]!)
    .filter((t) => limitOf[t]! < 0 || left[limitOf[t]!]!-- > 0);
}

const copyOf = (prices: DayPrices): DayPrices => ({ minute: prices.minute.slice(), kitchen: prices.kitchen.slice(), curing: prices.curing.slice() }); // prettier-ignore
