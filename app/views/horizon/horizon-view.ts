import { plannedPicks, ridgeDoubt, type PlantingOutlook } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import { trackIndex } from "~/core/weather";
import { usualFrost } from "../sentences/usual-frost";
import type { JobTold } from "../sentences/acts-due";
import type { Planned } from "../planned";
import { nextRound, plannedRounds, roundName } from "../round/planned-walk";
import { PAPER_PLAN, pagesAhead } from "../ahead/pages";
import { bandsOf } from "../sky/bands";
import { capital, columnDay, longDay, sayCount, sayDay, sayRoughly, sayNight } from "../words";
import { gardenSentences } from "../sentences/garden";
import { plannedPick } from "../sentences/pick";
import { supposable } from "./what-if-words";
import { stageInWords } from "../sentences/stage";
import { brokenWishes } from "../sentences/wanted";

const URGENT = new Set(["take today", "take some", "take early", "clear", "past", "unfit"]);

/** What a row's second line says: the verdict in two or three words. */
function inShort(p: PlantingOutlook, { today, plan, outlook }: Planned): string {
  const { verdict, odds } = p.judgement;
  const say = (day: string) => sayDay(day, today);
  // What today's hands have no room for is told with the day that has.
  const next = plannedPicks(p, plan.picks)[0]?.day ?? 0;
  const waits = next > 0 ? `pick ${say(outlook.days[next]!)}` : null;
  switch (verdict.kind) {
    case "ready":
      return verdict.takeBy ? `ready, by ${say(verdict.takeBy)}` : "ready";
    case "take today":
      return waits ?? "take it today";
    case "take early":
      return verdict.takeBy ? `take early, ${say(verdict.takeBy)}` : "take it early";
    case "take some":
      return waits ?? "take some of it today";
    case "clear":
      return "over: take it off";
    case "past":
      return "past its best";
    case "unfit":
      return "not fit to eat";
    case "look now":
      return "look today";
    case "settle":
      return "looks disagree: open one";
    case "wait dry":
      return verdict.lookAgain ? `wait for dry, ${say(verdict.lookAgain)}` : "wait for dry days";
    case "hold":
      return verdict.lookAgain ? `treated until ${say(verdict.lookAgain)}` : "treated";
    case "seed":
      return "left for seed";
    case "stop":
      return verdict.because.why === "too young" ? "too young to pick" : "stop for this year";
    case "look again":
      return verdict.lookAgain ? `look ${say(verdict.lookAgain)}` : "nearly";
    case "cure on":
      return "lifted: cure it on";
    case "store":
      return "lifted: store it";
    case "use first":
      return "lifted: use it first";
    case "leave":
      return stageInWords(odds);
  }
}

export type HorizonView = ReturnType<typeof horizonView>;

/**
 * Everything the start page draws.
 *
 * @param roundIsOut - a round has been started and not finished
 * @param notices - what the household has to be told, a sentence each
 * @param jobs - what is due beside picking, each by itself
 */
export function horizonView(planned: Planned, roundIsOut: boolean, notices: string[], jobs: readonly JobTold[]) {
  const { outlook, today, units } = planned;
  const days = daysOf(planned);
  return {
    title: longDay(today),
    notices,
    brokenWishes: brokenWishes(planned),
    summary: summaryOf(planned, units),
    round: roundOf(planned, roundIsOut),
    days,
    /** The rounds that there are hands for. */
    rounds: outlook.rounds.filter((r) => r.slot !== null).map(({ day, slot }) => ({ day, slot: slot! })),
    bands: bandsOf(planned),
    beds: bedsOf(planned, jobs),
    sentences: gardenSentences(planned),
    supposable: supposable(planned),
    pages: [...pagesAhead(planned), ...(outlook.plantings.length > 0 ? [PAPER_PLAN] : [])],
    weatherKnown: days.some((d) => d.forecast),
    normalYears: outlook.normalYears,
    usualFrost: usualFrost(outlook.normals, outlook.latitude),
    units,
  };
}

function roundOf(planned: Planned, isOut: boolean) {
  if (isOut) return { status: "out" as const };
  const round = nextRound(planned);
  const name = roundName(round);
  if (round.walk.stops.length > 0) return { status: "due" as const, name: `${name[0]!.toLowerCase()}${name.slice(1)}`, minutes: Math.round(round.walk.minutes) }; // prettier-ignore
  return { status: "none" as const, next: nextRoundDay(planned) };
}

