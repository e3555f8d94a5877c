import type { Stage } from "~/core/readiness";

const STAGE_WORDS: Record<Stage, string> = {
  "not yet": "not yet",
  close: "close",
  prime: "at its peak",
  slipping: "slipping",
  gone: "gone over",
};

/** Most likely stage, in a word. */
export function stageInWords(odds: Record<Stage, number>): string {
  const [stage] = (Object.entries(odds) as [Stage, number][]).sort((a, b) => b[1] - a[1])[0]!;
  return STAGE_WORDS[stage];
}
