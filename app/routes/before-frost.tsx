import type { Route } from "./+types/before-frost";
import { frostPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { FrostSheetPage } from "~/ui/ahead/FrostSheetPage";

export const meta: Route.MetaFunction = () => [{ title: "Before the frost · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const on = new URL(request.url).searchParams.get("on") ?? undefined;
  return whenPlanned(request, db, garden, () => frostPage(db, garden, on));
}

export default function BeforeFrost({ loaderData }: Route.ComponentProps) {
  return <FrostSheetPage sheet={loaderData} />;
}
