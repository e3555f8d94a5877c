import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import type { PickBan, RainOutlook, Survival } from "../hazards";
import { thermalSumOn } from "../weather";
import { conflictAmong, toldOf, type Conflict, type ConflictTold } from "./conflict";
import type { Development } from "./development";
import { evidenceOf, type Evidence } from "./evidence";
import { flagsOf } from "./flags";
import { laterOf } from "./later";
import { apartOf, liftedLooks, liftedVerdict } from "./lifted";
import { cameAfter, cameOff, sharesLeft, type Taken } from "./rest-after";
import { advicesOf } from "./advices";
import { settledBy } from "./settled";
import { isShared } from "./shared-looks";
import { growthOf, type GrowthSeen } from "./growth";
import { STAGE_OF, tellsHowFar } from "./likelihood";
import { knownLooks, type KnownLook, type Look } from "./look";
import { tellingCues, type TellingCue } from "./next-looks";
import { shareBeyond } from "./passed";
import { beliefAfter, type Belief } from "./posterior";
import { arcPosition, oddsOn, stageOdds, windowOf, type Stage, type StageOdds, type Window } from "./stages";
import { verdictOf } from "./verdict";
import type { Overdue } from "./verdict-context";
import type { Verdict } from "./verdict-reason";

/** Where a planting stands, from heat and looks alone: before weather, trips and wishes come in. */
export interface Assessment {
  looks: KnownLook[];
  /** Looks at what was lifted. */
  lifted: KnownLook[];
  conflict: Conflict | null;
  belief: Belief;
  stages: StageOdds;
  window: Window;
}

/**
 * Assesses a planting on a day.
 *
 * @returns the same for the same looks in any order
 * @throws {LookRefused} for a look that the crop does not know
 */
export function assess(crop: Crop, dev: Development, looks: readonly Look[], today: IsoDay): Assessment {
  const all = knownLooks(crop, looks);
  const known = all
    .filter((l) => isOfCycle(l, dev) && l.takenOn <= today && !isReadAgain(l, all) && !crop.liftedCues.includes(l.cue))
    .sort((a, b) => a.takenOn.localeCompare(b.takenOn) || a.cueId.localeCompare(b.cueId));
  const conflict = conflictAmong(known);
  const belief = beliefAfter(
    dev,
    known.filter((l) => l !== conflict?.overruled),
    today,
  );
  return {
    looks: known,
    lifted: all.filter((l) => crop.liftedCues.includes(l.cue) && l.takenOn <= today),
    conflict,
    belief,
    stages: stageOdds(dev, belief.posterior, today),
    window: windowOf(dev, belief.posterior),
  };
}

/** Of this cycle; after a full pick, what was said of what it left speaks of the next one. */
const isOfCycle = (l: KnownLook, { cycle, startedOn }: Development) =>
  l.takenOn >= startedOn || (cycle === "again" && l.afterPick === true && addDays(l.takenOn, 1) === startedOn);

/** What was read of it before a pick is not what is left, once that has been read too. */
const isReadAgain = (look: KnownLook, all: readonly KnownLook[]) =>
  !look.afterPick && all.some((l) => l.afterPick && l.cueId === look.cueId && l.takenOn === look.takenOn);

export interface Judgement {
  verdict: Verdict;
  odds: Record<Stage, number>;
  arc: { at: number; spread: number };
  window: Window;
  stages: StageOdds;
  /** Share of the pieces that are ready now, 0 to 1. */
  shareReady: number;
  /** From measured sizes: how fast it grows, and when it is at its target and too big. */
  growth: GrowthSeen | null;
  evidence: Evidence[];
  conflict: ConflictTold | null;
  /** All cues not read today, most telling first. */
  nextLooks: TellingCue[];
  /** Next to no heat ahead: it neither ripens nor ages. */
  standsStill: boolean;
  /** Days that this garden's plants run ahead (+) of the packet, and the first picks that told it. */
  ahead: { days: number; picks: number };
}

export interface JudgeInput {
  crop: Crop;
  dev: Development;
  assessment: Assessment;
  today: IsoDay;
  survival: Survival;
  rain: RainOutlook;
  /** Days from today on which somebody can pick; its length is the horizon. */
  handsFree: boolean[];
  /** Days with nobody there at all; left out: all without free hands. */
  nobody?: boolean[];
  /** Days of a trip; left out: none. */
  away?: boolean[];
  /** Its leaves are wet today and are not to be touched so. */
  leavesWet?: boolean;
  /** Later packet day of this planting, for the rule that the calendar outranks size. */
  packetHighDays: number;
  forSeed?: boolean;
  bedNeededOn?: IsoDay | null;
  firstPickOn?: IsoDay | null;
  /** Growing year of the plants, that of planting = 1; left out where it is not known. */
  growingYear?: number | null;
  /** P(what it bears has come to its end); 0 where it was lately picked. */
  ended?: number;
  /** How many pieces it has, so that what is read of one speaks of one; left out: every look speaks of all. */
  pieces?: number;
  /** Share of the pieces that were counted ready today. */
  counted?: number | undefined;
  /** Picks of the season, for what they leave of what was told. */
  taken?: readonly Taken[];
  /** Pieces that are left of what is taken as a whole; left out where that is not reckoned. */
  left?: number | undefined;
  /** Set once all of it was lifted. */
  lifted?: { on: IsoDay } | undefined;
  /** A treatment that keeps it from being picked. */
  ban?: PickBan | undefined;
}

