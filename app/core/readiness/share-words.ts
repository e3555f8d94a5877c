/** Shares as they are said over a bed, and what they are taken for: our judgement. */
export const SHARE_WORDS = {
  "a few": 0.08,
  "a quarter": 0.25,
  "a third": 0.33,
  half: 0.5,
  "two thirds": 0.67,
  most: 0.8,
  all: 1,
} as const;
export type ShareWord = keyof typeof SHARE_WORDS;
export const SHARE_WORD_LIST = Object.keys(SHARE_WORDS) as [ShareWord, ...ShareWord[]];
