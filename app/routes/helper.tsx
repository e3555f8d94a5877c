import { data } from "react-router";
import type { Route } from "./+types/helper";
import { fieldErrors } from "~/core/issues";
import { actOnLinks, LinkAct, linksPage } from "~/services/access/links-page.server";
import { helperPage } from "~/services/ahead/ahead-pages.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { HelperLinks } from "~/ui/ahead/HelperLinks";
import { HelperSheetPage } from "~/ui/ahead/HelperSheetPage";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "Helper’s sheet · Akmedon" }];

export function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const on = new URL(request.url).searchParams.get("on") ?? undefined;
  return whenPlanned(request, db, garden, () => ({ sheet: helperPage(db, garden, on), ...linksPage(db, garden, process.env.AKMEDON_ADDRESS) })); // prettier-ignore
}

export const action = wholeOrTold(async ({ request }: Route.ActionArgs) => {
  const { db, garden } = knownGarden();
  const act = LinkAct.safeParse(await fieldsOf(request));
  if (!act.success) return data({ error: Object.values(fieldErrors(act.error))[0] ?? "That cannot be read." }, { status: 400 }); // prettier-ignore
  const told = await actOnLinks(db, garden, process.env.AKMEDON_ADDRESS, act.data);
  return data(told, { status: told.error ? 400 : 200 });
});

export default function HelperSheet({ loaderData: { sheet, canMake, links } }: Route.ComponentProps) {
  return <HelperSheetPage sheet={sheet} above={sheet && <HelperLinks canMake={canMake} links={links} from={sheet.from} who={sheet.who} />} />; // prettier-ignore
}
