import type { ReactNode } from "react";
import { Outlet, isRouteErrorResponse, useLocation } from "react-router";
import type { Route } from "./+types/garden";
import { knownGarden } from "~/services/garden/known-garden.server";
import { containersOf } from "~/services/ledger/containers.server";
import { isRoundOut } from "~/services/round/round-page.server";
import { refreshInBackground } from "~/services/sky/refresh-weather.server";
import { OutboxProvider } from "~/ui/outbox/OutboxProvider";
import { GardenShell } from "~/ui/shell/GardenShell";
import { Planning } from "~/ui/shell/Planning";
import { Trouble } from "~/ui/shell/Trouble";

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
  return (
    <Frame {...loaderData}>
      <Outlet />
    </Frame>
  );
}

type FrameProps = Route.ComponentProps["loaderData"] & { children: ReactNode };

function Frame({ name, demo, out, containers, units, children }: FrameProps) {
  const { pathname } = useLocation();
  return (
    <GardenShell walking={out && pathname === "/round"} gardenName={name} demo={demo}>
      <OutboxProvider containers={containers} units={units}>
        {children}
      </OutboxProvider>
    </GardenShell>
  );
}

/** A page that is opened before the first plan of a start stands in its frame, and follows on. */
export function ErrorBoundary({ error, loaderData }: Route.ErrorBoundaryProps) {
  if (!loaderData || !isRouteErrorResponse(error) || error.status !== 202) return <Trouble error={error} />;
  return (
    <Frame {...loaderData}>
      <Planning />
    </Frame>
  );
}
