import type { SkyView } from "~/views/sky/sky-view";

export type Hour = NonNullable<SkyView["shown"]>["hours"][number];

/** Stretches of hours for which something holds, by clock. */
export function runs(hours: readonly Hour[], holds: (h: Hour) => boolean): [string, string][] {
  const found: [string, string][] = [];
  let start: string | null = null;
  hours.forEach((h, n) => {
    if (holds(h)) start ??= h.clock;
    const next = hours[n + 1];
    if (start && (!next || !holds(next))) {
      found.push([start, next?.clock ?? h.clock]);
      start = null;
    }
  });
  return found;
}
