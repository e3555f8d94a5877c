import type { Route } from "./+types/helper";
import { helperPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { HelperSheetPage } from "~/ui/ahead/HelperSheetPage";

export const meta: Route.MetaFunction = () => [{ title: "Helper’s sheet · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const on = new URL(request.url).searchParams.get("on") ?? undefined;
  return whenPlanned(request, db, garden, () => helperPage(db, garden, on));
}

export default function HelperSheet({ loaderData }: Route.ComponentProps) {
  return <HelperSheetPage sheet={loaderData} />;
}
