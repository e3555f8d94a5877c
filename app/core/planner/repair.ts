import type { PlanModel } from "./model";
import { bestPath, type DayTerms } from "./path";

/** A plan in the making: pick days per planting and what they use of each day. */
export class Draft {
  readonly days: number[][];
  readonly value: Float64Array;
  private readonly handwork: Float64Array;
  private readonly calls: Int32Array;
  private readonly picksOn: Int32Array;
  private readonly bedsOn: Int32Array;

  constructor(
    private readonly model: PlanModel,
    from?: Draft,
  ) {
    const { plantings: n, horizon: H, beds } = model;
    this.days = from ? from.days.map((d) => d.slice()) : Array.from({ length: n }, () => []);
    this.value = from ? from.value.slice() : Float64Array.from(model.endWorth, (e) => e[0]!);
    this.handwork = from ? from.handwork.slice() : new Float64Array(H);
    this.calls = from ? from.calls.slice() : new Int32Array(beds * H);
    this.picksOn = from ? from.picksOn.slice() : new Int32Array(H);
    this.bedsOn = from ? from.bedsOn.slice() : new Int32Array(H);
  }

  copy(): Draft {
    return new Draft(this.model, this);
  }

  /** Total worth, rounds and calls paid. */
  worth(): number {
    const { roundCost, bedCost } = this.model.problem;
    let total = this.value.reduce((sum, v) => sum + v, 0);
    for (let t = 0; t < this.model.horizon; t++)
      if (this.picksOn[t]! > 0) total -= roundCost + bedCost * this.bedsOn[t]!;
    return total;
  }

  /** Takes every pick of planting i out. */
  clear(i: number): void {
    this.book(i, this.days[i]!, -1);
    this.days[i] = [];
    this.value[i] = this.model.endWorth[i]![0]!;
  }

  /** Gives planting i (now without picks) these days. */
  place(i: number, days: number[]): void {
    this.days[i] = days;
    this.value[i] = this.book(i, days, 1);
  }

  private book(i: number, days: readonly number[], sign: 1 | -1): number {
    const { horizon: H, bedOf, rows } = this.model;
    const bed = bedOf[i]! * H;
    let row = 0;
    let value = 0;
    for (const t of days) {
      value += this.model.worth[i]![row * H + t]!;
      this.handwork[t]! += sign * this.model.minutes[i]![row * H + t]!;
      this.picksOn[t]! += sign;
      const before = this.calls[bed + t]!;
      this.calls[bed + t] = before + sign;
      if (sign > 0 && before === 0) this.bedsOn[t]! += 1;
      if (sign < 0 && before === 1) this.bedsOn[t]! -= 1;
      if (rows[i]! > 1) row = t + 1;
    }
    if (days.length === 0) return this.model.endWorth[i]![0]!;
    return value + (rows[i]! > 1 ? this.model.endWorth[i]![row]! : 0);
  }

  /** Minutes still free on day t for a pick of planting i, opening costs taken off; below 0 = none. */
  roomFor(i: number, t: number, extraMinutes = 0): number {
    const { minutesFree, problem, horizon: H, bedOf } = this.model;
    const free = minutesFree[t]! + extraMinutes;
    if (free <= 0) return -1;
    const round = problem.roundMinutes;
    const called = this.calls[bedOf[i]! * H + t]! > 0;
    return free - round - this.handwork[t]! - problem.bedMinutes * (this.bedsOn[t]! + (called ? 0 : 1));
  }

  /** Terms of an exact best response of planting i (now without picks). */
  termsFor(i: number, minutePrice: Float64Array, priceShare: number): DayTerms {
    const { horizon: H, problem, bedOf } = this.model;
    const terms: DayTerms = { minutePrice: new Float64Array(H), fixed: new Float64Array(H), room: new Float64Array(H) };
    for (let t = 0; t < H; t++) {
      terms.minutePrice[t] = minutePrice[t]! * priceShare;
      terms.room[t] = this.roomFor(i, t);
      terms.fixed[t] =
        (this.picksOn[t]! > 0 ? 0 : problem.roundCost) + (this.calls[bedOf[i]! * H + t]! > 0 ? 0 : problem.bedCost);
    }
    return terms;
  }

  /** Gives planting i its exact best days against everything else. */
  respond(i: number, minutePrice: Float64Array, priceShare: number): void {
    this.clear(i);
    this.place(i, bestPath(this.model, i, this.termsFor(i, minutePrice, priceShare)).days);
  }
}

/** A neighbourhood to destroy: which plantings are taken out. */
function toDestroy(model: PlanModel, draft: Draft, uniform: () => number): number[] {
  const all = Array.from({ length: model.plantings }, (_, i) => i);
  const kind = uniform();
  const pickDay = Math.floor(uniform() * model.horizon);
  let chosen: number[];
  if (kind < 0.3) chosen = all.filter((i) => draft.days[i]!.includes(pickDay));
  else if (kind < 0.5) {
    const bed = Math.floor(uniform() * model.beds);
    chosen = all.filter((i) => model.bedOf[i] === bed);
  } else if (kind < 0.7) {
    const other = Math.floor(uniform() * model.horizon);
    chosen = all.filter((i) => draft.days[i]!.some((t) => t === pickDay || t === other));
  } else chosen = all.filter(() => uniform() < 0.25);
  if (chosen.length === 0) chosen = [Math.floor(uniform() * model.plantings)];
  return shuffled(chosen, uniform).slice(0, Math.max(3, Math.ceil(model.plantings / 2)));
}

function shuffled(list: number[], uniform: () => number): number[] {
  for (let k = list.length - 1; k > 0; k--) {
    const j = Math.floor(uniform() * (k + 1));
    [list[k], list[j]] = [list[j]!, list[k]!];
  }
  return list;
}

/**
 * Destroy and repair: takes some plantings out, gives each its exact best response in random order
 * (against prices scaled at random, then against none), keeps the outcome by annealing.
 *
 * @param iterations - budget; the same seed and budget repeat the run
 */
export function destroyAndRepair(
  model: PlanModel,
  start: Draft,
  minutePrice: Float64Array,
  iterations: number,
  uniform: () => number,
): Draft {
  if (model.plantings === 0) return start;
  let current = start.copy();
  let currentWorth = current.worth();
  let best = current;
  let bestWorth = currentWorth;
  const meanWorth = Math.abs(bestWorth) / Math.max(1, model.plantings);
  const everyone = Array.from({ length: model.plantings }, (_, i) => i);
  for (let k = 0; k < iterations; k++) {
    const temperature = 0.05 * meanWorth * (1 - k / iterations);
    const trial = current.copy();
    const out = toDestroy(model, trial, uniform);
    for (const i of out) trial.clear(i);
    const share = uniform() * 1.3;
    for (const i of out) trial.respond(i, minutePrice, share);
    for (const i of shuffled(k % 4 === 0 ? everyone.slice() : out.slice(), uniform)) trial.respond(i, minutePrice, 0);
    const worth = trial.worth();
    if (worth >= currentWorth || uniform() < Math.exp((worth - currentWorth) / Math.max(1e-9, temperature))) {
      current = trial;
      currentWorth = worth;
    }
    if (worth > bestWorth + 1e-9) {
      best = trial;
      bestWorth = worth;
    }
  }
  return best;
}
