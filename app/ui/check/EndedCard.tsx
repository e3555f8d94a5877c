import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { EntryBody } from "~/core/entries";
import type { UnitSystem } from "~/core/units";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { CuePanel } from "./CuePanel";
import { useLooks } from "./useLooks";
import { LogPanel } from "~/ui/round/LogPanel";
import { Action, ActionLink, Bar, Quiet } from "~/ui/theme/parts";
import type { EndedView } from "~/views/check/ended-view";
import type { ContainerToChoose } from "~/views/ledger/container-words";

interface EndedCardProps {
  ended: EndedView;
  today: string;
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
  roundId: string | null;
}

/** All of it is in, or the season is over: undo, a further crate, the plant's next crop, or the end. */
export function EndedCard({ ended, today, containers, units, roundId }: EndedCardProps) {
  const [crate, setCrate] = useState(false);
  return (
    <Box display="grid" gap="14px" maxWidth="640px">
      <chakra.p margin="0" fontSize="1.2rem" data-testid="ended">
        <strong>{ended.says}</strong>
        {ended.amount ? ` ${ended.amount}.` : ""}
      </chakra.p>
      {ended.lifted && <WhatLies ended={ended} lifted={ended.lifted} units={units} />}
      <Quiet>{ended.after}</Quiet>
      <Bar>
        <UndoEnd ended={ended} />
        <Action onClick={() => setCrate(!crate)} aria-expanded={crate}>
          A further crate
        </Action>
        {ended.undo && (
          <ActionLink href={ended.undo.lotPage} tone="bare">
            What becomes of it
          </ActionLink>
        )}
      </Bar>
      {crate && <LogPanel view={ended} today={today} containers={containers} units={units} roundId={roundId} />}
      {!ended.bedFree && <WhatFollows ended={ended} />}
    </Box>
  );
}

interface WhatLiesProps {
  ended: EndedView;
  lifted: NonNullable<EndedView["lifted"]>;
  units: UnitSystem;
}

/** What to do with what was lifted: cure on, store, use first; its cues are read like those of what stands. */
function WhatLies({ ended, lifted, units }: WhatLiesProps) {
  const { tapped, tap, count, pending, note } = useLooks(ended.id, ended.crop);
  return (
    <Box display="grid" gap="14px">
      <chakra.p
        aria-live="polite"
        data-testid="lifted"
        fontFamily="heading"
        fontSize="1.4rem"
        fontWeight="600"
        lineHeight="1.2"
        margin="0"
        color={lifted.urgent ? "persimmon" : "ink"}
        opacity={pending ? 0.6 : 1}
      >
        {lifted.says}
      </chakra.p>
      <CuePanel view={lifted} units={units} tapped={tapped} onTap={(...look) => void tap(...look)} onCount={count} />
      {note && <p>{note}</p>}
    </Box>
  );
}

/** Takes back what ended it: the pick that took all of it, or the gardener's own word. */
function UndoEnd({ ended }: { ended: EndedView }) {
  const { send } = useOutbox();
  const fetcher = useFetcher();
  const { undo } = ended;
  if (undo)
    return (
      <Action onClick={() => void send({ kind: "take back", target: undo.pickId }, `Take back ${ended.crop}`)}>
        Undo
      </Action>
    );
  return (
    <fetcher.Form method="post" action={`/plantings/${ended.id}`}>
      <Action name="intent" value="reopen">
        It still grows
      </Action>
    </fetcher.Form>
  );
}

function WhatFollows({ ended }: { ended: EndedView }) {
  const { send } = useOutbox();
  const [note, setNote] = useState<string | null>(null);
  const say = async (body: EntryBody, words: string) => {
    const result = await send(body, words);
    setNote(
      result.status === "refused" ? result.sentence : result.status === "saved" ? null : "Kept, waits for signal.",
    );
  };
  return (
    <Box>
      <chakra.h2 fontSize="1.2rem" marginBottom="6px">
        What do the plants do now?
      </chakra.h2>
      <Bar>
        {ended.next.map((n) => (
          <Action
            key={n.crop}
            onClick={() =>
              void say({ kind: "next crop", plantingId: ended.id, crop: n.crop }, `${ended.crop}: ${n.words}`)
            }
          >
            {n.words}
          </Action>
        ))}
        <Action
          tone={ended.next.length === 0 ? "loud" : "quiet"}
          onClick={() =>
            void say({ kind: "end", plantingId: ended.id, bedFree: true }, `${ended.crop}: the bed is free`)
          }
        >
          They are gone, the bed is free
        </Action>
      </Bar>
      {note && <p aria-live="polite">{note}</p>}
    </Box>
  );
}
