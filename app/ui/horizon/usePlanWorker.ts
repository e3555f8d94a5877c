import { proxy, wrap, type Remote } from "comlink";
import { useCallback, useEffect, useRef } from "react";
import type { PickMove } from "~/core/garden";
import type { MoveAnswer, PlanWorker } from "./plan.worker";
import type { AskAround } from "./useAround";
import { whenIdle } from "~/ui/shell/when-idle";

type Asker = (move: PickMove, tell: (answer: MoveAnswer) => void) => void;

/**
 * The planner in a worker, warmed once the page stands; the page never waits for it.
 *
 * @param of - whenever this is another, the plan that stands is fetched again
 */
export function usePlanWorker(of: unknown): { ask: Asker; around: AskAround; stop: () => void } {
  const worker = useRef<Worker | null>(null);
  const remote = useRef<Remote<PlanWorker> | null>(null);
  /** Of what the plan was fetched last. */
  const opened = useRef<unknown>(undefined);
  const open = useCallback(() => {
    if (!worker.current) {
      worker.current = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module", name: "planner" });
      remote.current = wrap<PlanWorker>(worker.current);
    }
    if (opened.current !== of) void remote.current?.open();
    opened.current = of;
  }, [of]);
  useEffect(() => whenIdle(open), [open]);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
      remote.current = null;
      opened.current = undefined;
    },
    [],
  );
  const ask = useCallback<Asker>(
    (move, tell) => {
      open();
      void remote.current?.move(move, proxy(tell));
    },
    [open],
  );
  const around = useCallback<AskAround>(
    (pick, tell) => {
      open();
      void remote.current?.around(pick, proxy(tell));
    },
    [open],
  );
  const stop = useCallback(() => void remote.current?.stop(), []);
  return { ask, around, stop };
}
