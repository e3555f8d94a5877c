import { actsDue, type ActDue } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { actMarks, deleteActMark, putActMark, type ActMarkRow } from "~/db/beds/act-marks.server";
import type { Planned } from "~/views/planned";
import { jobsTold, type JobTold } from "~/views/sentences/acts-due";
import { todayOf } from "../garden/clock.server";
import { besideThePlan, plannedGarden } from "../garden/planned-garden.server";
import type { EditOutcome } from "./edit-plan.server";

const dueIn = ({ outlook, plan }: Planned, marks: readonly ActMarkRow[]): ActDue[] =>
  actsDue(outlook, plan.picks, marks);

/** Jobs beside picking that are due in the days ahead, and those that were marked today. */
export function jobsAhead(db: Db, planned: Planned): { due: JobTold[]; marked: (JobTold & { isSkipped: boolean })[] } {
  const marks = actMarks(db);
  const before = marks.filter((m) => m.day !== planned.today);
  const ofToday = new Map(marks.filter((m) => m.day === planned.today).map((m) => [m.key, m.isSkipped]));
  return {
    due: jobsTold(planned, dueIn(planned, marks)),
    marked: jobsTold(planned, dueIn(planned, before)).flatMap((job) => (ofToday.has(job.key) ? [{ ...job, isSkipped: ofToday.get(job.key)! }] : [])), // prettier-ignore
  };
}

/** Marks a job as done or left out; the plan stands. */
export function markJob(db: Db, row: GardenRow, key: string, isSkipped: boolean): EditOutcome {
  const planned = plannedGarden(db, row);
  const job = jobsTold(planned, dueIn(planned, actMarks(db))).find((j) => j.key === key);
  if (!job) return { status: "refused", sentence: "That is not due any more." };
  besideThePlan(db, () => putActMark(db, { key, day: todayOf(row), isSkipped, madeAt: new Date().toISOString() }));
  return { status: "noted", sentence: `${isSkipped ? "Left out" : "Done"}: ${job.lead}` };
}

/** Takes today's mark of a job back. */
export function unmarkJob(db: Db, row: GardenRow, key: string): EditOutcome {
  const wasThere = besideThePlan(db, () => deleteActMark(db, key, todayOf(row)));
  return wasThere ? { status: "noted", sentence: "It is due again." } : { status: "refused", sentence: "That was not marked today." }; // prettier-ignore
}
