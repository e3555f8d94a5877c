import { plantsOf } from "../life";
import { verdictParts, type VerdictPart } from "../readiness";
import type { IsoDay } from "../calendar";
import { standingPieces } from "./standing";
import { apartPieces } from "./apart-tasks";
import type { PlantingOutlook } from "./planting-outlook";

/** A part of a planting with how much of it there is. */
export interface PlantingPart extends VerdictPart {
  /** Pieces it is about; null for what only ripens later on a plant that keeps giving. */
  pieces: number | null;
  /** Plants it is about. */
  plants: number;
}

/** What somebody wants of it now. */
export interface Wanted {
  pieces?: number | undefined;
  grams?: number | undefined;
}

/** The parts that a planting's verdict speaks of, and how many pieces each is: the same for plan, log and words.
 *
 * @param wanted - an amount that is wanted now, in place of the crop's usual meal
 */
export function plantingParts(p: PlantingOutlook, today: IsoDay, wanted?: Wanted): PlantingPart[] {
  const { judgement, crop, planting, pieces } = p;
  const now = pieces[0] ?? 0;
  const standing = crop.mode === "once" ? standingPieces(crop, planting, p.bears) : now;
  const { mealGrams, way } = crop.life.taking;
  const pieceGrams = crop.pieceGrams.value;
  const wish = wanted?.pieces ?? (wanted?.grams ? wanted.grams / pieceGrams : way === "as needed" && mealGrams ? mealGrams / pieceGrams : null); // prettier-ignore
  const meal = wish !== null && standing > 0 ? wish / standing : null;
  const parts = verdictParts(judgement.verdict, { crop, today, shareReady: judgement.shareReady, mealShare: meal });
  const plants = plantsOf(crop, planting);
  return parts.map((part) => ({ ...part, plants: part.share * plants, pieces: piecesOf(p, part, now, standing) }));
}

function piecesOf(
  { crop, judgement, takes }: PlantingOutlook,
  part: VerdictPart,
  now: number,
  standing: number,
): number | null {
  // prettier-ignore
  const apart = judgement.verdict.apart.find((a) => a.reading === part.reading);
  if (apart) return apartPieces(apart, Math.max(standing, apart.pieces ?? 0));
  if (crop.mode === "once" || part.act === "take what a meal needs") return part.share * standing;
  return part.act === "leave" || part.act === "look" ? null : Math.min(now, takes?.[0] ?? now);
}

/** Acts that bring something in. */
const TAKES: readonly VerdictPart["act"][] = ["take", "take the ripe ones", "take the biggest", "take what a meal needs", "take early", "strip it all", "take and use first"]; // prettier-ignore

/** Pieces that the verdict takes now, over its parts. */
export const piecesTaken = (p: PlantingOutlook, today: IsoDay): number =>
  plantingParts(p, today).reduce((sum, part) => sum + (TAKES.includes(part.act) ? (part.pieces ?? 0) : 0), 0);
