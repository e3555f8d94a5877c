import { data } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/horizon";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { DayEdits, editDays, redoEdit, undoEdit } from "~/services/horizon/edit-plan.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { HorizonPage } from "~/ui/horizon/HorizonPage";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "Horizon · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => horizonPage(db, garden));
}

const Intent = z.enum(["edit", "undo", "redo"]);

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const fields = await fieldsOf(request);
  const intent = Intent.safeParse(fields.intent);
  if (!intent.success) throw data("That is not something the horizon can do.", { status: 400 });
  const outcome = actOf(intent.data);
  return data(outcome, { status: outcome.status === "noted" ? 200 : 400 });

  function actOf(act: z.infer<typeof Intent>) {
    if (act === "undo") return undoEdit(db, garden);
    if (act === "redo") return redoEdit(db, garden);
    const edits = DayEdits.safeParse(readJson(fields.edits));
    if (!edits.success) return { status: "refused" as const, sentence: edits.error.issues[0]!.message };
    return editDays(db, garden, edits.data);
  }
});

function readJson(text: unknown): unknown {
  try {
    return JSON.parse(String(text));
  } catch {
    return undefined;
  }
}

export default function Horizon({ loaderData }: Route.ComponentProps) {
  return <HorizonPage view={loaderData} />;
}
