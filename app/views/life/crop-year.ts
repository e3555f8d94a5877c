import { addDays, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { cropCalendar, type CropLife, type YearPlace } from "~/core/life";
import { usualChill, yearTurnOn } from "~/core/seasons";
import type { UnitSystem } from "~/core/units";
import { between, dayAndMonth, sayRoughly } from "../words";
import { scaleOf, stretch, type Scale, type Stretch } from "./strip";

export interface CropYearRow {
  name: string;
  /** The usual start of its kind, or the one of a plant that stands. */
  usual: boolean;
  growing: Stretch | undefined;
  bearing: Stretch | undefined;
  start: string;
  plantedOut: string | null;
  first: string;
  end: string;
  amount: string;
}

export interface CropYear {
  months: Scale["months"];
  today: number;
  rows: CropYearRow[];
  /** What it goes by. */
  note: string;
}

const WHEN = ["early", "usual", "late"] as const;
/** The strip reaches over so many days: an overwintered crop from its sowing to its end. */
const STRIP_DAYS = 500;

/** A crop's year in a place: its usual starts, and the life that follows each. */
export function cropYear(crop: Crop, place: YearPlace, years: number, today: IsoDay, units: UnitSystem): CropYear {
  const from = `${today.slice(0, 4)}-01-01`;
  const lives = cropCalendar(crop, place, from);
  const scale = scaleOf(from, addDays(from, lives.some((l) => l.end && l.end > addDays(from, 365)) ? STRIP_DAYS : 365));
  return {
    months: scale.months,
    today: scale.at(today),
    rows: lives.map((life, n) => rowOf(life, crop.perennial ? "" : WHEN[n % 3]!, scale, units)),
    note: [noteOf(crop, lives, years), chillNote(crop, place, from)].filter(Boolean).join(" "),
  };
}

function rowOf(life: CropLife, when: string, scale: Scale, units: UnitSystem): CropYearRow {
  const { start, firstPick, end, yieldKg } = life;
  const on = (day: IsoDay) => dayAndMonth(day, day);
  return {
    name: [when, life.kind].filter(Boolean).join(", ") || "each year",
    usual: when !== "early" && when !== "late",
    growing: stretch(scale, start.on, firstPick ?? end ?? start.on),
    bearing: firstPick && end ? stretch(scale, firstPick, end) : undefined,
    start: start.event === "stands" ? `stirs ${on(start.on)}` : `${start.event} ${on(start.on)}`,
    plantedOut: life.plantedOut && on(life.plantedOut),
    first: firstPick ? on(firstPick) : "never ready here",
    end: end ? on(end) : "",
    amount: firstPick ? between(sayRoughly(yieldKg.low * 1000, units), sayRoughly(yieldKg.high * 1000, units)) : "",
  };
}

/** Winters that give less than so much of the chill a crop wants are told of: our judgement. */
const ENOUGH_CHILL = 0.9;

function chillNote({ life }: Crop, { normals, latitude }: YearPlace, day: IsoDay): string {
  const wanted = life.chill?.hours;
  const had = wanted ? usualChill(yearTurnOn(day, latitude), normals) : Infinity;
  if (!wanted || had >= ENOUGH_CHILL * wanted) return "";
  return `Winters here give about ${Math.round(had / 10) * 10} of the ${wanted} hours of chill it wants: choose a variety that asks for little.`;
}

function noteOf(crop: Crop, lives: readonly CropLife[], years: number): string {
  if (lives.length === 0) return `It does not get warm enough here for ${crop.name.toLowerCase()} in the open.`;
  const climate = years > 0 ? `the usual weather of ${years} ${years === 1 ? "year" : "years"} of your record` : "what is usual in places like yours, from memory: enter or import weather for your own"; // prettier-ignore
  return `By ${climate}, in an open bed. Amounts are of one plant.`;
}
