import { cautionOf } from "~/core/crops";
import { isCounted, piecesTaken, plannedPicks, type PlannedPick, type PlantingOutlook } from "~/core/garden";
import { plantsOf } from "~/core/life";
import type { DayRange } from "~/core/readiness";
import { eitherDay, pickReason, sayPlannedDay } from "../sentences/pick";
import type { UnitSystem } from "~/core/units";
import type { Planned } from "../planned";
import { capital, inTenths, sayDay, sayExpected, sayLength, sayPieces, sayStand, sayStart, shortDay } from "../words";
import { cueView } from "./cue-view";
import { standingsOf } from "./standings";
import { toldBy } from "../sentences/told";
import { afterSentence, howToTake, notToDo, waitingSentence } from "../sentences/how-to";
import { verdictNow } from "./verdict-now";

export type CheckView = NonNullable<ReturnType<typeof checkView>>;

/** Below this a cue's answer would tell too little to lead with (bits): our judgement. */
const TELLING_BITS = 0.08;
const WAITS = ["leave", "look again", "wait dry", "seed", "stop", "hold"];
const TAKES = ["ready", "take today", "take some", "take early", "clear", "past"];

/** One planting as the check and the round show it; undefined when it does not grow. */
export function checkView(planned: Planned, plantingId: string) {
  const p = planned.outlook.plantings.find((x) => x.planting.id === plantingId);
  return p && { ...whatItIs(p, planned), ...whatToDo(p, planned), ...whatToLookFor(p, planned) };
}

function whatItIs(p: PlantingOutlook, { today, units }: Planned) {
  const { crop, planting, bed } = p;
  return {
    id: planting.id,
    seasonId: planting.seasonId,
    crop: crop.name,
    cropId: crop.id,
    variety: planting.variety,
    bed: bed.name,
    plants: plantsOf(crop, planting),
    stand: sayStand(planting, units),
    /** Its pieces may differ. */
    several: crop.mode !== "once" || plantsOf(crop, planting) * crop.piecesPerPlant.value > 1,
    started: sayStart({ ...planting, startedTo: null }, today),
    counted: isCounted(crop),
    countable: crop.mode === "repeat" || crop.life.taking.way === "in stages" ? { ready: true, leaves: Boolean(crop.leavesStay) } : null, // prettier-ignore
    piece: crop.piece,
    repeats: crop.mode !== "once",
    size: crop.size.text,
    after: afterSentence(crop, p.ways),
    standings: standingsOf(p, units),
  };
}

function whatToDo(p: PlantingOutlook, planned: Planned) {
  const { crop, judgement: j } = p;
  const { today, units } = planned;
  const first = plannedPicks(p, planned.plan.picks)[0];
  const planDay = first?.day;
  const waits = WAITS.includes(j.verdict.kind);
  return {
    ...verdictNow(p, today, units),
    sure: inTenths(j.verdict.probability),
    how: howToTake(crop, p.ways, j.verdict),
    not: notToDo(crop, p.ways, j.verdict),
    waiting: waitingSentence(crop, j, today),
    caution: p.ban
      ? "The label has the last word on when it may be picked, and on when you may touch it."
      : cautionOf(crop),
    opens: rangeInWords(j.window.opens, today),
    closes: rangeInWords(j.window.closes, today),
    /** What the garden has told beyond the cues, a line each. */
    told: [...j.verdict.said.map((advice) => `${capital(advice)}.`), ...toldBy(p, planned)],
    planToday: planDay === 0 && waits ? planTodayWords(planned, p, first!.pieces) : null,
    plan: first ? planWords(planned, p, first) : null,
    expected: expectedOf(p, planned, waits && planDay !== 0),
  };
}

