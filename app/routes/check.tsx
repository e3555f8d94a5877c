import { data } from "react-router";
import type { Route } from "./+types/check";
import { checkPage } from "~/services/check/check-page.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { CheckPage } from "~/ui/check/CheckPage";
import { EndedPage } from "~/ui/check/EndedPage";

export const meta: Route.MetaFunction = ({ data: loaded }) => {
  const page = loaded as Route.ComponentProps["loaderData"] | undefined;
  const crop = page?.status === "growing" ? page.view.crop : (page?.ended.crop ?? "Check");
  return [{ title: `${crop} · Akmedon` }];
};

export function loader({ request, params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => {
    const page = checkPage(db, garden, params.plantingId);
    if (!page) throw data("This planting is no longer there.", { status: 404 });
    return page;
  });
}

export default function Check({ loaderData }: Route.ComponentProps) {
  return loaderData.status === "growing" ? (
    <CheckPage key={loaderData.view.id} {...loaderData} />
  ) : (
    <EndedPage key={loaderData.ended.id} {...loaderData} />
  );
}
