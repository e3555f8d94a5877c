import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { ActRule, BesidePicking } from "../crops";
import { COVERS, type CoverNight } from "../hazards";
import type { Trip } from "../hands";
import type { Plan } from "../planner";
import { oddsOn } from "../readiness";
import { actKey, actMinutes, isOurWay, lastMark, type ActMark } from "./act-mark";
import { tripsAhead } from "./days-away";
import { actDayOf } from "./lift-ways";
import { lookDue } from "./looks-due";
import { plannedPicks } from "./planned-picks";
import type { PlantingOutlook } from "./planting-outlook";
import { COVER_MINUTES } from "./protections";
import { liftedOn } from "./standing";

/** Something to do beside picking. */
export interface ActDue {
  /** The same as long as it is the same act of the same season. */
  key: string;
  act: BesidePicking | "look again" | "cover" | "take the cover off";
  bedId: string;
  /** Null where it is done to a bed. */
  plantingId: string | null;
  /** The day it is due; today where it is overdue. */
  day: IsoDay;
  /** From when on it is too late to be of use; null for none. */
  before: IsoDay | null;
  /** A clause; null where the act speaks for itself. */
  why: string | null;
  /** Comes again after so many days. */
  everyDays: number | null;
  /** That it takes, the going there included; 0 for a look: where the plan has one, its round counts it. */
  minutes: number;
}

/** A garden looked ahead, as far as it tells what is due. */
export interface GardenAhead {
  today: IsoDay;
  days: IsoDay[];
  plantings: PlantingOutlook[];
  covers: CoverNight[];
  trips: Trip[];
  away: boolean[];
  minutesFree: number[];
}

/** A plan by its days. */
type DaysPlanned = Pick<Plan, "picks" | "ways">;

/** P(nearly ready or beyond) from which a net is due: our judgement. */
const NEARLY = 0.5;

/**
 * What is due beside picking in the days ahead, the soonest first: by the crops' rules, by what was seen, by the plan's own
 * days, the looks that are asked for, and the covers that were noted.
 *
 * @param plan - null for what hangs on no plan
 * @param marks - what was done or left out of it
 * @param marked - keys of what was marked today, and is told as due today again: the plan is past it
 */
export function actsDue(
  outlook: GardenAhead,
  plan: DaysPlanned | null,
  marks: readonly ActMark[],
  marked: ReadonlySet<string> = new Set(),
): ActDue[] {
  const last = outlook.days.at(-1)!;
  const due = [
    ...outlook.plantings.flatMap((p) => ofPlanting(p, outlook, plan, marks, marked)),
    ...covers(outlook, marks),
  ];
  return due.filter((act) => act.day <= last).sort((a, b) => a.day.localeCompare(b.day) || a.key.localeCompare(b.key));
}

function ofPlanting(
  p: PlantingOutlook,
  outlook: GardenAhead,
  plan: DaysPlanned | null,
  marks: readonly ActMark[],
  marked: ReadonlySet<string>,
): ActDue[] {
  const { planting, crop, bed } = p;
  if (liftedOn(crop, planting) !== null || planting.forSeed) return [];
  const look = lookDue(p, outlook, plan, marks, marked);
  const looks: ActDue[] = look ? [{ ...look, act: "look again", bedId: bed.id, plantingId: planting.id, before: null, why: null, everyDays: null, minutes: 0 }] : []; // prettier-ignore
  const byRule = crop.acts.flatMap((rule): ActDue[] => {
    if (!isOurWay(rule, p.ways)) return [];
    const key = actKey(rule, planting);
    const isPast = marked.has(key) && rule.when.by === "days before lift";
    const when = isPast
      ? { day: outlook.today, before: null }
      : dueBy(rule, p, outlook, plan, lastMark(marks, key)?.day);
    if (!when) return [];
    const { today } = outlook;
    const day = when.day < today ? today : when.day;
    const everyDays = rule.when.by === "reading" ? rule.when.everyDays : null;
    return [{ key, act: rule.act, bedId: bed.id, plantingId: planting.id, day, before: when.before, why: rule.why, everyDays, minutes: actMinutes(rule, crop, planting) }]; // prettier-ignore
  });
  return [...looks, ...byRule];
}

