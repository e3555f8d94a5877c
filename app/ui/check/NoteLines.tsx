import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Field } from "~/ui/forms/Field";
import { useOutbox } from "~/ui/outbox/OutboxProvider";
import { Fold } from "~/ui/shell/Fold";
import { Action, PlainList, QuietSpan, TextInput } from "~/ui/theme/parts";

export interface NoteShown {
  id: string;
  on: string;
  text: string;
}

interface NoteLinesProps {
  plantingId: string;
  crop: string;
  notes: readonly NoteShown[];
}

/** Lines written down of a planting, and one more. */
export function NoteLines({ plantingId, crop, notes }: NoteLinesProps) {
  const { send } = useOutbox();
  const [text, setText] = useState("");
  const [error, setError] = useState<string | undefined>();
  const save = async () => {
    const result = await send({ kind: "note", plantingId, text }, `${crop}: ${text.slice(0, 40)}`);
    if (result.status === "refused") return setError(result.sentence);
    setError(undefined);
    setText("");
  };
  return (
    <Fold quiet summary={notes.length > 0 ? `Notes (${notes.length})` : "Write a note"}>
      <PlainList marginBottom="8px">
        {notes.map((n) => (
          <li key={n.id}>
            <QuietSpan>{n.on}:</QuietSpan> {n.text}
          </li>
        ))}
      </PlainList>
      <chakra.form
        display="grid"
        gridTemplateColumns="minmax(220px, 1fr) auto"
        gap="10px"
        alignItems="start"
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <Field label="Note" error={error}>
          {(ids) => <TextInput {...ids} value={text} onChange={(e) => setText(e.target.value)} />}
        </Field>
        <Action type="submit" marginTop="26px">
          Keep it
        </Action>
      </chakra.form>
    </Fold>
  );
}
