import type { IsoDay } from "~/core/calendar";
import type { HelperSheet } from "~/views/ahead/helper-sheet";

type Listed = HelperSheet["beds"][number]["plantings"][number];

/**
 * What each link has shown on its last day of use. The plan moves on while a helper is at the bed: what was on the list
 * they hold may be said. Kept by the running server only: a write for each look would have the garden worked out anew.
 */
const shown = new Map<string, { day: IsoDay; listed: Map<string, Listed> }>();

/** A sheet was shown by a link. */
export function haveShown(linkId: string, day: IsoDay, sheet: HelperSheet | null): void {
  const before = shown.get(linkId);
  const listed = before?.day === day ? before.listed : new Map<string, Listed>();
  for (const p of sheet?.beds.flatMap((bed) => bed.plantings) ?? []) listed.set(p.plantingId, p);
  shown.set(linkId, { day, listed });
}

/** Whether a planting, and where one is named its cue and reading, was on what a link has shown that day. */
export function wasShown(
  linkId: string,
  day: IsoDay,
  of: { plantingId: string; cueId?: string; readingId?: string },
): boolean {
  // prettier-ignore
  const on = shown.get(linkId);
  const planting = on?.day === day ? on.listed.get(of.plantingId) : undefined;
  if (!planting || of.cueId === undefined) return planting !== undefined;
  return planting.tell.some((cue) => cue.cueId === of.cueId && cue.readings.some((r) => r.id === of.readingId));
}
