import type { Route } from "./+types/here";
import { personAt } from "~/services/access/people.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { Here, whoIsWhere } from "~/services/round/presence.server";

const MOST_BYTES = 1000;
const wrong = () => Response.json({ sentence: "Say which device it is, and at which planting." }, { status: 400 });

/** Where a phone on the walk says at which planting it is, and hears where the others are. */
export async function action({ request, context: { knock } }: Route.ActionArgs) {
  const { db } = knownGarden();
  const text = await request.text();
  if (text.length > MOST_BYTES) return wrong();
  try {
    const here = Here.safeParse(JSON.parse(text));
    return here.success ? Response.json(whoIsWhere(db, here.data, personAt(db, knock))) : wrong();
  } catch {
    return wrong();
  }
}
