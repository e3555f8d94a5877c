import path from "node:path";
import { Piscina } from "piscina";
import type { PlantingSheet } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { gardenNow } from "./clock.server";
import { cropsOf } from "./household-crops.server";
import { askedOf, type Advice } from "./plan-garden.server";
import type { SupposedPlan, Supposing } from "./plan-supposed.server";
import type { PlanAsked, PlanSent, SheetAsked, SupposedAsked } from "./plan.worker";

/** What a plan, or asking it again, may take: longer or more than this, and it is ended. Our judgement. */
const MOST_MS = 60_000;
const MOST_MB = 1024;

interface Thread {
  pool: Piscina;
  /** Aborted when the thread could not be started, or died. */
  gone: AbortController;
}
type Name = "planner" | "adviser";
const threads = new Map<Name, Thread>();

/** The thread could not be started, or fell: what it was to do may be done here. */
export class ThreadGone extends Error {}

/** It took too long, or more memory than there is: here it would too. */
const isTooMuch = (error: unknown) => (error as Error).name === "AbortError" || (error as { code?: string }).code === "ERR_WORKER_OUT_OF_MEMORY"; // prettier-ignore

/**
 * A thread that is kept: one plans and keeps what it has judged; another asks the planner again and writes out the
 * ledger, so that no plan waits for it.
 */
function thread(of: Name): Thread {
  const known = threads.get(of);
  if (known) return known;
  const pool = new Piscina({
    filename: path.resolve("app/services/garden/plan.thread.mjs"),
    execArgv: [],
    minThreads: 1,
    maxThreads: 1,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  });
  const gone = new AbortController();
  pool.on("error", (error) => {
    if (gone.signal.aborted) return;
    console.error(error);
    threads.delete(of);
    gone.abort();
    // Without an end it would try again without an end.
    void pool.destroy();
  });
  const made = { pool, gone };
  threads.set(of, made);
  return made;
}

/**
 * Does a task of `plan.worker.ts` in a thread.
 *
 * @throws {ThreadGone} when there is no thread to do it, or it fell; another error when it took too long or too much
 */
export async function inThread(
  of: Name,
  name: "plan" | "advice" | "planSupposed" | "ledgerPart" | "sheet",
  asked: object,
): Promise<unknown> {
  const { pool, gone } = thread(of);
  const abort = new AbortController();
  const end = () => abort.abort();
  const late = setTimeout(end, MOST_MS);
  gone.signal.addEventListener("abort", end);
  try {
    return await pool.run(asked, { name, signal: abort.signal });
  } catch (error) {
    if (isTooMuch(error) && !gone.signal.aborted) throw error;
    console.error(error);
    throw new ThreadGone("the thread is gone", { cause: error });
  } finally {
    clearTimeout(late);
    gone.signal.removeEventListener("abort", end);
  }
}

type Outlooks = Map<string, Planned["outlook"]["plantings"][number]>;
const held = new WeakMap<Db, { message: number; plantings: Outlooks }>();

/** Judges and plans a garden in its thread. What it has sent before it does not send again. */
export async function planApart(db: Db, row: GardenRow): Promise<Planned> {
  const before = held.get(db);
  const asked: PlanAsked = { file: db.$client.name, row, now: gardenNow(row).getTime(), has: before?.message ?? null };
  const sent = (await inThread("planner", "plan", asked)) as PlanSent;
  const crops = new Map(cropsOf(db).map((c) => [c.id, c]));
  const plantings = sent.plantings.flatMap((p) => {
    const crop = p.news && crops.get(p.news.planting.cropId);
    const outlook = p.news ? crop && { ...p.news, crop } : before?.plantings.get(p.id);
    return outlook ? [outlook] : [];
  });
  held.set(db, { message: sent.message, plantings: new Map(plantings.map((p) => [p.planting.id, p])) });
  return { ...sent.planned, outlook: { ...sent.planned.outlook, plantings } };
}

/** What one planting's verdict is worked out from, from the thread that judged it. */
export async function sheetApart(db: Db, row: GardenRow, plantingId: string): Promise<PlantingSheet | undefined> {
  const asked: SheetAsked = { file: db.$client.name, row, now: gardenNow(row).getTime(), plantingId };
  return (await inThread("planner", "sheet", asked)) as PlantingSheet | undefined;
}

/** What a plan cannot fit and which acts pay, found in a thread of its own. */
export async function adviceApart(planned: Planned): Promise<Advice> {
  return (await inThread("adviser", "advice", askedOf(planned))) as Advice;
}

/** Plans a garden as it would be, in the thread that asks again. */
export async function supposedApart(db: Db, row: GardenRow, asked: Supposing): Promise<SupposedPlan> {
  const of: SupposedAsked = { file: db.$client.name, row, now: gardenNow(row).getTime(), ...asked };
  return (await inThread("adviser", "planSupposed", of)) as SupposedPlan;
}
