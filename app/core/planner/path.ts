import type { PlanModel } from "./model";

/** What a pick of one planting on each day costs beyond its own worth, and the minutes it may take. */
export interface DayTerms {
  /** Price of a minute, ≥ 0. */
  minutePrice: Float64Array;
  /** Fixed cost of a pick on the day (opening the round, calling at the bed, or a multiplier). */
  fixed: Float64Array;
  /** Minutes a pick may take; −1 shuts the day. */
  room: Float64Array;
}

/** The best path: its value and its pick days. */
export interface Path {
  value: number;
  days: number[];
}

/**
 * The exact best set of pick days of one planting against given day terms: a longest path over
 * "last picked on day s" by dynamic programming from the end, O(H²).
 */
export function bestPath(model: PlanModel, i: number, terms: DayTerms): Path {
  const H = model.horizon;
  const worth = model.worth[i]!;
  const minutes = model.minutes[i]!;
  const endWorth = model.endWorth[i]!;
  const rows = model.rows[i]!;
  const best = new Float64Array(rows);
  const next = new Int32Array(rows).fill(-1);
  for (let row = rows - 1; row >= 0; row--) {
    let value = endWorth[row]!;
    let choice = -1;
    for (let t = row; t < H; t++) {
      const m = minutes[row * H + t]!;
      if (m > terms.room[t]! + 1e-9) continue;
      const after = rows > 1 ? best[t + 1]! : 0;
      const v = worth[row * H + t]! - terms.minutePrice[t]! * m - terms.fixed[t]! + after;
      if (v > value + 1e-12) {
        value = v;
        choice = t;
      }
    }
    best[row] = value;
    next[row] = choice;
  }
  const days: number[] = [];
  for (let row = 0; row < rows && next[row]! >= 0;) {
    const t = next[row]!;
    days.push(t);
    if (rows === 1) break;
    row = t + 1;
  }
  return { value: best[0]!, days };
}
