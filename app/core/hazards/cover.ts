import { z } from "zod";
import type { BedKind } from "./bed-climate";

export const COVER_KINDS = ["fleece", "double fleece", "cloche", "blanket", "mulch", "indoors"] as const;
export const CoverKind = z.enum(COVER_KINDS);
export type CoverKind = z.infer<typeof CoverKind>;

/** What a cover for the night holds back of the cold, °C (from memory of extension leaflets; `mulch`, `indoors`: our judgement). */
export const COVERS: Record<CoverKind, { gainC: number; words: string }> = {
  fleece: { gainC: 2, words: "light fleece" },
  "double fleece": { gainC: 3.5, words: "fleece laid double" },
  cloche: { gainC: 2.5, words: "cloches" },
  blanket: { gainC: 4, words: "blankets over hoops, off by morning" },
  mulch: { gainC: 1, words: "a thick mulch" },
  indoors: { gainC: 12, words: "a frost-free shed or porch" },
};

/** A bed that is covered for a night. */
export const CoverNight = z.object({ bedId: z.string(), evening: z.iso.date(), cover: CoverKind });
export type CoverNight = z.infer<typeof CoverNight>;

/** What a planting is usually covered with for a night: pots go under a roof. */
export const usualCover = (kind: BedKind): CoverKind => (kind === "container" ? "indoors" : "fleece");

/** What the covers of a bed hold back on an evening, °C. */
export function coverGainOf(covers: readonly CoverNight[], bedId: string): (evening: string) => number {
  const own = covers.filter((c) => c.bedId === bedId);
  return (evening) => Math.max(0, ...own.filter((c) => c.evening === evening).map((c) => COVERS[c.cover].gainC));
}
