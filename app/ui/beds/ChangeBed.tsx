import { Box } from "@chakra-ui/react";
import { useFetcher } from "react-router";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { Action, Bar, TextInput } from "~/ui/theme/parts";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import type { BedsView } from "~/views/beds/beds-view";
import { KindChoice, type Kinds } from "./KindChoice";

interface ChangeBedProps {
  bed: BedsView[number];
  kinds: Kinds;
  first: boolean;
  last: boolean;
}

/** A bed's name, kind and place on the walk; an empty one can go. */
export function ChangeBed({ bed, kinds, first, last }: ChangeBedProps) {
  const fetcher = useFetcher<BedsAnswer>();
  const errors = fetcher.data?.errors;
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="bedId" value={bed.id} />
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }} gap="10px" alignItems="start">
        <Field label="Name" error={errors?.name}>
          {(ids) => <TextInput {...ids} name="name" defaultValue={bed.name} />}
        </Field>
        <Field label="What it is" error={errors?.kind}>
          {(ids) => <KindChoice ids={ids} kinds={kinds} value={bed.kind} />}
        </Field>
        <Action name="intent" value="edit bed" marginTop={{ md: "26px" }}>
          Save the bed
        </Action>
      </Box>
      <Bar marginTop="10px">
        <Action size="small" name="intent" value="move bed" disabled={first} onClick={(e) => moveBy(e, "up")}>
          Earlier on the walk
        </Action>
        <Action size="small" name="intent" value="move bed" disabled={last} onClick={(e) => moveBy(e, "down")}>
          Later on the walk
        </Action>
        <Action size="small" tone="bare" name="intent" value="remove bed">
          Remove the bed
        </Action>
      </Bar>
      <input type="hidden" name="step" defaultValue="up" />
      {fetcher.data?.sentence && <ErrorLine>{fetcher.data.sentence}</ErrorLine>}
    </fetcher.Form>
  );
}

function moveBy(event: React.MouseEvent<HTMLButtonElement>, step: "up" | "down") {
  const field = event.currentTarget.form?.elements.namedItem("step");
  if (field instanceof HTMLInputElement) field.value = step;
}
