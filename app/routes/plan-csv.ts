import type { Route } from "./+types/plan-csv";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { planCsv } from "~/services/horizon/plan-csv.server";

/** The plan as a table, for any spreadsheet. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  return new Response(await whenPlanned(request, db, garden, () => planCsv(db, garden)), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="akmedon-plan.csv"',
    },
  });
}
