import { createContext, useContext, useEffect, useState } from "react";
import type { PickMove } from "~/core/garden";
import type { DaysAnswer } from "./plan.worker";

/** Asks what a pick would cost on every other day; ends what was asked before. */
export type AskAround = (pick: Pick<PickMove, "plantingId" | "from">, tell: (answer: DaysAnswer) => void) => void;

export const AroundContext = createContext<AskAround>(() => undefined);

/** What the planner in the page makes of every other day of a pick; null until it has answered. */
export function useAround(plantingId: string, from: string): DaysAnswer | null {
  const ask = useContext(AroundContext);
  const [answer, setAnswer] = useState<DaysAnswer | null>(null);
  useEffect(() => {
    let isWanted = true;
    ask({ plantingId, from }, (told) => isWanted && setAnswer(told));
    return () => {
      isWanted = false;
    };
  }, [ask, plantingId, from]);
  return answer;
}
