import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { OutboxNote } from "~/ui/outbox/OutboxNote";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Action, Bar, Page } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { RoundOutView } from "~/views/round/round-view";
import { Footpath } from "./Footpath";
import { RoundStop } from "./RoundStop";

type Errand = RoundOutView["errands"][number];

/** Where one stands on the walk, and what is done; done here counts also before the garden has heard of it. */
function useWalk(round: RoundOutView) {
  const { send, problems } = useOutbox();
  const [doneHere, setDoneHere] = useState<Record<string, boolean>>({});
  const [at, setAt] = useState(() => Math.max(0, round.errands.findIndex((e) => !e.done))); // prettier-ignore
  // What the garden refused is not done, whatever was tapped.
  const isRefused = (e: Errand) => problems.some(({ entry }) => entry.kind === "pick" && entry.plantingId === e.id && entry.roundId === round.roundId); // prettier-ignore
  const isDone = (e: Errand) => (doneHere[e.id] ?? e.done) && (e.done || !isRefused(e));
  const mark = (e: Errand, done: boolean) => setDoneHere({ ...doneHere, [e.id]: done });
  const next = () => setAt((i) => Math.min(i + 1, round.errands.length - 1));
  return {
    at,
    goTo: setAt,
    next,
    isDone,
    mark,
    left: round.errands.filter((e) => !isDone(e)),
    passBy: (e: Errand, done: boolean) => {
      mark(e, done);
      void send({ kind: "pass by", roundId: round.roundId, plantingId: e.id, done }, `${e.name}: passed by`);
      if (done) next();
    },
    takeBack: (e: Errand, pickId: string) => {
      mark(e, false);
      void send({ kind: "take back", target: pickId }, `Take back ${e.name}`);
    },
  };
}

/** The walk itself: one planting at a time in walking order, for one thumb. */
export function RoundWalk({ round, containers }: { round: RoundOutView; containers: readonly ContainerToChoose[] }) {
  const walk = useWalk(round);
  const { at, left, isDone } = walk;
  const current = round.errands[Math.min(at, round.errands.length - 1)];
  if (!current) return <EmptyRound round={round} />;
  const bedsLeft = left.filter((e, i) => i === 0 || e.bed !== left[i - 1]?.bed).length;
  const minutesLeft = Math.round(left.reduce((sum, e) => sum + e.minutes, bedsLeft * round.bedMinutes));
  return (
    <Page padding={{ base: "10px 18px 16px", md: "18px 28px" }}>
      <Bar spread="yes">
        <span>
          <strong>
            {at + 1} of {round.errands.length}
          </strong>
          {" · "}
          {left.length === 0 ? "all done" : `${minutesLeft} min left`}
        </span>
        <OutboxNote />
      </Bar>
      <Footpath errands={round.errands} at={at} isDone={isDone} onGo={walk.goTo} />
      <RoundStop
        key={current.id}
        errand={current}
        done={isDone(current)}
        round={round}
        containers={containers}
        onDone={() => walk.mark(current, true)}
        onTakeBack={(pickId) => walk.takeBack(current, pickId)}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="10px" marginTop="14px">
        <Action disabled={at === 0} onClick={() => walk.goTo(at - 1)}>
          ← Back
        </Action>
        {isDone(current) ? (
          <Action tone="bare" disabled={current.pickId !== null} onClick={() => walk.passBy(current, false)}>
            {current.pickId ? "Logged" : "Not done"}
          </Action>
        ) : (
          <Action onClick={() => walk.passBy(current, true)}>Pass by</Action>
        )}
        <Action
          tone={isDone(current) && left.length > 0 ? "loud" : "quiet"}
          disabled={at >= round.errands.length - 1}
          onClick={walk.next}
        >
          Next →
        </Action>
      </Box>
      <FinishRound roundId={round.roundId} left={left.length} />
    </Page>
  );
}

/** A round whose plantings are all gone: it can only be ended. */
function EmptyRound({ round }: { round: RoundOutView }) {
  return (
    <Page>
      <p>What this round set out for is no longer there.</p>
      <FinishRound roundId={round.roundId} left={0} />
    </Page>
  );
}

/** Ends the round; without signal the word is kept and sent later. */
function FinishRound({ roundId, left }: { roundId: string; left: number }) {
  const { send } = useOutbox();
  const go = useNavigate();
  const [note, setNote] = useState<string | null>(null);
  const finish = async () => {
    const result = await send({ kind: "finish round", roundId }, "The round is finished");
    if (result.status === "saved") await go("/ledger");
    else setNote(result.status === "refused" ? result.sentence : "Finished: kept on this phone, waits for signal.");
  };
  return (
    <Box marginTop="18px">
      <Action tone={left === 0 ? "loud" : "bare"} onClick={() => void finish()} width={left === 0 ? "100%" : "auto"}>
        {left === 0 ? "Finish the round" : `Finish early, ${left} not called at`}
      </Action>
      {note && <p aria-live="polite">{note}</p>}
    </Box>
  );
}
