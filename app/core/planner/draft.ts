import type { PlanModel } from "./model";
import { PathFinder, dayTerms, type DayTerms } from "./path";
import type { Picks } from "./problem";

/** Prices of what is short on each day; arrays of H. */
export interface DayPrices {
  minute: Float64Array;
  kitchen: Float64Array;
  /** Of a m² of curing space. */
  curing: Float64Array;
}

export const noPrices = (horizon: number): DayPrices => ({ minute: new Float64Array(horizon), kitchen: new Float64Array(horizon), curing: new Float64Array(horizon) }); // prettier-ignore

/** A plan in the making: pick days per planting, what is left of each limit, and its worth. */
export class Draft {
  /** Pick days of planting i: days[i · H] on, count[i] of them. */
  readonly days: Int32Array;
  readonly count: Int32Array;
  /** Total worth, rounds and calls paid. */
  worth: number;
  private readonly minutesLeft: Float64Array;
  private readonly kitchenLeft: Float64Array;
  private readonly curingLeft: Float64Array;
  private readonly roundsLeft: Float64Array;
  private readonly calls: Int32Array;
  private readonly picksOn: Int32Array;
  private readonly value: Float64Array;
  private readonly terms: DayTerms;
  private readonly finder: PathFinder;
  private readonly wanted: Int32Array;

  constructor(readonly model: PlanModel) {
    const { plantings: n, horizon: H, beds } = model;
    this.days = new Int32Array(n * H);
    this.count = new Int32Array(n);
    this.value = Float64Array.from(model.endWorth, (e) => unpicked(e));
    this.worth = this.value.reduce((sum, v) => sum + v, 0);
    this.minutesLeft = model.minutesFree.slice();
    this.kitchenLeft = model.kitchenFree.slice();
    this.curingLeft = model.curingFree.slice();
    this.roundsLeft = model.mostRounds.slice();
    this.calls = new Int32Array(beds * H);
    this.picksOn = new Int32Array(H);
    this.terms = { ...dayTerms(H), roundsLeft: this.roundsLeft };
    this.finder = new PathFinder(model);
    this.wanted = new Int32Array(H);
  }

  /** Days of planting i. */
  daysOf(i: number): number[] {
    const H = this.model.horizon;
    return [...this.days.subarray(i * H, i * H + this.count[i]!)];
  }

  isOn(i: number, t: number): boolean {
    const from = i * this.model.horizon;
    for (let k = 0; k < this.count[i]!; k++) if (this.days[from + k] === t) return true;
    return false;
  }

  /** Whether what was taken of planting i lies curing on day t. */
  curesOn(i: number, t: number): boolean {
    const first = this.days[i * this.model.horizon]!;
    return this.count[i]! > 0 && this.model.area[i]! > 0 && first <= t && t < first + this.model.cureDays[i]!;
  }

  /** Gives planting i, now without picks, these days if all of them fit. */
  keep(i: number, days: readonly number[]): boolean {
    const { horizon: H, rows, minutes, kitchen, area, cureDays, endWorth } = this.model;
    const opened = new Int32Array(this.roundsLeft.length);
    let row = 0;
    for (const t of days) {
      const a = row * H + t;
      const l = this.model.limitOf[t] ?? -1;
      if (l >= 0 && this.picksOn[t] === 0 && ++opened[l]! > this.roundsLeft[l]!) return false;
      if (t < row || t >= H || minutes[i]![a]! > this.roomOn(i, t) + 1e-9 || kitchen[i]![a]! > this.kitchenLeft[t]! + 1e-9) return false; // prettier-ignore
      for (let d = t; d < Math.min(H, t + cureDays[i]!); d++) if (this.curingLeft[d]! + 1e-9 < area[i]!) return false;
      if (rows[i]! > 1) row = t + 1;
    }
    if ((days.length === 0 || rows[i]! > 1) && endWorth[i]![row] === -Infinity) return false;
    if (rows[i] === 1 && days.length > 1) return false;
    this.place(i, Int32Array.from(days), 0, days.length);
    return true;
  }

  /** The worth added up anew: what was added and taken off many times strays in the last digits. */
  total(): number {
    const { problem, horizon: H } = this.model;
    let total = this.value.reduce((sum, v) => sum + v, 0);
    for (const picks of this.picksOn) if (picks > 0) total -= problem.roundCost;
    for (let at = 0; at < this.model.beds * H; at++) if (this.calls[at]! > 0) total -= problem.bedCost;
    return total;
  }

  picks(): Picks {
    return Object.fromEntries(this.model.problem.tasks.map((task, i) => [task.id, this.daysOf(i)]));
  }

  /** Takes every pick of planting i out. */
  clear(i: number): void {
    this.book(i, -1);
    this.count[i] = 0;
    this.setValue(i, unpicked(this.model.endWorth[i]!));
  }

  /** Gives planting i, now without picks, the days from[at] on, `count` of them; whether they fit is the caller's. */
  place(i: number, from: Int32Array, at: number, count: number): void {
    const H = this.model.horizon;
    for (let k = 0; k < count; k++) this.days[i * H + k] = from[at + k]!;
    this.count[i] = count;
    this.setValue(i, this.book(i, 1));
  }

  private setValue(i: number, value: number): void {
    this.worth += value - this.value[i]!;
    this.value[i] = value;
  }

