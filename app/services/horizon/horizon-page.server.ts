import { planSheet, type PlanSheet } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { openRound } from "~/db/round/rounds.server";
import { horizonView } from "~/views/horizon/horizon-view";
import { oddDays } from "~/db/sky/weather.server";
import { gathered } from "~/views/sentences/acts-due";
import { actSentences } from "~/views/sentences/paying-acts";
import { unfitSentences, type GardenSentence } from "~/views/sentences/garden";
import { inUnits } from "~/views/words";
import { jobsAhead, jobsMarked } from "./jobs.server";
import { editsAtHand } from "./edit-plan.server";
import { noticesOf } from "../garden/household-crops.server";
import { asSolved } from "../garden/plan-garden.server";
import { adviceFor, plannedGarden } from "../garden/planned-garden.server";

/** The start page, but for what does not fit. */
export function horizonPage(db: Db, garden: GardenRow) {
  const planned = plannedGarden(db, garden);
  const jobs = jobsAhead(planned);
  const view = horizonView(planned, openRound(db) !== undefined, [...noticesOf(db), ...oddDaysTold(db)], jobs);
  return inUnits(
    {
      ...view,
      edits: editsAtHand(db, garden),
      // Looks of later days stand on the ridges.
      jobs: { due: gathered(jobs.filter((job) => !job.isLook || job.isToday)), marked: jobsMarked(planned) },
    },
    planned.units,
  );
}

/** The plan as one sheet, to be asked again elsewhere. */
export function sheetOf(db: Db, garden: GardenRow): PlanSheet {
  const { outlook, plan, near } = plannedGarden(db, garden);
  return planSheet(outlook, asSolved(plan), near);
}

/** What the plan of the start page has no time for, and which acts pay: it takes longer than the page may. */
export async function adviceOf(
  db: Db,
  garden: GardenRow,
): Promise<{ unfit: GardenSentence[]; acts: GardenSentence[] }> {
  // prettier-ignore
  const planned = plannedGarden(db, garden);
  const { losers, acts } = await adviceFor(db, planned);
  return inUnits({ unfit: unfitSentences(planned, losers), acts: actSentences(planned, acts) }, planned.units);
}

/** Days of the record that an earlier version let in and that cannot be. */
function oddDaysTold(db: Db): string[] {
  const odd = oddDays(db);
  if (odd === 0) return [];
  return [`${odd === 1 ? "One day" : `${odd} days`} of the weather record ${odd === 1 ? "has a year" : "have years"} that cannot be right: left aside.`]; // prettier-ignore
}
