import type { Draft } from "./draft";
import type { PlanModel } from "./model";
import type { Picks, PlanProblem, Ways } from "./problem";

/** A plan that was met on the way: its picks and ways. */
export interface SeenPlan {
  picks: Picks;
  ways: Ways;
  worth: number;
}

/**
 * The with/without table: of each planting and day the best plan met with a pick on it, and the best without. What a
 * live edit costs is told from it at once ("about"), and the search after the edit starts there. About 5 kB a plan.
 */
export class SeenPlans {
  private readonly worthWith: Float64Array;
  private readonly worthWithout: Float64Array;
  /** Days of each planting one after the other, each behind its way and their number. */
  private readonly plansWith: (Uint16Array | undefined)[];
  private readonly plansWithout: (Uint16Array | undefined)[];
  private readonly horizon: number;
  private readonly isOn: Uint8Array;
  /** Tells which way of a planting a number means. */
  private model: PlanModel | undefined;

  constructor(private readonly problem: PlanProblem) {
    this.horizon = problem.days.length;
    const cells = problem.tasks.length * this.horizon;
    this.worthWith = new Float64Array(cells).fill(-Infinity);
    this.worthWithout = new Float64Array(cells).fill(-Infinity);
    this.plansWith = new Array<Uint16Array | undefined>(cells).fill(undefined);
    this.plansWithout = new Array<Uint16Array | undefined>(cells).fill(undefined);
    this.isOn = new Uint8Array(this.horizon);
  }

  /** Keeps a plan for some of its plantings, wherever it is the best met so far. */
  see(draft: Draft, plantings: Iterable<number>): void {
    const { horizon: H, worthWith, worthWithout, isOn } = this;
    const { worth } = draft;
    this.model = draft.model;
    let plan: Uint16Array | undefined;
    for (const i of plantings) {
      isOn.fill(0);
      for (let k = 0; k < draft.count[i]!; k++) isOn[draft.days[i * H + k]!] = 1;
      for (let t = 0, cell = i * H; t < H; t++, cell++) {
        const [worths, plans] = isOn[t] ? [worthWith, this.plansWith] : [worthWithout, this.plansWithout];
        if (worth <= worths[cell]! + 1e-9) continue;
        worths[cell] = worth;
        plans[cell] = plan ??= packed(draft);
      }
    }
  }

  /**
   * The best plan met in which a planting is picked on a day; null where none was.
   *
   * @throws {RangeError} when it is not in the problem
   */
  with(id: string, day: number): SeenPlan | null {
    return this.found(this.plansWith, this.worthWith, id, day);
  }

  /** The best plan met in which it is not. */
  without(id: string, day: number): SeenPlan | null {
    return this.found(this.plansWithout, this.worthWithout, id, day);
  }

  private found(plans: readonly (Uint16Array | undefined)[], worths: Float64Array, id: string, day: number) {
    const i = this.problem.tasks.findIndex((t) => t.id === id);
    if (i < 0 || day < 0 || day >= this.horizon) throw new RangeError(`${id} on day ${day}: not in the problem`);
    const cell = i * this.horizon + day;
    const plan = plans[cell];
    return plan && this.model ? { ...unpacked(plan, this.model), worth: worths[cell]! } : null;
  }
}

function packed({ days, count, way, model: { plantings: n, horizon: H } }: Draft): Uint16Array {
  const plan = new Uint16Array(2 * n + count.reduce((a, b) => a + b, 0));
  let at = 0;
  for (let i = 0; i < n; i++) {
    plan[at++] = way[i]!;
    plan[at++] = count[i]!;
    for (let k = 0; k < count[i]!; k++) plan[at++] = days[i * H + k]!;
  }
  return plan;
}

function unpacked(plan: Uint16Array, model: PlanModel): Pick<SeenPlan, "picks" | "ways"> {
  const picks: Picks = {};
  const ways: Ways = {};
  let at = 0;
  model.problem.tasks.forEach(({ id }, i) => {
    const way = plan[at++]!;
    const count = plan[at++]!;
    picks[id] = [...plan.subarray(at, at + count)];
    if (way > 0) ways[id] = model.ways[i]![way]!.id;
    at += count;
  });
  return { picks, ways };
}

/** Plans met that an edit asks for: with the picks that are pinned now and were not there, without those that are banned. */
export function seenForEdit(seen: SeenPlans, { problem: { tasks } }: PlanModel, picks: Picks): SeenPlan[] {
  return tasks.flatMap(({ id, pins = [], bans = [] }) => {
    const had = picks[id] ?? [];
    const wanted = pins.filter((t) => !had.includes(t)).map((t) => seen.with(id, t));
    const unwanted = bans.filter((t) => had.includes(t)).map((t) => seen.without(id, t));
    return [...wanted, ...unwanted].filter((plan) => plan !== null);
  });
}
