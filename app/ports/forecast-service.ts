import type { DailyWeather, HourTold } from "~/core/weather";

/** A forecast as a service issues it, read and checked. */
export interface ForecastIssue {
  /** Instant of issue. */
  issuedAt: string;
  days: DailyWeather[];
  hours: HourTold[];
  /** Days and hours that were not believed, a sentence each. */
  leftOut: string[];
}

/** What a forecast service must offer, real or simulated. */
export interface ForecastService {
  /** Said wherever its figures are shown. */
  name: string;
  /**
   * The newest forecast.
   *
   * @param asOf - the garden's clock; a real service knows the time itself
   * @throws {WeatherUnreachable} when there is none to be had
   */
  newest(asOf: Date): Promise<ForecastIssue>;
}
