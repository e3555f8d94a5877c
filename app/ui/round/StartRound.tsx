import { useState } from "react";
import { useNavigate } from "react-router";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Action } from "~/ui/theme/parts";

/** Whether today's walk can be had without signal. */
const isInPocket = () => fetch("/round/walk.data").then((answer) => answer.ok, () => false); // prettier-ignore

/** Starts today's round and goes to it. */
export function StartRound({ children, ...look }: React.ComponentProps<typeof Action>) {
  const { send } = useOutbox();
  const go = useNavigate();
  const [note, setNote] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const start = async () => {
    setBusy(true);
    const result = await send({ kind: "start round", roundId: crypto.randomUUID() }, "Start of the round");
    setBusy(false);
    if (result.status === "saved") return void (await go("/round"));
    if (result.status === "refused") return setNote(result.sentence);
    if (await isInPocket()) await go("/round/walk");
    else setNote("No signal: the round starts when it is back.");
  };
  return (
    <>
      <Action tone="loud" disabled={busy} onClick={() => void start()} {...look}>
        {children}
      </Action>
      {note && <p aria-live="polite">{note}</p>}
    </>
  );
}
