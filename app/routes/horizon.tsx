import { data } from "react-router";
import type { Route } from "./+types/horizon";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { PlanAct, actOnPlan } from "~/services/horizon/act-on-plan.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { HorizonPage } from "~/ui/horizon/HorizonPage";
import { inUnits } from "~/views/words";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "Horizon · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => horizonPage(db, garden));
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const act = PlanAct.safeParse(await fieldsOf(request));
  if (!act.success) throw data("That is not something the horizon can do.", { status: 400 });
  const outcome = actOnPlan(db, garden, act.data);
  return data(inUnits(outcome, garden.unitSystem), { status: outcome.status === "noted" ? 200 : 400 });
});

export default function Horizon({ loaderData }: Route.ComponentProps) {
  return <HorizonPage view={loaderData} />;
}
