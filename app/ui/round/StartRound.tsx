import { useState } from "react";
import { useNavigate } from "react-router";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Action } from "~/ui/theme/parts";

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
    if (result.status === "saved") await go("/round");
    else setNote(result.status === "refused" ? result.sentence : "No signal: the round starts when it is back.");
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
