import { Box, chakra } from "@chakra-ui/react";
import { data } from "react-router";
import type { Route } from "./+types/check";
import { checkView } from "~/services/check-view.server";
import { knownGarden } from "~/services/known-garden.server";
import { plannedGarden } from "~/services/outlook.server";
import { containersOf } from "~/services/containers.server";
import { CuePanel } from "~/ui/check/CuePanel";
import { CheckLayout } from "~/ui/check/CheckLayout";
import { HowToTake, VerdictHead } from "~/ui/check/VerdictCard";
import { useLooks } from "~/ui/check/useLooks";
import { LogPanel } from "~/ui/round/LogPanel";
import { ActionLink } from "~/ui/shell/Action";

export const meta: Route.MetaFunction = ({ data: loaded }) => [
  { title: `${(loaded as { view?: { crop: string } } | undefined)?.view?.crop ?? "Check"} · Akmedon` },
];

export function loader({ params }: Route.LoaderArgs) {
  const { db, garden } = knownGarden();
  const planned = plannedGarden(db, garden);
  const view = checkView(planned, garden, params.plantingId);
  if (!view) throw data("This planting is finished or no longer there.", { status: 404 });
  return { view, today: planned.today, containers: containersOf(db), units: garden.unitSystem };
}

export default function Check({ loaderData }: Route.ComponentProps) {
  return <CheckPage key={loaderData.view.id} {...loaderData} />;
}

function CheckPage(loaderData: Route.ComponentProps["loaderData"]) {
  const { view, today, containers, units } = loaderData;
  const { tapped, tap, count, pending, note } = useLooks(view.id, today);
  return (
    <Box maxWidth="1080px" margin="0 auto" padding={{ base: "14px 18px", md: "20px 28px" }}>
      <Box display="flex" flexWrap="wrap" alignItems="baseline" gap="2px 14px" marginBottom="8px">
        <chakra.h1 fontSize={{ base: "1.9rem", md: "2.2rem" }}>{view.crop}</chakra.h1>
        <chakra.span color="soft">
          {[view.variety, view.bed, view.plants > 1 ? `${view.plants} plants` : "", view.started]
            .filter(Boolean)
            .join(" · ")}
        </chakra.span>
      </Box>
      <CheckLayout
        verdict={<VerdictHead view={view} pending={pending} />}
        cues={
          <>
            <CuePanel
              view={view}
              units={units}
              tapped={tapped}
              onTap={(...look) => void tap(...look)}
              onCount={count}
            />
            {note && <p>{note}</p>}
          </>
        }
        how={<HowToTake view={view} />}
        log={<LogPanel key={view.id} view={view} today={today} containers={containers} units={units} roundId={null} />}
      />
      <ActionLink href={`/plantings/${view.id}`} tone="bare" marginTop="14px">
        Change this planting or log a treatment
      </ActionLink>
    </Box>
  );
}
