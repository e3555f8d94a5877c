import { groupBy } from "es-toolkit";
import { rowLengthIn } from "~/core/units";
import type { Db } from "~/db/client.server";
import { allBeds } from "~/db/beds/beds.server";
import { plantingsSince, type PlantingRow } from "~/db/beds/plantings.server";
import { seasonsWithEnds } from "~/db/beds/seasons.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";

/**
 * Last year's plan as lines to look through: each crop of a year that began then, on the same day of this year; without
 * a day where that is still to come, so that it is asked.
 */
export function lastYearsLines(db: Db, garden: GardenRow): string {
  const today = todayOf(garden);
  const last = String(Number(today.slice(0, 4)) - 1);
  const crops = new Map(cropsOf(db).map((c) => [c.id, c]));
  const plantings = plantingsSince(db, `${last}-01-01`);
  const seasons = groupBy(seasonsWithEnds(db, plantings), (s) => s.plantingId);
  return allBeds(db)
    .map((bed) => {
      const lines = plantings.filter((p) => p.bedId === bed.id).flatMap((p) => {
        const crop = crops.get(p.cropId);
        const first = seasons[p.id]?.[0];
        if (!crop || crop.perennial || !first?.startedOn.startsWith(last)) return [];
        const day = `${today.slice(0, 4)}${first.startedOn.slice(4)}`;
        const start = day <= today && first.startedOn.slice(5) !== "02-29" ? `, ${first.startEvent} ${day}` : "";
        return `${stood(p, garden)} ${[p.variety, spoken(crop.name)].filter(Boolean).join(" ")}${start}`;
      }); // prettier-ignore
      return lines.length > 0 ? [`${bed.name}:`, ...lines].join("\n") : "";
    })
    .filter(Boolean)
    .join("\n");
}

const stood = ({ plants, lengthM }: PlantingRow, { unitSystem }: GardenRow) =>
  lengthM === null ? String(plants) : `${rowLengthIn(lengthM, unitSystem)} ${unitSystem === "us" ? "ft" : "m"} of`;

/** "Bean, purple" as it is said: "purple Bean". */
function spoken(name: string): string {
  const [noun, ...rest] = name.split(", ");
  return [...rest, noun].join(" ");
}
