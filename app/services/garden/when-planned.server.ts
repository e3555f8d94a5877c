import { data } from "react-router";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { isPlanKept, planAhead } from "./planned-garden.server";

/** How long a page that is opened waits for the first plan of a start: our judgement. */
const PATIENCE_MS = 400;
/** What a page answers that stands without its plan and follows on. */
const STANDS_WITHOUT = 202;

/** A page that a browser opens; what a page that stands already asks for is not. */
const isOpened = (request: Request) => request.method === "GET" && request.headers.get("Sec-Fetch-Mode") === "navigate";

async function isWithin(work: Promise<void>, ms: number): Promise<boolean> {
  let late: NodeJS.Timeout | undefined;
  const patience = new Promise<boolean>((resolve) => {
    late = setTimeout(() => resolve(false), ms);
  });
  try {
    return await Promise.race([work.then(() => true), patience]);
  } finally {
    clearTimeout(late);
  }
}

/**
 * What a page is drawn from, once the garden is planned; other requests are answered meanwhile.
 *
 * @throws {Response} 202 where a page is opened before the first plan of a start is there: it stands without, and asks
 *   again by itself
 */
export async function whenPlanned<T>(request: Request, db: Db, garden: GardenRow, page: () => T): Promise<T> {
  const plan = planAhead(db, garden);
  if (isOpened(request) && !isPlanKept(db) && !(await isWithin(plan, PATIENCE_MS))) {
    // Whoever asks again hears what became of it.
    plan.catch(() => undefined);
    throw data(null, { status: STANDS_WITHOUT });
  }
  await plan;
  return page();
}
