import type { Route } from "./+types/horizon";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { horizonPage, unfitOf } from "~/services/horizon/horizon-page.server";
import { Following } from "~/ui/shell/Following";
import { HorizonPage } from "~/ui/horizon/HorizonPage";

export const meta: Route.MetaFunction = () => [{ title: "Horizon · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  // What does not fit takes asking again: it follows the page.
  return whenPlanned(request, db, garden, () => ({ view: horizonPage(db, garden), unfit: unfitOf(db, garden) }));
}

export default function Horizon({ loaderData }: Route.ComponentProps) {
  return <Following of={loaderData.page}>{(page) => <HorizonPage {...page} />}</Following>;
}
