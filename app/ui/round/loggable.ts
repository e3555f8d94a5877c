/** What a log panel needs to know of a planting: of one that grows, and of one whose last crate is still to come. */
export interface Loggable {
  id: string;
  seasonId: string;
  crop: string;
  counted: boolean;
  repeats: boolean;
  piece: { one: string; many: string };
  expected: { words: string; count: number; guess: string };
}
