import { useEffect, useState } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { GardenSentence } from "~/views/sentences/garden";

/** What does not fit: undefined until it is there, null where it could not be had. */
export type Unfit = GardenSentence[] | null | undefined;

/** Fetches what does not fit once the page stands, and again when its plan is another; without signal the page stays. */
export function useUnfit(view: HorizonView): Unfit {
  const [unfit, setUnfit] = useState<Unfit>(undefined);
  useEffect(() => {
    const left = new AbortController();
    fetch("/unfit", { signal: left.signal })
      .then(async (answer) => setUnfit(answer.ok ? ((await answer.json()) as GardenSentence[]) : null))
      .catch(() => {
        if (!left.signal.aborted) setUnfit(null);
      });
    return () => left.abort();
  }, [view]);
  return unfit;
}
