import type { Route } from "./+types/horizon";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { HorizonPage } from "~/ui/horizon/HorizonPage";

export const meta: Route.MetaFunction = () => [{ title: "Horizon · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => horizonPage(db, garden));
}

export default function Horizon({ loaderData }: Route.ComponentProps) {
  return <HorizonPage view={loaderData} />;
}
