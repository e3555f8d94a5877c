import { KitchenStore } from "./kitchen-store";
import type { PlanModel, WayModel } from "./model";
import { PathFinder, dayTerms, type DayTerms } from "./path";
import type { Picks, Ways } from "./problem";

/** Prices of what is short on each day; arrays of H. */
export interface DayPrices {
  minute: Float64Array;
  kitchen: Float64Array;
  /** Of a m² of curing space. */
  curing: Float64Array;
}

export const noPrices = (horizon: number): DayPrices => ({ minute: new Float64Array(horizon), kitchen: new Float64Array(horizon), curing: new Float64Array(horizon) }); // prettier-ignore

/** Picks of one planting that overfill the fridge together are parted so many times in both ways. */
const MOST_TURNS = 3;

/** What a planting is in another's way by: it is called at on the day, lies curing then, or brings to the kitchen then. */
export type InTheWay = "called" | "cures" | "kitchen";

/** Takes out another planting that is in the way on day t; false when there is none. */
export type MakesWay = (t: number, by: InTheWay) => boolean;

/** A plan in the making: pick days and way of each planting, what is left of each limit, and its worth. */
export class Draft {
  /** Pick days of planting i: days[i · H] on, count[i] of them. */
  readonly days: Int32Array;
  readonly count: Int32Array;
  /** Which of its ways planting i is treated in; 0 = left as it stands. */
  readonly way: Int32Array;
  /** Total worth, rounds and calls paid. */
  worth: number;
  private readonly minutesLeft: Float64Array;
  private readonly kitchenLeft: Float64Array;
  private readonly kitchen: KitchenStore;
  /** What is left of the kitchen with picks that are only wanted yet. */
  private readonly wantedLeft: Float64Array;
  private readonly curingLeft: Float64Array;
  private readonly roundsLeft: Float64Array;
  private readonly calls: Int32Array;
  /** Picks and acts of each day. */
  private readonly errandsOn: Int32Array;
  private readonly value: Float64Array;
  private readonly terms: DayTerms;
  private readonly finder: PathFinder;
  /** The best days found for one planting. */
  private readonly found: { value: number; count: number; readonly days: Int32Array };
  private readonly wanted: Int32Array;
  private readonly need: Float64Array;
  private readonly brings: Float64Array;

  constructor(readonly model: PlanModel) {
    const { plantings: n, horizon: H, beds } = model;
    this.days = new Int32Array(n * H);
    this.count = new Int32Array(n);
    this.way = new Int32Array(n);
    this.value = Float64Array.from(model.ways, ([asIs]) => unpicked(asIs!));
    this.worth = this.value.reduce((sum, v) => sum + v, 0);
    this.minutesLeft = model.minutesFree.slice();
    this.kitchenLeft = model.kitchenFree.slice();
    this.kitchen = new KitchenStore(model);
    this.wantedLeft = new Float64Array(H);
    this.curingLeft = model.curingFree.slice();
    this.roundsLeft = model.mostRounds.slice();
    this.calls = new Int32Array(beds * H);
    this.errandsOn = new Int32Array(H);
    this.terms = { ...dayTerms(H), roundsLeft: this.roundsLeft };
    this.finder = new PathFinder(model);
    this.found = { value: -Infinity, count: 0, days: new Int32Array(H) };
    this.wanted = new Int32Array(H);
    this.need = new Float64Array(H);
    this.brings = new Float64Array(H);
  }

  /** Days of planting i. */
  daysOf(i: number): number[] {
    const H = this.model.horizon;
    return [...this.days.subarray(i * H, i * H + this.count[i]!)];
  }

  /** Whether anything is done at planting i on day t. */
  isOn(i: number, t: number): boolean {
    const from = i * this.model.horizon;
    for (let k = 0; k < this.count[i]!; k++) if (this.days[from + k] === t) return true;
    return this.wayOf(i).acts.some((act) => act.day === t);
  }

  /** Whether there is a round on day t. */
  isWalked(t: number): boolean {
    return this.errandsOn[t]! > 0;
  }

  /** Whether anything is done at planting i at all. */
  isUsed(i: number): boolean {
    return this.count[i]! > 0 || this.way[i]! > 0;
  }

