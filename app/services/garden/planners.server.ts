import path from "node:path";
import { Piscina } from "piscina";
import type { Loser } from "~/core/planner";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { Planned } from "~/views/planned";
import { gardenNow } from "./clock.server";
import { cropsOf } from "./household-crops.server";
import type { LosersAsked, PlanAsked, PlanSent } from "./plan.worker";

/** What a plan, or asking it again, may take: longer or more than this, and it is ended. Our judgement. */
const MOST_MS = 60_000;
const MOST_MB = 1024;

const pools: Partial<Record<"planner" | "adviser", Piscina>> = {};

/**
 * A thread that is kept: one plans and keeps what it has judged; another asks the planner again, so that no plan waits
 * for it.
 */
function thread(of: keyof typeof pools): Piscina {
  const pool = (pools[of] ??= new Piscina({
    filename: path.resolve("app/services/garden/plan.thread.mjs"),
    execArgv: [],
    minThreads: 1,
    maxThreads: 1,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  }).on("error", (error) => console.error(error)));
  return pool;
}

type Outlooks = Map<string, Planned["outlook"]["plantings"][number]>;
const held = new WeakMap<Db, { message: number; plantings: Outlooks }>();

/** Judges and plans a garden in its thread. What it has sent before it does not send again. */
export async function planApart(db: Db, row: GardenRow): Promise<Planned> {
  const before = held.get(db);
  const asked: PlanAsked = { file: db.$client.name, row, now: gardenNow(row).getTime(), has: before?.message ?? null };
  const sent = (await thread("planner").run(asked, { name: "plan", signal: AbortSignal.timeout(MOST_MS) })) as PlanSent;
  const crops = new Map(cropsOf(db).map((c) => [c.id, c]));
  const plantings = sent.plantings.flatMap((p) => {
    const crop = p.news && crops.get(p.news.planting.cropId);
    const outlook = p.news ? crop && { ...p.news, crop } : before?.plantings.get(p.id);
    return outlook ? [outlook] : [];
  });
  held.set(db, { message: sent.message, plantings: new Map(plantings.map((p) => [p.planting.id, p])) });
  return { ...sent.planned, outlook: { ...sent.planned.outlook, plantings } };
}

/** What a plan cannot fit, found in a thread of its own. */
export async function losersApart({ outlook: { problem }, plan }: Planned): Promise<Loser[]> {
  const asked: LosersAsked = { outlook: { problem }, plan };
  return (await thread("adviser").run(asked, { name: "losers", signal: AbortSignal.timeout(MOST_MS) })) as Loser[];
}
