import { z } from "zod";
import type { BedKind } from "./bed-climate";

export const COVER_KINDS = [
  "fleece",
  "double fleece",
  "cloche",
  "blanket",
  "mulch",
  "indoors",
  "net",
  "shade",
] as const;
export const CoverKind = z.enum(COVER_KINDS);
export type CoverKind = z.infer<typeof CoverKind>;

/** What a cover holds back: of the cold of the night, °C, and of hail and heat of the day, shares of what they take. */
export interface Shield {
  gainC: number;
  hail: number;
  heat: number;
}

/** Shields (cold from memory of extension leaflets; `mulch`, `indoors`, hail and heat: our judgement). */
export const COVERS: Record<CoverKind, Shield & { words: string }> = {
  fleece: { gainC: 2, hail: 0, heat: 0, words: "light fleece" },
  "double fleece": { gainC: 3.5, hail: 0, heat: 0, words: "fleece laid double" },
  cloche: { gainC: 2.5, hail: 0, heat: 0, words: "cloches" },
  blanket: { gainC: 4, hail: 0, heat: 0, words: "blankets over hoops, off by morning" },
  mulch: { gainC: 1, hail: 0, heat: 0, words: "a thick mulch" },
  indoors: { gainC: 12, hail: 0, heat: 0, words: "a frost-free shed or porch" },
  net: { gainC: 0, hail: 0.8, heat: 0, words: "fine net on hoops" },
  shade: { gainC: 0, hail: 0, heat: 0.5, words: "shade cloth" },
};

/** A bed that is covered for a night, or on the day before it. */
export const CoverNight = z.object({ bedId: z.string(), evening: z.iso.date(), cover: CoverKind });
export type CoverNight = z.infer<typeof CoverNight>;

/** What a planting is usually covered with for a night: pots go under a roof. */
export const usualCover = (kind: BedKind): CoverKind => (kind === "container" ? "indoors" : "fleece");

/** What the covers of a bed hold back on a day and in the night after it. */
export function shieldOf(covers: readonly CoverNight[], bedId: string): (day: string) => Shield {
  const own = covers.filter((c) => c.bedId === bedId);
  return (day) => {
    const on = own.filter((c) => c.evening === day).map((c) => COVERS[c.cover]);
    const most = (what: keyof Shield) => Math.max(0, ...on.map((c) => c[what]));
    return { gainC: most("gainC"), hail: most("hail"), heat: most("heat") };
  };
}

/** What the covers of a bed hold back of the cold on an evening, °C. */
export function coverGainOf(covers: readonly CoverNight[], bedId: string): (evening: string) => number {
  const shield = shieldOf(covers, bedId);
  return (evening) => shield(evening).gainC;
}
