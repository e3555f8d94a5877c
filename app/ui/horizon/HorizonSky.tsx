import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { sayTemperature, sayWind } from "~/views/words";
import { FindField } from "./FindField";
import { LABELS } from "./layout";
import { QuietSpan } from "~/ui/theme/parts";

type Day = HorizonView["days"][number];

/** The phone's day line: dates over the ridges, cold ones in the cold colour with their low. */
export const PhoneDays = memo(function PhoneDays({ view }: { view: HorizonView }) {
  return (
    <Box
      display={{ base: "grid", md: "none" }}
      gridTemplateColumns={`repeat(${view.days.length}, 1fr)`}
      position="sticky"
      top="0"
      zIndex="5"
      background="paper"
      borderBottom="2px solid"
      borderColor="ink"
      marginLeft="16px"
      textAlign="center"
      fontSize="0.85rem"
      lineHeight="1.15"
      paddingBlock="4px"
    >
      {view.days.map((d, n) => (
        <chakra.span key={d.day} fontWeight={n === 0 || d.minC <= 0 ? 700 : 400} color={d.minC <= 0 ? "slate" : "ink"}>
          {d.label.slice(0, 1)}
          <br />
          {d.label.slice(3)}
          <br />
          {sayTemperature(d.minC, view.units)}
        </chakra.span>
      ))}
    </Box>
  );
});

interface SkyStripProps {
  view: HorizonView;
  onFind: (words: string) => void;
  onGo: () => void;
}

/** The table's sky over the ridges: dates, spans of warmth, rain, gusts, and the names of the bands. */
export const SkyStrip = memo(function SkyStrip({ view, onFind, onGo }: SkyStripProps) {
  const bottom = Math.min(...view.days.map((d) => d.minC), -2);
  const top = Math.max(...view.days.map((d) => d.maxC), bottom + 5);
  const at = (c: number) => 100 * (1 - (c - bottom) / (top - bottom));
  return (
    <Box
      display={{ base: "none", md: "grid" }}
      gridTemplateColumns={`${LABELS.md} minmax(0, 1fr)`}
      position="sticky"
      top="0"
      zIndex="5"
      background="paper"
      borderBottom="2px solid"
      borderColor="ink"
    >
      <Box padding="6px 10px 6px 28px" fontSize="0.9rem" color="soft" alignSelf="end">
        <FindField onFind={onFind} onGo={onGo} />
        <chakra.span display="block" marginTop="6px">
          Low, high, rain; ≋ gusts, {view.units === "metric" ? "km/h" : "mph"}
        </chakra.span>
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={`repeat(${view.days.length}, 1fr)`}
        position="relative"
        paddingTop="36px"
      >
        <BandNames view={view} />
        {view.days.map((d, n) => (
          <SkyDay key={d.day} day={d} first={n === 0} at={at} units={view.units} />
        ))}
      </Box>
    </Box>
  );
});

interface SkyDayProps {
  day: Day;
  first: boolean;
  /** Height of a temperature, per cent from the top. */
  at: (celsius: number) => number;
  units: HorizonView["units"];
}

function SkyDay({ day: d, first, at, units }: SkyDayProps) {
  const cold = d.minC <= 0;
  return (
    <Box position="relative" height="98px" textAlign="center" color={d.forecast ? "ink" : "soft"}>
      <chakra.span
        display="block"
        fontWeight={first ? 700 : 400}
        fontSize="0.92rem"
        whiteSpace="nowrap"
        paddingTop="3px"
      >
        {d.label}
      </chakra.span>
      <Box position="absolute" left="0" right="0" top="26px" height="36px" aria-hidden>
        <Box
          position="absolute"
          left="calc(50% - 4px)"
          width="8px"
          borderRadius="4px"
          background={cold ? "slate" : "plum"}
          style={{ top: `${at(d.maxC)}%`, bottom: `${100 - at(d.minC)}%` }}
        />
        {d.rainMm !== null && d.rainMm >= 0.3 && (
          <Box
            position="absolute"
            left="calc(50% - 15px)"
            bottom="0"
            width="6px"
            background="slate"
            style={{ height: `${Math.min(100, 12 + d.rainMm * 4)}%` }}
          />
        )}
      </Box>
      <chakra.span
        position="absolute"
        bottom="2px"
        insetInline="0"
        fontSize="0.85rem"
        lineHeight="1.1"
        fontWeight={cold ? 700 : 400}
        color={cold ? "slate" : "inherit"}
      >
        <chakra.span whiteSpace="nowrap" fontSize={units === "us" ? "0.74rem" : "0.8rem"} letterSpacing="-0.03em">
          {sayTemperature(d.minC, units)}/{sayTemperature(d.maxC, units)}
        </chakra.span>
        <QuietSpan display="block" fontWeight="400" minHeight="1.1em">
          {d.windKmh !== null && d.windKmh >= 40 ? (
            <abbr title={`Gusts of ${sayWind(d.windKmh, units)}`} style={{ textDecoration: "none" }}>
              ≋ {parseInt(sayWind(d.windKmh, units))}
            </abbr>
          ) : (
            ""
          )}
        </QuietSpan>
      </chakra.span>
    </Box>
  );
}

/** What the bands below are, with their odds, over the nights or days they lie on. */
function BandNames({ view }: { view: HorizonView }) {
  const count = view.days.length;
  return (
    <Box
      position="absolute"
      insetInline="0"
      top="1px"
      height="38px"
      fontSize="0.85rem"
      fontWeight="700"
      lineHeight="1.2"
    >
      {view.bands.map(({ kind, label }, i) =>
        label ? (
          <chakra.span
            key={i}
            position="absolute"
            textAlign="center"
            whiteSpace="nowrap"
            // Absence has a line of its own: hazards often fall within it.
            top={kind === "away" ? "0" : "17px"}
            color={kind === "away" ? "soft" : kind === "heat" ? "persimmon" : "slate"}
            style={{ left: `${(50 * (label.from + label.to)) / count}%`, transform: "translateX(-50%)" }}
          >
            {label.words}
          </chakra.span>
        ) : null,
      )}
    </Box>
  );
}
