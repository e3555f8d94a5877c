import { data } from "react-router";
import type { Route } from "./+types/help";
import { helperLinksOpen } from "~/services/access/helper-links.server";
import { HelperAct, helpPage, logAsHelper } from "~/services/ahead/helper-logs.server";
import { todayOf } from "~/services/garden/clock.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { planAhead } from "~/services/garden/planned-garden.server";
import { wholeOrTold } from "~/services/garden/whole-or-told.server";
import { HelpPage } from "~/ui/ahead/HelpPage";
import { fieldErrors } from "~/core/issues";
import { fieldsOf } from "./form";

export const meta: Route.MetaFunction = () => [{ title: "What to pick · Akmedon" }];

/** The garden, and the link a helper came by. */
function helped(helperId: string | null | undefined) {
  const { db, garden } = knownGarden();
  const link = helperLinksOpen(db, todayOf(garden)).find((l) => l.id === helperId);
  if (!link) throw data("This page is the helper’s: it opens by their link.", { status: 404 });
  return { db, garden, link };
}

export async function loader({ context: { knock } }: Route.LoaderArgs) {
  const { db, garden, link } = helped(knock?.helperId);
  await planAhead(db, garden);
  return helpPage(db, garden, link);
}

export const action = wholeOrTold(async ({ request, context: { knock } }: Route.ActionArgs) => {
  const { db, garden, link } = helped(knock?.helperId);
  const act = HelperAct.safeParse(await fieldsOf(request));
  if (!act.success) return data({ sentence: Object.values(fieldErrors(act.error))[0] ?? "That cannot be read." }, { status: 400 }); // prettier-ignore
  const refused = await logAsHelper(db, garden, link, act.data);
  return refused ? data(refused, { status: 400 }) : data({ sentence: "" });
});

export default function Help({ loaderData }: Route.ComponentProps) {
  return <HelpPage {...loaderData} />;
}