function daysOf(planned: Planned) {
  const { outlook, today } = planned;
  const { track } = outlook;
  const offset = trackIndex(track, today);
  return outlook.days.map((day, n) => ({
    day,
    label: columnDay(day),
    minC: track.minC[offset + n]!,
    maxC: track.maxC[offset + n]!,
    rainMm: track.rainMm[offset + n] ?? null,
    windKmh: track.windKmh[offset + n] ?? null,
    forecast: track.source[offset + n] !== "normal",
    away: outlook.away[n]!,
    minutesFree: outlook.minutesFree[n]!,
    minutesUsed: Math.round(plannedRounds(planned, n).reduce((sum, r) => sum + r.walk.minutes, 0)),
  }));
}

function nextRoundDay({ outlook, plan, today }: Planned): string | null {
  const first = Math.min(...Object.values(plan.picks).flat());
  return Number.isFinite(first) ? sayDay(outlook.days[first]!, today) : null;
}

function summaryOf(planned: Planned, units: UnitSystem): string[] {
  const { outlook, plan } = planned;
  const frost = outlook.frost.findIndex((n) => n.odds >= 0.4);
  const until = frost >= 0 ? frost : outlook.days.length - 1;
  const walks = outlook.days.slice(0, until + 1).flatMap((_, n) => plannedRounds(planned, n).map((r) => r.walk)).filter((w) => w.grams > 0); // prettier-ignore
  if (walks.length === 0) return ["Nothing to pick is planned in the next two weeks."];
  const grams = walks.reduce((sum, w) => sum + w.grams, 0);
  const minutes = walks.reduce((sum, w) => sum + w.minutes, 0);
  const one = walks.length === 1;
  const span = frost >= 0 ? `before ${sayNight(outlook.days[frost]!, outlook.today)}’s frost` : "in the next two weeks";
  const percent = (plan.gap * 100).toFixed(plan.gap < 0.01 ? 1 : 0);
  const most = percent === "0.0" ? "0.1" : percent;
  return [
    `${capital(sayCount(walks.length))} ${one ? "round" : "rounds"} ${span} ${one ? "brings" : "bring"} in about `,
    sayRoughly(grams, units),
    " in ",
    `${Math.round(minutes)} minutes`,
    `. No plan can bring in more than ${most} % more.`,
  ];
}

/** As fine as it can be drawn. */
const drawn = (share: number) => Math.round(1000 * share) / 1000;

/** What is due at a planting beside its picks, looks among it, each on its day. */
function marksOf(p: PlantingOutlook, { outlook, today }: Planned, jobs: readonly JobTold[]) {
  return jobs
    .filter((job) => job.plantingId === p.planting.id)
    .map((job) => ({
      day: outlook.days.indexOf(job.day),
      kind: job.isLook ? ("look" as const) : ("job" as const),
      words: `${job.isLook ? "Look at it" : job.act}, ${sayDay(job.day, today)}`,
    })) // prettier-ignore
    .filter((mark) => mark.day >= 0);
}

function bedsOf(planned: Planned, jobs: readonly JobTold[]) {
  const { outlook, plan, today } = planned;
  const beds = new Map<string, { id: string; name: string; position: number; plantings: PlantingOutlook[] }>();
  for (const p of outlook.plantings) {
    const bed = beds.get(p.bed.id) ?? { ...p.bed, plantings: [] };
    bed.plantings.push(p);
    beds.set(p.bed.id, bed);
  }
  return [...beds.values()]
    .sort((a, b) => a.position - b.position)
    .map((bed) => ({
      id: bed.id,
      name: bed.name,
      plantings: bed.plantings.map((p) => ({
        id: p.planting.id,
        crop: p.crop.name,
        variety: p.planting.variety,
        arc: { at: drawn(p.judgement.arc.at), spread: drawn(p.judgement.arc.spread) },
        stage: stageInWords(p.judgement.odds),
        short: inShort(p, planned),
        urgent: URGENT.has(p.judgement.verdict.kind),
        ridge: p.ridge.map(drawn),
        clear: p.clear.map(drawn),
        doubt: ridgeDoubt(p, today).map(drawn),
        marks: marksOf(p, planned, jobs),
        ruledOut: (p.planting.wishes?.notOn ?? []).map((day) => outlook.days.indexOf(day)).filter((n) => n >= 0),
        handles: plannedPicks(p, plan.picks).map((pick, n, all) => plannedPick(planned, p, pick, all[n + 1])),
      })),
    }));
}
