import { catalogue } from "~/catalogue/catalogue.server";
import type { Look } from "~/core/readiness";
import type { Situation } from "./judged";

export const TODAY = "2026-08-10";

/**
 * A garden situation in plain words, and the verdict a good gardener would give. Facts of the trade: common
 * practice, no source. Looks are written "cue: start of the reading's words".
 */
export interface GardenSituation {
  words: string;
  crop: string;
  looks: string;
  /** Days after its usual day. */
  packetDay?: number;
  more?: Partial<Situation>;
  kind: string;
  says?: RegExp;
}

/** Finds the readings that the words begin. */
export function looksOf(cropId: string, text: string, takenOn = TODAY): Look[] {
  if (!text) return [];
  const crop = catalogue().find((c) => c.id === cropId)!;
  return text.split("; ").map((part) => {
    const [cueId, words] = part.split(": ") as [string, string];
    const cue = crop.cues.find((c) => c.id === cueId);
    if (!cue) throw new Error(`${cropId} has no cue ${cueId}`);
    const reading = cue.readings.find((r) => r.text.startsWith(words)) ?? cue.readings.find((r) => r.id === words);
    if (!reading) throw new Error(`${cropId} ${cueId}: ${words}? ${cue.readings.map((r) => r.text).join(" | ")}`);
    return { cueId, readingId: reading.id, takenOn };
  });
}

export const s = (
  words: string,
  crop: string,
  looks: string,
  kind: string,
  says?: RegExp,
  more: Partial<Situation> & { packetDay?: number } = {},
): GardenSituation => {
  const { packetDay, ...rest } = more;
  return { words, crop, looks, kind, ...(says ? { says } : {}), packetDay: packetDay ?? 0, more: rest };
};
export const away = (from: number, to: number) => Array.from({ length: 14 }, (_, n) => n < from || n > to);
