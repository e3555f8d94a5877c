import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { isFinishedHere, stopsWaiting } from "~/core/entries";
import { OutboxNote } from "~/ui/outbox/OutboxNote";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Action, Bar, Page } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { RoundOutView } from "~/views/round/round-view";
import type { WalkerAt } from "~/views/round/walker";
import { Footpath } from "./Footpath";
import { RoundStop } from "./RoundStop";
import { useAwake } from "./useAwake";
import { TimeShort } from "./TimeShort";
import { inShortOrder, useTimeShort, type ShortWalk } from "./useTimeShort";
import { OthersHere, stillOut } from "./OthersHere";
import { useOthers } from "./useOthers";

type Errand = RoundOutView["errands"][number];

/** A stop of the walk, as it stands with what waits on this phone. */
function withWaiting(errands: readonly Errand[], stops: ReturnType<typeof stopsWaiting>): Errand[] {
  return errands.map((errand) => {
    const stop = stops.get(errand.id);
    if (!stop) return errand;
    return { ...errand, done: stop.isDone, pickId: stop.pickId, outcome: stop.isDone && !stop.pickId ? "passed by" : null }; // prettier-ignore
  });
}

/** Where one stands on the walk, and what is done; done here counts also before the garden has heard of it. */
function useWalk(round: RoundOutView, half: number | null, short: ShortWalk | null) {
  const { send, problems, waitingEntries, isRead } = useOutbox();
  const [doneHere, setDoneHere] = useState<Record<string, boolean>>({});
  const rounds = useMemo(() => [round.roundId, ...round.joined], [round]);
  const stops = useMemo(() => stopsWaiting(waitingEntries, rounds), [waitingEntries, rounds]);
  const all = useMemo(() => withWaiting(round.errands, stops), [round, stops]);
  const errands = inShortOrder(half === null ? all : all.filter((e) => e.half === half), short);
  // What the garden refused is not done, whatever was tapped.
  const isRefused = (e: Errand) => problems.some(({ entry }) => entry.kind === "pick" && entry.plantingId === e.id && rounds.includes(String(entry.roundId))); // prettier-ignore
  const isDone = (e: Errand) => (doneHere[e.id] ?? e.done) && (e.done || !isRefused(e));
  // By name, not by place: the list may come anew from the garden's machine.
  const [atId, setAtId] = useState(() => errands.find((e) => !e.done)?.id ?? errands[0]?.id);
  const at = Math.max(0, errands.findIndex((e) => e.id === atId)); // prettier-ignore
  const goTo = (n: number) => setAtId(errands[n]?.id);
  // What waits is read once the page stands: one goes on where one was.
  const [isPlaced, setPlaced] = useState(false);
  if (isRead && !isPlaced) {
    setPlaced(true);
    if (stops.size > 0) setAtId(errands.find((e) => !e.done)?.id ?? errands.at(-1)?.id);
  }
  const mark = (e: Errand, done: boolean) => setDoneHere((before) => ({ ...before, [e.id]: done }));
  const next = () => goTo(Math.min(at + 1, errands.length - 1));
  return {
    at,
    goTo,
    goToStop: setAtId,
    next,
    isDone,
    mark,
    errands,
    all,
    left: errands.filter((e) => !isDone(e)),
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
  const [half, setHalf] = useHalf(round.roundId);
  const time = useTimeShort(round.roundId, round.bedMinutes);
  const walk = useWalk(round, half, time.short);
  const { at, left, isDone, errands } = walk;
  useAwake();
  const others = useOthers(errands[at]?.id);
  const next = useRef<HTMLButtonElement>(null);
  const log = useRef<HTMLDivElement>(null);
  // After a pick the way on is next; at the next stop, its log.
  const wasAt = useRef(at);
  useEffect(() => {
    if (wasAt.current === at) return;
    wasAt.current = at;
    log.current?.querySelector<HTMLElement>("[aria-label='Log a pick']")?.focus({ preventScroll: true });
    window.scrollTo({ top: 0 });
  }, [at]);
  const choose = (to: number | null) => {
    setHalf(to);
    const own = to === null ? walk.all : walk.all.filter((e) => e.half === to);
    walk.goToStop((own.find((e) => !isDone(e)) ?? own[0])?.id);
  };
  const current = errands[at];
  if (!current) return <EmptyRound round={round} />;
  const bedsLeft = left.filter((e, i) => i === 0 || e.bed !== left[i - 1]?.bed).length;
  const jobs = round.jobs.filter((job) =>
    errands.some((e) => (job.plantingId ? job.plantingId === e.id : job.bed === e.bed)),
  );
  const jobMinutes = jobs.reduce((sum, job) => sum + job.minutes, 0);
  const minutesLeft = Math.round(left.reduce((sum, e) => sum + e.minutes, bedsLeft * round.bedMinutes + jobMinutes));
  return (
    <Page padding={{ base: "10px 18px 16px", md: "18px 28px" }}>
      <Bar spread="yes">
        <span>
          <strong>
            {at + 1} of {errands.length}
          </strong>
          {" · "}
          {left.length === 0 ? "all done" : `${minutesLeft} min left`}
        </span>
        <OutboxNote />
      </Bar>
      <chakra.span srOnly aria-live="polite">
        {stopWords(at, errands)}
      </chakra.span>
      <Footpath errands={errands} at={at} isDone={isDone} onGo={walk.goTo} />
      <OthersHere others={others} plantingId={current.id} />
      <Box ref={log}>
        <RoundStop
          key={current.id}
          errand={current}
          done={isDone(current)}
          round={round}
          containers={containers}
          onDone={(done) => {
            walk.mark(current, done);
            if (done) next.current?.focus({ preventScroll: true });
          }}
          onTakeBack={(pickId) => walk.takeBack(current, pickId)}
        />
      </Box>
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
          ref={next}
          tone={isDone(current) && left.length > 0 ? "loud" : "quiet"}
          disabled={at >= errands.length - 1}
          onClick={walk.next}
        >
          Next →
        </Action>
      </Box>
      <TimeShort
        short={time.short}
        toCome={left}
        minutesLeft={minutesLeft}
        onShorten={(minutes) => walk.goToStop(time.shorten(left, minutes)?.taken[0])}
        onAgain={time.again}
      />
      {round.halves && <Halves halves={round.halves} half={half} onChoose={(to) => choose(to)} />}
      <FinishRound round={round} left={walk.all.filter((e) => !isDone(e)).length} others={others} />
    </Page>
  );
}

/** The stop as it is read out when one comes to it. */
function stopWords(at: number, errands: readonly Errand[]): string {
  const { name, bed, view } = errands[at]!;
  return `Now ${name}, ${bed}, ${at + 1} out of ${errands.length}. ${view?.verdict ?? ""}`;
}

/** Which stretch of the path this device walks; remembered while the round is out. */
function useHalf(roundId: string): [number | null, (half: number | null) => void] {
  const key = `half ${roundId}`;
  const [half, setHalf] = useState<number | null>(null);
  useEffect(() => {
    const kept = sessionStorage.getItem(key);
    if (kept === "0" || kept === "1") setHalf(Number(kept));
  }, [key]);
  const choose = (to: number | null) => {
    setHalf(to);
    sessionStorage.setItem(key, String(to));
  };
  return [half, choose];
}

/** The whole round, or one of the stretches that two share it by. */
function Halves({
  halves,
  half,
  onChoose,
}: {
  halves: NonNullable<RoundOutView["halves"]>;
  half: number | null;
  onChoose: (half: number | null) => void;
}) {
  const words = ({ beds, minutes }: { beds: string[]; minutes: number }) =>
    `${beds.length > 1 ? `${beds[0]} to ${beds.at(-1)}` : beds[0]} · ${minutes} min`;
  return (
    <Bar gap="8px" role="group" aria-label="Who walks what" margin="18px 0 0">
      {[null, 0, 1].map((to) => (
        <Action
          key={String(to)}
          tone={half === to ? "loud" : "quiet"}
          aria-pressed={half === to}
          onClick={() => onChoose(to)}
        >
          {to === null ? "All of it" : words(halves[to]!)}
        </Action>
      ))}
    </Bar>
  );
}

/** A round whose plantings are all gone: it can only be ended. */
function EmptyRound({ round }: { round: RoundOutView }) {
  return (
    <Page>
      <p>What this round set out for is no longer there.</p>
      <FinishRound round={round} left={0} others={[]} />
    </Page>
  );
}

const FINISHED = "Finished: kept on this phone, waits for signal.";

/** Ends the round; without signal the word is kept and sent later. */
function FinishRound({ round, left, others }: { round: RoundOutView; left: number; others: readonly WalkerAt[] }) {
  const { send, waitingEntries } = useOutbox();
  const { roundId } = round;
  const go = useNavigate();
  const [note, setNote] = useState<string | null>(null);
  if (isFinishedHere(waitingEntries, [roundId, ...round.joined])) return <chakra.p marginTop="18px" aria-live="polite">{FINISHED}</chakra.p>; // prettier-ignore
  const finish = async () => {
    const result = await send({ kind: "finish round", roundId }, "The round is finished");
    if (result.status === "saved") await go("/ledger");
    else setNote(result.status === "refused" ? result.sentence : FINISHED);
  };
  return (
    <Box marginTop="18px">
      <Action tone={left === 0 ? "loud" : "bare"} onClick={() => void finish()} width={left === 0 ? "100%" : "auto"}>
        {left === 0 ? "Finish the round" : `Finish early, ${left} not called at`}
      </Action>
      {others.length > 0 && <p>{stillOut(others)} Finished, it is over for all.</p>}
      {note && <p aria-live="polite">{note}</p>}
    </Box>
  );
}
