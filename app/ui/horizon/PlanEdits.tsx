import { chakra } from "@chakra-ui/react";
import { Redo2, Undo2, X } from "lucide-react";
import { useState } from "react";
import { Action, Bar } from "~/ui/theme/parts";
import { FootCard } from "./FootCard";
import { usePlanActs } from "./plan-acts";
import type { EditTold, HorizonPageView } from "./usePlanEdits";

/** Takes the last change of the plan back, or does it again. */
export function UndoRedo({ edits: { undo, redo } }: Pick<HorizonPageView, "edits">) {
  const { act, isBusy } = usePlanActs();
  return (
    // On a phone nothing is there while there is nothing to undo; at the table the line keeps its place.
    <chakra.span display={{ base: undo || redo ? "inline-flex" : "none", md: "inline-flex" }}>
      <Action
        size="small"
        tone="bare"
        disabled={isBusy || !undo}
        title={undo ? `Undo: ${undo}` : "Nothing to undo"}
        aria-label={undo ? `Undo: ${undo}` : "Nothing to undo"}
        onClick={() => act({ intent: "undo" })}
      >
        <Undo2 size={20} aria-hidden />
      </Action>
      <Action
        size="small"
        tone="bare"
        disabled={isBusy || !redo}
        title={redo ? `Do again: ${redo}` : "Nothing to do again"}
        aria-label={redo ? `Do again: ${redo}` : "Nothing to do again"}
        onClick={() => act({ intent: "redo" })}
      >
        <Redo2 size={20} aria-hidden />
      </Action>
    </chakra.span>
  );
}

/** What came of the last act on the plan, until it is put away or another comes. */
export function PlanNote({ told }: { told: EditTold | undefined }) {
  const { act } = usePlanActs();
  const [away, setAway] = useState<EditTold>();
  if (!told || told === away) return null;
  const isWrong = told.status === "refused";
  return (
    <FootCard name="What came of it" isWrong={isWrong}>
      <Bar flexWrap="nowrap" gap="12px">
        <chakra.span flex="1" fontWeight="700">
          {told.sentence.replace(/[.]?$/, ".")}
        </chakra.span>
        {!isWrong && !told.sentence.startsWith("Undone") && (
          <Action size="small" onClick={() => act({ intent: "undo" })}>
            Undo
          </Action>
        )}
        <Action size="small" tone="bare" aria-label="Put the note away" onClick={() => setAway(told)}>
          <X size={20} aria-hidden />
        </Action>
      </Bar>
    </FootCard>
  );
}
