import type { ReactNode } from "react";
import { Outlet, isRouteErrorResponse, useLocation } from "react-router";
import type { Route } from "./+types/garden";
import { knownGarden } from "~/services/garden/known-garden.server";
import { containersOf } from "~/services/ledger/containers.server";
import { twinsAsked } from "~/services/ledger/twins.server";
import { isRoundOut } from "~/services/round/round-page.server";
import { refreshInBackground } from "~/services/sky/refresh-weather.server";
import { TwinsNote } from "~/ui/ledger/TwinsNote";
import { OutboxProvider } from "~/ui/outbox/OutboxProvider";
import { PocketNote } from "~/ui/pocket/PocketNote";
import { useNewBuild } from "~/ui/pocket/useNewBuild";
import { GardenShell } from "~/ui/shell/GardenShell";
import { Planning } from "~/ui/shell/Planning";
import { Trouble } from "~/ui/shell/Trouble";

export function loader({ context }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  refreshInBackground(db, garden);
  return {
    name: garden.name,
    demo: garden.demoDay !== null,
    out: isRoundOut(db),
    containers: containersOf(db),
    twins: twinsAsked(db, garden),
    units: garden.unitSystem,
    servedAt: new Date().toISOString(),
    build: context.build ?? "",
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

function Frame({ name, demo, out, containers, twins, units, servedAt, build, children }: FrameProps) {
  const { pathname } = useLocation();
  useNewBuild(build);
  const walking = pathname === "/round/walk" || (out && pathname === "/round");
  return (
    <OutboxProvider containers={containers} units={units}>
      <GardenShell
        walking={walking}
        gardenName={name}
        demo={demo}
        pocket={<PocketNote servedAt={servedAt} build={build} />}
      >
        <TwinsNote twins={twins} />
        {children}
      </GardenShell>
    </OutboxProvider>
  );
}

/** A page opened before the first plan of a start stands in its frame, and follows on; what went wrong is said there. */
export function ErrorBoundary({ error, loaderData }: Route.ErrorBoundaryProps) {
  if (!loaderData) return <main><Trouble error={error} /></main>; // prettier-ignore
  const isPlanning = isRouteErrorResponse(error) && error.status === 202;
  return <Frame {...loaderData}>{isPlanning ? <Planning /> : <Trouble error={error} />}</Frame>;
}
