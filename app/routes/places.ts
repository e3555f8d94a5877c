import type { Route } from "./+types/places";
import { placesNamed } from "~/services/garden/places.server";

/** Places by the beginning of their name, for whoever sets up a garden. */
export function loader({ request }: Route.LoaderArgs) {
  return { places: placesNamed((new URL(request.url).searchParams.get("q") ?? "").slice(0, 80)) };
}
