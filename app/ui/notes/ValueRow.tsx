import { Box, chakra } from "@chakra-ui/react";
import { Form } from "react-router";
import type { NotesAnswer } from "~/views/notes/notes-answer";
import type { CropNotes } from "~/views/notes/field-notes-view";
import { Field } from "~/ui/forms/Field";
import { Action, Bar, Choice, TextInput } from "~/ui/theme/parts";

type Value = CropNotes["values"][number];

/** One value: what it is, whose it is; a tap opens its change. */
export function ValueRow({ value, answer }: { value: Value; answer: NotesAnswer | undefined }) {
  const shown = value.value === null ? "none" : typeof value.value === "boolean" ? (value.value ? "yes" : "no") : String(value.value).replace(/^-/, "−"); // prettier-ignore
  return (
    <chakra.li borderTop="1px solid" borderColor="line">
      <chakra.details open={Boolean(answer)}>
        <chakra.summary
          minHeight="48px"
          display="grid"
          gridTemplateColumns={{ base: "1fr", md: "minmax(0, 5fr) minmax(0, 6fr) minmax(0, 4fr)" }}
          gap="0 14px"
          alignItems="center"
          cursor="pointer"
          paddingBlock="4px"
        >
          <span>{value.label}</span>
          <strong>
            {shown}
            {value.unit && value.value !== null ? ` ${value.unit}` : ""}
          </strong>
          <chakra.span color={value.own ? "persimmon" : "soft"} fontSize="0.95rem">
            {value.own ? "this household" : value.standing || "the handbook’s word"}
          </chakra.span>
        </chakra.summary>
        <Bar gap="10px" alignItems="start" paddingBottom="10px">
          <Form
            method="post"
            preventScrollReset
            style={{ display: "flex", gap: 10, alignItems: "start", flex: "1 1 320px", maxWidth: 620 }}
          >
            <input type="hidden" name="intent" value="set value" />
            <input type="hidden" name="path" value={value.path} />
            <Box flex="1">
              <Field
                label={`Yours${value.unit ? ` (${value.unit})` : ""}`}
                help={answer?.done ? answer.sentence : undefined}
                error={answer && !answer.done ? answer.sentence : undefined}
              >
                {(ids) => <ValueInput ids={ids} value={value} />}
              </Field>
            </Box>
            <Action type="submit" marginTop="26px">
              Save
            </Action>
          </Form>
          {value.own && (
            <Form method="post" preventScrollReset>
              <input type="hidden" name="path" value={value.path} />
              <Action tone="bare" name="intent" value="drop value" marginTop="26px">
                Handbook’s back
              </Action>
            </Form>
          )}
        </Bar>
      </chakra.details>
    </chakra.li>
  );
}

function ValueInput({ ids, value }: { ids: Parameters<Parameters<typeof Field>[0]["children"]>[0]; value: Value }) {
  const { kind } = value;
  if (kind === "number" || kind === "text")
    return (
      <TextInput
        {...ids}
        key={String(value.value)}
        name="value"
        defaultValue={value.value === null ? "" : String(value.value)}
        inputMode={kind === "number" ? "decimal" : "text"}
      />
    );
  const options = kind === "yes or no" ? ["yes", "no"] : kind;
  const now = typeof value.value === "boolean" ? (value.value ? "yes" : "no") : String(value.value ?? "");
  return (
    <Choice {...ids} key={now} name="value" defaultValue={now}>
      {options.map((o) => (
        <option key={o}>{o}</option>
      ))}
    </Choice>
  );
}
