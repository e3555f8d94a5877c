import { addDays, daysBetween } from "~/core/calendar";
import { COVERABLE, isOurs, type CannotSuppose, type PlanDifference, type Supposition } from "~/core/garden";
import { usualCover } from "~/core/hazards";
import type { Planned } from "../planned";
import {
  capital,
  counted,
  listOf,
  nameOf,
  sayCount,
  sayDay,
  sayDegrees,
  sayMass,
  sayNight,
  sayRoughly,
} from "../words";

/** What can be supposed of a garden: the choices of the strip. */
export type Supposable = ReturnType<typeof supposable>;

/** Nights and days ahead that are offered. */
const DAYS_OFFERED = 14;

export function supposable({ outlook, today, units }: Planned) {
  const days = outlook.days.slice(0, DAYS_OFFERED).map((day) => ({ day, words: sayDay(day, today), night: sayNight(day, today) })); // prettier-ignore
  const beds = new Map(outlook.plantings.map((p) => [p.bed.id, p.bed]));
  return {
    days,
    trips: outlook.trips
      .filter((t) => t.to >= today && t.from <= addDays(today, DAYS_OFFERED))
      .map(({ name, from, to }) => ({ name, from, to, leaves: from > today ? daysAround(from, today) : [], returns: daysAround(to, today) })), // prettier-ignore
    beds: [...beds.values()]
      .filter((b) => COVERABLE.includes(b.kind))
      .sort((a, b) => a.position - b.position)
      .map((b) => ({ id: b.id, name: b.name, goesIn: usualCover(b.kind) === "indoors" })),
    /** The fridge counts where kitchen and fridge have a limit. */
    hasFridge: outlook.unwished.fridge !== undefined,
    colder: outlook.track.source.includes("forecast") ? [1, 2, 3, 5].map((degreesC) => ({ degreesC, words: `${sayDegrees(degreesC, units)} colder` })) : [], // prettier-ignore
  };
}

/** Days round one, as they are offered in its place: "Friday, a day earlier". */
function daysAround(day: string, today: string) {
  return [-3, -2, -1, 1, 2, 3]
    .map((by) => ({ day: addDays(day, by), by }))
    .filter((d) => d.day >= today)
    .map(({ day: other, by }) => ({ day: other, words: `${sayDay(other, today)}, ${shifted(by)}` }));
}

const shifted = (by: number) => `${Math.abs(by) === 1 ? "a day" : `${sayCount(Math.abs(by))} days`} ${by < 0 ? "earlier" : "later"}`; // prettier-ignore

const hours = (minutes: number) => (minutes % 60 === 0 ? counted(minutes / 60, "hour") : `${minutes} minutes`);

/** What is supposed, in a few words. */
export function suppositionWords(s: Supposition, { outlook, today, units }: Planned): string {
  const bed = (id: string) => outlook.plantings.find((p) => p.bed.id === id)?.bed;
  switch (s.what) {
    case "leave":
    case "return": {
      const trip = outlook.trips.find((t) => t.from === s.trip);
      const by = trip ? daysBetween(s.what === "leave" ? trip.from : trip.to, s.day) : 0;
      const words = [sayDay(s.day, today), by === 0 ? "" : shifted(by)].filter(Boolean).join(", ");
      return `${s.what === "leave" ? "Leave for" : "Back from"} ${trip?.name ?? "the trip"} ${words}`;
    }
    case "stay":
      return `Stay at home in place of ${outlook.trips.find((t) => t.from === s.trip)?.name ?? "the trip"}`;
    case "away":
      return `Away ${sayDay(s.from, today)} to ${sayDay(s.to, today)}`;
    case "helper":
      return `${capital(hours(s.minutes))} of help ${sayDay(s.day, today)}`;
    case "minutes":
      return `${s.minutes} more minutes ${sayDay(s.day, today)}`;
    case "cover": {
      const of = bed(s.bedId);
      const isIn = of !== undefined && usualCover(of.kind) === "indoors";
      return `${capital(of?.name ?? "the bed")} ${isIn ? "indoors" : "under fleece"} ${sayNight(s.evening, today)}`;
    }
    case "colder":
      return `The forecast ${sayDegrees(s.degreesC, units)} colder`;
    case "fridge full":
      return "The fridge full today";
  }
}

const CANNOT: Record<CannotSuppose, string> = {
  "no such trip": "That trip is not in the plan any more.",
  "days run backwards": "The days run backwards: the end comes before the start.",
  "no such bed": "That bed is not there any more.",
  "no such day": "That day is over.",
  "no forecast": "There is no forecast that could be colder. Fetch one under Sky & away.",
  "no kitchen": "Say under Sky & away what the kitchen and the fridge can take: then I can reckon with a full one.",
};

export const cannotWords = (why: CannotSuppose): string => CANNOT[why];

export interface WhatIfTold {
  headline: string;
  /** What becomes of the plantings that it touches most. */
  lines: { plantingId: string; name: string; text: string }[];
  rest: string | null;
  /** Days of each planting's picks as they would be, where they differ. */
  after: { plantingId: string; days: number[] }[];
  /** Whether any of it may be kept; and what may not, said. */
  canKeep: boolean;
  note: string | null;
  /** What could be had without it. */
  found: string | null;
}

