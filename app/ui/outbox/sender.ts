import { EntryAnswers, type EntryAnswer } from "~/core/entries";
import type { EntryStore, KeptEntry } from "./kept-entry";

const PATIENCE_MS = 8000;
/** Entries of one sending: a few, so that a slow line still gets an answer in time. */
const AT_ONCE = 40;
const LOCK = "akmedon-sender";

/** One sender at a time, whatever tabs are open; where the browser has no locks, one in this tab. */
let inThisTab: Promise<unknown> = Promise.resolve();
function alone<T>(work: () => Promise<T>): Promise<T> {
  if (typeof navigator !== "undefined" && "locks" in navigator)
    return navigator.locks.request(LOCK, work) as Promise<T>;
  const run = inThisTab.then(work, work);
  inThisTab = run.catch(() => undefined);
  return run;
}

/**
 * Sends what waits, in order, and settles what was answered: applied entries leave the device, refused ones stay with
 * their sentence, the others wait on.
 *
 * @param hear - told why the garden could not take an entry now, where it says so
 * @returns how many were settled
 */
export function sendWaiting(store: EntryStore, hear: (why: string) => void = () => undefined): Promise<number> {
  return alone(async () => {
    let settled = 0;
    const waiting = (await store.all()).filter((e) => e.problem === null);
    for (let from = 0; from < waiting.length; from += AT_ONCE) {
      const answers = await post(waiting.slice(from, from + AT_ONCE));
      if (!answers) return settled;
      for (const answer of answers) {
        settled += await settle(store, answer);
        if (answer.status === "not now" && answer.why) hear(answer.why);
      }
    }
    return settled;
  });
}

async function settle(store: EntryStore, answer: EntryAnswer): Promise<number> {
  if (answer.status === "not now") return 0;
  if (answer.status === "applied") await store.remove(answer.id);
  else await store.refuse(answer.id, { sentence: answer.sentence, fields: answer.fields });
  return 1;
}

/** Sends a batch; whatever is not a clear answer counts as no signal. */
async function post(batch: readonly KeptEntry[]): Promise<EntryAnswer[] | undefined> {
  try {
    const response = await fetch("/entries", {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ entries: batch.map((e) => e.entry) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    return EntryAnswers.parse(await response.json()).answers;
  } catch {
    return undefined;
  }
}
