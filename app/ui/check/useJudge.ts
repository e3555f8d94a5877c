import { wrap, type Remote } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { LookNow } from "~/core/garden";
import type { CheckView } from "~/views/check/check-view";
import type { VerdictNow } from "~/views/check/verdict-now";
import { whenIdle } from "~/ui/shell/when-idle";
import type { JudgeWorker } from "./judge.worker";

interface Told {
  /** Of which page: once the server has answered there is another. */
  of: CheckView;
  verdict: VerdictNow;
}

/**
 * The judge in a worker, warmed once the page stands: the verdict moves with the tap, and the server's answer, which
 * follows, says the same. Without signal it judges alone.
 *
 * @param waiting - what was seen and the server has not heard of
 */
export function useJudge(
  view: CheckView,
  waiting: readonly LookNow[],
): {
  shown: CheckView;
  isTold: boolean;
  judge: (look: LookNow) => void;
  forget: () => void;
} {
  // prettier-ignore
  const worker = useRef<Worker | null>(null);
  const remote = useRef<Remote<JudgeWorker> | null>(null);
  const [told, setTold] = useState<Told | null>(null);
  const unheard = useRef(waiting);
  useEffect(() => {
    unheard.current = waiting;
  }, [waiting]);
  useEffect(
    () =>
      whenIdle(() => {
        if (!worker.current) {
          worker.current = new Worker(new URL("./judge.worker.ts", import.meta.url), { type: "module", name: "judge" });
          remote.current = wrap<JudgeWorker>(worker.current);
        }
        void remote.current?.open(view.id, [...unheard.current]).then((verdict) => verdict && setTold({ of: view, verdict })); // prettier-ignore
      }),
    [view],
  );
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
      remote.current = null;
    },
    [],
  );
  const judge = useCallback(
    (look: LookNow) => {
      void remote.current?.tell(look).then((verdict) => setTold(verdict && { of: view, verdict }));
    },
    [view],
  );
  const forget = useCallback(() => setTold(null), []);
  const isTold = told?.of === view;
  return { shown: isTold ? { ...view, ...told.verdict } : view, isTold, judge, forget };
}
