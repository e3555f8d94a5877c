import { NO_VOLUME, readAmount } from "./amount";

/** What was typed, understood, or the sentence for its field. */
export type Typed<T> = { status: "ok"; value: T } | { status: "refused"; sentence: string };

const MOST_PIECES = 20_000;

const refused = (sentence: string) => ({ status: "refused" as const, sentence });

/** A number of pieces as typed: "9", "a dozen", "about 20". */
export function typedCount(count: string): Typed<{ pieces: number; about: boolean }> {
  const read = /^-/.test(count.trim()) ? undefined : readAmount(count);
  const pieces = read?.status === "count" ? read.count : Number(count);
  if (!Number.isInteger(pieces)) return refused(`“${count}” is not a whole number of pieces.`);
  if (pieces < 0) return refused("A count cannot be below zero.");
  if (pieces > MOST_PIECES) return refused(`More than ${MOST_PIECES} pieces in one pick: check the number.`);
  return { status: "ok", value: { pieces, about: read?.status === "count" && read.about } };
}

/** A weight as typed, with its unit: "840 g", "about 1 lb 8". */
export function typedWeight(weight: string): Typed<{ grams: number; about: boolean }> {
  const read = readAmount(weight);
  if (read.status === "not understood") return refused(read.sentence);
  if (read.status === "count") return refused(`Add a unit to “${weight}”: g, kg, oz or lb.`);
  if (read.status === "volume") return refused(NO_VOLUME);
  return { status: "ok", value: read };
}
