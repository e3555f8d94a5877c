import path from "node:path";
import { Piscina } from "piscina";
import type { CalendarReading } from "./calendar-ics.server";
import type { CalendarAsked, ReadTasks } from "./read-files.worker";

/** What a file may take: longer or more than this, and its reading is ended. Our judgement. */
const MOST_MS = 10_000;
const MOST_MB = 512;
/** An event whose turns take longer than this has a rule without end. */
const EVENT_MS = 600;
const LOOK_MS = 50;
const MOST_ENDLESS = 3;

let pool: Piscina | undefined;

/** Threads that read files, made when the first is needed and kept. */
function readers(): Piscina {
  if (pool) return pool;
  const made = new Piscina({
    filename: path.resolve("app/adapters/read-files.thread.mjs"),
    execArgv: [],
    // Two, so that one stands ready when the other is ended.
    minThreads: 2,
    maxThreads: 2,
    maxQueue: 20,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  });
  // A thread that cannot start takes nobody with it, and is not tried again without an end: whoever waits is answered,
  // the next file starts others.
  made.on("error", (error) => {
    if (pool !== made) return;
    console.error(error);
    pool = undefined;
    void made.destroy();
  });
  return (pool = made);
}

/** Has the threads ready before a file comes: starting them takes longer than most files. */
export function warmReaders(): void {
  readers();
}

/** Why a reading was ended, in a sentence. */
export class ReadingEnded extends Error {}

function ended(error: unknown): ReadingEnded {
  const { name, code, message } = error as Error & { code?: string };
  if (name === "AbortError") return new ReadingEnded("Reading it took too long, so nothing was taken: send a shorter stretch of time."); // prettier-ignore
  if (code === "ERR_WORKER_OUT_OF_MEMORY") return new ReadingEnded("It asks for more memory than there is, so nothing was taken: send a shorter stretch of time."); // prettier-ignore
  if (/queue/i.test(message)) return new ReadingEnded("Several files are being read just now: send it again in a minute."); // prettier-ignore
  console.error(error);
  return new ReadingEnded("It could not be read, so nothing was taken.");
}

/**
 * Reads a stranger's file in a thread of its own, within bounds of time and memory: nothing in it can keep the garden
 * from answering.
 *
 * @throws {ReadingEnded} with a sentence, when it took too long or too much
 */
export async function readApart<T extends keyof ReadTasks>(
  task: T,
  asked: Parameters<ReadTasks[T]>[0],
): Promise<ReturnType<ReadTasks[T]>> {
  try {
    return (await readers().run(asked, { name: task, signal: AbortSignal.timeout(MOST_MS) })) as ReturnType<ReadTasks[T]>; // prettier-ignore
  } catch (error) {
    throw ended(error);
  }
}

/** Ends a reading that stays at one event for too long. */
function watched(at: SharedArrayBuffer): { signal: AbortSignal; stop: () => void } {
  const place = new Int32Array(at);
  const abort = new AbortController();
  const start = performance.now();
  let [event, since] = [0, start];
  const look = setInterval(() => {
    const now = Atomics.load(place, 0);
    if (now !== event) [event, since] = [now, performance.now()];
    if ((event > 0 && performance.now() - since > EVENT_MS) || performance.now() - start > MOST_MS) abort.abort();
  }, LOOK_MS);
  return { signal: abort.signal, stop: () => clearInterval(look) };
}

/**
 * Reads a calendar in a thread of its own. An event whose rule never comes to an end is left out and said; the others
 * are read.
 */
export async function readCalendarApart(text: string, timeZone: string, today: string): Promise<CalendarReading> {
  const endless: number[] = [];
  for (;;) {
    const at = new SharedArrayBuffer(4);
    const { signal, stop } = watched(at);
    try {
      return (await readers().run({ text, timeZone, today, endless, at } satisfies CalendarAsked, { name: "calendar", signal })) as CalendarReading; // prettier-ignore
    } catch (error) {
      const event = Atomics.load(new Int32Array(at), 0);
      const stuck = (error as Error).name === "AbortError" && event > 0;
      if (!stuck || endless.length >= MOST_ENDLESS) return { status: "refused", sentence: ended(error).message };
      endless.push(event);
    } finally {
      stop();
    }
  }
}
