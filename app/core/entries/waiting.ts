import type { Entry } from "./entry";
import { pairOf } from "./twins";

/** What waits on a device, in the order it was done. */
export type Waiting = readonly Entry[];

type Of<K extends Entry["kind"]> = Extract<Entry, { kind: K }>;
const isOf = <K extends Entry["kind"]>(kind: K) => (entry: Entry): entry is Of<K> => entry.kind === kind; // prettier-ignore

/** What waits of one stop of a round. */
export interface StopWaiting {
  isDone: boolean;
  /** The pick that closed it; null where it was passed by. */
  pickId: string | null;
}

/**
 * How the stops of a round stand by what waits, by planting; those that nothing is said of are left out. A pick closes
 * a stop until it is taken back; passing by closes and opens it.
 *
 * @param rounds - the round's number, and those of others that joined it
 */
export function stopsWaiting(waiting: Waiting, rounds: readonly string[]): ReadonlyMap<string, StopWaiting> {
  const stops = new Map<string, StopWaiting>();
  const plantingOfPick = new Map<string, string>();
  for (const entry of waiting) {
    if (entry.kind === "pick" && entry.roundId !== undefined && rounds.includes(entry.roundId)) {
      plantingOfPick.set(entry.id, entry.plantingId);
      stops.set(entry.plantingId, { isDone: true, pickId: entry.id });
    } else if (entry.kind === "pass by" && rounds.includes(entry.roundId)) {
      stops.set(entry.plantingId, { isDone: entry.done, pickId: null });
    } else if (entry.kind === "take back") {
      const plantingId = plantingOfPick.get(entry.target);
      if (plantingId) stops.set(plantingId, { isDone: entry.putBack, pickId: entry.putBack ? entry.target : null });
    }
  }
  return stops;
}

/** A round that was started here and has not been heard of; null where there is none, or it was finished here. */
export function roundWaiting(waiting: Waiting): string | null {
  const started = waiting.filter(isOf("start round")).at(-1);
  return started && !isFinishedHere(waiting, [started.roundId]) ? started.roundId : null;
}

/** Whether the word that a round is over waits. */
export const isFinishedHere = (waiting: Waiting, rounds: readonly string[]): boolean =>
  waiting.some((entry) => entry.kind === "finish round" && rounds.includes(entry.roundId));

/** What was seen of a planting and waits; of one cue the last answer. Shares stand side by side, and are all told. */
export function looksWaiting(waiting: Waiting, plantingId: string): Of<"look">[] {
  const looks = waiting.filter(isOf("look")).filter((look) => look.plantingId === plantingId);
  return looks.filter((look, n) => look.share !== undefined || !looks.some((other, m) => m > n && other.cueId === look.cueId)); // prettier-ignore
}

/** Jobs that were marked and wait, by key: done, left out, or due again. */
export function jobsWaiting(waiting: Waiting): ReadonlyMap<string, Of<"mark jobs">["as"]> {
  const marks = waiting.filter(isOf("mark jobs"));
  return new Map(marks.flatMap((mark) => mark.keys.map((key) => [key, mark.as] as const)));
}

/** Pairs of picks of which it was said here that both count, and picks taken back here: what is not asked any more. */
export function pairsWaiting(waiting: Waiting): (one: string, other: string) => boolean {
  const both = new Set(waiting.filter(isOf("both count")).map(({ picks }) => pairOf(...picks)));
  const back = new Set(waiting.filter(isOf("take back")).map(({ target }) => target));
  return (one, other) => both.has(pairOf(one, other)) || back.has(one) || back.has(other);
}
