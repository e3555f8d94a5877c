import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { comesAgain, moveEdits, type DayEdit, type PickMove } from "~/core/garden";
import { Slot } from "~/core/hands";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { wantedFrom } from "~/db/beds/wanted-days.server";
import { todayOf } from "../garden/clock.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { editDays, redoEdit, undoEdit, type EditOutcome } from "./edit-plan.server";
import { Suppositions, keepSupposed } from "./what-if.server";

const Planting = z.object({ plantingId: z.string().min(1, "Which planting?") });
/** A part of a day as a form sends it. */
const SlotField = z.union([z.literal("").transform(() => null), Slot]).optional().default(null); // prettier-ignore

/** What the horizon can do with the plan. */
export const PlanAct = z.discriminatedUnion("intent", [
  Planting.extend({ intent: z.literal("move"), from: IsoDay, day: IsoDay, slot: SlotField }),
  Planting.extend({ intent: z.literal("rule out"), day: IsoDay }),
  Planting.extend({ intent: z.literal("leave free"), day: IsoDay }),
  z.object({ intent: z.literal("keep"), suppositions: Suppositions }),
  z.object({ intent: z.literal("undo") }),
  z.object({ intent: z.literal("redo") }),
]);
export type PlanAct = z.infer<typeof PlanAct>;

/** Does an act of the horizon. */
export function actOnPlan(db: Db, row: GardenRow, act: PlanAct): EditOutcome {
  switch (act.intent) {
    case "keep":
      return keepSupposed(db, row, act.suppositions);
    case "undo":
      return undoEdit(db, row);
    case "redo":
      return redoEdit(db, row);
    case "move":
      return editDays(db, row, movedDays(db, row, act));
    case "rule out":
    case "leave free":
      return editDays(db, row, [{ ...act, to: act.intent === "rule out" ? "not" : "free", slot: null }]);
  }
}

function movedDays(db: Db, row: GardenRow, { plantingId, from, day, slot }: PickMove): DayEdit[] {
  const p = plannedGarden(db, row).outlook.plantings.find((x) => x.planting.id === plantingId);
  const pickOn = wantedFrom(db, todayOf(row)).filter((w) => w.plantingId === plantingId && !w.isRuledOut);
  return moveEdits({ plantingId, pickOn }, p !== undefined && comesAgain(p), from, { day, slot });
}
