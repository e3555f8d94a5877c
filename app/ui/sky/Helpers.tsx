import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { ErrorLine, Field } from "~/ui/forms/Field";
import { Action, Quiet, TextInput } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";
import { Fold } from "~/ui/shell/Fold";
import { Answer } from "./Answer";
import { KeptLine } from "./KeptLine";
import { useSkyDesk } from "./useSkyDesk";

type Helper = SkyView["helpers"][number];

const SKILL_WORDS = { knife: "works with a knife", digging: "digs", ladder: "goes up a ladder", chillies: "picks chillies, gloved" } as const; // prettier-ignore

/** Who stands in while the household is away, for which crops. */
export function Helpers({ view }: { view: SkyView }) {
  const [editing, setEditing] = useState<string | null>(null);
  const save = useSkyDesk();
  const remove = useSkyDesk();
  const names = new Map(view.crops.map((c) => [c.id, c.name]));
  return (
    <Card title="A helper while you are away">
      {view.helpers.length === 0 && <Quiet>Nobody yet: days away have no hands.</Quiet>}
      {view.helpers.map((h) => (
        <KeptLine
          key={h.id}
          id={h.id}
          name={h.name}
          removeIntent="remove helper"
          desk={remove}
          onChange={() => setEditing(h.id)}
        >
          <strong>{h.name}</strong>: {h.minutes} min {h.everyDays === 1 ? "a day" : `every ${h.everyDays} days`};{" "}
          {h.cropIds.length ? h.cropIds.map((id) => names.get(id) ?? id).join(", ") : "any crop"}
          {h.skills.length ? `; ${h.skills.map((s) => SKILL_WORDS[s]).join(", ")}` : ""}
        </KeptLine>
      ))}
      <Fold quiet open={editing !== null} summary={editing ? "Change the helper" : "Ask somebody"}>
        <HelperForm
          key={editing ?? `new ${view.helpers.length}`}
          helper={view.helpers.find((h) => h.id === editing)}
          view={view}
          desk={save}
        />
      </Fold>
    </Card>
  );
}

const tick = {
  display: "inline-flex",
  alignItems: "center",
  gap: "6px",
  minHeight: "40px",
  "& input": { width: "20px", height: "20px" },
};

interface HelperFormProps {
  helper: Helper | undefined;
  view: SkyView;
  desk: ReturnType<typeof useSkyDesk>;
}

function HelperForm({ helper, view, desk }: HelperFormProps) {
  const { Form, answer, errors } = desk;
  return (
    <Form method="post" action="/sky">
      <input type="hidden" name="id" value={helper?.id ?? ""} />
      <Box display="grid" gap="10px" gridTemplateColumns="repeat(auto-fit, minmax(130px, 1fr))">
        <Field label="Who" error={errors.name}>
          {(ids) => <TextInput {...ids} name="name" autoComplete="off" defaultValue={helper?.name} />}
        </Field>
        <Field label="Minutes" error={errors.minutes}>
          {(ids) => <TextInput {...ids} name="minutes" inputMode="numeric" defaultValue={helper?.minutes ?? 20} />}
        </Field>
        <Field label="Comes every" help="days" error={errors.everyDays}>
          {(ids) => <TextInput {...ids} name="everyDays" inputMode="numeric" defaultValue={helper?.everyDays ?? 2} />}
        </Field>
      </Box>
      <chakra.fieldset border="0" padding="0" margin="8px 0 0">
        <chakra.legend fontWeight="700">Picks only these; none ticked means any</chakra.legend>
        <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))">
          {view.crops.map((c) => (
            <chakra.label key={c.id} css={tick}>
              <input type="checkbox" name="cropIds" value={c.id} defaultChecked={helper?.cropIds.includes(c.id)} />
              {c.name}
            </chakra.label>
          ))}
        </Box>
      </chakra.fieldset>
      <chakra.fieldset border="0" padding="0" margin="8px 0 0">
        <chakra.legend fontWeight="700">And</chakra.legend>
        <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))">
          {view.skills.map((s) => (
            <chakra.label key={s} css={tick}>
              <input type="checkbox" name="skills" value={s} defaultChecked={helper?.skills.includes(s)} />
              {SKILL_WORDS[s]}
            </chakra.label>
          ))}
        </Box>
      </chakra.fieldset>
      {errors.cropIds && <ErrorLine>{errors.cropIds}</ErrorLine>}
      <Action name="intent" value="save helper" marginTop="8px">
        Save the helper
      </Action>
      <Answer answer={answer} shown={["name", "minutes", "everyDays", "cropIds"]} />
    </Form>
  );
}
