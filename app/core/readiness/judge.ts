import { addDays, daysBetween, sayDay, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import type { Survival } from "../hazards";
import type { Development } from "./development";
import { conflictAmong, evidenceOf, type Evidence } from "./evidence";
import { strongestFlag } from "./flags";
import { tellingCues, type TellingCue } from "./next-looks";
import { knownLooks, posteriorAfter, type Look } from "./posterior";
import { arcPosition, oddsOn, passages, stageOdds, windowOf, type Stage, type StageOdds, type Window } from "./stages";
import { verdictOf, type Verdict } from "./verdict";

export interface Judgement {
  verdict: Verdict;
  odds: Record<Stage, number>;
  arc: { at: number; spread: number };
  window: Window;
  stages: StageOdds;
  evidence: Evidence[];
  conflict: string | null;
  /** All cues not read today, most telling first. */
  nextLooks: TellingCue[];
  /** How to take it. */
  how: string;
  /** What happens if it waits. */
  waiting: string;
}

export interface JudgeInput {
  crop: Crop;
  dev: Development;
  looks: readonly Look[];
  today: IsoDay;
  survival: Survival;
  /** Days from today on which somebody can pick; its length is the horizon. */
  handsFree: boolean[];
  /** Later packet day of this planting, for the rule that the calendar outranks size. */
  packetHighDays: number;
}

/**
 * Judges one planting: stage, verdict, window and why.
 *
 * @returns the whole answer; the same looks in any order give the same one
 * @throws {RangeError} for a look that the crop does not know
 */
export function judge(input: JudgeInput): Judgement {
  const { crop, dev, today, survival, handsFree } = input;
  const looks = knownLooks(crop, input.looks).filter((l) => l.takenOn >= dev.startedOn && l.takenOn <= today);
  const posterior = posteriorAfter(dev, looks);
  const passed = passages(dev, posterior);
  const stages = stageOdds(dev, passed);
  const odds = oddsOn(stages, today);
  const window = windowOf(dev, passed);
  const verdict = verdictOf({
    crop,
    today,
    window,
    survival,
    handsFree,
    oddsByDay: handsFree.map((_, n) => oddsOn(stages, addDays(today, n))),
    flag: strongestFlag(looks.filter((l) => daysBetween(l.takenOn, today) <= FLAG_DAYS)),
    overdue: overdueReason(input),
    byDatesOnly: dev.cycle === "first" && looks.length === 0,
  });
  return {
    verdict,
    odds,
    arc: arcPosition(odds),
    window,
    stages,
    evidence: evidenceOf(dev, looks, today),
    conflict: conflictAmong(looks),
    nextLooks: tellingCues(crop, dev, posterior, looks, today),
    how: `${crop.pick.how}. Leave ${crop.pick.stays}.`,
    waiting: waitingSentence(crop, window, today),
  };
}

/** A bite or a split seen longer ago than this is no longer news: our judgement. */
const FLAG_DAYS = 3;

function overdueReason({ crop, dev, today, packetHighDays }: JudgeInput): string | null {
  const rule = crop.clockRule;
  if (!rule || dev.cycle !== "first") return null;
  const past = daysBetween(dev.startedOn, today) - packetHighDays;
  return past > rule.liftPastPacketDays ? `${past} days past its packet date, and ${rule.because}` : null;
}

function waitingSentence(crop: Crop, window: Window, today: IsoDay): string {
  const closes = window.closes.p50;
  const until = closes && closes > today ? `Best until about ${sayDay(closes, today)}. ` : "";
  return `${until}${crop.waiting.text}.`;
}
