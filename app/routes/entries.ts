import type { Route } from "./+types/entries";
import { readyForEntries, takeEntries } from "~/services/entries/take-entries.server";
import { personAt } from "~/services/access/people.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

/** More than this is no batch of entries, bytes. */
const MOST_BYTES = 1_000_000;
const refuse = (sentence: string, status: number) => Response.json({ sentence }, { status });

/** Where a device sends what was done in the garden, also later; each entry is applied once and answered. */
export const action = wholeOrTold(async ({ request, context: { knock } }: Route.ActionArgs) => {
  if (Number(request.headers.get("Content-Length") ?? 0) > MOST_BYTES)
    return refuse("Too much at once: send fewer entries.", 413);
  const body = await request.text();
  if (body.length > MOST_BYTES) return refuse("Too much at once: send fewer entries.", 413);
  let batch: unknown;
  try {
    batch = JSON.parse(body);
  } catch {
    return refuse("Entries are sent as JSON.", 400);
  }
  const { db, garden } = knownGarden();
  await readyForEntries(db, garden, batch);
  const outcome = takeEntries(db, batch, personAt(db, knock));
  if (outcome.status === "no batch") return refuse("Send entries as a list of at most 200.", 400);
  return Response.json({ answers: outcome.answers });
});
