/** An hour as the leaf feels it. */
export interface LeafHour {
  airC: number;
  dewPointC: number;
  rainMm: number;
  windKmh: number;
  sunIsUp: boolean;
  /** How freely the leaf loses heat to the sky, 0 (cloud, wind) to 1 (clear and calm). */
  openSky: number;
}

/** On a clear calm night a leaf is up to this much colder than the air, °C: our judgement. */
const LEAF_DROP_C = 3;
/** Water on the leaf: dew gathered in an hour, rain that fills it, most it holds; shares of a full film: our judgement. */
const DEW_AN_HOUR = 0.08;
const FULL_FROM_MM = 0.4;
const MOST_HELD = 1.2;
/** Drying in an hour by each °C of dew point depression, in sun and without; and by wind: our judgement. */
const DRIES_SUN = 0.05;
const DRIES_SHADE = 0.015;
const WIND_DOUBLES_KMH = 20;
const WET_FROM = 0.05;

/**
 * Whether leaves are wet, hour by hour, from rain or dew.
 *
 * @param hours - in order; the first hours run the balance in
 * @returns for each hour what they are wet with, or null when dry
 * @source the balance is our judgement; dew where the leaf is at or below the dew point is physics
 */
export function leafWetness(hours: readonly LeafHour[]): ("rain" | "dew" | null)[] {
  let water = 0;
  let from: "rain" | "dew" = "dew";
  return hours.map((h) => {
    const leafC = h.airC - (h.sunIsUp ? 0 : LEAF_DROP_C * h.openSky);
    if (h.rainMm > 0.05) {
      water = Math.min(MOST_HELD, water + h.rainMm / FULL_FROM_MM);
      from = "rain";
    } else if (leafC <= h.dewPointC) {
      if (water < WET_FROM) from = "dew";
      water = Math.min(Math.max(0.4, water), water + DEW_AN_HOUR);
    } else {
      const depression = Math.max(0, h.airC - h.dewPointC);
      water -= (h.sunIsUp ? DRIES_SUN : DRIES_SHADE) * depression * (1 + h.windKmh / WIND_DOUBLES_KMH);
    }
    water = Math.max(0, water);
    return water >= WET_FROM ? from : null;
  });
}
