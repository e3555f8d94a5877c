/** A stop as far as sharing goes by it. */
interface Shared {
  bedPosition: number;
  minutes: number;
}

/** What one of two walks. */
export interface Half<S extends Shared> {
  stops: S[];
  /** With kit, start and putting away. */
  minutes: number;
}

/**
 * A walk shared by two: cut once along the footpath, so that they are never at the same bed and each has a stretch of it;
 * where, the one who takes longer tells. Each keeps the order of the walk.
 *
 * @param roundMinutes - kit, start and putting away, of each of them
 * @returns null where there is no second bed
 */
export function sharedByTwo<S extends Shared>(
  { stops }: { stops: readonly S[] },
  roundMinutes: number,
): [Half<S>, Half<S>] | null {
  const places = [...new Set(stops.map((s) => s.bedPosition))].sort((a, b) => a - b);
  const half = (isIn: (s: S) => boolean): Half<S> => {
    const own = stops.filter(isIn);
    return { stops: own, minutes: roundMinutes + own.reduce((sum, s) => sum + s.minutes, 0) };
  };
  let best: [Half<S>, Half<S>] | null = null;
  for (const cut of places.slice(1)) {
    const halves: [Half<S>, Half<S>] = [half((s) => s.bedPosition < cut), half((s) => s.bedPosition >= cut)];
    if (!best || longer(halves) < longer(best)) best = halves;
  }
  return best;
}

const longer = ([a, b]: readonly { minutes: number }[]) => Math.max(a!.minutes, b!.minutes);
