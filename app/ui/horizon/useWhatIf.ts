import { useCallback, useEffect, useMemo, useState } from "react";
import type { Supposition } from "~/core/garden";
import type { WhatIfAnswer } from "~/views/horizon/what-if-words";

/** What is supposed, and what the plan would become: undefined while it is asked, null where it could not be had. */
export interface WhatIf {
  suppositions: Supposition[];
  answer: WhatIfAnswer | null | undefined;
  suppose: (s: Supposition) => void;
  without: (index: number) => void;
  drop: () => void;
  /** Days of the picks that would be others, by planting. */
  after: ReadonlyMap<string, number[]>;
}

const NONE: ReadonlyMap<string, number[]> = new Map();

/**
 * Asks what the plan would be if something were otherwise; a new question ends the one before.
 *
 * @param of - whenever this is another, it is asked again
 */
export function useWhatIf(of: unknown): WhatIf {
  const [suppositions, setSuppositions] = useState<Supposition[]>([]);
  const [answer, setAnswer] = useState<WhatIf["answer"]>(undefined);
  useEffect(() => {
    setAnswer(undefined);
    if (suppositions.length === 0) return;
    const left = new AbortController();
    fetch(`/what-if?${new URLSearchParams({ if: JSON.stringify(suppositions) })}`, { signal: left.signal })
      .then(async (response) => setAnswer((await response.json()) as WhatIfAnswer))
      .catch(() => {
        if (!left.signal.aborted) setAnswer(null);
      });
    return () => left.abort();
  }, [suppositions, of]);
  const suppose = useCallback((s: Supposition) => setSuppositions((all) => [...all, s]), []);
  const without = useCallback((index: number) => setSuppositions((all) => all.filter((_, n) => n !== index)), []);
  const drop = useCallback(() => setSuppositions([]), []);
  const after = useMemo(() => (answer?.status === "told" ? new Map(answer.after.map((a) => [a.plantingId, a.days])) : NONE), [answer]); // prettier-ignore
  return { suppositions, answer, suppose, without, drop, after };
}
