/** Odds as they are said: "7 in 10"; "under 1 in 10" and "over 9 in 10" at the ends. */
export function inTenths(odds: number): string {
  const tenths = Math.round(odds * 10);
  if (tenths < 1) return "under 1 in 10";
  if (tenths > 9) return "over 9 in 10";
  return `${tenths} in 10`;
}
