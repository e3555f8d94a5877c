import type { IsoDay } from "../calendar";
import type { PickBan, Threat } from "../hazards";

/** What ends the waiting. */
export type Limit =
  | { by: "threat"; threat: Threat }
  /** A run of hot days, and what heat does to the crop. */
  | { by: "heat"; threat: Threat; effect: string }
  /** Nobody there from the day after on; the day somebody is back where it is told. */
  | { by: "away"; backOn: IsoDay | null }
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
  | { why: "by its dates"; over: boolean }
  /** It has borne as long as such crops do, or spring has come to what stood the winter: what ends it. */
  | { why: "may be over"; ends: string; picked: boolean }
  | { why: "looks disagree" }
  | { why: "ripe, perhaps over" }
  | { why: "past"; advice: string | null; keepsCropping: boolean }
  | { why: "watered down"; because: string }
  | { why: "lift in the dry"; dryDays: number }
  /** `share` is set where a good part is not ready yet; `limit` where something ends it before its window. */
  | { why: "ready"; share: number | null; limit: Limit | null; thin: boolean }
  | { why: "would be lost"; from: "nearly" | "green"; limit: Limit }
  | { why: "seen early"; advice: string }
  | { why: "nearly"; thin: boolean }
  | { why: "not yet" };
