import type { Crop } from "../crops";
import type { Apart } from "../readiness";
import { minutesFor } from "./pick-effort";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { TakingTerms, TaskPart } from "./planting-offer";

/** What is told apart is taken within so many days, and loses this share of its worth a day: our judgement. */
const APART = { days: 4, lostADay: 0.2 } as const;

/** Pieces that are told apart and taken: the bolted, the split. */
export const isTaken = ({ means }: Apart): boolean => means === "now" || means === "past";

/** How many of the pieces that stand are told apart. */
export const apartPieces = (apart: Apart, standing: number): number => Math.min(standing, apart.pieces ?? apart.share * standing); // prettier-ignore

/** Tasks of the plan for what is told apart and has to come off, whatever the rest does. */
export function apartTasks(
  { planting, bed, crop, bans, judgement: { verdict }, terms }: TakingTerms,
  standing: number,
): TaskPart[] {
  // prettier-ignore
  if (verdict.kind === "seed" || verdict.kind === "stop") return [];
  return verdict.apart.filter(isTaken).map((apart, k) => {
    const n = apartPieces(apart, standing);
    const minutes = minutesFor(crop, n);
    const worth = worthOf(crop, apart, n);
    const open = (t: number) => t < APART.days && bans[t] === null && n > 0;
    return {
      pieces: [terms.map(() => n)],
      task: {
        id: `${planting.id}#apart${k + 1}`,
        bedId: bed.id,
        repeat: false,
        worth: [terms.map((_, t) => worth * (1 - APART.lostADay) ** t - EFFORT_PER_MINUTE * minutes)],
        minutes: [terms.map((_, t) => (open(t) ? minutes : null))],
        endWorth: [0],
      },
    };
  });
}

/** Kilograms of courgette; getting it out of the way is worth a little by itself, whatever it is good for. */
function worthOf({ pieceGrams, worthPerKg, worthPast }: Crop, { means }: Apart, pieces: number): number {
  const kept = means === "past" ? worthPast.value : (1 + worthPast.value) / 2;
  return Math.max(OUT_OF_THE_WAY, (kept * pieces * pieceGrams.value * worthPerKg.value) / 1000);
}

/** Worth of not leaving it on, kg of courgette: our judgement. */
const OUT_OF_THE_WAY = 0.3;
