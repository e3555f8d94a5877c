import { useEffect, useState } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { GardenSentence } from "~/views/sentences/garden";

/** What does not fit, and which acts pay: undefined until it is there, null where it could not be had. */
export type Advice = { unfit: GardenSentence[]; acts: GardenSentence[] } | null | undefined;

/** Fetches what does not fit once the page stands, and again when its plan is another; without signal the page stays. */
export function useAdvice(view: HorizonView): Advice {
  const [advice, setAdvice] = useState<Advice>(undefined);
  useEffect(() => {
    const left = new AbortController();
    fetch("/advice", { signal: left.signal })
      .then(async (answer) => setAdvice(answer.ok ? ((await answer.json()) as NonNullable<Advice>) : null))
      .catch(() => {
        if (!left.signal.aborted) setAdvice(null);
      });
    return () => left.abort();
  }, [view]);
  return advice;
}
