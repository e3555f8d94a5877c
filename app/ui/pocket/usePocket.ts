import { useEffect, useState } from "react";
import type { KeepOutcome, PocketAsk } from "~/core/pocket";
import { keepPages } from "./keep-pages";

/** How often what is on the device is brought up to date while a page is open: our judgement. */
const EVERY_MS = 10 * 60_000;
/** With less room than this a device is as good as full: a garden of sixty plantings takes a few megabytes. Our judgement. */
const ROOM_BYTES = 20_000_000;

export interface Pocket {
  /** What became of keeping the garden; null before the first answer, and where the browser keeps nothing. */
  outcome: KeepOutcome | null;
  /** Little room is left on the device. */
  isFull: boolean;
  /** The browser may throw away what it keeps when the device runs short. */
  mayBeThrownAway: boolean;
}

/**
 * Keeps the garden on this device: its pages, so that they open without signal. What a browser may throw away it is asked
 * to keep. Nothing of it where the browser has no worker, or the address is not secure.
 *
 * @param build - of the page
 */
export function usePocket(build: string): Pocket {
  const [pocket, setPocket] = useState<Pocket>({ outcome: null, isFull: false, mayBeThrownAway: false });
  useEffect(() => {
    const workers: ServiceWorkerContainer | undefined = navigator.serviceWorker;
    if (!workers) return;
    let isOpen = true;
    const bring = async () => {
      const { active, waiting, installing } = await workers.ready;
      // Nothing more is asked of a worker that another is about to take over from: it would be kept from going.
      const outcome = active && !waiting && !installing ? await keepPages(active) : undefined;
      const [room, isKept] = await Promise.all([navigator.storage?.estimate?.(), navigator.storage?.persisted?.()]);
      const isFull = room?.quota !== undefined && room.usage !== undefined && room.quota - room.usage < ROOM_BYTES;
      if (isOpen) setPocket((before) => ({ outcome: outcome ?? before.outcome, isFull, mayBeThrownAway: isKept === false })); // prettier-ignore
    };
    const again = () => void bring().catch(() => undefined);
    // A new build's worker takes over as soon as it has brought the garden over, if this page is of that build.
    const offer = (worker: ServiceWorker | null) => worker?.postMessage({ ask: "take over", build } satisfies PocketAsk); // prettier-ignore
    const watch = (worker: ServiceWorker | null) => worker?.addEventListener("statechange", () => worker.state === "installed" && offer(worker)); // prettier-ignore
    const register = async () => {
      const registered = await workers.register("/worker.js");
      offer(registered.waiting);
      watch(registered.installing);
      registered.addEventListener("updatefound", () => watch(registered.installing));
    };
    void askToKeep();
    register().then(again, () => undefined);
    const timer = setInterval(again, EVERY_MS);
    window.addEventListener("online", again);
    workers.addEventListener("controllerchange", again);
    return () => {
      isOpen = false;
      clearInterval(timer);
      window.removeEventListener("online", again);
      workers.removeEventListener("controllerchange", again);
    };
  }, [build]);
  return pocket;
}

const ASKED = "asked to keep";

/** Asks the browser to keep what is here; once a visit, since some put the question to the gardener. */
async function askToKeep(): Promise<void> {
  if (sessionStorage.getItem(ASKED) || (await navigator.storage?.persisted?.())) return;
  sessionStorage.setItem(ASKED, "yes");
  await navigator.storage?.persist?.();
}
