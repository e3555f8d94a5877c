import { Navigate, data } from "react-router";
import type { Route } from "./+types/round";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { containersOf } from "~/services/ledger/containers.server";
import { OrderAct, orderRound } from "~/services/round/round-order.server";
import { roundPage } from "~/services/round/round-page.server";
import { RoundPreview } from "~/ui/round/RoundPreview";
import { RoundWalk } from "~/ui/round/RoundWalk";
import { useRoundHere } from "~/ui/round/useRoundHere";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "Round · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return whenPlanned(request, db, garden, () => ({ round: roundPage(db, garden), containers: containersOf(db) }));
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const act = OrderAct.safeParse(await fieldsOf(request));
  if (!act.success) throw data("That is not something a round can do.", { status: 400 });
  const outcome = orderRound(db, garden, act.data);
  return data(outcome, { status: outcome.status === "noted" ? 200 : 400 });
});

export default function Round({ loaderData }: Route.ComponentProps) {
  const { round, containers } = loaderData;
  const { started } = useRoundHere();
  // Started without signal: what was kept of this page does not know of it.
  if (started && round.status !== "out") return <Navigate to="/round/walk" replace />;
  return round.status === "out" ? <RoundWalk round={round} containers={containers} /> : <RoundPreview round={round} />;
}
