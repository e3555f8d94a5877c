import { clockTime, type IsoDay } from "../calendar";
import { SLOTS, SLOT_HOURS, handsLeft, handsOn, type DayHands, type Slot } from "../hands";
import { HEAT_STOP_C, dryFrom, type DayHours, type SkyHour } from "../weather";
import type { GardenState } from "./garden-state";

/** Odds of thunder in an hour from which people stay out: our judgement; the rule itself is common practice. */
export const THUNDER_STOP = 0.3;

/** One day as the hands meet it. */
export interface DayTerms {
  day: IsoDay;
  hands: DayHands;
  /** Undefined beyond the forecast. */
  hours: DayHours | undefined;
  /** Minutes left once too hot hours are taken off. */
  minutes: number;
  /** Of these, minutes with dry leaves; null where the hours of rain are not known. */
  dryMinutes: number | null;
  /** Leaves are wet when the first free slot begins; false where nothing is known. */
  wetAtStart: boolean;
  /** Clock time from which leaves that are wet in the morning are dry; null when they are dry or never dry. */
  dryFrom: string | null;
  wetAllDay: boolean;
  /** Slots that heat shuts, and hours with thunder about. */
  hotSlots: Slot[];
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
 * What each coming day allows: free hands, dry leaves, heat and thunder.
 *
 * @param hands - of each day from today
 * @param sky - hours of each day, as far as the forecast tells them
 */
export function dayTerms(hands: readonly DayHands[], sky: readonly (DayHours | undefined)[]): DayTerms[] {
  return hands.map((ofDay, n) => termsOf(ofDay, sky[n]));
}

function termsOf(hands: DayHands, hours: DayHours | undefined): DayTerms {
  const told = hours?.hours ?? [];
  const hotSlots = SLOTS.filter((slot) => {
    const within = hoursWithin(told, slot);
    return within.length > 0 && within.filter((h) => h.heatIndexC >= HEAT_STOP_C).length * 2 >= within.length;
  });
  const open = SLOTS.filter((slot) => !hotSlots.includes(slot));
  const minutes = open.reduce((sum, slot) => sum + hands.slots[slot], 0);
  const dryMinutes = hours?.rainHoursKnown
    ? open.reduce((sum, slot) => {
        const dry = hoursWithin(told, slot).filter((h) => !h.leavesWet).length * 60;
        return sum + Math.min(hands.slots[slot], dry);
      }, 0)
    : null;
  const first = open.find((slot) => hands.slots[slot] > 0);
  const dry = hours ? dryFrom(hours) : null;
  return {
    day: hands.day,
    hands,
    hours,
    minutes,
    dryMinutes,
    wetAtStart: Boolean(first && hoursWithin(told, first)[0]?.leavesWet),
    dryFrom: typeof dry === "number" ? clockTime(dry) : null,
    wetAllDay: dry === "all day",
    hotSlots,
    thunderHours: told.filter((h) => h.thunderOdds >= THUNDER_STOP),
  };
}
