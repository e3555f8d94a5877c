import type { IsoDay } from "../calendar";
import type { ColdLimit, Crop } from "../crops";
import { normalCdf } from "../statistics";
import { trackIndex, type SkyTrack, type SoilDay } from "../weather";
import { BED_CLIMATES, type BedKind } from "./bed-climate";
import type { Shield } from "./cover";
import { nightOddsBelow } from "./frost";
import { liesInTheGround, soilOddsBelow } from "./ground";
import { stormOdds } from "./storm";

export const THREAT_KINDS = ["frost", "chill", "wind", "soaking", "hail", "heat"] as const;

/** How old a plant is, as far as cold goes: in leaf and growing, in flower, or with the part that is picked on it. */
export const COLD_AGES = ["young", "flower", "part"] as const;
export type ColdAge = (typeof COLD_AGES)[number];

/** Something coming that would take a good part of a planting's crop. */
export interface Threat {
  kind: (typeof THREAT_KINDS)[number];
  /** Last day on which a pick is still ahead of it. */
  lastDayBefore: IsoDay;
  odds: number;
  /** Expected share lost. */
  loss: number;
  /** Of a frost: which part of the plant it takes, and what helps. Picking saves the part that is picked only. */
  part?: ColdAge;
  act?: ColdLimit["act"];
}

export interface Survival {
  /** Expected share of the crop still sound on each day from today, 1 today, falling. */
  sound: Float64Array;
  /**
   * Expected share of its bearing that the plant still has: cold sets it back for good, while gusts, rain, hail and heat
   * spoil what hangs on it, and what comes after is sound again.
   */
  bears: Float64Array;
  threats: Threat[];
}

/** What the bed and the crop bring to their survival. */
export interface SurvivalTerms {
  /** P(nearly ready or beyond) on day n: heat opens the heads that have formed. */
  nearlyOn?: (n: number) => number;
  /** What a night takes of the plant on day n; left out: the part that is picked. */
  ageOn?: (n: number) => ColdAge;
  /** What covers hold back on a day and in the night after it. */
  shield?: (day: IsoDay) => Shield;
  /** Soil of the bed a hand deep, by day; needed for roots that chill. */
  soil?: readonly SoilDay[];
}

const BARE: Shield = { gainC: 0, hail: 0, heat: 0 };

/** A threat is told from this expected loss on: our judgement. */
const WORTH_TELLING = 0.12;
/** Share lost on each further day of lasting chill: our judgement. */
const CHILL_LOSS = 0.06;
/** Share of the pickable crop that a hailstorm spoils: our judgement. */
const HAIL_LOSS: Partial<Record<Crop["group"], number>> = {
  leaf: 0.35,
  herb: 0.25,
  flower: 0.35,
  berry: 0.35,
  "tree fruit": 0.3,
  fruit: 0.2,
  pod: 0.15,
  head: 0.1,
};

/** The cold limits of a crop at an age; where none is written, those of the part that is picked. */
export function coldLimitAt(
  { cold, life }: Crop,
  age: ColdAge,
): {
  damageC: number | null;
  killC: number | null;
  lostAtDamage: number;
  act: ColdLimit["act"];
  age: ColdAge;
} {
  const own = age === "part" ? undefined : life.cold[age];
  return own ? { ...own, age } : { ...cold, act: "pick", age: "part" };
}

/** Odds of nights below a limit, each limit asked for once. */
function coldNights(track: SkyTrack, kind: BedKind, days: number, coverGainC: (evening: IsoDay) => number) {
  const known = new Map<number | null, number[]>([[null, []]]);
  return (limitC: number | null): number[] => {
    const before = known.get(limitC);
    if (before || limitC === null) return before ?? [];
    const odds = nightOddsBelow(track, kind, limitC, days - 1, coverGainC).map((n) => n.odds);
    known.set(limitC, odds);
    return odds;
  };
}

/** Days that the forecast or the station speaks of: a normal day is no call. */
function called(track: SkyTrack, at: number): boolean {
  return track.source[at] !== "normal";
}

function heatOdds(crop: Crop, track: SkyTrack, at: number): number {
  if (!crop.heat || !called(track, at)) return 0;
  return normalCdf((track.maxC[at]! - crop.heat.aboveC) / Math.max(0.5, track.missMaxC[at]!));
}

