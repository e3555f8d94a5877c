import type { Route } from "./+types/sheets";
import { cropYearOf, sheetsPage } from "~/services/notes/notes-page.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { SheetsPage } from "~/ui/notes/SheetsPage";

export const meta: Route.MetaFunction = () => [{ title: "Crop sheets · Akmedon" }];

/** Sheets of the crops named, or of all that grow here. */
export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const asked = new URL(request.url).searchParams.getAll("crop");
  return whenPlanned(request, db, garden, () =>
    sheetsPage(db, asked, garden.unitSystem).map((notes) => ({ notes, year: cropYearOf(db, garden, notes.id)! })),
  );
}

export default function Sheets({ loaderData }: Route.ComponentProps) {
  return <SheetsPage sheets={loaderData} />;
}
