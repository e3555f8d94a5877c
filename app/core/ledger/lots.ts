import { z } from "zod";
import { IsoDay } from "../calendar";
import { CONDITIONS, FATES } from "./pick-words";

/**
 * What can happen to a lot. Into it: picked, corrected, split in, merged in, weighed. Out of it: split out, merged
 * out, shrunk, eaten, given, spoilt, thrown out. Moved changes only where it is.
 */
export const MOVEMENT_KINDS = [
  "picked",
  "corrected",
  "weighed",
  "split in",
  "split out",
  "merged in",
  "merged out",
  "moved",
  "shrunk",
  "eaten",
  "given",
  "spoilt",
  "thrown out",
] as const;
export const MovementKind = z.enum(MOVEMENT_KINDS);
export type MovementKind = z.infer<typeof MovementKind>;

/** Kinds that bring the harvest itself. */
export const HARVEST_KINDS = ["picked", "corrected", "weighed"] as const satisfies readonly MovementKind[];
/** Kinds by which a lot ends for good. */
export const USES = ["eaten", "given", "spoilt", "thrown out", "shrunk"] as const;
/** Fates by which nothing of it is eaten. */
export const NOT_EATEN: readonly (typeof FATES)[number][] = ["compost", "discard"];

/** A change of what is in a lot: above zero into it, below zero out of it. */
export const Movement = z.object({
  lotId: z.string(),
  kind: MovementKind,
  day: IsoDay,
  grams: z.number().nullable(),
  pieces: z.number().int().nullable(),
  estimated: z.boolean(),
  fate: z.enum(FATES),
  condition: z.enum(CONDITIONS),
  otherLotId: z.string().nullable().default(null),
});
export type Movement = z.infer<typeof Movement>;

export interface Amount {
  grams: number | null;
  pieces: number | null;
}

/** What is in a lot after some movements, weighed and guessed apart. */
export interface LotAmount extends Amount {
  /** Of the grams, those that were guessed. */
  estimatedGrams: number;
  /** Of the pieces without a weight, those that were guessed. */
  estimatedPieces: number;
}

/** Whether any of it is a guess. */
export const isGuessed = ({ estimatedGrams, estimatedPieces }: Pick<LotAmount, "estimatedGrams" | "estimatedPieces">): boolean => estimatedGrams > 0 || estimatedPieces > 0; // prettier-ignore

/** Sums movements: what is there now. Null where nothing was ever weighed, or counted. */
export function amountOf(movements: readonly Pick<Movement, "grams" | "pieces" | "estimated">[]): LotAmount {
  const sum = (of: (m: (typeof movements)[number]) => number | null) =>
    movements.reduce<number | null>((total, m) => (of(m) === null ? total : (total ?? 0) + of(m)!), null);
  const grams = sum((m) => m.grams);
  return {
    grams: grams === null ? null : Math.round(grams * 1000) / 1000,
    pieces: sum((m) => m.pieces),
    estimatedGrams: Math.round((sum((m) => (m.estimated ? m.grams : null)) ?? 0) * 1000) / 1000,
    estimatedPieces: sum((m) => (m.estimated && m.grams === null ? m.pieces : null)) ?? 0,
  };
}

/** What came off the plants: the movements that make the harvest. */
export function harvestOf<M extends Pick<Movement, "kind">>(movements: readonly M[]): M[] {
  return movements.filter((m) => HARVEST_KINDS.some((kind) => kind === m.kind));
}

export type LotChange = { status: "changed"; movements: Movement[] } | { status: "refused"; sentence: string };

/** The state of a lot that its changes start from. */
export interface LotState extends LotAmount {
  lotId: string;
  fate: Movement["fate"];
  condition: Movement["condition"];
}

const refused = (sentence: string): LotChange => ({ status: "refused", sentence });

