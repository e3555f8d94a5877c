import { Box, chakra } from "@chakra-ui/react";
import { useRef } from "react";
import type { UnitSystem } from "~/core/units";
import { ErrorLine } from "~/ui/forms/Field";
import { PickDetails } from "~/ui/ledger/PickDetails";
import { OutboxNote } from "~/ui/outbox/OutboxNote";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, Panel } from "~/ui/theme/parts";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { Loggable } from "./loggable";
import { PickAmountFields } from "./PickAmountFields";
import { useLogPick } from "./useLogPick";
import { useThumbFocus } from "./useThumbFocus";

interface LogPanelProps {
  view: Loggable;
  today: string;
  containers: readonly ContainerToChoose[];
  units: UnitSystem;
  roundId: string | null;
  /** Stays at the foot of a phone's screen, under the thumb. */
  foot?: boolean;
  /** What waits or was refused is told on the page already. */
  toldElsewhere?: boolean;
  /** Called once the entry is safe, here or on the server; and with false where the garden refused it after all. */
  onLogged?: (isLogged: boolean) => void;
}

/** Fields that say what is wrong with them themselves. */
const SHOWN_AT_FIELD = new Set(["weight", "containers", "containerCount", "note", "on", "condition", "fate"]);

/** Logs what came of one planting: two taps for a usual pick, the rest behind a fold, undo always. */
export function LogPanel({ view, today, containers, units, roundId, foot, toldElsewhere, onLogged }: LogPanelProps) {
  const pick = useLogPick(view, roundId, onLogged);
  const { state, errors, logged } = pick;
  const panel = useRef<HTMLElement>(null);
  useThumbFocus(panel, logged === null);
  const inFold = ["containers", "containerCount", "note", "on"].some((field) => errors[field]);
  return (
    <Panel ref={panel} tabIndex={-1} aria-label="Log a pick" foot={foot ? "yes" : "no"} _focus={{ outline: "none" }}>
      {logged ? (
        <LoggedLine {...logged} onUndo={() => void pick.undo()} onMore={pick.more} />
      ) : (
        <>
          <chakra.p margin="0" textAlign="center" opacity="0.9">
            {view.expected.words}
          </chakra.p>
          <PickAmountFields view={view} units={units} state={state} error={errors.weight} />
          {Object.entries(errors)
            .filter(([field]) => !SHOWN_AT_FIELD.has(field) || (field === "weight" && view.counted))
            .map(([field, sentence]) => (
              <ErrorLine key={field}>{sentence}</ErrorLine>
            ))}
          <OutcomeButtons repeats={view.repeats} busy={pick.busy} onLog={(...as) => void pick.log(...as)} />
          <Fold quiet summary="Weight, crate, where it goes" open={inFold}>
            <Box maxHeight={{ base: foot ? "38vh" : "none", md: "none" }} overflowY="auto">
              <PickDetails
                state={state}
                errors={errors}
                containers={containers}
                units={units}
                today={today}
                withWeight={view.counted}
                withCount={!view.counted}
              />
            </Box>
          </Fold>
        </>
      )}
      {!toldElsewhere && <OutboxNote onlyTrouble />}
    </Panel>
  );
}

const BECAME = {
  "on its way": "kept, on its way to the ledger …",
  "waits for signal": "kept on this phone, waits for signal.",
  saved: "in the ledger.",
} as const;

interface LoggedLineProps {
  words: string;
  status: keyof typeof BECAME;
  onUndo: () => void;
  onMore: () => void;
}

function LoggedLine({ words, status, onUndo, onMore }: LoggedLineProps) {
  return (
    <Box display="grid" gap="10px" aria-live="polite">
      <chakra.p margin="0" fontSize="1.15rem">
        <strong>{words}</strong>: {BECAME[status]}
      </chakra.p>
      <Bar>
        <Action tone="dark" onClick={onUndo}>
          Undo
        </Action>
        <Action tone="dark" onClick={onMore}>
          Log more
        </Action>
      </Bar>
    </Box>
  );
}

interface OutcomeButtonsProps {
  repeats: boolean;
  busy: boolean;
  onLog: (outcome: "picked" | "nothing ready", tookAll: boolean) => void;
}

function OutcomeButtons({ repeats, busy, onLog }: OutcomeButtonsProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns="1.15fr 1fr 1fr"
      gap="8px"
      css={{ "& button": { paddingInline: "6px", minHeight: "60px" } }}
    >
      <Action tone="loud" disabled={busy} onClick={() => onLog("picked", true)}>
        {repeats ? "Picked, all ready ones" : "Picked, all of it"}
      </Action>
      <Action tone="dark" disabled={busy} onClick={() => onLog("picked", false)}>
        Left the small ones
      </Action>
      <Action tone="dark" disabled={busy} onClick={() => onLog("nothing ready", false)}>
        Nothing ready
      </Action>
    </Box>
  );
}