interface When {
  day: IsoDay;
  before: IsoDay | null;
}

/** When a rule is due; undefined where it is not, or was done. */
function dueBy(
  rule: ActRule,
  p: PlantingOutlook,
  outlook: GardenAhead,
  plan: DaysPlanned | null,
  done: IsoDay | undefined,
): When | undefined {
  // prettier-ignore
  const { when } = rule;
  switch (when.by) {
    case "days before lift": {
      if (done || !plan) return undefined;
      const lift = liftDay(p, outlook, plan);
      if (!lift || lift <= outlook.today) return undefined;
      const tasks = p.parts.map((part) => part.task);
      const chosen = tasks.flatMap((task) => actDayOf(rule, plan.ways[task.id]) ?? []);
      if (chosen.length > 0) return { day: outlook.days[Math.min(...chosen)]!, before: lift };
      // The plan does without it, or it has come of itself.
      if (actMinutes(rule, p.crop, p.planting) > 0) return undefined;
      return { day: addDays(lift, -when.days), before: lift };
    }
    case "reading": {
      const looks = p.planting.looks.filter((l) => l.cueId === when.cue).sort((a, b) => a.takenOn.localeCompare(b.takenOn)); // prettier-ignore
      const seen = looks.at(-1);
      if (!seen || !when.readings.includes(seen.readingId)) return undefined;
      const since = done && done > seen.takenOn ? done : seen.takenOn;
      return { day: addDays(since, when.everyDays), before: null };
    }
    case "nearly ripe": {
      if (done) return undefined;
      const n = outlook.days.findIndex((day) => 1 - oddsOn(p.judgement.stages, day)["not yet"] >= NEARLY);
      return n < 0 || p.ended > 0.5 ? undefined : { day: outlook.days[n]!, before: null };
    }
    case "last day at home": {
      const [trip] = tripsAhead(outlook);
      if (!trip || trip.lastHome === null || (p.pieces[trip.lastHome] ?? 0) < 0.5) return undefined;
      const day = outlook.days[trip.lastHome]!;
      return done && daysBetween(done, day) <= 1 ? undefined : { day, before: trip.trip.from };
    }
  }
}

/** The day on which what is taken as a whole comes up: as planned, else when it is likely to be ready. */
function liftDay(p: PlantingOutlook, { days }: GardenAhead, { picks }: DaysPlanned): IsoDay | null {
  if (p.planting.picks.length > 0 || p.judgement.verdict.kind === "stop") return null;
  const planned = plannedPicks(p, picks)[0];
  return planned ? days[planned.day]! : p.judgement.window.opens.p50;
}

/** Covers that were noted go on, and come off again. */
function covers({ covers: noted, today, plantings }: GardenAhead, marks: readonly ActMark[]): ActDue[] {
  const stands = new Set(plantings.map((p) => p.bed.id));
  return noted.flatMap(({ bedId, evening, cover }): ActDue[] => {
    if (!stands.has(bedId)) return [];
    const byDay = COVERS[cover].gainC === 0;
    const on = (day: IsoDay) => noted.some((c) => c.bedId === bedId && c.cover === cover && c.evening === day);
    const off = addDays(evening, 1);
    const of = (act: "cover" | "take the cover off", day: IsoDay, why: string | null): ActDue => ({ key: `${act} ${bedId} ${evening} ${cover}`, act, bedId, plantingId: null, day, before: null, why, everyDays: null, minutes: COVER_MINUTES }); // prettier-ignore
    const put = evening >= today && !(byDay && on(addDays(evening, -1))) ? [of("cover", evening, null)] : [];
    const take = !(byDay && on(off)) && off >= today ? [of("take the cover off", off, "by mid-morning: it gets too warm under it, and flowers want insects")] : []; // prettier-ignore
    return [...put, ...take].filter((act) => !lastMark(marks, act.key));
  });
}
