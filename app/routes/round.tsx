import type { Route } from "./+types/round";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { containersOf } from "~/services/ledger/containers.server";
import { roundPage } from "~/services/round/round-page.server";
import { RoundPreview } from "~/ui/round/RoundPreview";
import { RoundWalk } from "~/ui/round/RoundWalk";

export const meta: Route.MetaFunction = () => [{ title: "Round · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => ({ round: roundPage(db, garden), containers: containersOf(db) }));
}

export default function Round({ loaderData }: Route.ComponentProps) {
  const { round, containers } = loaderData;
  return round.status === "out" ? <RoundWalk round={round} containers={containers} /> : <RoundPreview round={round} />;
}
