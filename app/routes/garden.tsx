import { Outlet, redirect, useLocation } from "react-router";
import type { Route } from "./+types/garden";
import { requestDb } from "~/db/client.server";
import { theGarden } from "~/services/clock.server";
import { refreshInBackground } from "~/services/refresh-weather.server";
import { openRound } from "~/services/round.server";
import { OutboxProvider } from "~/ui/outbox/OutboxProvider";
import { GardenShell } from "~/ui/shell/GardenShell";

export function loader() {
  const db = requestDb();
  const row = theGarden(db);
  if (!row) throw redirect("/setup");
  refreshInBackground(db, row);
  return { name: row.name, demo: row.demoDay !== null, out: openRound(db) !== undefined };
}

export default function Garden({ loaderData }: Route.ComponentProps) {
  const { pathname } = useLocation();
  return (
    <GardenShell walking={loaderData.out && pathname === "/round"} gardenName={loaderData.name} demo={loaderData.demo}>
      <OutboxProvider>
        <Outlet />
      </OutboxProvider>
    </GardenShell>
  );
}
