import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { planAhead } from "./planned-garden.server";

/**
 * A page waits this long for its plan, ms, before it stands without it: our judgement. A page that comes in two parts
 * loses what is tapped in the moment between its coming and its waking, so that it is for a start that is slow only.
 */
const WAIT_MS = 4000;

/**
 * What a page is drawn from, once the garden is planned: at once where the plan is there or comes soon, else as a
 * promise that the page follows.
 */
export async function whenPlanned<T>(
  request: Request,
  db: Db,
  garden: GardenRow,
  page: () => T,
): Promise<{ page: T | Promise<T> }> {
  // prettier-ignore
  const coming = planAhead(db, garden).then(page);
  // A page that stands in the browser stays as it is until its news is there.
  if (request.headers.get("Sec-Fetch-Dest") === "empty") return { page: await coming };
  let late: NodeJS.Timeout | undefined;
  const waited = new Promise<void>((resolve) => (late = setTimeout(resolve, WAIT_MS)));
  // What fails later is told where it is awaited.
  coming.catch(() => undefined);
  try {
    const first = await Promise.race([coming.then((value) => ({ value })), waited]);
    return { page: first ? first.value : coming };
  } finally {
    clearTimeout(late);
  }
}
