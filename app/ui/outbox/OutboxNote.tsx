import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Action, Bar, QuietSpan } from "~/ui/theme/parts";
import type { KeptEntry } from "./kept-entry";
import { useOutbox } from "./OutboxProvider";
import { PutRight } from "./PutRight";

/** Says without doubt what is saved, what waits for signal, what was refused, and what could not be read. */
export function OutboxNote({ onlyTrouble = false }: { onlyTrouble?: boolean }) {
  const { waiting, why, problems, aside, forgets } = useOutbox();
  const calm = waiting === 0 && problems.length === 0 && aside.length === 0;
  if (calm && onlyTrouble) return null;
  return (
    <Box aria-live="polite" fontSize="0.98rem">
      {calm && <QuietSpan>All saved</QuietSpan>}
      {waiting > 0 && (
        <strong>
          {waiting} kept on this {forgets ? "page only" : "device"}, {waiting === 1 ? "waits" : "wait"}{" "}
          {why ? "for the garden’s machine" : "for signal"}
        </strong>
      )}
      {waiting > 0 && why && <p>{why} What waits goes again by itself.</p>}
      {waiting > 0 && forgets && <p>This device keeps nothing for the app: leave the page open until it is sent.</p>}
      {problems.map((kept) => (
        <Refused key={kept.id} kept={kept} />
      ))}
      {aside.length > 0 && <Aside />}
    </Box>
  );
}

const frame = { border: "2px dashed", borderColor: "persimmon", borderRadius: "10px", padding: "8px 12px", marginTop: "8px" } as const; // prettier-ignore

/** An entry the garden refused: it stays until it is put right or dropped. */
function Refused({ kept }: { kept: KeptEntry }) {
  const { drop } = useOutbox();
  const [open, setOpen] = useState(false);
  return (
    <Box {...frame}>
      <chakra.p margin="0">
        <strong>{kept.words}</strong> could not be saved: {kept.problem?.sentence}
      </chakra.p>
      {open ? (
        <PutRight kept={kept} onDone={() => setOpen(false)} />
      ) : (
        <Bar>
          <Action size="small" onClick={() => setOpen(true)}>
            Put it right
          </Action>
          <Action size="small" tone="bare" onClick={() => void drop(kept.id)}>
            Drop this entry
          </Action>
        </Bar>
      )}
    </Box>
  );
}

/** What could not be read: nothing of it is lost, it can be taken out as a file. */
function Aside() {
  const { aside, dropAside } = useOutbox();
  const many = aside.length > 1;
  const file = `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(aside, null, 2))}`;
  return (
    <Box {...frame}>
      <chakra.p margin="0">
        <strong>
          {aside.length} {many ? "entries" : "entry"}
        </strong>{" "}
        on this device cannot be read by this version. {many ? "They are" : "It is"} kept aside; the others went on.
      </chakra.p>
      <Bar>
        <chakra.a href={file} download="akmedon-kept-aside.json">
          Take {many ? "them" : "it"} out as a file
        </chakra.a>
        <Action size="small" tone="bare" onClick={() => void dropAside()}>
          Drop {many ? "them" : "it"}
        </Action>
      </Bar>
    </Box>
  );
}
