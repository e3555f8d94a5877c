const UNITS = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "thirteen", "fourteen", "fifteen", "sixteen", "seventeen", "eighteen", "nineteen"]; // prettier-ignore
const TENS = ["twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"];
const SETS: Record<string, number> = { "half a dozen": 6, "a half dozen": 6, "half-dozen": 6, "half dozen": 6, "a dozen": 12, "one dozen": 12, dozen: 12, "two dozen": 24, "three dozen": 36, "four dozen": 48, "a couple": 2, "a pair": 2, "a score": 20, "a hundred": 100, "one hundred": 100, "two hundred": 200 }; // prettier-ignore

const VALUES: Record<string, number> = {
  ...Object.fromEntries(UNITS.map((w, i) => [w, i + 1])),
  ...Object.fromEntries(
    TENS.flatMap((ten, t) => [
      [ten, (t + 2) * 10],
      ...UNITS.slice(0, 9).flatMap((unit, u) => [`${ten}-${unit}`, `${ten} ${unit}`].map((w) => [w, (t + 2) * 10 + u + 1])), // prettier-ignore
    ]),
  ),
  ...SETS,
  ...Object.fromEntries([1, 2, 3, 4, 5].map((n) => [`${n} dozen`, 12 * n])),
};

/** A number in words as a pattern, the longest first: "a dozen", "twenty-four". */
export const NUMBER_WORD = Object.keys(VALUES).sort((a, b) => b.length - a.length).join("|"); // prettier-ignore

/** A whole number typed in digits or in words; undefined for anything else. */
export function numberOf(text: string): number | undefined {
  const tidy = text.trim().toLowerCase().replace(/\s+/g, " ");
  if (/^\d{1,3}(?:,\d{3})+$/.test(tidy)) return Number(tidy.replace(/,/g, ""));
  return /^-?\d+(?:\.\d+)?$/.test(tidy) ? Number(tidy) : VALUES[tidy];
}
