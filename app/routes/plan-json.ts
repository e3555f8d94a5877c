import type { Route } from "./+types/plan-json";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { sheetOf } from "~/services/horizon/horizon-page.server";

/** The plan as open data, as `docs/core-json.md` has it: the planner in the page asks it again from this. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return Response.json(await whenPlanned(request, db, garden, () => sheetOf(db, garden)));
}
