import { Box, chakra } from "@chakra-ui/react";
import { Action } from "~/ui/shell/Action";
import { useOutbox } from "./OutboxProvider";

/** Says without doubt what is saved, what waits for signal and what was refused. */
export function OutboxNote() {
  const { waiting, problems, drop } = useOutbox();
  return (
    <Box aria-live="polite" fontSize="0.98rem">
      {waiting === 0 && problems.length === 0 && <chakra.span color="soft">All saved</chakra.span>}
      {waiting > 0 && (
        <strong>
          {waiting} kept on this device, {waiting === 1 ? "waits" : "wait"} for signal
        </strong>
      )}
      {problems.map((entry) => (
        <Box
          key={entry.id}
          border="2px dashed"
          borderColor="persimmon"
          borderRadius="10px"
          padding="8px 12px"
          marginTop="8px"
        >
          <chakra.p margin="0">
            <strong>{entry.words}</strong> could not be saved: {entry.problem}
          </chakra.p>
          <Action size="small" tone="bare" onClick={() => void drop(entry.id)}>
            Drop this entry
          </Action>
        </Box>
      ))}
    </Box>
  );
}