/** Odds of lasting cold above freezing: two days running, or soil that has cooled through. */
function chillOdds(crop: Crop, track: SkyTrack, kind: BedKind, at: number, soil: SoilDay | undefined): number {
  const { chillC } = crop.cold;
  if (chillC === undefined || !called(track, at)) return 0;
  if (liesInTheGround(crop)) return soil ? soilOddsBelow(soil, chillC) : 0;
  const climate = BED_CLIMATES[kind];
  const on = (i: number) => {
    if (i < 0) return 0;
    const mean = (track.minC[i]! + track.maxC[i]! + climate.nightC + climate.dayC) / 2;
    return normalCdf((chillC - mean) / Math.max(0.5, track.missMeanC[i]!));
  };
  return Math.min(on(at), on(at - 1));
}

/**
 * What cold nights, lasting chill, gusts, soakings, hail and heat leave of a crop, day by day.
 *
 * @param days - horizon counted from today
 */
export function survival(
  crop: Crop,
  track: SkyTrack,
  kind: BedKind,
  days: number,
  { nearlyOn = () => 1, ageOn = () => "part", shield = () => BARE, soil = [] }: SurvivalTerms = {},
): Survival {
  const sound = new Float64Array(days).fill(1);
  const bears = new Float64Array(days).fill(1);
  const threats: Threat[] = [];
  const today = trackIndex(track, track.today);
  const limitAt = (n: number) => coldLimitAt(crop, ageOn(n));
  const nights = coldNights(track, kind, days, (evening) => shield(evening).gainC);
  const storms = stormOdds(track, days);
  const sheltered = kind === "tunnel" || kind === "frame";
  let chillKept = 1;
  for (let i = 1; i < days; i++) {
    const evening = storms[i - 1]!.day;
    const limit = limitAt(i - 1);
    const killed = nights(limit.killC)[i - 1] ?? 0;
    const touched = Math.max(0, (nights(limit.damageC)[i - 1] ?? 0) - killed);
    const frostLoss = killed + touched * limit.lostAtDamage;
    // A storm on day i − 1 spoils what is still out on day i: the pick of that morning is ahead of it.
    const gustLoss = sheltered ? 0 : storms[i - 1]!.gustOdds * crop.storm.gustLoss;
    const soakLoss = sheltered ? 0 : storms[i - 1]!.soakOdds * crop.storm.soakLoss;
    const spared = shield(evening);
    const hailLoss = sheltered ? 0 : storms[i - 1]!.hailOdds * (HAIL_LOSS[crop.group] ?? 0) * (1 - spared.hail);
    const hot = heatOdds(crop, track, today + i - 1);
    const heatLoss = hot * (crop.heat?.lossPerDay ?? 0) * nearlyOn(i - 1) * (1 - spared.heat);
    const cold = chillOdds(crop, track, kind, today + i - 1, soil[i - 1]);
    const chillLoss = cold * CHILL_LOSS;
    sound[i] = sound[i - 1]! * (1 - frostLoss) * (1 - gustLoss) * (1 - soakLoss) * (1 - hailLoss) * (1 - heatLoss) * (1 - chillLoss); // prettier-ignore
    bears[i] = bears[i - 1]! * (1 - frostLoss) * (1 - chillLoss);
    const told = (threatKind: Threat["kind"], odds: number, loss: number) => {
      const how = threatKind === "frost" ? { part: limit.age, act: limit.act } : {};
      if (loss >= WORTH_TELLING) threats.push({ kind: threatKind, lastDayBefore: evening, odds, loss, ...how });
    };
    told("frost", killed + touched, frostLoss);
    told("wind", storms[i - 1]!.gustOdds, gustLoss);
    told("soaking", storms[i - 1]!.soakOdds, soakLoss);
    told("hail", storms[i - 1]!.hailOdds, hailLoss);
    told("heat", hot, heatLoss);
    // Chill takes little a day: it is told once, when its days together have taken a good part.
    const before = chillKept;
    chillKept *= 1 - chillLoss;
    if (1 - before < WORTH_TELLING) told("chill", cold, 1 - chillKept);
  }
  return { sound, bears, threats };
}
