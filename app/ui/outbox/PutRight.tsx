import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { EntryBody } from "~/core/entries";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { PickDetails } from "~/ui/ledger/PickDetails";
import { fieldsOfEntry, usePickFields } from "~/ui/ledger/usePickFields";
import { Action, Bar, TextInput } from "~/ui/theme/parts";
import type { KeptEntry } from "./kept-entry";
import { useOutbox } from "./OutboxProvider";

interface PutRightProps {
  kept: KeptEntry;
  onDone: () => void;
}

/** A refused entry with what was typed in it, to be put right where it stands. */
export function PutRight({ kept, onDone }: PutRightProps) {
  const { kind } = kept.entry;
  if (kind === "pick" || kind === "weighing") return <PutPickRight kept={kept} onDone={onDone} />;
  if (kind === "count") return <PutTextRight kept={kept} onDone={onDone} field="number" label="How many" />;
  if (kind === "note") return <PutTextRight kept={kept} onDone={onDone} field="text" label="Note" />;
  return <p>There is nothing in it to change: look again at the planting, and drop this one.</p>;
}

/** Sends it again; what is still wrong is said by field. */
function useAgain(kept: KeptEntry, onDone: () => void) {
  const { putRight } = useOutbox();
  const [errors, setErrors] = useState<Record<string, string>>(kept.problem?.fields ?? {});
  const again = async (change: Record<string, unknown>, words: string) => {
    const { id, device, sequence, at, ...body } = kept.entry;
    const result = await putRight(kept.id, { ...body, ...change } as unknown as EntryBody, words);
    if (result.status === "refused") setErrors(result.fields);
    else onDone();
  };
  return { errors, again };
}

function PutPickRight({ kept, onDone }: PutRightProps) {
  const { containers, units } = useOutbox();
  const state = usePickFields(fieldsOfEntry(kept.entry));
  const { errors, again } = useAgain(kept, onDone);
  const name = kept.words.split(":")[0] ?? kept.words;
  const save = () => {
    const { on, ...fields } = state.fields;
    void again({ ...fields, ...(on ? { on } : {}) }, `${name}: ${fields.weight || fields.count || "?"}`);
  };
  return (
    <Box display="grid" gap="10px">
      <PickDetails
        state={state}
        errors={errors}
        containers={containers}
        units={units}
        today={kept.entry.at.slice(0, 10)}
        withWeight
        withCount
      />
      {errors.form && <ErrorLine>{errors.form}</ErrorLine>}
      <Bar>
        <Action onClick={save}>Send it again</Action>
      </Bar>
    </Box>
  );
}

function PutTextRight({ kept, onDone, field, label }: PutRightProps & { field: "number" | "text"; label: string }) {
  const there = kept.entry[field];
  const [text, setText] = useState(typeof there === "string" ? there : "");
  const { errors, again } = useAgain(kept, onDone);
  const name = kept.words.split(":")[0] ?? kept.words;
  return (
    <Box display="grid" gap="10px">
      <Field label={label} error={errors[field]}>
        {(ids) => <TextInput {...ids} value={text} onChange={(e) => setText(e.target.value)} />}
      </Field>
      <Bar>
        <Action onClick={() => void again({ [field]: text }, `${name}: ${text}`)}>Send it again</Action>
      </Bar>
    </Box>
  );
}
