import type { Kept } from "~/core/pocket";
import type { Pocket } from "./usePocket";

/** Younger than this a page is as good as new: our judgement. */
export const NEW_MS = 3 * 60_000;

export interface PocketWords {
  /** What is here, how old it is, what waits. */
  short: [here: string, at: string, waits: string];
  /** The same in sentences, with what stands in the way. */
  long: string[];
  /** It has to be seen, not only found. */
  isTrouble: boolean;
}

const clock = (iso: string) => new Date(iso).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
const dayAndClock = (iso: string, now: number) => (now - Date.parse(iso) > 20 * 3_600_000 ? `${new Date(iso).toLocaleDateString("en-GB", { day: "numeric", month: "short" })} ${clock(iso)}` : clock(iso)); // prettier-ignore

/**
 * What is on the device, how old it is and what waits, in three words; null where the browser keeps nothing.
 *
 * @param servedAt - when the page that is shown came from the garden's machine
 * @param waits - entries that wait
 */
export function pocketWords(
  { outcome, isFull, mayBeThrownAway }: Pocket,
  servedAt: string,
  waits: number,
  now: number,
): PocketWords | null {
  if (!outcome || outcome.status === "not in") return null;
  const kept = outcome.what;
  const isWhole = kept !== null && kept.kept === kept.of;
  const isOld = now - Date.parse(servedAt) > NEW_MS;
  const isCutOff = outcome.status === "no signal";
  return {
    short: [
      isWhole ? "Kept" : kept ? "Partly kept" : "Not kept",
      dayAndClock(isOld || !kept ? servedAt : kept.at, now),
      waits > 0 ? `${waits} waiting` : "all sent",
    ],
    long: [
      hereIs(kept, now),
      isOld ? `What you see is as of ${dayAndClock(servedAt, now)}.` : "",
      isCutOff ? "The garden’s machine does not answer: you can go on, what you log waits here." : "",
      waits > 0 ? `${waits === 1 ? "One entry waits" : `${waits} entries wait`} for signal.` : "Nothing waits.",
      outcome.status === "another build" ? "The app was brought up to date: close it and open it again." : "",
      isFull || outcome.status === "no room" ? "This device is nearly full: make room, or without signal the garden may not open. What you log still goes out while there is signal." : "", // prettier-ignore
      mayBeThrownAway ? "The browser may throw this away when the device runs short. Put the app on the home screen to have it kept." : "", // prettier-ignore
    ].filter(Boolean),
    isTrouble: isFull || outcome.status === "no room" || (!isWhole && isCutOff),
  };
}

function hereIs(kept: Kept | null, now: number): string {
  if (!kept) return "Nothing of the garden is on this device yet.";
  const at = `brought up to date ${dayAndClock(kept.at, now)}`;
  if (kept.kept < kept.of) return `${kept.kept} of ${kept.of} pages of the garden are on this device, ${at}.`;
  return `The round, the beds and every planting that grows are on this device, ${at}.`;
}
