import { data, redirect } from "react-router";
import { z } from "zod";
import type { Route } from "./+types/round";
import { containersOf } from "~/services/containers.server";
import { knownGarden } from "~/services/known-garden.server";
import { finishRound, startRound } from "~/services/round.server";
import { roundView } from "~/services/round-view.server";
import { RoundPreview } from "~/ui/round/RoundPreview";
import { RoundWalk } from "~/ui/round/RoundWalk";

export const meta: Route.MetaFunction = () => [{ title: "Round · Akmedon" }];

export function loader() {
  const { db, garden } = knownGarden();
  return { round: roundView(db, garden), containers: containersOf(db) };
}

const Intent = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("start") }),
  z.object({ intent: z.literal("finish"), roundId: z.string() }),
]);

export async function action({ request }: Route.ActionArgs) {
  const { db, garden } = knownGarden();
  const form = Intent.safeParse(Object.fromEntries(await request.formData()));
  if (!form.success) throw data("That is not something a round can do.", { status: 400 });
  if (form.data.intent === "start") startRound(db, garden);
  else finishRound(db, form.data.roundId);
  return redirect(form.data.intent === "start" ? "/round" : "/ledger");
}

export default function Round({ loaderData }: Route.ComponentProps) {
  const { round, containers } = loaderData;
  return round.status === "out" ? <RoundWalk round={round} containers={containers} /> : <RoundPreview round={round} />;
}