  /** Whether planting i is in the way on day t. */
  isInTheWay(i: number, t: number, by: InTheWay): boolean {
    if (by === "cures") return this.curesOn(i, t);
    return by === "kitchen" ? this.bringsWithin(i, t, t + 1) : this.isOn(i, t);
  }

  /** Whether a pick of planting i on a day from `from` and before `to` gives the kitchen work. */
  bringsWithin(i: number, from: number, to: number): boolean {
    const { horizon: H, rows } = this.model;
    const { kitchen } = this.wayOf(i);
    for (let k = 0, row = 0; k < this.count[i]!; k++) {
      const day = this.days[i * H + k]!;
      if (day >= from && day < to && kitchen[row * H + day]! > 0) return true;
      if (rows[i]! > 1) row = day + 1;
    }
    return false;
  }

  /** Whether what was taken of planting i lies curing on day t. */
  private curesOn(i: number, t: number): boolean {
    const first = this.days[i * this.model.horizon]!;
    return (
      this.count[i]! > 0 &&
      this.model.area[i]! > 0 &&
      first <= t &&
      t < this.model.cureTo[i * this.model.horizon + first]!
    );
  }

  /** Gives planting i, now without picks, these days and this way if all of it fits. */
  keep(i: number, days: readonly number[], way = 0): boolean {
    const acts = this.model.ways[i]?.[way];
    if (!acts || !this.hold(i, acts)) return false;
    const fits = this.fit(i, acts, days);
    this.release(i, acts);
    if (fits) this.place(i, Int32Array.from(days), 0, days.length, way);
    return fits;
  }

  private fit(i: number, { minutes, kitchen, endWorth }: WayModel, days: readonly number[]): boolean {
    const { horizon: H, rows, area, cureTo, dateFrom } = this.model;
    const opened = new Int32Array(this.roundsLeft.length);
    this.wantedLeft.set(this.kitchenLeft);
    let row = 0;
    for (const t of days) {
      const a = row * H + t;
      const l = this.model.limitOf[t] ?? -1;
      if (l >= 0 && this.errandsOn[t] === 0 && ++opened[l]! > this.roundsLeft[l]!) return false;
      if (t < row || t >= H || minutes[a]! > this.roomOn(i, t) + 1e-9) return false;
      this.wantedLeft[dateFrom[t]!]! -= kitchen[a]!;
      for (let d = t; d < cureTo[i * H + t]!; d++) if (this.curingLeft[d]! + 1e-9 < area[i]!) return false;
      if (rows[i]! > 1) row = t + 1;
    }
    if (this.kitchen.reckon(this.wantedLeft) >= 0) return false;
    if ((days.length === 0 || rows[i]! > 1) && endWorth[row] === -Infinity) return false;
    return rows[i]! > 1 || days.length < 2;
  }

  /** The worth added up anew: what was added and taken off many times strays in the last digits. */
  total(): number {
    const { problem, horizon: H } = this.model;
    let total = this.value.reduce((sum, v) => sum + v, 0);
    for (const errands of this.errandsOn) if (errands > 0) total -= problem.roundCost;
    for (let at = 0; at < this.model.beds * H; at++) if (this.calls[at]! > 0) total -= problem.bedCost;
    return total;
  }

  picks(): Picks {
    return Object.fromEntries(this.model.problem.tasks.map((task, i) => [task.id, this.daysOf(i)]));
  }

  ways(): Ways {
    const taken = this.model.problem.tasks.flatMap((task, i) =>
      this.way[i]! > 0 ? [[task.id, this.wayOf(i).id]] : [],
    );
    return Object.fromEntries(taken) as Ways;
  }

  /** Takes every pick and act of planting i out. */
  clear(i: number): void {
    this.book(i, -1);
    this.count[i] = 0;
    this.way[i] = 0;
    this.setValue(i, unpicked(this.wayOf(i)));
  }

  /** Gives planting i, now without picks, a way and the days from[at] on, `count` of them; whether they fit is the caller's. */
  place(i: number, from: Int32Array, at: number, count: number, way: number): void {
    const H = this.model.horizon;
    for (let k = 0; k < count; k++) this.days[i * H + k] = from[at + k]!;
    this.count[i] = count;
    this.way[i] = way;
    this.setValue(i, this.book(i, 1));
  }

  private wayOf(i: number): WayModel {
    return this.model.ways[i]![this.way[i]!]!;
  }

