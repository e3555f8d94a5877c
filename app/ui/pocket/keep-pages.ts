import type { KeepOutcome, PocketAsk } from "~/core/pocket";

/** The worker keeps each page within this, or it is asked again the next time. */
const PATIENCE_MS = 120_000;

/** Has the worker keep the garden's pages as they stand; undefined where it says nothing in time. */
export function keepPages(worker: ServiceWorker): Promise<KeepOutcome | undefined> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    const late = setTimeout(() => resolve(undefined), PATIENCE_MS);
    port1.onmessage = ({ data }) => {
      clearTimeout(late);
      resolve(data as KeepOutcome);
    };
    worker.postMessage({ ask: "keep" } satisfies PocketAsk, [port2]);
  });
}
