import { daysBetween } from "~/core/calendar";
import type { ActDue } from "~/core/garden";
import { COVERS } from "~/core/hazards";
import type { Planned } from "../planned";
import { capital, nameOf, sayDay } from "../words";

/** A job beside picking, in words. */
export interface JobTold {
  key: string;
  day: string;
  bed: string;
  /** Null where it is done to a bed. */
  plantingId: string | null;
  /** "Stop watering: Garlic, softneck (Root patch)". */
  lead: string;
  /** Why, and until when. */
  text: string;
  /** "today", "Thursday". */
  when: string;
  isToday: boolean;
}

/** Jobs beside picking as they are said. */
export function jobsTold({ outlook, today }: Planned, due: readonly ActDue[]): JobTold[] {
  return due.flatMap((act): JobTold[] => {
    const p = outlook.plantings.find((x) =>
      act.plantingId ? x.planting.id === act.plantingId : x.bed.id === act.bedId,
    );
    if (!p) return [];
    const { key, day, plantingId } = act;
    const before = act.before ? `before ${sayDay(act.before, today)}` : "";
    const text = [act.why, before].filter(Boolean).join("; ");
    return [{ key, day, bed: p.bed.name, plantingId, lead: leadOf(act, plantingId ? `${nameOf(p)} (${p.bed.name})` : p.bed.name, outlook.covers), text: text && `${capital(text)}.`, when: sayDay(day, today), isToday: daysBetween(today, day) <= 0 }]; // prettier-ignore
  });
}

function leadOf({ act, key }: ActDue, name: string, covers: Planned["outlook"]["covers"]): string {
  if (act !== "cover" && act !== "take the cover off") return `${capital(act)}: ${name}`;
  const cover = covers.find((c) => key.endsWith(` ${c.evening} ${c.cover}`))?.cover;
  if (cover === "indoors") return `${act === "cover" ? "Bring in" : "Carry out again"}: ${name}`;
  return act === "cover" ? `Cover: ${name}${cover ? `, ${COVERS[cover].words}` : ""}` : `Cover off: ${name}`;
}