  private book(i: number, sign: 1 | -1): number {
    const { horizon: H, bedOf, rows, problem, area, cureDays } = this.model;
    const bed = bedOf[i]! * H;
    let row = 0;
    let value = 0;
    for (let k = 0; k < this.count[i]!; k++) {
      const t = this.days[i * H + k]!;
      const a = row * H + t;
      value += this.model.worth[i]![a]!;
      this.minutesLeft[t]! -= sign * this.model.minutes[i]![a]!;
      this.kitchenLeft[t]! -= sign * this.model.kitchen[i]![a]!;
      for (let d = t; d < Math.min(H, t + cureDays[i]!); d++) this.curingLeft[d]! -= sign * area[i]!;
      const limit = this.model.limitOf[t]!;
      if (this.toggle(this.picksOn, t, sign, t, problem.roundMinutes, problem.roundCost) && limit >= 0) this.roundsLeft[limit]! -= sign; // prettier-ignore
      this.toggle(this.calls, bed + t, sign, t, problem.bedMinutes, problem.bedCost);
      if (rows[i]! > 1) row = t + 1;
    }
    return this.count[i] === 0 || rows[i]! > 1 ? value + this.model.endWorth[i]![row]! : value;
  }

  /** The first pick of a round, or at a bed, pays its overheads; whether this was the one. */
  private toggle(counts: Int32Array, at: number, sign: 1 | -1, t: number, minutes: number, cost: number): boolean {
    const before = counts[at]!;
    counts[at] = before + sign;
    if (before !== (sign > 0 ? 0 : 1)) return false;
    this.minutesLeft[t]! -= sign * minutes;
    this.worth -= sign * cost;
    return true;
  }

  /**
   * Gives planting i its exact best days against everything else.
   *
   * @param share - how much of the prices counts, 0 = none
   * @param shut - 1 for days it may not take
   * @param openDay - a day whose round and calls count as paid for, −1 = none
   * @returns whether it could be placed: a pin may not fit
   */
  respond(i: number, prices: DayPrices, share: number, shut?: Uint8Array, openDay = -1): boolean {
    this.clear(i);
    this.setTerms(i, prices, share, shut, false);
    if (openDay >= 0) this.terms.fixed[openDay] = 0;
    const found = this.finder.find(i, this.model.worth[i]!, this.terms);
    if (found === -Infinity) return false;
    this.place(i, this.finder.days, 0, this.finder.count);
    return true;
  }

  /**
   * Gives planting i the days that it would take if nobody else were there, at the prices; whoever is in its way goes.
   *
   * @param out - takes out another planting that is picked on day t, or lies curing then; false when there is none
   * @returns whether it could be placed
   */
  insist(i: number, prices: DayPrices, share: number, out: (t: number, cures: boolean) => boolean): boolean {
    this.clear(i);
    this.setTerms(i, prices, share, undefined, true);
    const found = this.finder.find(i, this.model.worth[i]!, this.terms);
    if (found === -Infinity) return false;
    const { horizon: H, rows, minutes, kitchen, area, cureDays } = this.model;
    const { count } = this.finder;
    this.wanted.set(this.finder.days);
    let row = 0;
    for (let k = 0; k < count; k++) {
      const t = this.wanted[k]!;
      const a = row * H + t;
      while (this.roomOn(i, t) + 1e-9 < minutes[i]![a]! || this.kitchenLeft[t]! + 1e-9 < kitchen[i]![a]!) if (!out(t, false)) return false; // prettier-ignore
      for (let d = t; d < Math.min(H, t + cureDays[i]!); d++) while (this.curingLeft[d]! + 1e-9 < area[i]!) if (!out(d, true)) return false; // prettier-ignore
      if (rows[i]! > 1) row = t + 1;
    }
    this.place(i, this.wanted, 0, count);
    return true;
  }

  /** Minutes left on day t for a pick of planting i, the round's and the call's overheads off. */
  private roomOn(i: number, t: number): number {
    const { problem, bedOf, horizon: H } = this.model;
    return this.minutesLeft[t]! - (this.picksOn[t] === 0 ? problem.roundMinutes : 0) - (this.calls[bedOf[i]! * H + t] === 0 ? problem.bedMinutes : 0); // prettier-ignore
  }

  private setTerms(i: number, prices: DayPrices, share: number, shut: Uint8Array | undefined, alone: boolean): void {
    const { horizon: H, bedOf, problem, area, cureDays, minutesFree, kitchenFree } = this.model;
    const { minutePrice, kitchenPrice, fixed, room, kitchenRoom, opens } = this.terms;
    const bed = bedOf[i]! * H;
    for (let t = 0; t < H; t++) {
      minutePrice[t] = share * prices.minute[t]!;
      kitchenPrice[t] = share * prices.kitchen[t]!;
      const limit = this.model.limitOf[t]!;
      opens[t] = this.picksOn[t] === 0 ? 1 : 0;
      const none = opens[t] === 1 && limit >= 0 && this.roundsLeft[limit]! <= 0;
      room[t] = shut?.[t] === 1 || none || minutesFree[t]! <= 0 ? -1 : alone ? minutesFree[t]! - problem.roundMinutes - problem.bedMinutes : this.roomOn(i, t); // prettier-ignore
      kitchenRoom[t] = alone ? kitchenFree[t]! : this.kitchenLeft[t]!;
      fixed[t] = (this.picksOn[t] === 0 ? problem.roundCost : 0) + (this.calls[bed + t] === 0 ? problem.bedCost : 0);
    }
    if (area[i]! <= 0) return;
    for (let t = 0; t < H; t++)
      for (let d = t; d < Math.min(H, t + cureDays[i]!); d++) {
        if (!alone && this.curingLeft[d]! + 1e-9 < area[i]!) room[t] = -1;
        fixed[t]! += share * prices.curing[d]! * area[i]!;
      }
  }
}

/** What an unpicked planting counts for; one that must be picked counts nothing until it is. */
const unpicked = (endWorth: Float64Array) => (endWorth[0] === -Infinity ? 0 : endWorth[0]!);