  private setValue(i: number, value: number): void {
    this.worth += value - this.value[i]!;
    this.value[i] = value;
  }

  private book(i: number, sign: 1 | -1): number {
    const { horizon: H, rows, area, cureTo, dateFrom } = this.model;
    const way = this.wayOf(i);
    let row = 0;
    let value = 0;
    for (const act of way.acts) {
      value -= act.cost;
      this.errand(i, act.day, act.minutes, sign);
    }
    for (let k = 0; k < this.count[i]!; k++) {
      const t = this.days[i * H + k]!;
      const a = row * H + t;
      value += way.worth[a]!;
      this.kitchenLeft[dateFrom[t]!]! -= sign * way.kitchen[a]!;
      for (let d = t; d < cureTo[i * H + t]!; d++) this.curingLeft[d]! -= sign * area[i]!;
      this.errand(i, t, way.minutes[a]!, sign);
      if (rows[i]! > 1) row = t + 1;
    }
    // A pin that is not kept yet counts nothing.
    if (this.count[i] === 0) return value + unpicked(way);
    return rows[i]! > 1 ? value + way.endWorth[row]! : value;
  }

  /** Books a pick or an act, with the round and the call that it opens, or takes it off. */
  private errand(i: number, t: number, minutes: number, sign: 1 | -1): void {
    const { horizon: H, bedOf, problem, limitOf } = this.model;
    this.minutesLeft[t]! -= sign * minutes;
    if (this.toggle(this.errandsOn, t, sign, t, problem.roundMinutes, problem.roundCost) && limitOf[t]! >= 0) this.roundsLeft[limitOf[t]!]! -= sign; // prettier-ignore
    this.toggle(this.calls, bedOf[i]! * H + t, sign, t, problem.bedMinutes, problem.bedCost);
  }

  /** The first errand of a round, or at a bed, pays its overheads; whether this was the one. */
  private toggle(counts: Int32Array, at: number, sign: 1 | -1, t: number, minutes: number, cost: number): boolean {
    const before = counts[at]!;
    counts[at] = before + sign;
    if (before !== (sign > 0 ? 0 : 1)) return false;
    this.minutesLeft[t]! -= sign * minutes;
    this.worth -= sign * cost;
    return true;
  }

  /** Books the acts of a way if they fit. */
  private hold(i: number, { acts }: WayModel, shut?: Uint8Array): boolean {
    for (const [k, { day, minutes }] of acts.entries()) {
      if (shut?.[day] !== 1 && !this.isShut(day) && minutes <= this.roomOn(i, day) + 1e-9) {
        this.errand(i, day, minutes, 1);
        continue;
      }
      for (const earlier of acts.slice(0, k)) this.errand(i, earlier.day, earlier.minutes, -1);
      return false;
    }
    return true;
  }

  private release(i: number, { acts }: WayModel): void {
    for (const { day, minutes } of acts) this.errand(i, day, minutes, -1);
  }

  /**
   * Gives planting i its exact best way and days against everything else.
   *
   * @param share - how much of the prices counts, 0 = none
   * @param shut - 1 for days it may not take
   * @param openDay - a day whose round and calls count as paid for, −1 = none
   * @returns whether it could be placed: a pin may not fit
   */
  respond(i: number, prices: DayPrices, share: number, shut?: Uint8Array, openDay = -1): boolean {
    this.clear(i);
    const ways = this.model.ways[i]!;
    let [best, bestWay, bestCount] = [-Infinity, 0, 0];
    for (let w = 0; w < ways.length; w++) {
      const way = ways[w]!;
      const before = this.worth;
      if (!this.hold(i, way, shut)) continue;
      this.setTerms(i, prices, share, shut, false);
      if (openDay >= 0) this.terms.fixed[openDay] = 0;
      let found = this.find(i, way, this.kitchenLeft) - (before - this.worth);
      for (const act of way.acts) found -= act.cost + share * prices.minute[act.day]! * act.minutes;
      this.release(i, way);
      if (found <= best + 1e-12) continue;
      [best, bestWay, bestCount] = [found, w, this.found.count];
      this.wanted.set(this.found.days);
    }
    if (best === -Infinity) return false;
    this.place(i, this.wanted, 0, bestCount, bestWay);
    return true;
  }

