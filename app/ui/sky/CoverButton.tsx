import type { ActTold } from "~/views/sentences/act";
import { Action } from "~/ui/theme/parts";
import { Answer } from "./Answer";
import { useSkyDesk } from "./useSkyDesk";

const COVER_BUTTON = { do: "We cover it", undo: "Not covered after all" };
const BUTTONS: Partial<Record<string, typeof COVER_BUTTON>> = {
  indoors: { do: "We bring them in", undo: "Not brought in after all" },
  net: { do: "We net it", undo: "Not netted after all" },
  shade: { do: "We shade it", undo: "Not shaded after all" },
};

/** Notes that a bed is covered, netted, shaded or brought in, or that it is not after all. */
export function CoverButton({ cover }: { cover: NonNullable<ActTold["cover"]> }) {
  const { Form, answer, busy } = useSkyDesk();
  return (
    <Form method="post" action="/sky" style={{ display: "inline-block", marginLeft: 8 }}>
      <input type="hidden" name="bedId" value={cover.bedId} />
      <input type="hidden" name="evening" value={cover.evening} />
      <input type="hidden" name="nights" value={cover.nights} />
      <input type="hidden" name="cover" value={cover.covered ? "none" : cover.cover} />
      <Action size="small" name="intent" value="cover" disabled={busy}>
        {(BUTTONS[cover.cover] ?? COVER_BUTTON)[cover.covered ? "undo" : "do"]}
      </Action>
      {answer?.errors && <Answer answer={answer} />}
    </Form>
  );
}
