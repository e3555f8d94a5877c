import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { SkyView } from "~/views/sky/sky-view";
import { CalendarImport } from "./CalendarImport";
import { CalendarOut } from "./CalendarOut";
import { Limits } from "./Limits";
import { DayHours } from "./DayHours";
import { HazardCards } from "./HazardCards";
import { Helpers } from "./Helpers";
import { ClimateCard } from "./ClimateCard";
import { SkyStrip } from "./SkyStrip";
import { SourceLine, WeatherSources } from "./WeatherSources";
import { Trips } from "./Trips";
import { WeatherByHand } from "./WeatherByHand";
import { WeatherImport } from "./WeatherImport";
import { WeekMinutes } from "./WeekMinutes";
import { Bar } from "~/ui/theme/parts";

/** What is coming, for which bed, and when hands are free. */
export function SkyPage({ view, origin }: { view: SkyView; origin: string }) {
  return (
    <Box maxWidth="1240px" margin="0 auto" padding={{ base: "14px 16px", md: "18px 28px" }}>
      <Bar alignItems="baseline" gap="4px 22px" marginBottom="8px">
        <chakra.h1 fontSize={{ base: "1.8rem", md: "2.1rem" }}>Sky & away</chakra.h1>
        <SourceLine view={view} />
        {view.pages.length > 0 && (
          <chakra.nav aria-label="What is ahead" display="inline-flex" flexWrap="wrap" gap="0 22px">
            {view.pages.map((page) => (
              <chakra.span key={page.href} lineHeight="2.6">
                <Link to={page.href}>{page.words}</Link>
              </chakra.span>
            ))}
          </chakra.nav>
        )}
      </Bar>
      <SkyStrip view={view} />
      {view.shown && <DayHours key={view.shown.day} shown={view.shown} units={view.units} />}
      <HazardCards view={view} />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) minmax(0, 1fr)" }}
        gap="18px"
        marginTop="22px"
        alignItems="start"
      >
        <Box display="grid" gap="18px" gridTemplateColumns="minmax(0, 1fr)">
          <Trips view={view} />
          <WeekMinutes view={view} />
          <Limits view={view} />
          <Helpers view={view} />
          <CalendarImport view={view} />
        </Box>
        <Box display="grid" gap="18px" gridTemplateColumns="minmax(0, 1fr)">
          <ClimateCard view={view} />
          <WeatherSources view={view} />
          <WeatherByHand view={view} />
          <WeatherImport record={view.record} />
          <CalendarOut origin={origin} />
        </Box>
      </Box>
    </Box>
  );
}
