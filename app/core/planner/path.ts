import type { PlanModel, WayModel } from "./model";

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
  /** 1 where a pick would open a round, and how many rounds each limit still allows. */
  opens: Uint8Array;
  roundsLeft: Float64Array;
}

type Tables = Pick<WayModel, "worth" | "minutes" | "kitchen" | "endWorth">;

/** Beyond any limit, and less than Infinity, which shuts a pick. */
const NO_LIMIT = 1e12;

/** Terms without prices, costs and limits. */
export function dayTerms(horizon: number, limits = 0): DayTerms {
  const zeros = () => new Float64Array(horizon);
  return {
    minutePrice: zeros(),
    kitchenPrice: zeros(),
    fixed: zeros(),
    room: zeros().fill(NO_LIMIT),
    kitchenRoom: zeros().fill(NO_LIMIT),
    opens: new Uint8Array(horizon),
    roundsLeft: new Float64Array(limits).fill(NO_LIMIT),
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
  /** The same by how many rounds were opened under the limit of the last pick: [row · layers + opened]. */
  private readonly layers: number;
  private readonly bestOpened: Float64Array;
  private readonly nextOpened: Int32Array;
  private readonly opened: Float64Array;

  constructor(private readonly model: PlanModel) {
    this.days = new Int32Array(model.horizon);
    this.best = new Float64Array(model.horizon + 1);
    this.next = new Int32Array(model.horizon + 1);
    this.layers = 1 + model.mostRounds.reduce((a, b) => Math.max(a, Math.min(b, model.horizon)), 0);
    this.bestOpened = new Float64Array((model.horizon + 1) * this.layers);
    this.nextOpened = new Int32Array((model.horizon + 1) * this.layers);
    this.opened = new Float64Array(model.mostRounds.length);
  }

  /**
   * @param way - of planting i
   * @returns the value of the best path; −Infinity when a pin cannot be kept
   */
  find(i: number, { worth, minutes, kitchen, endWorth }: Tables, terms: DayTerms): number {
    const { model, best, next, days } = this;
    const H = model.horizon;
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
    return rows > 1 && this.opensTooMany(terms)
      ? this.findWithin({ worth, minutes, kitchen, endWorth }, terms)
      : best[0]!;
  }

  /** Whether the path found opens more rounds than a limit allows. */
  private opensTooMany({ opens, roundsLeft }: DayTerms): boolean {
    const { opened, model } = this;
    if (opened.length === 0) return false;
    opened.fill(0);
    for (let k = 0; k < this.count; k++) {
      const l = model.limitOf[this.days[k]!]!;
      if (l >= 0) opened[l]! += opens[this.days[k]!]!;
    }
    return opened.some((n, l) => n > roundsLeft[l]!);
  }

  /** The best path that keeps to the limits on rounds, O(H² · most): how many were opened is part of where it stands. */
  private findWithin({ worth, minutes, kitchen, endWorth }: Tables, terms: DayTerms): number {
    const { model, bestOpened: best, nextOpened: next, days, layers } = this;
    const { horizon: H, limitOf } = model;
    const { minutePrice, kitchenPrice, fixed, room, kitchenRoom, opens, roundsLeft } = terms;
    const after = (row: number, opened: number, t: number) => (limitOf[t]! < 0 ? 0 : (row > 0 && limitOf[row - 1] === limitOf[t] ? opened : 0) + opens[t]!); // prettier-ignore
    for (let row = H; row >= 0; row--)
      for (let opened = 0; opened < layers; opened++) {
        let value = endWorth[row]!;
        let choice = -1;
        for (let t = row, a = row * H + row; t < H; t++, a++) {
          const m = minutes[a]!;
          const k = kitchen[a]!;
          if (m > room[t]! + 1e-9 || k > kitchenRoom[t]! + 1e-9) continue;
          const then = after(row, opened, t);
          if (limitOf[t]! >= 0 && then > Math.min(layers - 1, roundsLeft[limitOf[t]!]!)) continue;
          const v = worth[a]! - minutePrice[t]! * m - kitchenPrice[t]! * k - fixed[t]! + best[(t + 1) * layers + then]!;
          if (v > value + 1e-12) {
            value = v;
            choice = t;
          }
        }
        best[row * layers + opened] = value;
        next[row * layers + opened] = choice;
      }
    this.count = 0;
    for (let row = 0, opened = 0; next[row * layers + opened]! >= 0;) {
      const t = next[row * layers + opened]!;
      days[this.count++] = t;
      opened = after(row, opened, t);
      row = t + 1;
    }
    return best[0]!;
  }
}
