import type { Route } from "./+types/sheets";
import { sheetsPage } from "~/services/notes/notes-page.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { SheetsPage } from "~/ui/notes/SheetsPage";

export const meta: Route.MetaFunction = () => [{ title: "Crop sheets · Akmedon" }];

/** Sheets of the crops named, or of all that grow here. */
export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const asked = new URL(request.url).searchParams.getAll("crop");
  return { sheets: sheetsPage(db, asked, garden.unitSystem) };
}

export default function Sheets({ loaderData }: Route.ComponentProps) {
  return <SheetsPage sheets={loaderData.sheets} />;
}
