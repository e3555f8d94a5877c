import type { Route } from "./+types/paper-plan";
import { paperPlanPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { PaperPlanPage } from "~/ui/ahead/PaperPlanPage";

export const meta: Route.MetaFunction = () => [{ title: "The plan on paper · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => paperPlanPage(db, garden));
}

export default function PaperPlan({ loaderData }: Route.ComponentProps) {
  return <PaperPlanPage plan={loaderData} />;
}
