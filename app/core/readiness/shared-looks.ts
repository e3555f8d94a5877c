import { thermalSumOn } from "../weather";
import { stageCoordinate, type Development } from "./development";
import { atSigma, cueTable } from "./likelihood";
import type { KnownLook } from "./look";

/** Pieces may lie closer together or further apart than is usual for the crop, with the odds of each: our judgement. */
export const SPREADS = [
  { times: 0.6, odds: 0.25 },
  { times: 1, odds: 0.5 },
  { times: 1.7, odds: 0.25 },
] as const;

/** A share told by eye says as much as so many pieces looked at one by one: our judgement, tuned on the truth garden. */
const EYE_PIECES = 9;
/** Shares that sum to less than this leave a rest that reads otherwise. */
const WHOLE = 0.97;

/** Five points of equal weight through the middles of the fifths of a standard normal. */
const FIFTHS = [-1.2816, -0.5244, 0, 0.5244, 1.2816];

/** A look that says of how many pieces it speaks, while others of the day may say of the rest. */
export const isShared = (look: KnownLook): boolean => look.share !== undefined && look.share < 1;

/**
 * What looks at a part say of the requirement: over pieces that differ, the share that reads so is the chance that a
 * piece does. Readings of one cue and day stand side by side; what they leave over reads otherwise.
 *
 * @param need - requirement at each grid point, °C·d
 * @param times - spread of the pieces against the crop's usual
 * @param ageing - how much a look of a day still counts, 0 to 1
 * @returns ln of the likelihood by grid point, a row a look
 */
export function sharedTerms(
  dev: Development,
  looks: readonly KnownLook[],
  need: Float64Array,
  times: number,
  ageing: (look: KnownLook) => number,
): Map<KnownLook, Float64Array> {
  const terms = new Map<KnownLook, Float64Array>();
  const groups = new Map<string, KnownLook[]>();
  for (const look of looks.filter(isShared)) {
    const key = `${look.cueId} ${look.takenOn}`;
    groups.set(key, [...(groups.get(key) ?? []), look]);
  }
  for (const group of groups.values()) {
    const [first] = group;
    const table = first && cueTable(first.cue);
    if (!first || !table) continue;
    const heat = thermalSumOn(dev.thermal, first.takenOn);
    const known = group.filter((l) => table.scale.readingIds.includes(l.readingId));
    const told = known.reduce((sum, l) => sum + l.share!, 0);
    const scale = told > 1 ? 1 / told : 1;
    const rest = Math.max(0, 1 - told);
    const rows = known.map((l) => table.odds[table.scale.readingIds.indexOf(l.readingId)]!);
    const out = known.map(() => new Float64Array(need.length));
    for (let k = 0; k < need.length; k++) {
      let sum = 0;
      for (const [r, row] of rows.entries()) {
        const odds = readsSo(dev, row, heat / need[k]!, times);
        sum += odds;
        out[r]![k] = EYE_PIECES * scale * known[r]!.share! * Math.log(odds);
      }
      if (told < WHOLE && out[0]) out[0][k]! += EYE_PIECES * rest * Math.log(Math.max(1e-4, 1 - sum));
    }
    for (const [r, look] of known.entries()) terms.set(look, out[r]!.map((x) => x * ageing(look))); // prettier-ignore
  }
  return terms;
}

/** P(a piece reads so), over pieces that are ahead of or behind the development `u`. */
function readsSo(dev: Development, row: Float64Array, u: number, times: number): number {
  const { spread, lag } = dev.pieces;
  let odds = 0;
  for (const z of FIFTHS)
    odds += atSigma(row, stageCoordinate(u * Math.exp(-times * spread * (z + lag)), dev.nearlyFrom, dev.closes)) / 5;
  return Math.max(1e-4, odds);
}
