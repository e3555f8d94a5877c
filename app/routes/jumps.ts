import type { Route } from "./+types/jumps";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { jumpsPage } from "~/services/horizon/jumps.server";

/** Where the command field goes. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => jumpsPage(db, garden));
}