/** Sentence for an amount that cannot be taken out of a lot; undefined when it can. */
function notThere(lot: LotState, { grams, pieces }: Amount): string | undefined {
  if (!grams && !pieces) return "Say how much, as a weight or in pieces.";
  if ((grams ?? 0) < 0 || (pieces ?? 0) < 0) return "An amount cannot be below zero.";
  if (grams && grams > (lot.grams ?? 0) + 0.5) return "There is not that much of it.";
  if (pieces && pieces > (lot.pieces ?? 0)) return "There are not that many of it.";
  return undefined;
}

const negative = (n: number | null) => (n ? -n : null);

/** An amount out of a lot; what of it was guessed stays guessed. */
function outOf(lot: LotState, kind: MovementKind, day: IsoDay, amount: Amount, otherLotId: string | null): Movement {
  const { lotId, fate, condition } = lot;
  return {
    lotId,
    kind,
    day,
    grams: negative(amount.grams),
    pieces: negative(amount.pieces),
    estimated: lot.estimatedGrams > 0,
    fate,
    condition,
    otherLotId,
  };
}

/** Some of a lot is eaten, given away, spoilt, thrown out, or lost to drying. */
export function usedUp(lot: LotState, kind: (typeof USES)[number], day: IsoDay, amount: Amount): LotChange {
  const sentence = notThere(lot, amount);
  return sentence ? refused(sentence) : { status: "changed", movements: [outOf(lot, kind, day, amount, null)] };
}

/** Some of a lot becomes a lot of its own. */
export function splitOf(lot: LotState, newLotId: string, day: IsoDay, amount: Amount): LotChange {
  const sentence = notThere(lot, amount);
  if (sentence) return refused(sentence);
  if (newLotId === lot.lotId) return refused("A lot cannot be split into itself.");
  const out = outOf(lot, "split out", day, amount, newLotId);
  const into: Movement = { ...out, lotId: newLotId, kind: "split in", grams: negative(out.grams), pieces: negative(out.pieces), otherLotId: lot.lotId }; // prettier-ignore
  return { status: "changed", movements: [out, into] };
}

/** All of a lot goes into another. */
export function mergeOf(lot: LotState, into: LotState, day: IsoDay): LotChange {
  if (lot.lotId === into.lotId) return refused("Choose another lot to put it to.");
  const { grams, pieces } = lot;
  if (!grams && !pieces) return refused("Nothing of it is left.");
  const out = outOf(lot, "merged out", day, { grams, pieces }, into.lotId);
  const there: Movement = { ...out, lotId: into.lotId, kind: "merged in", grams, pieces, fate: into.fate, condition: into.condition, otherLotId: lot.lotId }; // prettier-ignore
  return { status: "changed", movements: [out, there] };
}

/** A lot goes somewhere else, all of it. */
export function moveOf(lot: LotState, fate: Movement["fate"], day: IsoDay): LotChange {
  if (fate === lot.fate) return refused(`It goes to “${fate}” already.`);
  const moved = { ...outOf(lot, "moved", day, { grams: null, pieces: null }, null), fate };
  return { status: "changed", movements: [moved] };
}

/**
 * A lot says another amount than before: what came in is moved back, each part as it was noted (guessed or weighed,
 * sound or spoilt), and the new amount in.
 *
 * @param harvest - the movements that made it so far
 * @param kind - "weighed" on the scale later, "corrected" by hand
 */
export function restate(
  lotId: string,
  harvest: readonly Movement[],
  kind: "weighed" | "corrected",
  day: IsoDay,
  now: Amount & Pick<Movement, "estimated" | "fate" | "condition">,
): Movement[] {
  const parts = new Map<string, Movement[]>();
  for (const m of harvest) {
    const key = `${m.fate} ${m.condition} ${m.estimated}`;
    parts.set(key, [...(parts.get(key) ?? []), m]);
  }
  const back = [...parts.values()].flatMap((part): Movement[] => {
    const { grams, pieces } = amountOf(part);
    const { estimated, fate, condition } = part[0]!;
    if (!grams && !pieces) return [];
    const back = { grams: negative(grams), pieces: negative(pieces) };
    return [{ lotId, kind, day, ...back, estimated, fate, condition, otherLotId: null }];
  });
  return [...back, { lotId, kind, day, ...now, otherLotId: null }];
}
