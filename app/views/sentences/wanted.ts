import { addDays, type IsoDay } from "~/core/calendar";
import type { WantedDay } from "~/core/garden";
import type { Planned } from "../planned";
import { lower, nameOf, sayDay } from "../words";
import { BLOCKS } from "./blocks";

/** What became of a wish for a day. */
export function wantedWords({ outlook }: Planned, plantingId: string, on: IsoDay): string {
  const wish = outlook.wanted.find((w) => w.plantingId === plantingId && addDays(outlook.today, w.day) === on);
  const picks = outlook.plantings.find((p) => p.planting.id === plantingId)?.planting.picks ?? [];
  if (picks.some((m) => m.pickedOn === on)) return "picked";
  if (!wish) return "beyond the days that are planned";
  return wish.blockedBy ? `cannot be: ${BLOCKS[wish.blockedBy]}` : "in the plan";
}

/** Wishes that cannot be kept, a sentence each, so that nobody waits for them. */
export function brokenWishes({ outlook, today }: Planned): { plantingId: string; text: string }[] {
  return outlook.wanted.flatMap(({ plantingId, day, blockedBy }: WantedDay) => {
    const p = outlook.plantings.find((x) => x.planting.id === plantingId);
    if (!p || !blockedBy) return [];
    const text = `You asked for ${lower(nameOf(p))} ${sayDay(outlook.days[day]!, today)}; it cannot be: ${BLOCKS[blockedBy]}.`;
    return [{ plantingId, text }];
  });
}
