import { Navigate } from "react-router";
import type { Route } from "./+types/walk";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { containersOf } from "~/services/ledger/containers.server";
import { walkPage } from "~/services/round/round-page.server";
import { useRoundHere } from "~/ui/round/useRoundHere";
import { RoundWalk } from "~/ui/round/RoundWalk";

export const meta: Route.MetaFunction = () => [{ title: "Round · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => ({ round: walkPage(db, garden), containers: containersOf(db) }));
}

/** Today's walk for a phone that started it without signal. */
export default function Walk({ loaderData: { round, containers } }: Route.ComponentProps) {
  const here = useRoundHere();
  const roundId = round.roundId || here.started;
  if (roundId) return <RoundWalk round={{ ...round, roundId }} containers={containers} />;
  return here.isKnown ? <Navigate to="/round" replace /> : null;
}
