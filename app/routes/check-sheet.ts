import { stringify } from "devalue";
import type { Route } from "./+types/check-sheet";
import { knownGarden } from "~/services/garden/known-garden.server";
import { sheetApart } from "~/services/garden/planners.server";

/** What a planting's verdict is worked out from: the judge in the page asks it again from this, at every tap. */
export async function loader({ params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const sheet = await sheetApart(db, garden, params.plantingId);
  if (!sheet) return new Response(null, { status: 404 });
  return new Response(stringify({ sheet, units: garden.unitSystem }), {
    headers: { "Content-Type": "application/json", "Cache-Control": "no-store" },
  });
}
