import type { IsoDay } from "../calendar";
import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { atSigma, cueTable } from "./likelihood";
import type { KnownLook } from "./look";
import { ageForce, lookForce } from "./look-force";
import { GRID_STEP, normalised, type Posterior } from "./requirement-grid";
import { isShared, sharedTerms, SPREADS } from "./shared-looks";
import { isSize, sizeLikelihood, sizeTerm, vigourOf, type Vigour } from "./sized-looks";

/** Least half width of the grid; it widens so that no honest look falls outside it. */
const GRID_HALF_WIDTH = 1.2;
/**
 * The prior is a mixture: the packet, the packet plainly off, and a little of anything, so that what is
 * seen always wins over what the packet says (a wrong sowing date, picks never written down). Our judgement.
 */
const MIXTURE = { packet: 0.9, offPacket: 0.06, anything: 0.04, offFactor: 2.5 } as const;

/**
 * The requirement as the packet (or the picking interval) gives it, before any look.
 *
 * @param heatSeen - degree-days gathered by the latest look: the grid reaches at least that far
 */
export function priorOf(dev: Development, heatSeen = 0): Posterior {
  const { median, logSpread } = dev.requirement;
  const reach = heatSeen > 0 ? Math.abs(Math.log(heatSeen / median)) + 0.5 : 0;
  const half = Math.max(GRID_HALF_WIDTH, 4 * logSpread, Math.min(reach, 5));
  const side = Math.ceil(half / GRID_STEP);
  const weight = new Float64Array(2 * side + 1);
  for (let k = -side; k <= side; k++) {
    const x = k * GRID_STEP;
    weight[k + side] =
      (MIXTURE.packet * Math.exp(-0.5 * (x / logSpread) ** 2)) / logSpread +
      (MIXTURE.offPacket * Math.exp(-0.5 * (x / (MIXTURE.offFactor * logSpread)) ** 2)) /
        (MIXTURE.offFactor * logSpread) +
      (MIXTURE.anything * Math.sqrt(2 * Math.PI)) / (2 * half);
  }
  return normalised(Math.log(median) - side * GRID_STEP, weight);
}

/** The posterior with what each look contributed, so that any one can be left out again. */
export interface Belief {
  posterior: Posterior;
  /** The belief with one look left out. */
  without: (look: KnownLook) => Posterior;
  /** Undefined without a measured size. */
  vigour: Vigour | undefined;
  /** How far the pieces lie apart (log): the crop's, or what looks at parts of them tell. */
  spread: number;
}

/**
 * Belief about the requirement after the looks: each multiplies the prior by P(reading | u) with
 * u = G(day of the look)/R, weighted by its age and its sample. Measured sizes count as their reading, and
 * are judged together over requirement × vigour, so that two of different days tell the growth rate.
 * Looks from before the cycle started say nothing about it; flags and neutral readings say nothing here.
 *
 * @param today - day the belief is for
 */
export function beliefAfter(dev: Development, looks: readonly KnownLook[], today: IsoDay): Belief {
  const used = looks.filter((l) => l.takenOn >= dev.startedOn && l.takenOn <= today);
  const latest = used.reduce((day, l) => (l.takenOn > day ? l.takenOn : day), dev.startedOn);
  const prior = priorOf(dev, used.length > 0 ? thermalSumOn(dev.thermal, latest) : 0);
  const count = prior.weight.length;
  const heatNow = thermalSumOn(dev.thermal, today);
  const sized = used.filter((l) => isSize(dev, l));
  const terms = new Map<KnownLook, Float64Array>();
  const need = Float64Array.from({ length: count }, (_, k) => Math.exp(prior.logFrom + k * GRID_STEP));
  for (const look of used) {
    if (isShared(look)) continue;
    const table = cueTable(look.cue);
    const row = table?.log[table.scale.readingIds.indexOf(look.readingId)];
    if (!row) continue;
    const heat = thermalSumOn(dev.thermal, look.takenOn);
    const force = lookForce(look, heatNow - heat, dev);
    const term = new Float64Array(count);
    for (let k = 0; k < count; k++)
      term[k] = force * atSigma(row, stageCoordinate(heat / need[k]!, dev.nearlyFrom, dev.closes));
    terms.set(look, term);
  }
  const rows = new Map(sized.map((l) => [l, sizeLikelihood(dev, dev.growth!, l, prior, heatNow)]));
  const sizes = (leave?: KnownLook) => sizeTerm(count, [...rows].filter(([l]) => l !== leave).map(([, row]) => row)); // prettier-ignore
  const all = sizes();
  const ageing = (look: KnownLook) => ageForce(heatNow - thermalSumOn(dev.thermal, look.takenOn), dev);
  const apart = used.some(isShared) ? SPREADS.map((s) => ({ ...s, terms: sharedTerms(dev, used, need, s.times, ageing) })) : []; // prettier-ignore
  const sum = (leave?: KnownLook): SpreadBelief => {
    const log = new Float64Array(count);
    for (const [look, term] of terms) if (look !== leave) for (let k = 0; k < count; k++) log[k]! += term[k]!;
    const size = leave && rows.has(leave) ? sizes(leave) : all;
    if (size) for (let k = 0; k < count; k++) log[k]! += size.term[k]!;
    return overSpreads(
      prior,
      log,
      apart.map(({ times, odds, terms: of }) => ({ times, odds, terms: [...of].flatMap(([l, t]) => (l === leave ? [] : [t])) })), // prettier-ignore
    );
  };
  const { posterior, times } = used.length === 0 ? { posterior: prior, times: 1 } : sum();
  const counts = (look: KnownLook) => terms.has(look) || rows.has(look) || (apart[0]?.terms.has(look) ?? false);
  return {
    posterior,
    without: (look) => (counts(look) ? sum(look).posterior : posterior),
    vigour: all ? vigourOf(all, posterior) : undefined,
    spread: times * dev.pieces.spread,
  };
}

interface SpreadBelief {
  posterior: Posterior;
  /** Mean spread of the pieces against the crop's usual. */
  times: number;
}

/** Adds the prior, and averages over how far the pieces may lie apart where looks at parts of them speak of it. */
function overSpreads(
  prior: Posterior,
  log: Float64Array,
  spreads: readonly { times: number; odds: number; terms: Float64Array[] }[],
): SpreadBelief {
  const layers = spreads.length > 0 ? spreads : [{ times: 1, odds: 1, terms: [] }];
  const logs = layers.map(({ terms }) => {
    const own = log.slice();
    for (const term of terms) for (let k = 0; k < own.length; k++) own[k]! += term[k]!;
    return own;
  });
  let top = -Infinity;
  for (const own of logs) for (let k = 0; k < own.length; k++) top = Math.max(top, own[k]!);
  const weight = new Float64Array(log.length);
  let times = 0;
  let total = 0;
  for (const [n, layer] of layers.entries())
    for (let k = 0; k < weight.length; k++) {
      const w = layer.odds * prior.weight[k]! * Math.exp(logs[n]![k]! - top);
      weight[k]! += w;
      times += w * layer.times;
      total += w;
    }
  return { posterior: normalised(prior.logFrom, weight), times: times / total };
}
