import type { Ripening } from "./ripening";

/**
 * Full-grown pieces on the plant that are not ripe, by day: those that would come ready on it within so many growing days.
 *
 * @param today - day of the ripening
 * @param sound - share sound on each day from today, length of the horizon
 * @param withinDays - growing days from full-grown to ripe
 * @returns pieces on each day from today; of the last days fewer than there are, as what comes ready beyond the horizon is
 *   not reckoned with
 */
export function greenPieces(
  { born, aged }: Ripening,
  today: number,
  sound: Float64Array,
  withinDays: number,
): number[] {
  return Array.from(sound, (share, n) => {
    let pieces = 0;
    for (let d = today + n + 1; d < born.length && aged[d]! - aged[today + n]! <= withinDays; d++) pieces += born[d]!;
    return pieces * share;
  });
}
