/** A stop that is still to come. */
export interface StopToCome {
  id: string;
  bed: string;
  minutes: number;
  /** What is lost where it is left for the best later day, in kilograms of courgette. */
  loss: number;
}

export interface WalkInTime {
  /** What is called at, what loses most a minute first; stops of one bed together, in the order given. */
  taken: string[];
  left: string[];
}

/** Minutes are reckoned with to this. */
const STEP = 0.25;
/** A look, or a pick that keeps, is still worth a call where there is time: our judgement, far below any loss that is told. */
const NO_LOSS = 1e-4;

/**
 * What to call at when time is short: the stops that lose least by being left are left. The best choice there is, by trying
 * all of them at once (0/1 knapsack with the call at a bed as a set-up; minutes rounded up to a quarter).
 *
 * @param minutes - that are left
 * @param bedMinutes - that calling at a bed takes, whatever is done there
 */
export function walkInTime(stops: readonly StopToCome[], minutes: number, bedMinutes: number): WalkInTime {
  const cells = Math.max(0, Math.floor(minutes / STEP));
  const cost = (m: number) => Math.ceil(m / STEP);
  // By quarters used: the most that is saved, and what is called at.
  let best: Choice[] = Array.from({ length: cells + 1 }, () => ({ saved: 0, ids: [] }));
  for (const bed of new Set(stops.map((s) => s.bed))) {
    let open: (Choice | undefined)[] = best.map((_, m) => best[m - cost(bedMinutes)]);
    for (const stop of stops.filter((s) => s.bed === bed))
      open = open.map((without, m) => better(without, withStop(open[m - cost(stop.minutes)], stop)));
    best = best.map((closed, m) => better(closed, open[m])!);
  }
  const chosen = new Set(best[cells]!.ids);
  return { taken: byLoss(stops.filter((s) => chosen.has(s.id)), bedMinutes), left: stops.filter((s) => !chosen.has(s.id)).map((s) => s.id) }; // prettier-ignore
}

interface Choice {
  saved: number;
  ids: readonly string[];
}

const better = (a: Choice | undefined, b: Choice | undefined): Choice | undefined => (!a || (b && b.saved > a.saved) ? b : a); // prettier-ignore
const withStop = (to: Choice | undefined, { id, loss }: StopToCome): Choice | undefined =>
  to && { saved: to.saved + loss + NO_LOSS, ids: [...to.ids, id] };

/** Beds by what they lose a minute: whoever has to stop sooner than thought has the dearest in. */
function byLoss(taken: readonly StopToCome[], bedMinutes: number): string[] {
  const beds = [...new Set(taken.map((s) => s.bed))].map((bed) => taken.filter((s) => s.bed === bed));
  const rate = (of: readonly StopToCome[]) => of.reduce((sum, s) => sum + s.loss, 0) / of.reduce((sum, s) => sum + s.minutes, bedMinutes); // prettier-ignore
  return beds.sort((a, b) => rate(b) - rate(a)).flatMap((of) => of.map((s) => s.id));
}
