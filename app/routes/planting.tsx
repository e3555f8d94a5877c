import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/planting";
import { fieldErrors, type FieldErrors } from "~/core/issues";
import { PlantingForm, editPlanting, removePlanting } from "~/services/beds/edit-planting.server";
import { plantingLife, plantingPage, plantingWanted } from "~/services/beds/planting-page.server";
import { endSeason, reopenSeason, undoNextCrop } from "~/services/beds/seasons.server";
import { TreatmentForm, logTreatment, undoTreatment } from "~/services/beds/treatments.server";
import { WantedForm, unwant, wantOn } from "~/services/beds/wanted-days.server";
import { todayOf } from "~/services/garden/clock.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { PlantingPage } from "~/ui/beds/PlantingPage";
import { inUnits, sayDay } from "~/views/words";
import { fieldsOf } from "./form";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "Change a planting · Akmedon" }];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const page = plantingPage(db, garden, params.plantingId);
  if (!page) throw data("This planting is no longer there.", { status: 404 });
  const planned = await whenPlanned(request, db, garden, () => ({
    life: plantingLife(db, garden, params.plantingId),
    wanted: plantingWanted(db, garden, params.plantingId),
  }));
  return { ...page, ...planned };
}

const Intent = z.enum(["save", "finish", "over", "reopen", "back", "remove", "log treatment", "withdraw treatment", "restore treatment", "want", "unwant"]); // prettier-ignore

export const action = wholeOrTold(async ({ request, params }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const { plantingId } = params;
  const refuse = (errors: FieldErrors) => data({ errors: inUnits(errors, garden.unitSystem), done: "" }, { status: 400 }); // prettier-ignore
  const fine = (done: string) => data({ errors: {} as FieldErrors, done: inUnits(done, garden.unitSystem) });
  const fields = await fieldsOf(request);
  const intent = Intent.safeParse(fields.intent);
  if (!intent.success) throw data("That is not something a planting can do.", { status: 400 });
  const today = todayOf(garden);
  switch (intent.data) {
    case "finish":
    case "over": {
      const said = { plantingId, day: today, id: crypto.randomUUID(), at: new Date().toISOString() };
      const outcome = endSeason(db, said, intent.data === "finish");
      return outcome.status === "refused" ? refuse({ form: outcome.sentence }) : redirect("/beds");
    }
    case "reopen": {
      const outcome = reopenSeason(db, plantingId);
      return outcome.status === "refused" ? refuse({ form: outcome.sentence }) : redirect(`/check/${plantingId}`);
    }
    case "back": {
      const outcome = undoNextCrop(db, plantingId);
      return outcome.status === "refused" ? refuse({ form: outcome.sentence }) : redirect(`/check/${plantingId}`);
    }
    case "remove": {
      const outcome = removePlanting(db, plantingId);
      return outcome.status === "refused" ? refuse({ form: outcome.sentence }) : redirect("/beds");
    }
    case "withdraw treatment":
    case "restore treatment": {
      const done = undoTreatment(db, plantingId, String(fields.treatmentId), intent.data === "restore treatment");
      return done ? fine("Noted.") : refuse({ form: "This treatment is no longer there." });
    }
    case "log treatment": {
      const told = TreatmentForm.safeParse({ ...fields, plantingId });
      if (!told.success) return refuse(fieldErrors(told.error));
      const logged = logTreatment(db, garden, told.data);
      if (logged.status === "refused") return refuse(logged.errors);
      return fine(`Logged: no pick before ${sayDay(logged.until, today)}.`);
    }
    case "unwant":
      return unwant(db, garden, plantingId, String(fields.wantedId)) ? fine("Taken back.") : refuse({ form: "This wish is no longer there." }); // prettier-ignore
    case "want": {
      const told = WantedForm.safeParse({ ...fields, plantingId });
      if (!told.success) return refuse(fieldErrors(told.error));
      const outcome = wantOn(db, garden, told.data);
      return outcome.status === "refused" ? refuse(outcome.errors) : fine("Noted; the plan is made anew.");
    }
    case "save": {
      const form = PlantingForm.safeParse({ ...fields, plantingId });
      if (!form.success) return refuse(fieldErrors(form.error));
      const outcome = editPlanting(db, garden, form.data);
      return outcome.status === "refused" ? refuse(outcome.errors) : redirect(`/check/${plantingId}`);
    }
  }
});

export default function Planting({ loaderData, actionData }: Route.ComponentProps) {
  return <PlantingPage page={loaderData} errors={actionData?.errors ?? {}} />;
}
