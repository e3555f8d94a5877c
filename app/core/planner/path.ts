import type { PlanModel } from "./model";

/** What a pick of one planting on each day costs beyond its own worth, and what it may take. Arrays of H. */
export interface DayTerms {
  /** Price of a minute and of a kg in the kitchen, ≥ 0. */
  minutePrice: Float64Array;
  kitchenPrice: Float64Array;
  /** Fixed cost of a pick on the day (opening the round, calling at the bed, curing space, or a multiplier). */
  fixed: Float64Array;
  /** Minutes and kg a pick may take; −1 shuts the day. */
  room: Float64Array;
  kitchenRoom: Float64Array;
}

/** Beyond any limit, and less than Infinity, which shuts a pick. */
const NO_LIMIT = 1e12;

/** Terms without prices, costs and limits. */
export function dayTerms(horizon: number): DayTerms {
  const zeros = () => new Float64Array(horizon);
  return {
    minutePrice: zeros(),
    kitchenPrice: zeros(),
    fixed: zeros(),
    room: zeros().fill(NO_LIMIT),
    kitchenRoom: zeros().fill(NO_LIMIT),
  };
}

/**
 * The exact best set of pick days of one planting against given day terms: a longest path over "last picked on day s" by
 * dynamic programming from the end, O(H²). Keeps its scratch: one finder is asked many times.
 */
export class PathFinder {
  /** The pick days of the last path found, `count` of them. */
  readonly days: Int32Array;
  count = 0;
  private readonly best: Float64Array;
  private readonly next: Int32Array;

  constructor(private readonly model: PlanModel) {
    this.days = new Int32Array(model.horizon);
    this.best = new Float64Array(model.horizon + 1);
    this.next = new Int32Array(model.horizon + 1);
  }

  /**
   * @param worth - of planting i, or what is left of it after multipliers, [row · H + t]
   * @returns the value of the best path; −Infinity when a pin cannot be kept
   */
  find(i: number, worth: Float64Array, terms: DayTerms): number {
    const { model, best, next, days } = this;
    const H = model.horizon;
    const minutes = model.minutes[i]!;
    const kitchen = model.kitchen[i]!;
    const endWorth = model.endWorth[i]!;
    const rows = model.rows[i]!;
    const { minutePrice, kitchenPrice, fixed, room, kitchenRoom } = terms;
    for (let row = rows - 1; row >= 0; row--) {
      let value = endWorth[row]!;
      let choice = -1;
      for (let t = row, a = row * H + row; t < H; t++, a++) {
        const m = minutes[a]!;
        if (m > room[t]! + 1e-9) continue;
        const k = kitchen[a]!;
        if (k > kitchenRoom[t]! + 1e-9) continue;
        const v = worth[a]! - minutePrice[t]! * m - kitchenPrice[t]! * k - fixed[t]! + (rows > 1 ? best[t + 1]! : 0);
        if (v > value + 1e-12) {
          value = v;
          choice = t;
        }
      }
      best[row] = value;
      next[row] = choice;
    }
    this.count = 0;
    for (let row = 0; next[row]! >= 0;) {
      const t = next[row]!;
      days[this.count++] = t;
      if (rows === 1 || t + 1 >= rows) break;
      row = t + 1;
    }
    return best[0]!;
  }
}
