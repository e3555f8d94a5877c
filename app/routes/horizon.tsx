import type { Route } from "./+types/horizon";
import { horizonView } from "~/services/horizon-view.server";
import { knownGarden } from "~/services/known-garden.server";
import { HorizonPage } from "~/ui/horizon/HorizonPage";

export const meta: Route.MetaFunction = () => [{ title: "Horizon · Akmedon" }];

export function loader() {
  const { db, garden } = knownGarden();
  return horizonView(db, garden);
}

export default function Horizon({ loaderData }: Route.ComponentProps) {
  return <HorizonPage view={loaderData} />;
}
