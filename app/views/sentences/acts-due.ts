import { groupBy, sumBy } from "es-toolkit";
import type { ActDue } from "~/core/garden";
import { COVERS } from "~/core/hazards";
import type { Planned } from "../planned";
import { capital, nameOf, sayDay } from "../words";

/** A job beside picking, in words. */
export interface JobTold {
  /** Of the acts it is made of: they are ticked together. */
  keys: string[];
  day: string;
  /** Where it is done, and to what; null where it is done to a bed. */
  bed: string;
  plantingId: string | null;
  /** "Stop watering". */
  act: string;
  isLook: boolean;
  /** "Stop watering: Garlic, softneck (Root patch)". */
  lead: string;
  /** Why, and until when. */
  text: string;
  /** "Today", "Thursday". */
  when: string;
  isToday: boolean;
  /** That it takes; 0 for what takes none. */
  minutes: number;
}

/** What a tick says of a look. */
const NOTHING_NEW = "tap what you see on its page; done, where nothing is new";

/** Jobs beside picking as they are said, each by itself: for whoever stands before it. */
export function jobsTold({ outlook, today }: Planned, due: readonly ActDue[]): JobTold[] {
  return due.flatMap((act): JobTold[] => {
    const { key, day, plantingId, bedId, before, why } = act;
    const p = outlook.plantings.find((x) => (plantingId ? x.planting.id === plantingId : x.bed.id === bedId));
    if (!p) return [];
    const lead = leadOf(act, plantingId ? `${nameOf(p)} (${p.bed.name})` : p.bed.name, outlook.covers);
    const isLook = act.act === "look again";
    const reasons = isLook
      ? NOTHING_NEW
      : [why, before ? `before ${sayDay(before, today)}` : ""].filter(Boolean).join("; ");
    return [
      {
        keys: [key],
        day,
        bed: p.bed.name,
        plantingId,
        act: lead.slice(0, lead.indexOf(":")),
        isLook,
        lead,
        text: reasons && `${capital(reasons)}.`,
        when: capital(sayDay(day, today)),
        isToday: day <= today,
        minutes: act.minutes,
      },
    ];
  });
}

/** The same jobs of a day told as one: "Stop watering: Onion, red (Root patch); Onion, brown (Root patch)". */
export function gathered(jobs: readonly JobTold[]): JobTold[] {
  return Object.values(groupBy(jobs, (job) => [job.day, job.act, job.text].join("|"))).map((same) => {
    const [first] = same;
    const what = same.map((job) => job.lead.slice(job.act.length + 2));
    return {
      ...first!,
      keys: same.flatMap((job) => job.keys),
      minutes: sumBy(same, (job) => job.minutes),
      lead: `${first!.act}: ${what.join("; ")}`,
    };
  });
}

function leadOf({ act, key }: ActDue, name: string, covers: Planned["outlook"]["covers"]): string {
  if (act !== "cover" && act !== "take the cover off") return `${capital(act)}: ${name}`;
  const cover = covers.find((c) => key.endsWith(` ${c.evening} ${c.cover}`))?.cover;
  if (cover === "indoors") return `${act === "cover" ? "Bring in" : "Carry out again"}: ${name}`;
  return act === "cover" ? `Cover: ${name}${cover ? `, ${COVERS[cover].words}` : ""}` : `Cover off: ${name}`;
}