/** Judges one planting: stage, verdict, window and why. */
export function judge(input: JudgeInput): Judgement {
  const { crop, dev, today, survival, rain, handsFree, assessment } = input;
  const { looks, conflict, belief, stages, window } = assessment;
  const odds = oddsOn(stages, today);
  const flags = flagsOf(looks, input.pieces, today);
  const apart = flags.parts.filter((f) => !cameOff(f, input.taken ?? []));
  const shares = sharesLeft(looks, today, input);
  const telling = looks.filter(tellsHowFar);
  const believed = shareBeyond(belief, thermalSumOn(dev.thermal, today), dev.prime.opens, dev.pieces.lag);
  const told = shares.left;
  const shareReady = told?.ready ?? believed;
  const stands = standsStill(input);
  const lifted = input.lifted && { ...input.lifted, looks: assessment.lifted, before: looks, pieces: input.pieces };
  const verdict = lifted
    ? liftedVerdict(crop, lifted, today)
    : verdictOf({
        crop,
        today,
        window,
        survival,
        rain,
        handsFree,
        nobody: input.nobody ?? handsFree.map((free) => !free),
        away: input.away ?? handsFree.map(() => false),
        leavesWet: input.leavesWet ?? false,
        conflict,
        seenPast: telling.length === 0 ? undefined : telling.some((l) => l.reading.means === "past"),
        shareReady,
        oddsByDay: handsFree.map((_, n) => oddsOn(stages, addDays(today, n))),
        flag: flags.whole,
        apart: apart.map(apartOf),
        seenReady: dev.cycle === "again" && isSeenReady(telling.filter((l) => l.takenOn === today && !isShared(l))),
        settled: settledBy(looks, today),
        told,
        allPicked: (input.left ?? 1) < 0.5 && (input.taken ?? []).length > 0 && !looks.some((l) => (input.taken ?? []).every((p) => !cameAfter(p, l))), // prettier-ignore
        pickedSince: shares.pickedSince,
        later: told ? laterOf(crop, dev, belief.spread, told, today) : [],
        standsStill: stands,
        advices: advicesOf(looks, today),
        overdue: overdueOf(input),
        byDatesOnly: dev.cycle === "first" && telling.length === 0 && !told,
        forSeed: input.forSeed ?? false,
        bedNeededOn: input.bedNeededOn ?? null,
        firstPickOn: input.firstPickOn ?? null,
        growingYear: input.growingYear ?? null,
        ended: input.ended ?? 0,
        ban: input.ban,
      });
  return {
    verdict,
    odds,
    arc: verdict.because.why === "by its dates" && crop.mode === "repeat" ? modest(arcPosition(odds)) : arcPosition(odds), // prettier-ignore
    window,
    stages,
    shareReady,
    growth: growthOf(dev, belief, looks, today),
    evidence: evidenceOf(dev, belief, looks, today, verdict),
    conflict: conflict && toldOf(conflict),
    nextLooks: lifted ? liftedLooks(crop, lifted.looks, today) : tellingCues(crop, dev, belief.posterior, looks, today),
    standsStill: stands,
    ahead: { days: dev.aheadDays, picks: dev.learntFrom },
  };
}

/** A day that brings this share of the heat of the warmest usual day is a growing day, a cooler one a part of one: our judgement. */
const GROWING_SHARE = 0.6;

/** By dates alone nobody knows how far what keeps giving has gone. */
const modest = ({ at, spread }: Judgement["arc"]) => ({ at: Math.min(at, 0.6), spread: Math.max(spread, 0.25) });

/** A decisive look that says ready, and none beside it that says less. */
function isSeenReady(looks: readonly KnownLook[]): boolean {
  const stages = looks.map((l) => STAGE_OF[l.reading.means] ?? 0);
  return stages.every((s) => s >= 2) && looks.some((l) => l.cue.weight === "decisive");
}

/** Past its packet in days on which it grew: in winter growth stops, and what stands holds. */
function overdueOf({ crop, dev, today, packetHighDays }: JudgeInput): Overdue | null {
  const rule = crop.clockRule;
  if (!rule || dev.cycle !== "first") return null;
  const daysPast = growingDays(dev, today) - packetHighDays;
  return daysPast > rule.liftPastPacketDays ? { daysPast, because: rule.because } : null;
}

/** Days since the start as far as it grew on them. */
function growingDays(dev: Development, today: IsoDay): number {
  const { sum } = dev.thermal;
  const least = Math.max(0.1, GROWING_SHARE * dev.warmestDayHeat);
  const until = Math.min(sum.length - 1, daysBetween(dev.startedOn, today));
  let days = 0;
  for (let i = 1; i <= until; i++) days += Math.min(1, (sum[i]! - sum[i - 1]!) / least);
  return Math.round(days);
}

/** Heat of the days ahead below this share of as many of the warmest is standstill: our judgement. */
const STANDSTILL_SHARE = 0.2;
const AHEAD_DAYS = 14;

/** Whether growth stands still: next to no heat in the two weeks ahead. */
function standsStill({ crop, dev, today }: JudgeInput): boolean {
  if (crop.degreeDays.calendar || today < dev.startedOn) return false;
  const ahead = thermalSumOn(dev.thermal, addDays(today, AHEAD_DAYS)) - thermalSumOn(dev.thermal, today);
  return ahead < STANDSTILL_SHARE * AHEAD_DAYS * dev.warmestDayHeat;
}
