import type { PlantingOutlook } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import { sayTemperature } from "../words";

/** A fact the verdict goes by, its value, and where it comes from. */
export type StandingLine = readonly [fact: string, value: string, standing: string];

/** The facts behind a verdict, with their standing. */
export function standingsOf({ crop, planting }: PlantingOutlook, units: UnitSystem): StandingLine[] {
  const { low, high } = planting.packet ?? crop.packet;
  const { baseC, upperC, calendar } = crop.degreeDays;
  const degrees = (celsius: number) => `${sayTemperature(celsius, units)}${units === "us" ? "F" : "C"}`;
  const { damageC, killC } = crop.cold;
  const cold =
    damageC === null ? "no cold" : `${degrees(damageC)}${killC === null ? "" : `, kills at ${degrees(killC)}`}`;
  return [
    ["Days to first pick", `${low}–${high}`, planting.packet ? "this planting’s packet" : crop.packet.standing.line],
    ["Good for", `${crop.windowDays.value} days`, crop.windowDays.standing.line],
    [
      "Heat counts from",
      calendar ? "every day alike" : `${degrees(baseC)} to ${degrees(upperC)}`,
      crop.degreeDays.standing.line,
    ],
    ["Cold harms at", cold, crop.cold.standing.line],
    ["How it is picked", crop.pick.tool, crop.pick.standing.line],
  ];
}
