import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Form } from "react-router";
import type { ContainerRow } from "~/db/schema.server";
import type { RoundView } from "~/services/round-view.server";
import { CuePanel } from "~/ui/check/CuePanel";
import { CheckLayout } from "~/ui/check/CheckLayout";
import { HowToTake, VerdictHead } from "~/ui/check/VerdictCard";
import { useLooks } from "~/ui/check/useLooks";
import { Action } from "~/ui/shell/Action";
import { LogPanel } from "./LogPanel";
import { OutboxNote } from "~/ui/outbox/OutboxNote";
import { useOutbox } from "~/ui/outbox/OutboxProvider";

type Out = Extract<RoundView, { status: "out" }>;
type Errand = Out["errands"][number];

/** The walk itself: one planting at a time in walking order, for one thumb. */
export function RoundWalk({ round, containers }: { round: Out; containers: ContainerRow[] }) {
  const outbox = useOutbox();
  // Done here and not yet known to the server: the walk goes on without signal.
  const [doneHere, setDoneHere] = useState<Record<string, boolean>>({});
  const isDone = (e: Errand) => doneHere[e.id] ?? e.done;
  const [at, setAt] = useState(() => Math.max(0, round.errands.findIndex((e) => !e.done))); // prettier-ignore
  const current = round.errands[Math.min(at, round.errands.length - 1)];
  const left = round.errands.filter((e) => !isDone(e));
  const bedsLeft = left.filter((e, i) => i === 0 || e.bed !== left[i - 1]?.bed).length;
  const minutesLeft = Math.round(left.reduce((sum, e) => sum + e.minutes, bedsLeft * round.bedMinutes));
  if (!current) return null;
  const next = () => setAt((i) => Math.min(i + 1, round.errands.length - 1));
  const passBy = (done: boolean) => {
    setDoneHere({ ...doneHere, [current.id]: done });
    void outbox.send("/picks", `${current.name}: passed by`, {
      intent: "pass by",
      roundId: round.roundId,
      plantingId: current.id,
      done: done ? "yes" : "no",
    });
    if (done) next();
  };
  const takeBack = (pickId: string) => {
    setDoneHere({ ...doneHere, [current.id]: false });
    void outbox.send("/picks", `Take back ${current.name}`, { intent: "take back", id: pickId });
  };
  return (
    <Box maxWidth="1080px" margin="0 auto" padding={{ base: "10px 18px 16px", md: "18px 28px" }}>
      <Box display="flex" justifyContent="space-between" gap="12px" flexWrap="wrap">
        <span>
          <strong>
            {at + 1} of {round.errands.length}
          </strong>
          {" · "}
          {left.length === 0 ? "all done" : `${minutesLeft} min left`}
        </span>
        <OutboxNote />
      </Box>
      <Footpath errands={round.errands} at={at} isDone={isDone} onGo={setAt} />
      <Stop
        key={current.id}
        errand={current}
        done={isDone(current)}
        round={round}
        containers={containers}
        onDone={() => setDoneHere({ ...doneHere, [current.id]: true })}
        onTakeBack={takeBack}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="10px" marginTop="14px">
        <Action disabled={at === 0} onClick={() => setAt(at - 1)}>
          ← Back
        </Action>
        {isDone(current) ? (
          <Action tone="bare" disabled={current.pickId !== null} onClick={() => passBy(false)}>
            {current.pickId ? "Logged" : "Not done"}
          </Action>
        ) : (
          <Action onClick={() => passBy(true)}>Pass by</Action>
        )}
        <Action
          tone={isDone(current) && left.length > 0 ? "loud" : "quiet"}
          disabled={at >= round.errands.length - 1}
          onClick={next}
        >
          Next →
        </Action>
      </Box>
      <Form method="post" style={{ marginTop: 18 }}>
        <input type="hidden" name="roundId" value={round.roundId} />
        <Action
          tone={left.length === 0 ? "loud" : "bare"}
          type="submit"
          name="intent"
          value="finish"
          width={left.length === 0 ? "100%" : "auto"}
        >
          {left.length === 0 ? "Finish the round" : `Finish early, ${left.length} not called at`}
        </Action>
      </Form>
    </Box>
  );
}

