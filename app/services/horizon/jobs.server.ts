import { actsDue, type ActDue } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { actMarks, deleteActMark, putActMark, type ActMarkRow } from "~/db/beds/act-marks.server";
import type { Planned } from "~/views/planned";
import { gathered, jobsTold, type JobTold } from "~/views/sentences/acts-due";
import { todayOf } from "../garden/clock.server";
import { besideThePlan, plannedGarden } from "../garden/planned-garden.server";
import type { EditOutcome } from "./edit-plan.server";

const dueIn = ({ outlook, plan }: Planned, marks: readonly ActMarkRow[]): ActDue[] =>
  actsDue(outlook, plan.picks, marks);

/** Jobs beside picking that are due in the days ahead, each by itself. */
export const jobsAhead = (db: Db, planned: Planned): JobTold[] => jobsTold(planned, dueIn(planned, actMarks(db)));

/** Those that were marked today, and how; they can be taken back. */
export function jobsMarked(db: Db, planned: Planned): (JobTold & { isSkipped: boolean })[] {
  const marks = actMarks(db);
  const ofToday = new Map(marks.filter((m) => m.day === planned.today).map((m) => [m.key, m.isSkipped]));
  const before = jobsTold(planned, dueIn(planned, marks.filter((m) => m.day !== planned.today))); // prettier-ignore
  const marked = (isSkipped: boolean) => gathered(before.filter((job) => ofToday.get(job.keys[0]!) === isSkipped)).map((job) => ({ ...job, isSkipped })); // prettier-ignore
  return [...marked(false), ...marked(true)];
}

/** Marks jobs as done or left out, all of them or none; the plan stands. */
export function markJobs(db: Db, row: GardenRow, keys: readonly string[], isSkipped: boolean): EditOutcome {
  const due = jobsAhead(db, plannedGarden(db, row)).filter((job) => keys.includes(job.keys[0]!));
  if (due.length < keys.length) return { status: "refused", sentence: "That is not due any more." };
  const [day, madeAt] = [todayOf(row), new Date().toISOString()];
  besideThePlan(db, () => db.transaction(() => keys.forEach((key) => putActMark(db, { key, day, isSkipped, madeAt }))));
  return { status: "noted", sentence: `${isSkipped ? "Left out" : "Done"}: ${gathered(due).map((job) => job.lead).join("; ")}` }; // prettier-ignore
}

/** Takes today's marks of jobs back. */
export function unmarkJobs(db: Db, row: GardenRow, keys: readonly string[]): EditOutcome {
  const back = besideThePlan(db, () => db.transaction(() => keys.filter((key) => deleteActMark(db, key, todayOf(row))).length)); // prettier-ignore
  return back > 0 ? { status: "noted", sentence: "It is due again." } : { status: "refused", sentence: "That was not marked today." }; // prettier-ignore
}
