import { Draft, noPrices } from "./draft";
import type { PlanModel } from "./model";
import type { Picks, Ways } from "./problem";

/**
 * A plan to begin with: what still fits of an earlier one, and each planting in turn on its best days; those that must be
 * picked come first, and others make way for them.
 *
 * @throws {RangeError} when a pin cannot be kept
 */
export function firstDraft(model: PlanModel, from?: { picks: Picks; ways?: Ways }): Draft {
  const draft = new Draft(model);
  const none = noPrices(model.horizon);
  const { tasks } = model.problem;
  const all = [...model.bedOf.keys()];
  const isPinned = (i: number) => (tasks[i]!.pins?.length ?? 0) > 0;
  const order = [...all.filter(isPinned), ...all.filter((i) => !isPinned(i))];
  const wayBefore = (i: number) =>
    Math.max(
      0,
      model.ways[i]!.findIndex((w) => w.id === (from?.ways?.[tasks[i]!.id] ?? "")),
    );
  // What must be picked takes its place before anything else does.
  const held = new Set(
    order.filter(
      (i) =>
        isPinned(i) &&
        draft.keep(
          i,
          [...tasks[i]!.pins!].sort((a, b) => a - b),
        ),
    ),
  );
  const moved = order.filter(
    (i) => !held.has(i) && (!from || !draft.keep(i, from.picks[tasks[i]!.id] ?? [], wayBefore(i))),
  );
  for (const i of moved) if (!draft.respond(i, none, 0) && !makeWay(draft, i, order)) throw new RangeError(`${tasks[i]!.id} cannot be picked on the days it must be, with what must be picked beside it`); // prettier-ignore
  for (const i of order) draft.respond(i, none, 0);
  return draft;
}

/** Puts a pinned planting in, others out of its way: those not pinned, the last to come first. */
function makeWay(draft: Draft, i: number, order: readonly number[]): boolean {
  const { model } = draft;
  const H = model.horizon;
  const isPinned = (j: number) => (model.problem.tasks[j]!.pins?.length ?? 0) > 0;
  return draft.insist(i, noPrices(H), 0, (t, by) => {
    const inTheWay = order.findLast((j) => j !== i && !isPinned(j) && draft.isUsed(j) && draft.isInTheWay(j, t, by)); // prettier-ignore
    if (inTheWay === undefined) return false;
    draft.clear(inTheWay);
    return true;
  });
}
