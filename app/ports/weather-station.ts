import type { StationReading } from "~/core/weather";

export interface StationReport {
  readings: StationReading[];
  /** Readings that cannot be read, a sentence each. */
  leftOut: string[];
}

/** What a weather station must offer, real or simulated. */
export interface WeatherStation {
  name: string;
  /**
   * Readings from an instant on, as often as the station takes them.
   *
   * @throws {WeatherUnreachable} when it does not answer
   */
  readings(from: Date, asOf: Date): Promise<StationReport>;
}
