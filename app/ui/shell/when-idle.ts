/** At the latest after so long: our judgement. */
const LATEST_MS = 2000;

/** Does something once the page has nothing else to do; gives what takes it back. */
export function whenIdle(work: () => void): () => void {
  if (!("requestIdleCallback" in window)) {
    const timer = setTimeout(work, LATEST_MS);
    return () => clearTimeout(timer);
  }
  const handle = window.requestIdleCallback(work, { timeout: LATEST_MS });
  return () => window.cancelIdleCallback(handle);
}
