import type { IsoDay } from "../calendar";
import type { PickBan, Threat } from "../hazards";
import type { PartFlag } from "./flags";
import type { Later } from "./later";

/** What ends the waiting. */
export type Limit =
  | { by: "threat"; threat: Threat }
  /** A run of hot days, and what heat does to the crop. */
  | { by: "heat"; threat: Threat; effect: string }
  /** Nobody there from the day after on; the day somebody is back where it is told. */
  | { by: "away"; backOn: IsoDay | null }
  /** No trip, but no free hands before that day; null: none within the outlook. */
  | { by: "hands"; nextOn: IsoDay | null }
  | { by: "bed"; neededOn: IsoDay };

/** Why a verdict is what it is, as data: what is said of it is the views' affair. */
export type VerdictReason =
  | { why: "unfit"; advice: string | null }
  | { why: "treated"; ban: PickBan }
  | { why: "for seed"; advice: string | null }
  /** A reading that asks for the act at once: its advice, or the reading itself. */
  | { why: "seen now"; advice: string }
  | { why: "picked enough"; weeks: number; because: string }
  | { why: "too young"; growingYear: number; firstCropYear: number }
  | { why: "overdue"; daysPast: number; because: string }
  /** `openFirst`: what is inside decides; `askPicked`: it should have been picked before, and nobody has said. */
  | { why: "by its dates"; over: boolean; openFirst: boolean; askPicked: boolean }
  /** It has borne as long as such crops do, or spring has come to what stood the winter: what ends it. */
  | { why: "may be over"; ends: string; picked: boolean }
  /** As many were picked as it had. */
  | { why: "all picked" }
  | { why: "looks disagree" }
  | { why: "ripe, perhaps over" }
  | { why: "past"; advice: string | null; keepsCropping: boolean }
  | { why: "watered down"; because: string }
  | { why: "lift in the dry"; dryDays: number }
  /** `share` is set where a good part is not ready yet; `limit` where something ends it before its window, `holds` where nothing does within the horizon. */
  | { why: "ready"; share: number | null; limit: Limit | null; thin: boolean; holds: boolean }
  | { why: "would be lost"; from: "nearly" | "green"; limit: Limit }
  | { why: "seen early"; advice: string }
  /** What was seen inside, or how it lets go, settles it. */
  | { why: "seen inside"; state: "early" | "nearly" | "past"; advice: string }
  | { why: "holds on"; advice: string }
  /** By what was told of the pieces: this share is ready; what the rest is, the soonest first, and when it should be. */
  | { why: "some ready"; share: number; later: Later[] }
  /** Pieces told apart are taken; the rest is another matter. */
  | { why: "some apart"; rest: Verdict }
  /** Ready, but wet leaves carry disease from plant to plant: what it is once they are dry. */
  | { why: "leaves wet"; rest: Verdict }
  /** Hardly any warmth ahead: it gains nothing by standing. */
  | { why: "growth ended"; limit: Limit | null; holds: boolean }
  | { why: "nearly"; thin: boolean }
  | { why: "not yet" }
  /** Lifted, and not cured: what was seen asks for it, or its days (`until`); `due`: it should be by now. */
  | { why: "curing"; advice: string | null; until: IsoDay | null; due: boolean; then: "store" | "use first" }
  /** Lifted and sound: how it is kept is the crop's; until when, where that is soon. */
  | { why: "keeps"; until: IsoDay | null }
  | { why: "will not keep"; advice: string }
  | { why: "kept long"; days: number };

/** What to do. */
export interface Verdict {
  kind:
    | "leave"
    | "look again"
    | "look now"
    | "settle"
    | "ready"
    | "take today"
    | "take early"
    /** Some of it now; the rest waits. */
    | "take some"
    | "wait dry"
    | "clear"
    | "past"
    | "unfit"
    | "hold"
    | "seed"
    | "stop"
    /** What was lifted as a whole. */
    | "cure on"
    | "store"
    | "use first";
  because: VerdictReason;
  /** P(the state the verdict speaks of). */
  probability: number;
  /** Last good day to take it, for the verdicts that say take. */
  takeBy: IsoDay | null;
  lookAgain: IsoDay | null;
  /** What is true of some pieces only and is said first: the one that rots, the two that bolted. */
  apart: Apart[];
  /** What else today's readings advise, in their own words. */
  said: string[];
}

/** Pieces that are told apart from the rest. */
export interface Apart {
  means: PartFlag["means"];
  share: number;
  pieces: number | null;
  /** What was read of them, and what to do about it. */
  reading: string;
  advice: string | null;
}
