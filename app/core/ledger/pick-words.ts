/** How the picked lot is. */
export const CONDITIONS = ["sound", "use first", "spoilt"] as const;

/** Where it goes. */
export const FATES = [
  "eat now",
  "store",
  "cure",
  "preserve",
  "share",
  "seed",
  "animals",
  "compost",
  "discard",
] as const;
