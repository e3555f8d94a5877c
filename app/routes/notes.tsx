import { data, redirect } from "react-router";
import type { Route } from "./+types/notes";
import { addOwnCrop, OwnCropForm } from "~/services/notes/field-notes.server";
import { notesPage } from "~/services/notes/notes-page.server";
import { cropsOf } from "~/services/garden/household-crops.server";
import { cropNames } from "~/views/notes/field-notes-view";
import { fieldsOf } from "./form";
import { knownGarden } from "~/services/garden/known-garden.server";
import { fieldErrors } from "~/core/issues";
import { NotesListPage } from "~/ui/notes/NotesListPage";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "Field notes · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db } = knownGarden();
  const typed = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 60);
  return { typed, list: notesPage(db, typed), names: cropNames(cropsOf(db)) };
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db } = knownGarden();
  const fields = await fieldsOf(request);
  const refuse = (errors: Partial<Record<string, string>>) => data({ errors }, { status: 400 });
  const form = OwnCropForm.safeParse(fields);
  if (!form.success) return refuse(fieldErrors(form.error));
  const outcome = addOwnCrop(db, form.data);
  return outcome.status === "refused" ? refuse(outcome.errors) : redirect(`/notes/${outcome.cropId}`);
});

export default function Notes({ loaderData, actionData }: Route.ComponentProps) {
  return <NotesListPage {...loaderData} errors={actionData?.errors ?? {}} />;
}