  /**
   * Gives planting i the way and the days that it would take if nobody else were there, at the prices; whoever is in its
   * way goes.
   *
   * @param out - takes out another that is in its way
   * @returns whether it could be placed
   */
  insist(i: number, prices: DayPrices, share: number, out: MakesWay): boolean {
    this.clear(i);
    const ways = this.model.ways[i]!;
    let [best, bestWay, count] = [-Infinity, 0, 0];
    for (let w = 0; w < ways.length; w++) {
      const way = ways[w]!;
      if (way.acts.some((act) => this.isShut(act.day))) continue;
      this.setTerms(i, prices, share, undefined, true);
      let outlay = 0;
      for (const act of way.acts) {
        outlay += act.cost + share * prices.minute[act.day]! * act.minutes + this.terms.fixed[act.day]!;
        this.terms.fixed[act.day] = 0;
        this.terms.opens[act.day] = 0;
        this.terms.room[act.day]! -= act.minutes;
      }
      const found = this.find(i, way, this.model.kitchenFree) - outlay;
      if (found <= best + 1e-12) continue;
      [best, bestWay, count] = [found, w, this.found.count];
      this.wanted.set(this.found.days);
    }
    if (best === -Infinity || !this.makeRoom(i, ways[bestWay]!, count, out)) return false;
    return this.keep(i, [...this.wanted.subarray(0, count)], bestWay);
  }

  /**
   * The best days on the terms as they are set, left in `found`. Where picks overfill the fridge together, either the
   * later or the earlier of two brings less: both are tried, some times over.
   */
  private find(i: number, way: WayModel, kitchenLeft: Float64Array): number {
    this.found.value = -Infinity;
    this.found.count = 0;
    this.seek(i, way, kitchenLeft, this.model.fridge.holds > 0 ? MOST_TURNS : 0);
    return this.found.value;
  }

  private seek(i: number, way: WayModel, kitchenLeft: Float64Array, turns: number): void {
    const { finder, terms, found, kitchen } = this;
    const value = finder.find(i, way, terms);
    if (value <= found.value + 1e-12) return;
    const clash = this.model.fridge.holds > 0 ? this.overfills(way, kitchenLeft) : null;
    if (!clash) {
      found.value = value;
      found.count = finder.count;
      found.days.set(finder.days);
      return;
    }
    const { earlier, later, excess, kgBefore } = clash;
    this.withRoom(later, kitchen.room[later]!, () => this.seek(i, way, kitchenLeft, turns - 1));
    // Less than it brings, and little enough for the other to fit.
    if (turns > 0) this.withRoom(earlier, kgBefore - Math.min(excess, kgBefore), () => this.seek(i, way, kitchenLeft, turns - 1)); // prettier-ignore
  }

  /** Does something while a pick on the date of a day may bring so many kg at most. */
  private withRoom(day: number, kg: number, work: () => void): void {
    const { dateFrom, dateTo } = this.model;
    const { kitchenRoom } = this.terms;
    const before = kitchenRoom[day]!;
    kitchenRoom.fill(Math.min(before, kg), dateFrom[day], dateTo[day]);
    work();
    kitchenRoom.fill(before, dateFrom[day], dateTo[day]);
  }

  /** The first pick of the path found for which those before leave too little of the kitchen; its room is then reckoned. */
  private overfills({ kitchen }: WayModel, kitchenLeft: Float64Array) {
    const { horizon: H, dateFrom } = this.model;
    const { days, count } = this.finder;
    this.wantedLeft.set(kitchenLeft);
    let [row, earlier, kgBefore] = [0, -1, 0];
    for (let k = 0; k < count; k++) {
      const t = days[k]!;
      const kg = kitchen[row * H + t]!;
      row = t + 1;
      if (kg === 0) continue;
      if (earlier >= 0) {
        this.kitchen.reckon(this.wantedLeft);
        const excess = kg - this.kitchen.room[t]!;
        if (excess > 1e-9) return { earlier, later: t, excess, kgBefore };
      }
      this.wantedLeft[dateFrom[t]!]! -= kg;
      [earlier, kgBefore] = [t, kg];
    }
    return null;
  }