/** What is supposed, in words, and what would come of it or why it cannot be. */
export type WhatIfAnswer = { supposed: string[] } & (({ status: "told" } & WhatIfTold) | { status: "cannot"; sentence: string }); // prettier-ignore

/** Worth, g and minutes under which nothing is told: our judgement. */
const NO_ODDS = 0.02;
const FOUND_TOLD = 0.1;
const WORTH_A_LINE = 0.1;
const FEW_GRAMS = 20;
const FEW_MINUTES = 1;
const MOST_LINES = 5;

/**
 * What becomes of the plan, in sentences and numbers.
 *
 * @param all - against the plan that stands; `found` is what asking it again found without any supposition
 */
export function whatIfTold(
  planned: Planned,
  suppositions: readonly Supposition[],
  all: PlanDifference & { found: number },
): WhatIfTold {
  const { units, outlook } = planned;
  const worth = all.worth - all.found;
  const told = all.plantings.flatMap((change) => {
    const p = outlook.plantings.find((x) => x.planting.id === change.plantingId);
    const text = p && changeOf(planned, change, p.crop.worthPerKg.value);
    return p && text ? [{ plantingId: change.plantingId, name: `${nameOf(p)} (${p.bed.name})`, text }] : [];
  });
  const rest = told.length - MOST_LINES;
  const ours = suppositions.filter(isOurs);
  const amounts = [delta(all.grams, FEW_GRAMS, "brought in", (g) => sayMass(roughly(g), units)), delta(all.minutes, FEW_MINUTES, "", (m) => counted(Math.round(m), "minute")), delta(all.rounds, 1, "", (n) => counted(n, "round"))].filter(Boolean); // prettier-ignore
  const verdict =
    Math.abs(worth) < NO_ODDS
      ? "It makes no odds"
      : `All in all ${worth > 0 ? "better" : "worse"} by as much as ${sayRoughly(Math.abs(worth) * 1000, units)} of courgettes`; // prettier-ignore
  return {
    headline: `${verdict}${amounts.length > 0 ? `: ${listOf(amounts)}` : ""}.`,
    lines: told.slice(0, MOST_LINES),
    rest:
      rest > 0 ? `And ${rest === 1 ? "one more planting, by less" : `${rest} more plantings, by less each`}.` : null,
    after: all.plantings.filter((p) => p.from.join() !== p.to.join()).map((p) => ({ plantingId: p.plantingId, days: p.to })), // prettier-ignore
    canKeep: ours.length > 0,
    note: noteOf(suppositions, ours),
    found: all.found > FOUND_TOLD ? `Asking again found a plan better by as much as ${sayRoughly(all.found * 1000, units)} of courgettes without it: that is not counted above, and is among what moves.` : null, // prettier-ignore
  };
}

const roughly = (grams: number) => (grams < 1000 ? Math.round(grams / 10) * 10 : Math.round(grams / 100) * 100);

function delta(by: number, few: number, what: string, say: (amount: number) => string): string {
  if (Math.abs(by) < few) return "";
  return [say(Math.abs(by)), by > 0 ? "more" : "less", what].filter(Boolean).join(" ");
}

type Change = PlanDifference["plantings"][number];

function changeOf({ outlook, today, units }: Planned, { from, to, grams, worth }: Change, worthPerKg: number): string {
  const say = (days: number[]) => listOf(days.map((n) => sayDay(outlook.days[n]!, today)));
  const days = daysChanged(from, to, say);
  const amount = delta(grams, FEW_GRAMS, "", (g) => sayMass(roughly(g), units));
  const own = (worth / worthPerKg) * 1000;
  // What is picked more of and is worth more needs no second number; what only lies out there a little longer no line.
  const isSaid = amount !== "" && own * grams > 0;
  const isLittle = !days && !amount && Math.abs(worth) < WORTH_A_LINE;
  const value = isSaid || isLittle || Math.abs(own) < FEW_GRAMS ? "" : `worth ${delta(own, 0, "", (g) => sayMass(roughly(g), units))}`; // prettier-ignore
  return capital([days, amount, value].filter(Boolean).join("; "));
}

/** "Sunday in place of Friday", "also Sunday", "not Friday". */
function daysChanged(from: number[], to: number[], say: (days: number[]) => string): string {
  const [come, gone] = [to.filter((n) => !from.includes(n)), from.filter((n) => !to.includes(n))];
  if (come.length === 0 && gone.length === 0) return "";
  if (to.length === 0) return "not picked at all";
  if (gone.length === 0) return `${from.length > 0 ? "also " : "picked "}${say(come)}`;
  return come.length === 0 ? `not ${say(gone)}` : `${say(come)} in place of ${say(gone)}`;
}

function noteOf(all: readonly Supposition[], ours: readonly Supposition[]): string | null {
  if (ours.length === all.length) return null;
  const others = all.filter((s) => !isOurs(s)).map((s) => (s.what === "colder" ? "the weather" : "the fridge"));
  return `${capital(listOf([...new Set(others)]))} cannot be kept: that comes as it comes.`;
}
