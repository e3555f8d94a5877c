import { data } from "react-router";
import type { Route } from "./+types/sky";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { isRefusal, readyForFiles, skyDesk } from "~/services/sky/sky-desk.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { formOf } from "./form";
import { SkyPage } from "~/ui/sky/SkyPage";
import { inUnits } from "~/views/words";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";

export const meta: Route.MetaFunction = () => [{ title: "Sky & away · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  readyForFiles();
  const { origin, searchParams } = new URL(request.url);
  return whenPlanned(request, db, garden, () => ({ view: skyPage(db, garden, searchParams.get("day")), origin }));
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const answer = await skyDesk(db, garden, await formOf(request));
  if (!answer) throw data("That is not something the sky page can do.", { status: 400 });
  return data(inUnits(answer, garden.unitSystem), { status: isRefusal(answer) ? 400 : 200 });
});

export default function Sky({ loaderData }: Route.ComponentProps) {
  return <SkyPage {...loaderData} />;
}