interface StopProps {
  errand: Errand;
  done: boolean;
  round: Out;
  containers: ContainerRow[];
  onDone: () => void;
  onTakeBack: (pickId: string) => void;
}

function Stop({ errand, done, round, containers, onDone, onTakeBack }: StopProps) {
  const { tapped, tap, count, pending, note } = useLooks(errand.id, round.day);
  const { view } = errand;
  return (
    <Box>
      <Box display="flex" flexWrap="wrap" alignItems="baseline" gap="0 12px" marginTop="6px">
        <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }}>{view?.crop ?? errand.name}</chakra.h1>
        <chakra.span color="soft">
          {errand.bed}
          {errand.part === "later" ? ", once dry" : ""}
          {view?.variety ? ` · ${view.variety}` : ""}
          {view && view.plants > 1 ? ` · ${view.plants} plants` : ""}
        </chakra.span>
      </Box>
      {done && (
        <chakra.p margin="6px 0" fontWeight="700">
          ✓ Done{errand.outcome ? `: ${errand.outcome}` : ""}{" "}
          {errand.pickId && (
            <Action size="small" tone="bare" onClick={() => onTakeBack(errand.pickId ?? "")}>
              Take it back
            </Action>
          )}
        </chakra.p>
      )}
      {view ? (
        <CheckLayout
          verdict={<VerdictHead view={view} pending={pending} />}
          cues={
            <>
              <CuePanel
                view={view}
                units={round.units}
                tapped={tapped}
                onTap={(...look) => void tap(...look)}
                onCount={count}
              />
              {note && <p>{note}</p>}
            </>
          }
          how={<HowToTake view={view} />}
          log={
            <LogPanel
              view={view}
              today={round.day}
              containers={containers}
              units={round.units}
              roundId={round.roundId}
              foot
              onLogged={onDone}
            />
          }
        />
      ) : (
        <p>All of it is in. This planting is finished.</p>
      )}
    </Box>
  );
}

/** The footpath across the top: a dot an errand, filled when done, large where you stand. */
function Footpath({
  errands,
  at,
  isDone,
  onGo,
}: {
  errands: Errand[];
  at: number;
  isDone: (e: Errand) => boolean;
  onGo: (i: number) => void;
}) {
  return (
    <Box
      as="ol"
      display="flex"
      overflowX="auto"
      padding="6px 0"
      margin="0"
      listStyleType="none"
      position="relative"
      aria-label="The walk"
    >
      {errands.map((e, i) => (
        <chakra.li
          key={e.id}
          flex="1 0 30px"
          display="grid"
          justifyItems="center"
          backgroundImage="linear-gradient(to right, var(--chakra-colors-plum) 40%, transparent 40%)"
          backgroundSize="8px 2px"
          backgroundRepeat="repeat-x"
          backgroundPosition="center"
        >
          <chakra.button
            type="button"
            aria-label={`${e.name}${isDone(e) ? ", done" : ""}`}
            aria-current={i === at ? "step" : undefined}
            onClick={() => onGo(i)}
            width="30px"
            height="40px"
            background="transparent"
            border="none"
            display="grid"
            placeItems="center"
            cursor="pointer"
          >
            <chakra.span
              borderRadius="50%"
              border="2px solid"
              borderColor={i === at ? "persimmonFill" : "plum"}
              background={i === at ? "persimmonFill" : isDone(e) ? "plum" : "paper"}
              width={i === at ? "22px" : "13px"}
              height={i === at ? "22px" : "13px"}
            />
          </chakra.button>
        </chakra.li>
      ))}
    </Box>
  );
}
