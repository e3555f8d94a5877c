import type { PlanModel, WayModel } from "./model";
import { relax, type Relaxation } from "./relax";

/** Iterations of the prices in each branch, from where its parent's stood. */
const BRANCH_ITERATIONS = 50;
const BRANCH_STEP = 0.5;
/** A round that is walked for a share nearer to none or all than this is not split. */
const HALF_WALKED = 0.03;
/** A share nearer to none or all than this is taken as settled. */
const SETTLED = 0.005;

/** Iterations for a branch whose prices stand still before its bound does. */
const SETTLING_ITERATIONS = 200;
const SETTLING_STEP = 1.5;

interface Node {
  model: PlanModel;
  relaxation: Relaxation;
  isSettled?: boolean;
}

/**
 * Tightens a bound by branching: the loosest branch is split in two, by a counted round that is walked or not, or by a planting that is picked on a day or not, and each half is bounded anew from where the prices stood. What no branch can beat, no plan
 * can. Best first, so that every split counts.
 *
 * @param lowerBound - worth of a plan already known
 * @param splits - budget; a run with the same budget repeats
 * @source Land & Doig 1960, Econometrica 28:497–520; Fisher 1981, Manage. Sci. 27:1–18 (from memory)
 */
export function branchBound(model: PlanModel, root: Relaxation, lowerBound: number, splits: number): number {
  const open: Node[] = [{ model, relaxation: root }];
  let closed = lowerBound;
  for (let k = 0; k < splits; k++) {
    let top = -1;
    for (let j = 0; j < open.length; j++) if (top < 0 || open[j]!.relaxation.upperBound > open[top]!.relaxation.upperBound) top = j; // prettier-ignore
    if (top < 0) break;
    const node = open[top]!;
    open[top] = open[open.length - 1]!;
    open.pop();
    const halves = split(node);
    if (!halves && !node.isSettled) {
      const relaxation = relax(node.model, lowerBound, SETTLING_ITERATIONS, { from: node.relaxation, step: SETTLING_STEP }); // prettier-ignore
      relaxation.upperBound = Math.min(relaxation.upperBound, node.relaxation.upperBound);
      if (relaxation.upperBound > lowerBound + 1e-9) open.push({ model: node.model, relaxation, isSettled: true });
      continue;
    }
    if (!halves) {
      closed = Math.max(closed, node.relaxation.upperBound);
      continue;
    }
    for (const half of halves) {
      const relaxation = relax(half, lowerBound, BRANCH_ITERATIONS, { from: node.relaxation, step: BRANCH_STEP });
      relaxation.upperBound = Math.min(relaxation.upperBound, node.relaxation.upperBound);
      if (relaxation.upperBound > lowerBound + 1e-9) open.push({ model: half, relaxation });
    }
  }
  return open.reduce((bound, node) => Math.max(bound, node.relaxation.upperBound), closed);
}

/** The two halves of a branch; null where nothing is left to split. */
function split({ model, relaxation: { share, walked } }: Node): [PlanModel, PlanModel] | null {
  const { plantings: n, horizon: H } = model;
  // Where rounds are counted, their days decide most: those that are half walked come first.
  const half = [...walked.keys()].filter((t) => model.limitOf[t]! >= 0 && !model.isWalked[t] && walked[t]! > HALF_WALKED && walked[t]! < 1 - HALF_WALKED); // prettier-ignore
  if (half.length > 0) {
    const t = half.reduce((a, b) => (Math.abs(walked[b]! - 0.5) < Math.abs(walked[a]! - 0.5) ? b : a));
    return [withRound(model, t), withoutRound(model, t)];
  }
  let [best, at] = [0, -1];
  for (let i = 0; i < n; i++) {
    const stake = model.stake[i]!;
    for (let t = 0; t < H; t++) {
      const s = share[i * H + t]!;
      if (s < SETTLED || s > 1 - SETTLED) continue;
      const score = Math.min(s, 1 - s) * stake;
      if (score > best) [best, at] = [score, i * H + t];
    }
  }
  if (at < 0) return null;
  const [i, t] = [Math.floor(at / H), at % H];
  return [picked(model, i, t), alike(model, i).reduce((half, j) => unpicked(half, j, t), model)];
}

/** The half in which there is a round on day t, whether it pays or not. */
function withRound(model: PlanModel, t: number): PlanModel {
  const isWalked = model.isWalked.slice();
  isWalked[t] = 1;
  return { ...model, isWalked };
}

/** The half in which there is none. */
function withoutRound(model: PlanModel, t: number): PlanModel {
  const minutesFree = model.minutesFree.slice();
  minutesFree[t] = 0;
  const ways = model.ways.map((of, i) =>
    of.filter((way) => way.acts.every((act) => act.day !== t)).map((way) => notPicked(model, i, t, way)),
  );
  return { ...model, minutesFree, ways };
}

/**
 * Plantings that could stand for planting i, itself among them: the parts of a planting, say. If any of them is picked
 * on a day, planting i may as well be the one; so the other half is that none of them is.
 */
function alike(model: PlanModel, i: number): number[] {
  const { bedOf, area, cureDays, ways } = model;
  const isSame = (a: Float64Array, b: Float64Array) =>
    a === b || (a.length === b.length && a.every((x, k) => x === b[k]));
  const isSameWay = (a: WayModel, b: WayModel | undefined) =>
    b !== undefined &&
    JSON.stringify(a.acts) === JSON.stringify(b.acts) &&
    isSame(a.worth, b.worth) &&
    isSame(a.minutes, b.minutes) &&
    isSame(a.kitchen, b.kitchen) &&
    isSame(a.endWorth, b.endWorth);
  return [...bedOf.keys()].filter(
    (j) =>
      bedOf[j] === bedOf[i] &&
      area[j] === area[i] &&
      cureDays[j] === cureDays[i] &&
      ways[j]!.length === ways[i]!.length &&
      ways[i]!.every((way, w) => isSameWay(way, ways[j]![w])),
  );
}

const withWays = (model: PlanModel, i: number, change: (way: WayModel) => WayModel): PlanModel => ({
  ...model,
  ways: model.ways.map((ways, j) => (j === i ? ways.map(change) : ways)),
});

/** The half in which planting i is picked on day t: what jumps over it is shut. */
function picked(model: PlanModel, i: number, t: number): PlanModel {
  const H = model.horizon;
  const repeat = model.rows[i]! > 1;
  return withWays(model, i, (way) => {
    const minutes = way.minutes.slice();
    for (let row = 0; row < model.rows[i]!; row++)
      for (let d = row; d < H; d++) if (repeat ? row <= t && d > t : d !== t) minutes[row * H + d] = Infinity;
    return { ...way, minutes, endWorth: way.endWorth.map((e, row) => (row <= t ? -Infinity : e)) };
  });
}

/** The half in which it is not. */
const unpicked = (model: PlanModel, i: number, t: number): PlanModel => withWays(model, i, (way) => notPicked(model, i, t, way)); // prettier-ignore

function notPicked({ horizon: H, rows }: PlanModel, i: number, t: number, way: WayModel): WayModel {
  const minutes = way.minutes.slice();
  for (let row = 0; row < rows[i]!; row++) minutes[row * H + t] = Infinity;
  return { ...way, minutes };
}
