import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { revisionOf } from "~/db/revision.server";
import type { Planned } from "~/views/planned";
import { gardenNow } from "./clock.server";
import { adviceOn, askedOf, planGarden, type Advice, type KeptPlan } from "./plan-garden.server";
import { ThreadGone, adviceApart, planApart } from "./planners.server";

/** What was worked out last of a garden. */
interface Kept extends KeptPlan {
  /** Of what state of the file, of which day and hour it was worked out. */
  of?: string;
  /** A plan that is being worked out in a thread. */
  coming?: { of: string; plan: Promise<void> };
  advice?: { of: Planned; found: Promise<Advice> };
}

const kept = new WeakMap<Db, Kept>();

function keptOf(db: Db): Kept {
  const known = kept.get(db) ?? { outlooks: { plantings: new Map() } };
  kept.set(db, known);
  return known;
}

/** Minutes in which a plan does not age: our judgement. */
const PART_MS = 10 * 60_000;

/** What a plan is worked out of: while it is the same, nothing is read again. */
const stateOf = (db: Db, row: GardenRow) => `${revisionOf(db)} ${Math.floor(gardenNow(row).getTime() / PART_MS)} ${JSON.stringify(row)}`; // prettier-ignore

/** How often a plan is asked for again that was overtaken by what was written meanwhile. */
const MOST_TRIES = 5;

/**
 * Has the garden judged and planned beside the requests, so that `plannedGarden` finds it; a garden that is in no file
 * is planned when it is asked for.
 *
 * @throws {Error} when the thread failed or took too long
 */
export async function planAhead(db: Db, row: GardenRow): Promise<void> {
  if (db.$client.memory) return;
  const known = keptOf(db);
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const of = stateOf(db, row);
    if (known.planned && known.of === of) return;
    if (known.coming?.of !== of) {
      const plan = planApart(db, row).then((planned) => {
        if (known.coming?.of !== of) return;
        known.planned = planned;
        known.of = of;
      });
      known.coming = { of, plan };
      const done = () => {
        if (known.coming?.plan === plan) delete known.coming;
      };
      plan.then(done, done);
    }
    try {
      await known.coming.plan;
    } catch (error) {
      // Where no thread can be had, it is planned when it is asked for.
      if (error instanceof ThreadGone) return;
      throw error;
    }
  }
}

/** Whether anything was planned of a garden since the start; one that is in no file is planned when it is asked for. */
export const isPlanKept = (db: Db): boolean => db.$client.memory || keptOf(db).planned !== undefined;

/** The garden judged and planned; what stands since the last time is not worked out again. */
export function plannedGarden(db: Db, row: GardenRow): Planned {
  const known = keptOf(db);
  const of = stateOf(db, row);
  if (known.planned && known.of === of) return known.planned;
  // Kept once all of it is there: what fails halfway is worked out again.
  const planned = planGarden(db, row, known);
  known.of = of;
  return planned;
}

/** Writes what no plan is made of: the plan that stands goes on standing, unless another process wrote meanwhile. */
export function besideThePlan<T>(db: Db, write: () => T): T {
  const known = keptOf(db);
  const before = revisionOf(db);
  const value = write();
  const after = revisionOf(db);
  const isOursAlone = before.split("/")[0] === after.split("/")[0];
  if (isOursAlone && known.of?.startsWith(`${before} `)) known.of = known.of.replace(before, after);
  return value;
}

/** What the plan cannot fit, what would save it and which acts pay; worked out beside the requests. */
export function adviceFor(db: Db, planned: Planned): Promise<Advice> {
  const known = keptOf(db);
  if (known.advice?.of !== planned) {
    const found = db.$client.memory
      ? Promise.resolve(adviceOn(askedOf(planned)))
      : adviceApart(planned).catch((error: unknown) => {
          if (error instanceof ThreadGone) return adviceOn(askedOf(planned));
          throw error;
        });
    known.advice = { of: planned, found };
    found.catch(() => {
      if (known.advice?.found === found) delete known.advice;
    });
  }
  return known.advice!.found;
}
