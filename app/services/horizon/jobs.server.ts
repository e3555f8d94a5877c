import type { IsoDay } from "~/core/calendar";
import type { Entry } from "~/core/entries";
import { actsDue } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { actMarks, deleteActMark, putActMark } from "~/db/beds/act-marks.server";
import type { Planned } from "~/views/planned";
import { gathered, jobsTold, type JobTold } from "~/views/sentences/acts-due";
import { applied, refused, type Applied } from "../entries/applied";
import { todayOf } from "../garden/clock.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { editRows, type EditOutcome } from "./edit-plan.server";

/** Jobs beside picking that are due in the days ahead, each by itself. */
export const jobsAhead = (planned: Planned): JobTold[] =>
  jobsTold(planned, actsDue(planned.outlook, planned.plan, planned.outlook.actMarks));

/** Those that were marked today, and how; they can be taken back. */
export function jobsMarked(planned: Planned): (JobTold & { isSkipped: boolean })[] {
  const { outlook, plan, today } = planned;
  const ofToday = new Map(outlook.actMarks.filter((m) => m.day === today).map((m) => [m.key, m.isSkipped]));
  const earlier = outlook.actMarks.filter((m) => m.day !== today);
  const before = jobsTold(planned, actsDue(outlook, plan, earlier, new Set(ofToday.keys())));
  const marked = (isSkipped: boolean) => gathered(before.filter((job) => ofToday.get(job.keys[0]!) === isSkipped)).map((job) => ({ ...job, isSkipped })); // prettier-ignore
  return [...marked(false), ...marked(true)];
}

/** Marks jobs as done or left out, all of them or none. */
export function markJobs(
  db: Db,
  row: GardenRow,
  keys: readonly string[],
  isSkipped: boolean,
  day = todayOf(row),
): EditOutcome {
  const due = jobsAhead(plannedGarden(db, row)).filter((job) => keys.includes(job.keys[0]!));
  if (due.length < keys.length) return { status: "refused", sentence: "That is not due any more." };
  const madeAt = new Date().toISOString();
  const words = gathered(due).map((job) => job.lead).join("; "); // prettier-ignore
  return editRows(db, { words: `${words}, ${isSkipped ? "left out" : "done"}`, until: todayOf(row) }, () => {
    for (const key of keys) putActMark(db, { key, day, isSkipped, madeAt });
    return { status: "noted", sentence: `${isSkipped ? "Left out" : "Done"}: ${words}` };
  });
}

/** Takes today's marks of jobs back. */
export function unmarkJobs(db: Db, row: GardenRow, keys: readonly string[]): EditOutcome {
  const today = todayOf(row);
  const words = jobsMarked(plannedGarden(db, row)).filter((job) => job.keys.some((key) => keys.includes(key))).map((job) => job.lead).join("; "); // prettier-ignore
  return editRows(db, { words: `${words}, due again`, until: today }, () => {
    const back = keys.filter((key) => deleteActMark(db, key, today)).length;
    return back > 0 ? { status: "noted", sentence: "It is due again." } : { status: "refused", sentence: "That was not marked today." }; // prettier-ignore
  });
}

/**
 * Takes what a device says of jobs, also later: what was marked meanwhile, or is over, stands in no one's way.
 *
 * @param day - on which it was done
 */
export function takeMarks(
  db: Db,
  row: GardenRow,
  { keys, as }: Extract<Entry, { kind: "mark jobs" }>,
  day: IsoDay,
): Applied {
  if (as === "due again") return (unmarkJobs(db, row, keys), applied);
  const isDue = new Set(jobsAhead(plannedGarden(db, row)).map((job) => job.keys[0]!));
  const isMarked = new Set(actMarks(db, day).map((mark) => mark.key));
  const [due, others] = [
    keys.filter((key) => isDue.has(key)),
    keys.filter((key) => !isDue.has(key) && !isMarked.has(key)),
  ];
  if (others.length > 0 && day >= todayOf(row)) return refused("That is not due any more.");
  if (due.length > 0) markJobs(db, row, due, as === "left out", day);
  return applied;
}