  /** Has others go until the wanted days of planting i fit. */
  private makeRoom(i: number, way: WayModel, count: number, out: MakesWay): boolean {
    const { horizon: H, rows, area, cureTo, dateFrom } = this.model;
    const { need } = this;
    need.fill(0);
    for (const act of way.acts) need[act.day] = act.minutes;
    const brings = this.brings.fill(0);
    let row = 0;
    for (let k = 0; k < count; k++) {
      const t = this.wanted[k]!;
      const a = row * H + t;
      need[t]! += way.minutes[a]!;
      brings[dateFrom[t]!]! += way.kitchen[a]!;
      for (let full: number; (full = this.tooFull(brings)) >= 0;) if (!this.outBy(full, out)) return false;
      for (let d = t; d < cureTo[i * H + t]!; d++) while (this.curingLeft[d]! + 1e-9 < area[i]!) if (!out(d, "cures")) return false; // prettier-ignore
      if (rows[i]! > 1) row = t + 1;
    }
    for (let t = 0; t < H; t++) while (need[t]! > 0 && this.roomOn(i, t) + 1e-9 < need[t]!) if (!out(t, "called")) return false; // prettier-ignore
    return true;
  }

  /** The first day by whose end the kitchen has too much when so many kg more come on each date; −1 for none. */
  private tooFull(brings: Float64Array): number {
    for (let t = 0; t < brings.length; t++) this.wantedLeft[t] = this.kitchenLeft[t]! - brings[t]!;
    return this.kitchen.reckon(this.wantedLeft);
  }

  /** Takes out another planting whose pick could be what is too much at the end of day t. */
  private outBy(t: number, out: MakesWay): boolean {
    const { dateFrom, dateTo, fridge } = this.model;
    const first = fridge.holds > 0 ? 0 : dateFrom[t]!;
    for (let d = dateTo[t]! - 1; d >= first; d--) if (out(d, "kitchen")) return true;
    return false;
  }

  /** Whether no round may be opened on day t any more. */
  private isShut(t: number): boolean {
    const limit = this.model.limitOf[t]!;
    return this.model.minutesFree[t]! <= 0 || (this.errandsOn[t] === 0 && limit >= 0 && this.roundsLeft[limit]! <= 0);
  }

  /** Minutes left on day t for an errand at planting i, the round's and the call's overheads off. */
  private roomOn(i: number, t: number): number {
    const { problem, bedOf, horizon: H } = this.model;
    return this.minutesLeft[t]! - (this.errandsOn[t] === 0 ? problem.roundMinutes : 0) - (this.calls[bedOf[i]! * H + t] === 0 ? problem.bedMinutes : 0); // prettier-ignore
  }

  private setTerms(i: number, prices: DayPrices, share: number, shut: Uint8Array | undefined, alone: boolean): void {
    const { horizon: H, bedOf, problem, area, cureTo, dateFrom, minutesFree, kitchenFree } = this.model;
    const { minutePrice, kitchenPrice, fixed, room, kitchenRoom, opens } = this.terms;
    const bed = bedOf[i]! * H;
    this.kitchen.reckon(alone ? kitchenFree : this.kitchenLeft);
    kitchenRoom.set(this.kitchen.room);
    for (let t = 0; t < H; t++) {
      minutePrice[t] = share * prices.minute[t]!;
      kitchenPrice[t] = share * prices.kitchen[dateFrom[t]!]!;
      opens[t] = this.errandsOn[t] === 0 ? 1 : 0;
      room[t] = shut?.[t] === 1 || this.isShut(t) ? -1 : alone ? minutesFree[t]! - problem.roundMinutes - problem.bedMinutes : this.roomOn(i, t); // prettier-ignore
      fixed[t] = (opens[t] ? problem.roundCost : 0) + (this.calls[bed + t] === 0 ? problem.bedCost : 0);
    }
    if (area[i]! <= 0) return;
    for (let t = 0; t < H; t++)
      for (let d = t; d < cureTo[i * H + t]!; d++) {
        if (!alone && this.curingLeft[d]! + 1e-9 < area[i]!) room[t] = -1;
        fixed[t]! += share * prices.curing[d]! * area[i]!;
      }
  }
}

/** What an unpicked planting counts for; one that must be picked counts nothing until it is. */
const unpicked = ({ endWorth }: WayModel) => (endWorth[0] === -Infinity ? 0 : endWorth[0]!);
