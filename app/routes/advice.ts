import type { Route } from "./+types/advice";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { adviceOf } from "~/services/horizon/horizon-page.server";

/** What the plan has no time for, and which acts pay: asked for by the start page once it stands. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return Response.json(await whenPlanned(request, db, garden, () => adviceOf(db, garden)));
}
