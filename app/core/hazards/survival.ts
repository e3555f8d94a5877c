import type { IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { normalCdf } from "../statistics";
import { forecastSpreadC, trackIndex, type SkyTrack } from "../weather";
import type { BedKind } from "./bed-climate";
import { nightOddsBelow } from "./frost";
import { stormOdds } from "./storm";

/** Something coming that would take a good part of a planting's crop. */
export interface Threat {
  kind: "frost" | "wind" | "soaking" | "heat";
  /** Last day on which a pick is still ahead of it. */
  lastDayBefore: IsoDay;
  odds: number;
  /** Expected share lost. */
  loss: number;
}

export interface Survival {
  /** Expected share of the crop still sound on each day from today, 1 today, falling. */
  sound: Float64Array;
  threats: Threat[];
}

/** Spread of a forecast high against the limit is that of the forecast; a normal day is no call. */
function heatOdds(crop: Crop, track: SkyTrack, days: number): number[] {
  const today = trackIndex(track, track.today);
  return Array.from({ length: days }, (_, n) => {
    const at = today + n;
    if (!crop.heat || track.source[at] === "normal") return 0;
    return normalCdf((track.maxC[at]! - crop.heat.aboveC) / Math.max(0.5, forecastSpreadC(track.source[at]!, n)));
  });
}

/** A threat is told from this expected loss on: our judgement. */
const WORTH_TELLING = 0.12;

/**
 * What cold nights, gusts, soakings and heat leave of a crop, day by day.
 *
 * @param days - horizon counted from today
 * @param nearlyOn - P(nearly ready or beyond) on day n: heat opens the heads that have formed
 */
export function survival(
  crop: Crop,
  track: SkyTrack,
  kind: BedKind,
  days: number,
  nearlyOn: (n: number) => number = () => 1,
): Survival {
  const sound = new Float64Array(days).fill(1);
  const threats: Threat[] = [];
  const { damageC, killC, lostAtDamage } = crop.cold;
  const damage = damageC === null ? null : nightOddsBelow(track, kind, damageC, days - 1);
  const kill = killC === null ? null : nightOddsBelow(track, kind, killC, days - 1);
  const storms = stormOdds(track, days);
  const hot = heatOdds(crop, track, days);
  const sheltered = kind === "tunnel" || kind === "frame";
  for (let i = 1; i < days; i++) {
    const evening = storms[i - 1]!.day;
    const killed = kill?.[i - 1]?.odds ?? 0;
    const touched = Math.max(0, (damage?.[i - 1]?.odds ?? 0) - killed);
    const frostLoss = killed + touched * lostAtDamage;
    // A storm on day i − 1 spoils what is still out on day i: the pick of that morning is ahead of it.
    const gustLoss = sheltered ? 0 : storms[i - 1]!.gustOdds * crop.storm.gustLoss;
    const soakLoss = sheltered ? 0 : storms[i - 1]!.soakOdds * crop.storm.soakLoss;
    const heatLoss = hot[i - 1]! * (crop.heat?.lossPerDay ?? 0) * nearlyOn(i - 1);
    sound[i] = sound[i - 1]! * (1 - frostLoss) * (1 - gustLoss) * (1 - soakLoss) * (1 - heatLoss);
    const told = (threatKind: Threat["kind"], odds: number, loss: number) => {
      if (loss >= WORTH_TELLING) threats.push({ kind: threatKind, lastDayBefore: evening, odds, loss });
    };
    told("frost", killed + touched, frostLoss);
    told("wind", storms[i - 1]!.gustOdds, gustLoss);
    told("soaking", storms[i - 1]!.soakOdds, soakLoss);
    told("heat", hot[i - 1]!, heatLoss);
  }
  return { sound, threats };
}
