import { catalogue } from "~/catalogue/catalogue.server";
import { readingOfSize } from "~/core/readiness";

/** What the field handbook says, for checks against rules and tables from outside. */
export const crop = (id: string) => catalogue().find((c) => c.id === id)!;
export const cue = (id: string, cueId: string) => crop(id).cues.find((c) => c.id === cueId)!;
export const inch = 25.4;

/** What a measurement of a size cue means. */
export const means = (id: string, cueId: string, mm: number) => readingOfSize(cue(id, cueId), mm)?.means;
/** What the reading that begins with these words means. */
export const reads = (id: string, cueId: string, words: string) =>
  cue(id, cueId).readings.find((r) => r.text.startsWith(words))!;
/** All that the field notes say of a crop, in one text. */
export const notes = (id: string) => {
  const c = crop(id);
  return [...Object.values(c.notes).flatMap((s) => s.map((l) => l.text)), c.pick.how, c.waiting.text, c.after.text, c.after.store].join(" | "); // prettier-ignore
};
export const school = (id: string, no: number) => crop(id).schools.find((s) => s.no === no)!;
export const ways = (id: string, no: number) =>
  school(id, no)
    .options.map((o) => o.label)
    .join(" | ");
