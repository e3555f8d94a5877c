import { Outlet, useLocation } from "react-router";
import type { Route } from "./+types/garden";
import { knownGarden } from "~/services/garden/known-garden.server";
import { containersOf } from "~/services/ledger/containers.server";
import { isRoundOut } from "~/services/round/round-page.server";
import { refreshInBackground } from "~/services/sky/refresh-weather.server";
import { OutboxProvider } from "~/ui/outbox/OutboxProvider";
import { GardenShell } from "~/ui/shell/GardenShell";

export function loader() {
  const { db, garden } = knownGarden();
  refreshInBackground(db, garden);
  return {
    name: garden.name,
    demo: garden.demoDay !== null,
    out: isRoundOut(db),
    containers: containersOf(db),
    units: garden.unitSystem,
  };
}

export default function Garden({ loaderData }: Route.ComponentProps) {
  const { pathname } = useLocation();
  const { name, demo, out, containers, units } = loaderData;
  return (
    <GardenShell walking={out && pathname === "/round"} gardenName={name} demo={demo}>
      <OutboxProvider containers={containers} units={units}>
        <Outlet />
      </OutboxProvider>
    </GardenShell>
  );
}
