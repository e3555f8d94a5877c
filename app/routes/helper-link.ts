import { data, redirect } from "react-router";
import type { Route } from "./+types/helper-link";
import { helperCookie, helperLinkOf } from "~/services/access/helper-links.server";
import { knownGarden } from "~/services/garden/known-garden.server";

/** A helper's link: the phone that opens it shows it from now on, so that the address itself carries nothing. */
export async function loader({ params, context: { knock } }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  if (!knock || !helperLinkOf(db, garden, params.token)) throw data("This link is over, or never was one. Ask the household for another.", { status: 410 }); // prettier-ignore
  return redirect("/help", { headers: { "Set-Cookie": await helperCookie(db, params.token) } });
}
