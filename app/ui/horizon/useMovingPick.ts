import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { MoveAnswer } from "./plan.worker";
import { usePlanWorker } from "./usePlanWorker";
import type { PlanActs } from "./plan-acts";
import { placesOf, type Moving, type Place, type RowPlanting } from "./moving";

/** A row below this share of the window is low: our judgement. */
const LOW = 0.62;

const isSame = (a: Place, b: Place) => a.day === b.day && a.slot === b.slot;

/** A pick taken up, moved along its row with its cost told, and let go or put back. */
export function useMovingPick(view: HorizonView, { act, isBusy }: PlanActs) {
  const { ask, around, stop } = usePlanWorker(view);
  const [moving, setMoving] = useState<Moving | null>(null);
  /** What was let go where it cannot be: it went back, and its sentence stays until the next is taken up. */
  const [refused, setRefused] = useState<Moving | null>(null);
  const places = useMemo(() => placesOf(view), [view]);
  const now = useRef<Moving | null>(null);
  const put = useCallback((next: Moving | null) => {
    now.current = next;
    setMoving(next);
  }, []);
  // The plan that stands has come, or the server would not have it: what was let go is in it, or went back.
  useEffect(() => {
    if (isBusy) setRefused(null);
    else put(null);
  }, [view, isBusy, put]);

  const origin = ({ planting, order }: Pick<Moving, "planting" | "order">): Place => {
    const { day, slot } = planting.handles[order]!;
    return { day, slot };
  };

  const take = (planting: RowPlanting, order: number, by: Moving["by"], handle: Element) => {
    setRefused(null);
    const isLow = handle.getBoundingClientRect().bottom > LOW * window.innerHeight;
    put({ planting, order, by, isLow, to: origin({ planting, order }), answer: null, isDropped: false });
  };

  const moveTo = (to: Place) => {
    const held = now.current;
    if (!held || held.isDropped || isSame(held.to, to)) return;
    const from = origin(held);
    if (isSame(to, from) || (to.day === from.day && to.slot === null)) {
      stop();
      return put({ ...held, to: from, answer: null });
    }
    put({ ...held, to, answer: null });
    const move = { plantingId: held.planting.id, from: view.days[from.day]!.day, day: view.days[to.day]!.day, slot: to.slot }; // prettier-ignore
    ask(move, (answer: MoveAnswer) => {
      const still = now.current;
      if (still && still.planting === held.planting && still.order === held.order && isSame(still.to, to)) put({ ...still, answer }); // prettier-ignore
    });
  };

  const step = (by: -1 | 1) => {
    const held = now.current;
    if (!held) return;
    // From a day asked for as a whole to the part of a day before or after it.
    const at = places.findIndex((p) => p.day === held.to.day && (held.to.slot === null || p.slot === held.to.slot));
    const next = places[at + by];
    if (next) moveTo(next);
  };

  const drop = () => {
    const held = now.current;
    if (!held || held.isDropped) return;
    const from = origin(held);
    if (isSame(held.to, from)) return put(null);
    if (held.answer?.cost?.blockedBy) {
      setRefused(held);
      return put(null);
    }
    put({ ...held, isDropped: true });
    act({ intent: "move", plantingId: held.planting.id, from: view.days[from.day]!.day, day: view.days[held.to.day]!.day, slot: held.to.slot ?? "" }); // prettier-ignore
  };

  const putBack = () => {
    stop();
    put(null);
  };

  /** The sentence of what was refused has been read. */
  const dismiss = () => setRefused(null);

  return { around, moving, refused, dismiss, held: now, places, take, moveTo, step, drop, putBack };
}

export type MovingPick = ReturnType<typeof useMovingPick>;
