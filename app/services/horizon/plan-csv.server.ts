import Papa from "papaparse";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { plannedRounds } from "~/views/round/planned-walk";
import { plannedGarden } from "../garden/planned-garden.server";
import { jobsAhead } from "./jobs.server";

/** Its columns. */
export const PLAN_HEAD = ["day", "part_of_day", "what", "bed", "crop", "variety", "pieces", "grams", "minutes", "text"] as const; // prettier-ignore
type PlanRow = Record<(typeof PLAN_HEAD)[number], string | number>;

/** The rounds of the days ahead, bed after bed, and the jobs beside picking: SI units, dates as 2026-09-20. */
export function planCsv(db: Db, garden: GardenRow): string {
  const planned = plannedGarden(db, garden);
  const rows = [...walked(planned), ...jobs(planned)].sort((a, b) => String(a.day).localeCompare(String(b.day)));
  return `${Papa.unparse({ fields: [...PLAN_HEAD], data: rows }, { escapeFormulae: true })}\r\n`;
}

function walked(planned: Planned): PlanRow[] {
  return planned.outlook.days.flatMap((day, n) =>
    plannedRounds(planned, n).flatMap(({ slot, walk }) =>
      walk.stops.flatMap(({ bedName, errands }) =>
        errands.map((e): PlanRow => {
          const [pieces, grams] = e.doing === "pick" ? [tenth(e.pieces), Math.round(e.grams)] : ["", ""];
          return { day, part_of_day: slot ?? "", what: e.doing, bed: bedName, crop: e.crop.name, variety: e.variety, pieces, grams, minutes: tenth(e.minutes), text: "" }; // prettier-ignore
        }),
      ),
    ),
  );
}

function jobs(planned: Planned): PlanRow[] {
  return jobsAhead(planned).map(({ day, bed, plantingId, lead, text, minutes }): PlanRow => {
    const p = planned.outlook.plantings.find((x) => x.planting.id === plantingId);
    return { day, part_of_day: "", what: "job", bed, crop: p?.crop.name ?? "", variety: p?.planting.variety ?? "", pieces: "", grams: "", minutes: tenth(minutes), text: [`${lead}.`, text].filter(Boolean).join(" ") }; // prettier-ignore
  });
}

const tenth = (value: number) => Math.round(10 * value) / 10;
