import { Draft, noPrices, type DayPrices } from "./draft";
import type { PlanModel } from "./model";

/** Sets of days that are tried, at most. */
const MOST_TRIES = 160;
/** Of the plans found, so many are worked on. */
const KEPT = 6;

/**
 * Where rounds are counted, which days they fall on decides most, and no planting can move one alone. So sets of days are
 * tried whole: every planting on its best days among them; then one day of the set is exchanged for another while that
 * brings in more.
 *
 * @param shares - how much of the time each day was walked while the prices settled, 0 … 1
 * @returns the best plans found, each on other days, the best first, `draft` among them
 */
export function bestRounds(draft: Draft, prices: DayPrices, shares: Float64Array): Draft[] {
  const { model } = draft;
  if (model.mostRounds.length === 0) return [draft];
  let best = draft;
  const found = [draft];
  let tries = 0;
  const tried = new Set<string>();
  const consider = (days: ReadonlySet<number>): boolean => {
    const key = [...days].sort((a, b) => a - b).join(" ");
    if (tried.has(key) || tries >= MOST_TRIES) return false;
    tried.add(key);
    tries++;
    let isBetter = false;
    for (const next of [planOn(model, days, prices), planOn(model, days, prices, best)]) {
      if (next) found.push(next);
      if (!next || next.worth <= best.worth + 1e-9) continue;
      best = next;
      isBetter = true;
    }
    return isBetter;
  };
  consider(likeliest(model, shares));
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    const walked = walkedDays(best);
    for (const next of neighbours(model, walked, shares)) if (consider(next)) isBetter = true;
  }
  return found.sort((a, b) => b.worth - a.worth).slice(0, KEPT);
}

const walkedDays = (draft: Draft) => new Set([...Array(draft.model.horizon).keys()].filter((t) => draft.isWalked(t)));

/** The days that were walked most while the prices settled, as many as each limit allows. */
function likeliest({ horizon, limitOf, mostRounds, minutesFree }: PlanModel, shares: Float64Array): Set<number> {
  const left = mostRounds.slice();
  const days = [...Array(horizon).keys()].filter((t) => minutesFree[t]! > 0).sort((a, b) => shares[b]! - shares[a]!);
  return new Set(days.filter((t) => limitOf[t]! < 0 || left[limitOf[t]!]!-- > 0));
}

/** Sets that differ by one day: one exchanged for another under the same limit, or one more where the limit has room. */
function* neighbours(
  { horizon, limitOf, mostRounds, minutesFree }: PlanModel,
  walked: ReadonlySet<number>,
  shares: Float64Array,
) {
  // prettier-ignore
  const others = [...Array(horizon).keys()].filter((t) => limitOf[t]! >= 0 && minutesFree[t]! > 0 && !walked.has(t)).sort((a, b) => shares[b]! - shares[a]!); // prettier-ignore
  for (const t of others) {
    const beside = [...walked].filter((d) => limitOf[d] === limitOf[t]);
    if (beside.length < mostRounds[limitOf[t]!]!) yield new Set([...walked, t]);
    else for (const out of beside) yield new Set([...walked, t].filter((d) => d !== out));
  }
}

/**
 * Every planting on its best days among these, and on any that no limit counts; null where a pin does not fit.
 *
 * @param from - a plan whose picks are kept as far as their days are among these
 */
function planOn(model: PlanModel, days: ReadonlySet<number>, prices: DayPrices, from?: Draft): Draft | null {
  const shut = Uint8Array.from(model.limitOf, (l, t) => (l >= 0 && !days.has(t) ? 1 : 0));
  const draft = new Draft(model);
  const { tasks } = model.problem;
  const none = noPrices(model.horizon);
  tasks.forEach(
    (task, i) =>
      task.pins &&
      draft.keep(
        i,
        [...task.pins].sort((a, b) => a - b),
      ),
  );
  if (from)
    tasks.forEach((task, i) => {
      const stays = (t: number) => shut[t] === 0;
      const way = model.ways[i]![from.way[i]!]!.acts.every((act) => stays(act.day)) ? from.way[i]! : 0;
      if (!task.pins) draft.keep(i, from.daysOf(i).filter(stays), way);
    });
  // A new day opens for all: what its round costs is first left out of each one's account.
  const opened = [...days].find((t) => from && !from.isWalked(t)) ?? -1;
  const rounds = from ? ([[prices, 0.5, opened], [none, 0, opened], [none, 0, -1]] as const) : ([[prices, 1, -1], [prices, 0.5, -1], [none, 0, -1], [none, 0, -1]] as const); // prettier-ignore
  for (const [shared, share, open] of rounds)
    for (let i = 0; i < tasks.length; i++) if (!draft.respond(i, shared, share, shut, open)) return null;
  return draft;
}
