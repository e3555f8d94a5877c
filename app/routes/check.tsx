import { data } from "react-router";
import type { Route } from "./+types/check";
import { checkPage, isPlanting } from "~/services/check/check-page.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { CheckPage } from "~/ui/check/CheckPage";
import { EndedPage } from "~/ui/check/EndedPage";
import { Following } from "~/ui/shell/Following";

export const meta: Route.MetaFunction = ({ data: loaded }) => {
  const page = (loaded as Route.ComponentProps["loaderData"] | undefined)?.page;
  const crop =
    !page || page instanceof Promise ? "Check" : page.status === "growing" ? page.view.crop : page.ended.crop;
  return [{ title: `${crop} · Akmedon` }];
};

export function loader({ request, params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const { plantingId } = params;
  const gone = () => data("This planting is no longer there.", { status: 404 });
  if (!isPlanting(db, plantingId)) throw gone();
  return whenPlanned(request, db, garden, () => {
    const page = checkPage(db, garden, plantingId);
    if (!page) throw gone();
    return page;
  });
}

export default function Check({ loaderData }: Route.ComponentProps) {
  return (
    <Following of={loaderData.page}>
      {(page) =>
        page.status === "growing" ? (
          <CheckPage key={page.view.id} {...page} />
        ) : (
          <EndedPage key={page.ended.id} {...page} />
        )
      }
    </Following>
  );
}
