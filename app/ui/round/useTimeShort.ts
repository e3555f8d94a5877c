import { useEffect, useState } from "react";
import { walkInTime } from "~/core/rounds";
import type { RoundOutView } from "~/views/round/round-view";

type Errand = RoundOutView["errands"][number];

/** A walk that was made shorter: what is called at and what is left, by planting, in this order. */
export interface ShortWalk {
  minutes: number;
  taken: readonly string[];
  left: readonly string[];
}

/** A walk for which there is less time than it takes; remembered on this tab while the round is out. */
export function useTimeShort(roundId: string, bedMinutes: number) {
  const key = `short ${roundId}`;
  const [short, setShort] = useState<ShortWalk | null>(null);
  useEffect(() => {
    const kept = sessionStorage.getItem(key);
    if (kept) setShort(JSON.parse(kept) as ShortWalk);
  }, [key]);
  const keep = (walk: ShortWalk | null) => {
    setShort(walk);
    if (walk) sessionStorage.setItem(key, JSON.stringify(walk));
    else sessionStorage.removeItem(key);
    return walk;
  };
  return {
    short,
    /** Leaves what loses least, so that the rest fits into so many minutes. */
    shorten: (toCome: readonly Errand[], minutes: number) => {
      // A bed that is called at again once its leaves are dry is two calls.
      const stops = toCome.map(({ id, bed, part, minutes: own, leave }) => ({ id, bed: `${bed} ${part}`, minutes: own, loss: leave.loss })); // prettier-ignore
      const { taken, left } = walkInTime(stops, minutes, bedMinutes);
      const isLater = (id: string) => toCome.some((e) => e.id === id && e.part === "later");
      return keep({ minutes, taken: [...taken.filter((id) => !isLater(id)), ...taken.filter(isLater)], left });
    },
    again: () => void keep(null),
  };
}

/** The walk as it is shortened: what is done, what is called at, what is left. */
export function inShortOrder(errands: readonly Errand[], short: ShortWalk | null): Errand[] {
  if (!short) return [...errands];
  const order = [...short.taken, ...short.left];
  return [...errands].sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
}
