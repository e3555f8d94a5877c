import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { awaySheet } from "~/views/ahead/away-sheet";
import { backSheet } from "~/views/ahead/back-sheet";
import { frostSheet } from "~/views/ahead/frost-sheet";
import { helperSheet } from "~/views/ahead/helper-sheet";
import { paperPlan } from "~/views/ahead/paper-plan";
import { inUnits } from "~/views/words";
import { plannedGarden } from "../garden/planned-garden.server";

/** What a page of the days ahead is about; null where there is nothing of it. */
const page =
  <S>(sheet: (planned: ReturnType<typeof plannedGarden>, on?: string) => S | undefined) =>
  (db: Db, garden: GardenRow, on?: string): S | null => {
    const made = sheet(plannedGarden(db, garden), on);
    return made === undefined ? null : inUnits(made, garden.unitSystem);
  };

/** Before the frost, by its evening. */
export const frostPage = page(frostSheet);
/** Before going away, by the first day of the trip. */
export const awayPage = page(awaySheet);
/** Back again. */
export const backPage = page(backSheet);
/** The helper's sheet, by the first day of the trip. */
export const helperPage = page(helperSheet);

/** The plan of the coming days, for paper. */
export const paperPlanPage = (db: Db, garden: GardenRow) =>
  inUnits(paperPlan(plannedGarden(db, garden), garden), garden.unitSystem);
