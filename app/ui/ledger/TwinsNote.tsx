import { Box, chakra } from "@chakra-ui/react";
import { pairsWaiting } from "~/core/entries";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Action, Bar, Page } from "~/ui/theme/parts";
import type { TwinAsked } from "~/views/ledger/twin-words";

/** Asks about picks that two phones logged of one planting within minutes: both count until somebody says. */
export function TwinsNote({ twins }: { twins: readonly TwinAsked[] }) {
  const { waitingEntries } = useOutbox();
  const isSaid = pairsWaiting(waitingEntries);
  const [asked, ...more] = twins.filter(({ picks: [a, b] }) => !isSaid(a.id, b.id));
  if (!asked) return null;
  return <Twin key={asked.picks.map((p) => p.id).join()} asked={asked} more={more.length} />;
}

function Twin({ asked: { what, picks, isAlike }, more }: { asked: TwinAsked; more: number }) {
  const { send } = useOutbox();
  const [first, second] = picks;
  const drop = (one: typeof first) => void send({ kind: "take back", target: one.id }, `Taken back, logged twice: ${what}`); // prettier-ignore
  return (
    <Page paddingBlock="10px 0">
      <Box
        role="group"
        aria-label={`Logged from two phones: ${what}`}
        border="2px dashed"
        borderColor="plum"
        borderRadius="10px"
        padding="10px 14px"
        maxWidth="720px"
      >
        <chakra.p margin="0">
          <strong>{what}: logged from two phones.</strong> {first.words}; {second.words}. Both count so far.
        </chakra.p>
        <Bar gap="8px" marginTop="8px">
          <Action
            onClick={() => void send({ kind: "both count", picks: [first.id, second.id] }, `${what}: both count`)}
          >
            Two pickings
          </Action>
          <Action onClick={() => drop(second)}>{isAlike ? "One picking" : `One: ${first.keeps}`}</Action>
          {!isAlike && <Action onClick={() => drop(first)}>One: {second.keeps}</Action>}
        </Bar>
        {more > 0 && <chakra.p margin="8px 0 0">{more === 1 ? "One more" : `${more} more`} after this.</chakra.p>}
      </Box>
    </Page>
  );
}
