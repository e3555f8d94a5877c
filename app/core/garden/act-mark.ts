import { z } from "zod";
import { IsoDay } from "../calendar";
import type { ActRule, Crop } from "../crops";
import { plantsOf, type Stand } from "../life";

/** A planting as far as an act is of it. */
interface ActedOn {
  id: string;
  seasonId: string;
}

/** What the household said of an act: on which day it was done, or left out. */
export const ActMark = z.object({ key: z.string(), day: IsoDay, isSkipped: z.boolean() });
export type ActMark = z.infer<typeof ActMark>;

/** The same as long as it is the same act of the same season. */
export const actKey = (rule: Pick<ActRule, "id">, planting: ActedOn): string =>
  `${rule.id} ${planting.seasonId || planting.id}`;

/** What was said of an act last. */
export const lastMark = (marks: readonly ActMark[], key: string): ActMark | undefined =>
  marks.filter((m) => m.key === key).sort((a, b) => a.day.localeCompare(b.day)).at(-1); // prettier-ignore

/** Minutes that an act takes at a planting. */
export const actMinutes = ({ minutes }: ActRule, crop: Crop, planting: Stand): number =>
  minutes.planting + minutes.plant * plantsOf(crop, planting);

/** Whether a crop is treated so where the household goes these ways; what was not chosen is as usual. */
export const isOurWay = ({ way }: ActRule, ways: Readonly<Record<string, string>>): boolean =>
  !way || ways[way.school] === undefined || ways[way.school] === way.option;
