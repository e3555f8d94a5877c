import { roundWaiting } from "~/core/entries";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

/** The round that this phone started and the garden has not heard of; null where there is none. */
export function useRoundHere(): { started: string | null; isKnown: boolean } {
  const { waitingEntries, isRead } = useOutbox();
  return { started: roundWaiting(waitingEntries), isKnown: isRead };
}
