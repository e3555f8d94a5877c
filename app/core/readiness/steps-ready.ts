import { addDays, daysBetween, type IsoDay } from "../calendar";
import { salvageOf } from "./salvage";
import { answer, type Odds } from "./step";
import { takeBy } from "./take-by";
import { CALL, nextFreeDay, type VerdictContext } from "./verdict-context";
import type { Limit, Verdict, VerdictReason } from "./verdict-reason";

/** Below this a crop that is taken in passes or thinned says which share is ready: our judgement. */
const MOST_OF_IT = 0.72;

const A_FEW = 0.08;

/** From this share on it is as good as all of it: our judgement. */
const MOST_OF_ALL = 0.95;

export function readyVerdict(context: VerdictContext, { readyOrPast }: Odds): Verdict | undefined {
  const { today, flag } = context;
  if (readyOrPast < CALL || flag?.means === "early") return undefined;
  const by = takeBy(context);
  const wait = waitForDry(context, by, readyOrPast);
  if (wait) return wait;
  const reason: VerdictReason = {
    why: "ready",
    share: shareSaid(context),
    limit: by.limit,
    thin: thins(context),
    holds: by.holds,
  };
  return answer(by.day === today ? "take today" : "ready", reason, readyOrPast, { takeBy: by.day });
}

/** Ready, but better after dry days: soaked fruit is watery, and what cures is lifted in a dry spell. */
export function waitForDry(
  context: VerdictContext,
  by: { day: IsoDay; limit: Limit | null },
  readyOrPast: number,
): Verdict | undefined {
  const { crop, today, rain } = context;
  const { rainWait, dryDays } = crop;
  const pressed = by.limit !== null || by.day === today;
  if (rainWait && rain.soakedDaysAgo !== null && rain.soakedDaysAgo < rainWait.high && !pressed) {
    const again = nextFreeDay(context, Math.max(1, rainWait.high - rain.soakedDaysAgo));
    return answer("wait dry", { why: "watered down", because: rainWait.because }, readyOrPast, { lookAgain: again });
  }
  if (!dryDays || rain.dryRun[0] === null || rain.dryRun[0]! >= dryDays.days) return undefined;
  const until = daysBetween(today, by.day);
  const start = rain.dryRun.findIndex((run, n) => n <= until && context.handsFree[n] && (run ?? 0) >= dryDays.days);
  if (start <= 0) return undefined;
  return answer("wait dry", { why: "lift in the dry", dryDays: dryDays.days }, readyOrPast, {
    takeBy: by.day,
    lookAgain: addDays(today, start),
  });
}

/** By what was told of the pieces some are ready and the others are not: of what is lifted at once none comes off alone. */
export function someVerdict(context: VerdictContext): Verdict | undefined {
  const { told, crop, today, flag } = context;
  if (!told || told.ready <= 0 || told.ready >= MOST_OF_ALL || flag?.means === "early") return undefined;
  if (crop.life.taking.way === "all at once") return undefined;
  const salvage = told.nearly > 0 ? salvageVerdict(context) : undefined;
  if (salvage) return salvage;
  const { later } = context;
  const lookAgain = later[0] ? nextFreeDay(context, daysBetween(today, later[0].on)) : nextFreeDay(context, 3);
  return answer("take some", { why: "some ready", share: told.ready, later }, 1, { takeBy: today, lookAgain });
}

/** What was ready of what was told has come off: the rest waits for its day. */
export function restVerdict(context: VerdictContext): Verdict | undefined {
  const { told, pickedSince, later, today } = context;
  if (!told || !pickedSince || told.ready > 0 || !later[0]) return undefined;
  const salvage = salvageVerdict(context);
  if (salvage) return salvage;
  const lookAgain = nextFreeDay(context, daysBetween(today, later[0].on));
  const because: VerdictReason = later[0].state === "nearly" ? { why: "nearly", thin: false } : { why: "not yet" };
  return answer(later[0].state === "nearly" ? "look again" : "leave", because, 1, { lookAgain });
}

/** Worth this much before its time it is taken once it gains no more: our judgement. */
const USABLE = 0.4;

/** Near its time, and hardly any warmth ahead: it gains nothing by standing. What keeps giving is left to. */
export function growthEndedVerdict(context: VerdictContext, { now, readyOrPast }: Odds): Verdict | undefined {
  const { crop, standsStill, byDatesOnly, flag, today } = context;
  if (!standsStill || byDatesOnly || crop.mode === "repeat" || flag?.means === "early") return undefined;
  if (now.close + readyOrPast < CALL || crop.worthEarly.value < USABLE) return undefined;
  const { day, limit, holds } = takeBy(context);
  const kind = day === today ? "take today" : "ready";
  return answer(kind, { why: "growth ended", limit, holds }, now.close + readyOrPast, { takeBy: day });
}

/** Said when a good part is not ready yet. */
function shareSaid({ crop, shareReady }: VerdictContext): number | null {
  return shareReady >= MOST_OF_IT || (crop.mode !== "passes" && !crop.thins) ? null : shareReady;
}

export const thins = ({ crop, shareReady }: VerdictContext) =>
  Boolean(crop.thins?.value) && shareReady >= A_FEW && shareReady < MOST_OF_IT;

export function salvageVerdict(context: VerdictContext): Verdict | undefined {
  return context.flag?.means === "early" ? undefined : salvageOf(context);
}
