import { addDays, type IsoDay } from "../calendar";
import type { Trip } from "../hands";

/** Days ahead as the household spends them. */
interface HomeDays {
  today: IsoDay;
  days: IsoDay[];
  away: boolean[];
  trips: Trip[];
  minutesFree: number[];
}

/** A trip in the days that are looked ahead. */
export interface DaysAway {
  trip: Trip;
  /** Day indexes with nobody of the household there; a helper may be. */
  days: number[];
  /** The last day before it with hands free, and the first after it; null where there is none within the days ahead. */
  lastHome: number | null;
  firstHome: number | null;
}

/** Trips that lie in the days ahead, the soonest first. */
export function tripsAhead({ days, away, trips, minutesFree }: Omit<HomeDays, "today">): DaysAway[] {
  const isHome = (n: number) => !away[n] && minutesFree[n]! > 0;
  return trips
    .flatMap((trip): DaysAway[] => {
      const gone = [...days.keys()].filter((n) => away[n] && trip.from <= days[n]! && days[n]! <= trip.to);
      if (gone.length === 0) return [];
      const [first, last] = [gone[0]!, gone.at(-1)!];
      const lastHome = [...days.keys()].findLast((n) => n < first && isHome(n)) ?? null;
      const firstHome = [...days.keys()].find((n) => n > last && isHome(n)) ?? null;
      return [{ trip, days: gone, lastHome, firstHome }];
    })
    .sort((a, b) => a.trip.from.localeCompare(b.trip.from));
}

/** Days after a trip in which the garden is still gone over for it: our judgement. */
const STILL_BACK_DAYS = 4;

/** The trip that one is back from, the last that ended in the days before, today's among them. */
export function tripJustEnded({ trips, today, away }: Pick<HomeDays, "trips" | "today" | "away">): Trip | null {
  const isOver = (to: IsoDay) => to < today || (to === today && !away[0]);
  const ended = trips.filter((t) => isOver(t.to) && t.to >= addDays(today, -STILL_BACK_DAYS));
  return ended.sort((a, b) => a.to.localeCompare(b.to)).at(-1) ?? null;
}