/** Said with the verdict when the plan takes today what could still wait by itself. */
function planTodayWords(planned: Planned, p: PlantingOutlook, pieces: number): string {
  const reasons = [...pickReason(planned, p, 0, pieces).slice(1), ...eitherDay(planned, p, 0).map((e) => e.words)];
  return `The plan takes it today all the same: ${reasons.join(" ") || "the days ahead are full."}`;
}

function planWords(planned: Planned, p: PlantingOutlook, { day, pieces }: PlannedPick): string {
  return `Planned: ${sayPlannedDay(planned, p, day)}, ${sayExpected(p.crop, pieces, p.doubt, planned.units)}.`;
}

function whatToLookFor({ crop, planting, judgement: j }: PlantingOutlook, { today, units }: Planned) {
  const byDay = [...planting.looks].sort((a, b) => a.takenOn.localeCompare(b.takenOn));
  const ofToday = byDay.filter((l) => l.takenOn === today);
  const readToday = new Map(ofToday.map((l) => [l.cueId, l]));
  const earlier = new Map(byDay.filter((l) => l.takenOn < today).map((l) => [l.cueId, l]));
  const gain = new Map(j.nextLooks.map((n) => [n.cue.id, n.bits]));
  const order = [...j.nextLooks.map((n) => n.cue), ...crop.cues.filter((c) => readToday.has(c.id))];
  const cues = order.map((cue) =>
    cueView(crop, cue, { units, today }, gain.get(cue.id) ?? 0, {
      now: readToday.get(cue.id),
      before: earlier.get(cue.id),
      mix: ofToday.filter((l) => l.cueId === cue.id && l.share !== undefined),
    }),
  );
  const telling = cues.filter((c) => c.bits >= TELLING_BITS).length;
  return {
    cues,
    /** How many cues to lead with: two looks are enough, unless they disagree. */
    lead: readToday.size >= 2 && !j.conflict ? 0 : Math.min(2, Math.max(1, telling)),
    evidence: j.evidence.map((e) => ({
      ask: e.ask,
      reading: e.measuredMm === null ? e.reading : sayLength(e.measuredMm, units),
      on: sayDay(e.takenOn, today),
      moved: e.moved,
      effect: effectInWords(e),
    })),
  };
}

/**
 * What a pick now would bring. A crop lifted once offers all of itself only when the verdict or the plan
 * takes it; until then the ones likely ready.
 */
function expectedOf(p: PlantingOutlook, { units, today }: Planned, waits: boolean) {
  const { odds, verdict, evidence } = p.judgement;
  if (verdict.kind === "take some") return expectedWords(p, piecesTaken(p, today), units);
  const ready = p.crop.mode !== "repeat" && waits ? odds.prime + odds.slipping + odds.gone : 1;
  // Where the verdict takes it, there is at least the one that was looked at.
  const atLeast = TAKES.includes(verdict.kind) && evidence.length > 0 ? 1 : 0;
  return expectedWords(p, Math.max(atLeast, (p.pieces[0] ?? 0) * ready), units);
}

function expectedWords(p: PlantingOutlook, pieces: number, units: UnitSystem) {
  const guess = sayPieces(p.crop, pieces, units);
  return {
    words: pieces < 0.5 ? "expected: hardly any" : `expected ${sayExpected(p.crop, pieces, p.doubt, units)}`,
    count: Math.max(1, Math.round(pieces)),
    guess,
  };
}

function rangeInWords(range: DayRange, today: string): string {
  const say = (day: string | null) =>
    day ? (day <= today ? shortDay(day, today) : sayDay(day, today)) : "beyond the season’s outlook";
  if (!range.p50) return "not within the outlook";
  return `${say(range.p50)} (between ${say(range.p10)} and ${say(range.p90)})`;
}

function effectInWords({ moved, decides }: { moved: number; decides: boolean }): string {
  if (decides) return "settled it";
  const points = Math.round(Math.abs(moved) * 100);
  if (points < 1) return "made no odds";
  return `${moved > 0 ? "towards ready" : "away from ready"}, ${points} points`;
}
