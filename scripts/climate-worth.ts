import { climatePlaces } from "~/catalogue/catalogue.server";
import { frostSeason, leftOut, monthlyNormals, normalsOfPlace, type Likeness, type PlaceClimate } from "~/core/weather";
import { quantile } from "~/core/statistics";

/** Of a normal spread four in five lie within so many standard deviations. */
const BAND80 = 1.2816;
const DAYS = 366;

export type ClimateWorth = ReturnType<typeof climateWorth>;

/**
 * What drawing a place's climate from its neighbours is worth: each place of the table drawn from all the others.
 *
 * @param which - places that are reported, by their number in the table; the others still help
 */
export function climateWorth(which: (i: number) => boolean = () => true, like?: Likeness) {
  const places = climatePlaces();
  const guessed = leftOut(places, like).map((guess, i) => ({ guess, place: places[i]!, i })).filter(({ i }) => which(i)); // prettier-ignore
  const misses = (of: "lowsC" | "highsC" | "rainDays") => guessed.flatMap(({ guess, place }) => guess[of].map((c, m) => Math.abs(c - place[of][m]!))); // prettier-ignore
  const within = (of: "lowsC" | "highsC" | "rainDays", off: "offC" | "rainDaysOff") => {
    const held = guessed.flatMap(({ guess, place }) => guess[of].map((c, m) => Math.abs(c - place[of][m]!) <= BAND80 * guess[off])); // prettier-ignore
    return held.filter(Boolean).length / held.length;
  };
  const frost = guessed.flatMap(({ guess, place }) => {
    const known = monthlyNormals(place.lowsC.map((low, m) => [low, place.highsC[m]!] as const));
    return frostMisses(guess, frostSeason(known, place.latitude), place.latitude);
  });
  const lows = misses("lowsC");
  return {
    places: guessed.length,
    lowMedianC: quantile(lows, 0.5),
    lowP90C: quantile(lows, 0.9),
    highMedianC: quantile(misses("highsC"), 0.5),
    rainMedianDays: quantile(misses("rainDays"), 0.5),
    band80: within("lowsC", "offC"),
    band80Highs: within("highsC", "offC"),
    band80Rain: within("rainDays", "rainDaysOff"),
    frostMedianDays: quantile(frost, 0.5),
    frostDates: frost.length,
  };
}

/** Days between the middle dates of the frost season, where the place has one. */
function frostMisses(guess: PlaceClimate, known: ReturnType<typeof frostSeason>, latitude: number): number[] {
  const drawn = frostSeason({ ...normalsOfPlace(guess), lowSpreadC: new Float64Array(367).fill(4) }, latitude);
  return (["last", "first"] as const).flatMap((side) => {
    const [a, b] = [known[side].p50, drawn[side].p50];
    if (a === null) return [];
    if (b === null) return [DAYS / 2];
    const apart = Math.abs(a - b);
    return [Math.min(apart, DAYS - apart)];
  });
}
