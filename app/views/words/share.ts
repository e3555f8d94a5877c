/** A share as it is said over a bed: "a few", "about a third", "about half", "most". */
export function shareInWords(share: number): string {
  if (share < 0.12) return "a few";
  if (share < 0.29) return "about a quarter";
  if (share < 0.42) return "about a third";
  if (share < 0.58) return "about half";
  if (share < 0.72) return "about two thirds";
  return "most";
}
