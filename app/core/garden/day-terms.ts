import { clockTime, daysBetween, localMoment, minutesOf, twilight, type IsoDay } from "../calendar";
import { SLOTS, SLOT_HOURS, handsLeft, handsOn, type DayHands, type Slot } from "../hands";
import { HEAT_STOP_C, dryFrom, type DayHours, type Place, type SkyHour } from "../weather";
import type { GardenState } from "./garden-state";

/** Odds of thunder in an hour from which people stay out: our judgement; the rule itself is common practice. */
export const THUNDER_STOP = 0.3;

/** A part of a day in which a round can be walked. */
export interface RoundTerms {
  slot: Slot;
  minutes: number;
  /** Of these, minutes with dry leaves; null where the hours of rain are not known. */
  dryMinutes: number | null;
  /** Leaves are wet when it begins; false where nothing is known. */
  wetAtStart: boolean;
  /** Mean of its hours; null beyond the forecast. */
  meanC: number | null;
}

/** One day as the hands meet it. */
export interface DayTerms {
  day: IsoDay;
  hands: DayHands;
  /** Undefined beyond the forecast. */
  hours: DayHours | undefined;
  /** Its rounds, in order: parts of the day with free hands that nothing shuts. */
  rounds: RoundTerms[];
  /** Minutes of all its rounds together, and of the longest. */
  minutes: number;
  longest: number;
  /** Clock time from which leaves that are wet in the morning are dry; null when they are dry or never dry. */
  dryFrom: string | null;
  wetAllDay: boolean;
  /** Slots that heat shuts, and those in which thunder is told for half the hours or more. */
  hotSlots: Slot[];
  thunderSlots: Slot[];
  /** Hours with thunder about. */
  thunderHours: SkyHour[];
}

const startOf = (h: SkyHour) => Number(h.clock.slice(0, 2)) * 60;

function hoursWithin(hours: readonly SkyHour[], slot: Slot): SkyHour[] {
  const [start, end] = SLOT_HOURS[slot];
  return hours.filter((h) => startOf(h) >= start && startOf(h) < end);
}

/** Free hands of each coming day; of today what is left of it. */
export function handsAhead(garden: GardenState, days: readonly IsoDay[]): DayHands[] {
  return days.map((day) => {
    const whole = handsOn(garden, day);
    return day === garden.today && garden.now ? handsLeft(whole, garden.now) : whole;
  });
}

/**
 * What each coming day allows: free hands, light, dry leaves, heat and thunder.
 *
 * @param hands - of each day from today
 * @param sky - hours of each day, as far as the forecast tells them
 */
export function dayTerms(hands: readonly DayHands[], sky: readonly (DayHours | undefined)[], place: Place): DayTerms[] {
  return hands.map((ofDay, n) => termsOf(ofDay, sky[n], place));
}

/** Rain or thunder told for a whole day tells nothing of its hours. */
const isOfAnHour = (thunder: readonly SkyHour[], told: readonly SkyHour[]) => thunder.length < told.length;

function termsOf(hands: DayHands, hours: DayHours | undefined, place: Place): DayTerms {
  const told = hours?.hours ?? [];
  /** Slots of whose hours half or more are meant. */
  const slotsOf = (isMeant: (h: SkyHour) => boolean) =>
    SLOTS.filter((slot) => {
      const within = hoursWithin(told, slot);
      return within.length > 0 && within.filter(isMeant).length * 2 >= within.length;
    });
  const hotSlots = slotsOf((h) => h.heatIndexC >= HEAT_STOP_C);
  const thunderHours = told.filter((h) => h.thunderOdds >= THUNDER_STOP);
  const thunderSlots = isOfAnHour(thunderHours, told) ? slotsOf((h) => thunderHours.includes(h)) : [];
  const light = hands.anyTime ? undefined : workLight(hands.day, place);
  const rounds = SLOTS.flatMap((slot): RoundTerms[] => {
    const minutes = Math.min(hands.slots[slot], minutesOfLight(slot, light));
    if (minutes <= 0 || hotSlots.includes(slot) || thunderSlots.includes(slot)) return [];
    const within = hoursWithin(told, slot);
    const dry = within.filter((h) => !h.leavesWet).length * 60;
    return [
      {
        slot,
        minutes,
        dryMinutes: hours?.rainHoursKnown ? Math.min(minutes, dry) : null,
        wetAtStart: Boolean(within[0]?.leavesWet),
        meanC: within.length > 0 ? within.reduce((sum, h) => sum + h.airC, 0) / within.length : null,
      },
    ];
  });
  const dry = hours ? dryFrom(hours) : null;
  return {
    day: hands.day,
    hands,
    hours,
    rounds,
    minutes: rounds.reduce((sum, r) => sum + r.minutes, 0),
    longest: Math.max(0, ...rounds.map((r) => r.minutes)),
    dryFrom: typeof dry === "number" ? clockTime(dry) : null,
    wetAllDay: dry === "all day",
    hotSlots,
    thunderSlots,
    thunderHours,
  };
}

/** From when to when there is light to work by, minutes since midnight of the day; undefined where it does not change. */
export function workLight(
  day: IsoDay,
  { latitude, longitude, timeZone }: Place,
): readonly [number, number] | undefined {
  const light = twilight(day, latitude, longitude);
  if (!light) return undefined;
  const minutes = (at: Date) => {
    const moment = localMoment(at, timeZone);
    return daysBetween(day, moment.slice(0, 10)) * 1440 + minutesOf(moment.slice(11));
  };
  return [minutes(light.dawnAt), minutes(light.duskAt)];
}

/** Minutes of a slot with light to work by; Infinity where all of it has. */
function minutesOfLight(slot: Slot, light: readonly [number, number] | undefined): number {
  const [start, end] = SLOT_HOURS[slot];
  const lit = light ? Math.max(0, Math.min(end, light[1]) - Math.max(start, light[0])) : Infinity;
  // Several people may have more minutes than the clock: they are cut where it gets dark only.
  return lit >= end - start ? Infinity : lit;
}
