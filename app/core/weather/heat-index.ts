/** Heat index from which a round is stopped: "danger" of the US National Weather Service, 103 °F (from memory of NWS). */
export const HEAT_STOP_C = 39;
/** From which rests and water are urged: "extreme caution", 90 °F (from memory of NWS). */
export const HEAT_CARE_C = 32;

/**
 * How hot it feels in the shade: the heat index.
 *
 * @param airC - °C
 * @param humidity - a fraction, 0 to 1
 * @returns °C; the air itself below 26.7 °C (80 °F)
 * @throws {RangeError} when humidity is not in 0 to 1
 * @source Rothfusz 1990, NWS SR 90-23, with Steadman's simple form below 80 °F (from memory; checked against its table)
 */
export function heatIndex(airC: number, humidity: number): number {
  if (!(humidity >= 0 && humidity <= 1)) throw new RangeError(`humidity: ${humidity} is not in 0 to 1`);
  const t = (airC * 9) / 5 + 32;
  const r = humidity * 100;
  if (t < 80) return airC;
  const index =
    -42.379 +
    2.04901523 * t +
    10.14333127 * r -
    0.22475541 * t * r -
    6.83783e-3 * t * t -
    5.481717e-2 * r * r +
    1.22874e-3 * t * t * r +
    8.5282e-4 * t * r * r -
    1.99e-6 * t * t * r * r;
  const dry = r < 13 && t <= 112 ? ((13 - r) / 4) * Math.sqrt((17 - Math.abs(t - 95)) / 17) : 0;
  const damp = r > 85 && t <= 87 ? ((r - 85) / 10) * ((87 - t) / 5) : 0;
  return Math.max(airC, ((index - dry + damp - 32) * 5) / 9);
}
