import { addDays, type IsoDay } from "~/core/calendar";
import { FREEZE_CLASSES } from "~/core/hazards";
import { yearTurnOn } from "~/core/seasons";
import {
  errorAt,
  frostDates,
  heatSoFar,
  monthlyDegreeDays,
  type DailyWeather,
  type DateOdds,
  type ForecastError,
} from "~/core/weather";
import type { Planned } from "../planned";
import { usualFrost } from "../sentences/usual-frost";
import { dayAndMonth } from "../words";

/** What the household's own record and its archive of forecasts tell. */
export interface ClimateRecord {
  observed: readonly DailyWeather[];
  from: IsoDay | null;
  to: IsoDay | null;
  error: ForecastError;
  /** Days on which a forecast was issued. */
  issues: number;
}

/** Leads whose measured error is told, days. */
const TOLD_LEADS = [1, 3, 5, 7, 10];
/** Bases of the heat sums shown, °C: cool-season and warm-season crops (common practice). */
const HEAT_BASES = [5, 10];

/** The climate of the place: the record, frost dates, heat, and how far forecasts have missed. */
export function climateView(
  { outlook, today }: Planned,
  { observed, from, to, error, issues }: ClimateRecord,
  latitude: number,
) {
  // prettier-ignore
  const turn = yearTurnOn(today, latitude);
  return {
    days: observed.length,
    from,
    to,
    normalYears: outlook.normalYears,
    issues,
    usualFrost: usualFrost(outlook.normals, latitude),
    pairs: error.pairs,
    errors: TOLD_LEADS.map((lead) => {
      const { pairs, minC, maxC } = errorAt(error, lead);
      return { lead, pairs, lowBias: minC.bias, low: minC.spread, high: maxC.spread };
    }),
    frost: [FREEZE_CLASSES.light, FREEZE_CLASSES.moderate].map((limitC) => {
      const { last, first } = frostDates(observed, limitC, latitude);
      return {
        limitC,
        last: sayDates(last),
        first: sayDates(first),
        seasons: Math.max(last.seasons, first.seasons),
      };
    }),
    heat: HEAT_BASES.map((base) => {
      const { sum, usual, daysAhead, observedDays } = heatSoFar(observed, outlook.normals, turn, today, base);
      const months = monthlyDegreeDays(outlook.normals, base).map(Math.round);
      return { base, sum: Math.round(sum), usual: Math.round(usual), daysAhead: Math.round(daysAhead), observedDays, months }; // prettier-ignore
    }),
    yesterday: addDays(today, -1),
  };
}

/** A year that is no leap year, to write dates of any year in. */
const ANY_YEAR = "2025";

/** "29 Sep", "16 Oct" …; null where too few years have seen it. */
function sayDates({ p10, p50, p90, seasons, without }: DateOdds) {
  const say = (date: string | null) => (date ? dayAndMonth(`${ANY_YEAR}-${date}`, ANY_YEAR) : null);
  return { p10: say(p10), p50: say(p50), p90: say(p90), seasons, without };
}
