import type { IsoDay } from "~/core/calendar";
import type { DailyWeather } from "~/core/weather";

/** What a weather service or station must offer, real or simulated. */
export interface WeatherService {
  /** Said wherever its figures are shown. */
  name: string;
  /** Days already over, both ends included. */
  observed(from: IsoDay, to: IsoDay): DailyWeather[];
  /** The forecast issued on a day, that day included. */
  forecast(issuedOn: IsoDay): DailyWeather[];
}
