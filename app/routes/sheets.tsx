import type { Route } from "./+types/sheets";
import { isNull } from "drizzle-orm";
import { planting } from "~/db/schema.server";
import { cropNotes } from "~/services/field-notes-view.server";
import { knownGarden } from "~/services/known-garden.server";
import { SheetsPage } from "~/ui/notes/SheetsPage";

export const meta: Route.MetaFunction = () => [{ title: "Crop sheets · Akmedon" }];

/** Sheets of the crops named, or of all that grow here. */
export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const asked = new URL(request.url).searchParams.getAll("crop");
  const growing = db.select().from(planting).where(isNull(planting.finishedOn)).all().map((p) => p.cropId); // prettier-ignore
  const ids = [...new Set(asked.length > 0 ? asked : growing)];
  return { sheets: ids.flatMap((id) => cropNotes(db, id, garden.unitSystem) ?? []).sort((a, b) => a.name.localeCompare(b.name)) }; // prettier-ignore
}

export default function Sheets({ loaderData }: Route.ComponentProps) {
  return <SheetsPage sheets={loaderData.sheets} />;
}
