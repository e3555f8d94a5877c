import type { Route } from "./+types/back-again";
import { backPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { BackSheetPage } from "~/ui/ahead/BackSheetPage";

export const meta: Route.MetaFunction = () => [{ title: "Back again · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const on = new URL(request.url).searchParams.get("on") ?? undefined;
  return whenPlanned(request, db, garden, () => backPage(db, garden, on));
}

export default function BackAgain({ loaderData }: Route.ComponentProps) {
  return <BackSheetPage sheet={loaderData} />;
}
