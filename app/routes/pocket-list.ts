import { knownGarden } from "~/services/garden/known-garden.server";
import { planAhead } from "~/services/garden/planned-garden.server";
import { pocketList } from "~/services/pocket/pocket-list.server";

/** What a phone keeps of the garden; once it is planned, so that no page has to be asked for twice. */
export async function loader() {
  const { db, garden } = knownGarden();
  await planAhead(db, garden);
  return Response.json(pocketList(db, garden));
}
