import { z } from "zod";
import type { Route } from "./+types/hands";
import { IsoDay } from "~/core/calendar";
import { handsOffered } from "~/services/ahead/hands-offered.server";
import { knownGarden } from "~/services/garden/known-garden.server";
import { whenPlanned } from "~/services/garden/when-planned.server";

const Asked = z.object({ before: z.enum(["frost", "trip"]), on: IsoDay });

/** What more hands would bring before a frost or a trip: asked for by their pages once they stand. */
export async function loader({ request }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ cost: null, offers: [] }, { status: 400 });
  const { before, on } = asked.data;
  return Response.json(await whenPlanned(request, db, garden, () => handsOffered(db, garden, before, on)));
}
