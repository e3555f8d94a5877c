import { clockTime, minutesOf } from "~/core/calendar";
import { workLight, type DayTerms } from "~/core/garden";
import { SLOT_HOURS, type Slot } from "~/core/hands";
import { startTime, type StartReason, type StartTime, type Walk } from "~/core/rounds";
import { HEAT_STOP_C } from "~/core/weather";
import type { Planned } from "../planned";
import type { PlannedRound } from "./planned-walk";

/** Where a garden lies, for the hours of its light. */
export interface PlaceOfGarden {
  latitude: number;
  longitude: number;
  timeZone: string;
}

/** When a round usually starts in its part of the day: our judgement. */
const STARTS: Record<Slot, number> = { morning: minutesOf("07:30"), midday: minutesOf("12:00"), evening: minutesOf("17:30") }; // prettier-ignore
const WHOLE_DAY = [0, 24 * 60] as const;
/** Of what a round takes beside its beds, so much comes before the first of them. */
const SETTING_OUT = 0.5;

/**
 * When a planned round sets out.
 *
 * @param now - minutes since midnight where it is a round of today; null for another day
 */
export function startOfRound(
  { outlook }: Planned,
  { slot, day, walk }: Omit<PlannedRound, "isOneOfSeveral">,
  place: PlaceOfGarden,
  now: number | null,
): StartTime {
  // prettier-ignore
  const terms = outlook.terms[day]!;
  return startTime({
    part: slot ? SLOT_HOURS[slot] : WHOLE_DAY,
    usual: STARTS[slot ?? "evening"],
    minutes: Math.max(5, Math.round(walk.minutes)),
    light: workLight(terms.day, place),
    now,
    dry: dryOf(terms, walk),
    hotFrom: hourFrom(terms, (h) => h.heatIndexC >= HEAT_STOP_C),
    // Told for the whole day it tells nothing of its hours.
    thunderFrom: terms.thunderHours.length < (terms.hours?.hours.length ?? 0) ? hourFrom(terms, (h) => terms.thunderHours.includes(h)) : null, // prettier-ignore
  });
}

type Hour = DayTerms["thunderHours"][number];

function hourFrom({ hours }: DayTerms, isMeant: (h: Hour) => boolean): number | null {
  const first = hours?.hours.find(isMeant);
  return first ? minutesOf(first.clock) : null;
}

/** From when leaves are dry, where the walk has beds that must be, and how long it takes to come to them. */
function dryOf({ dryFrom, rounds }: DayTerms, { stops, minutes }: Walk): { from: number; after: number } | null {
  const wet = rounds.some((r) => r.wetAtStart);
  const mustBeDry = (n: number) =>
    stops[n]!.part === "later" || stops[n]!.errands.some((e) => e.crop.handsOffWhenWet.value);
  const first = wet && dryFrom ? [...stops.keys()].find(mustBeDry) : undefined;
  if (first === undefined) return null;
  const ofStops = stops.reduce((sum, s) => sum + s.minutes, 0);
  const before = stops.slice(0, first).reduce((sum, s) => sum + s.minutes, 0);
  return { from: minutesOf(dryFrom!), after: before + SETTING_OUT * (minutes - ofStops) };
}

const BECAUSE: Record<StartReason, string> = {
  "dry leaves": "so that leaves are dry when you come to them",
  heat: "to be in before it is too hot",
  thunder: "to be in before the thunder",
  dark: "to be in before dark",
  "first light": "once there is light",
  now: "now",
};
const BEFORE: Record<StartReason, string> = {
  heat: "Too hot to work from",
  thunder: "Thunder is told from",
  dark: "Dark from",
  "dry leaves": "",
  "first light": "",
  now: "",
};

/** When to set out and be back, in sentences: "Set out about 7:30, back about 8:10." */
export function startWords({ from, to, because, before, over }: StartTime): string[] {
  const at = because === "now" ? "Set out now" : `Set out about ${clockTime(from)}`;
  const why = because && because !== "now" ? `, ${BECAUSE[because]}` : "";
  return [
    `${at}${why}, back about ${clockTime(to)}.`,
    ...(before ? [`${BEFORE[before.what]} ${clockTime(before.at)}.${over >= 1 ? ` ${Math.round(over)} minutes of it come after: leave out what keeps.` : ""}`] : []), // prettier-ignore
  ];
}

/**
 * Clock times at which one comes to each stop.
 *
 * @param dryFrom - clock time before which no leaf that must be dry is touched; null where none is wet
 */
export function clocksAt(
  { stops, minutes }: Pick<Walk, "stops" | "minutes">,
  from: number,
  dryFrom: string | null,
): string[] {
  // prettier-ignore
  const ofStops = stops.reduce((sum, s) => sum + s.minutes, 0);
  let at = from + SETTING_OUT * (minutes - ofStops);
  return stops.map((stop) => {
    if (stop.part === "later" && dryFrom) at = Math.max(at, minutesOf(dryFrom));
    const clock = clockTime(at);
    at += stop.minutes;
    return clock;
  });
}
