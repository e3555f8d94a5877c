import type { Route } from "./+types/what-if";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { Suppositions, whatIf } from "~/services/horizon/what-if.server";
import { inUnits } from "~/views/words";

/** What becomes of the plan if something were otherwise; nothing is changed. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const asked = Suppositions.safeParse(new URL(request.url).searchParams.get("if") ?? "");
  if (!asked.success) return Response.json({ status: "cannot", supposed: [], sentence: "That cannot be supposed: choose something from the list." }, { status: 400 }); // prettier-ignore
  const answer = await whenPlanned(request, db, garden, () => whatIf(db, garden, asked.data));
  return Response.json(inUnits(answer, garden.unitSystem));
}
