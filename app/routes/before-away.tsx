import type { Route } from "./+types/before-away";
import { awayPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { AwaySheetPage } from "~/ui/ahead/AwaySheetPage";

export const meta: Route.MetaFunction = () => [{ title: "Before going away · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const on = new URL(request.url).searchParams.get("on") ?? undefined;
  return whenPlanned(request, db, garden, () => awayPage(db, garden, on));
}

export default function BeforeAway({ loaderData }: Route.ComponentProps) {
  return <AwaySheetPage sheet={loaderData} />;
}
