/** A pick of something, with the device that logged it. */
export interface PickByDevice {
  id: string;
  seasonId: string;
  roundId: string | null;
  device: string;
  /** When it was done, by that device's clock; ISO. */
  at: string;
}

/** Two picks of one planting from two devices within this are asked about: minutes, our judgement. */
export const TWIN_MINUTES = 30;

/** Two picks as one word, whichever is named first. */
export const pairOf = (one: string, other: string): string => [one, other].sort().join(" ");

const minutesApart = (a: PickByDevice, b: PickByDevice) => Math.abs(Date.parse(a.at) - Date.parse(b.at)) / 60_000;

/**
 * Picks of one planting that two devices logged within half an hour, or on one round whatever their clocks say: one picking
 * written down twice, or two. Both count until somebody says. Each is asked about with the one before it only.
 *
 * @param picks - that stand, of something
 * @param settled - pairs of which it was said that both count (`pairOf`)
 * @returns pairs, the earlier first
 */
export function twinsOf(picks: readonly PickByDevice[], settled: ReadonlySet<string>): [PickByDevice, PickByDevice][] {
  const bySeason = new Map<string, PickByDevice[]>();
  for (const pick of picks.toSorted(byTime)) {
    const before = bySeason.get(pick.seasonId);
    if (before) before.push(pick);
    else bySeason.set(pick.seasonId, [pick]);
  }
  return [...bySeason.values()].flatMap((inOrder) =>
    inOrder.flatMap((second, n): [PickByDevice, PickByDevice][] => {
      const first = inOrder.slice(0, n).findLast((earlier) => isTwin(earlier, second));
      return first && !settled.has(pairOf(first.id, second.id)) ? [[first, second]] : [];
    }),
  );
}

const byTime = (a: PickByDevice, b: PickByDevice) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1);
const isTwin = (a: PickByDevice, b: PickByDevice): boolean =>
  a.device !== b.device && (minutesApart(a, b) <= TWIN_MINUTES || (a.roundId !== null && a.roundId === b.roundId));
