import type { Route } from "./+types/unfit";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { unfitOf } from "~/services/horizon/horizon-page.server";

/** What the plan has no time for: asked for by the start page once it stands. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return Response.json(await whenPlanned(request, db, garden, () => unfitOf(db, garden)));
}
