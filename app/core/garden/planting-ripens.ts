import { addDays, dayNumber, daysBetween, type IsoDay } from "../calendar";
import { ripening, settingRate, type Ripening, type SettingRate } from "../cropping";
import { BED_CLIMATES } from "../hazards";
import { bearingOf, cropShare, plantsOf, yearShare } from "../life";
import { readyOddsOn, tellsHowFar, type KnownLook } from "../readiness";
import { firstPickOf, lastSeenBearing } from "./bearing-seen";
import type { GardenSky } from "./garden-sky";
import type { OfferTerms } from "./planting-offer";

/** What comes ready of a planting, and what its picks and counts say of how freely it bears. */
export interface PlantingRipens {
  ripe: Ripening;
  rate: SettingRate;
}

/** What comes ready of a planting day by day; undefined where it is taken as a whole. */
export function ripeningOf(terms: OfferTerms): PlantingRipens | undefined {
  const { planting, crop, bed, sky, dead } = terms;
  if (!bearingOf(crop)) return undefined;
  const share = cropShare(crop, planting.seasonCrop) * yearShare(crop, planting.growingYear);
  const first = firstPickOf(planting);
  const of = {
    pieces: plantsOf(crop, planting) * crop.piecesPerPlant.value * share,
    firstPickOn: first,
    seenOn: lastSeenBearing(planting),
    begun: beganBy(terms),
    dead,
    extraC: BED_CLIMATES[bed.kind].dayC,
    horizon: terms.terms.length,
  };
  const usual = ripening(crop, sky.track, of);
  const rate = settingRate(terms.bears, planting, (after, to) => cameReady(usual, sky, after, to), sky.today);
  return { ripe: { ...usual, born: usual.born.map((n) => n * rate.factor) }, rate };
}

/** Who looks has looked in the days before: what was ready longer ago than this would have been picked. Our judgement. */
const FOUND: readonly string[] = ["ready", "past", "now"];
const LATELY = { days: 2, fadesOver: 1.5 } as const;

/**
 * P(the first piece was ready by a day of the track): by heat and looks; lately, where somebody keeps looking. What was
 * seen ready and not picked still hangs: it goes by the first such look.
 */
function beganBy({ dev, assessment, sky }: OfferTerms): (trackDay: number) => number {
  if (dev.cycle === "again") return () => 1;
  const by = (at: number) => readyOddsOn(dev, assessment.belief.posterior, addDays(sky.track.from, at));
  const telling = assessment.looks.filter(tellsHowFar);
  const days = (looks: readonly KnownLook[]) => looks.map((l) => l.takenOn).sort();
  const looked = days(telling.filter((l) => FOUND.includes(l.reading.means)))[0] ?? days(telling).at(-1);
  if (!looked) return by;
  const day = daysBetween(sky.track.from, looked);
  return (at) => {
    const ago = day - at - LATELY.days;
    return by(at) * (ago > 0 ? Math.exp(-ago / LATELY.fadesOver) : 1);
  };
}

/** Pieces that came ready after one day and up to another. */
function cameReady({ first, born }: Ripening, { track }: GardenSky, after: IsoDay | null, to: IsoDay): number {
  const zero = dayNumber(track.from) + first;
  const from = after ? dayNumber(after) + 1 - zero : 0;
  if (from < 0) return 0;
  let sum = 0;
  for (let d = from; d <= dayNumber(to) - zero && d < born.length; d++) sum += born[d]!;
  return sum;
}
