import type { Route } from "./+types/health";
import { knownGarden } from "~/services/garden/known-garden.server";

export const meta: Route.MetaFunction = () => [{ title: "It answers · Akmedon" }];

/** One query: whether the server answers and reaches its file. */
export function loader() {
  return { name: knownGarden().garden.name };
}

export default function Health({ loaderData }: Route.ComponentProps) {
  return <p>{loaderData.name} answers.</p>;
}
