import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { ReactNode } from "react";
import type { SkyView } from "~/views/sky/sky-view";
import { BandStripes } from "~/ui/horizon/BandStripes";
import { MinutesBars } from "./MinutesBars";
import { RowName } from "./RowName";
import { TripBars } from "./TripBars";
import { sayRain, sayTemperature, sayWind } from "~/views/words";

type Day = SkyView["days"][number];

const LABELS = "92px";
const DAY = "minmax(62px, 1fr)";

/** Two weeks side by side: temperature, frost of the nights between, rain and wind, dry leaves, trips, minutes. */
export function SkyStrip({ view }: { view: SkyView }) {
  const { days } = view;
  return (
    <Box
      overflowX="auto"
      tabIndex={0}
      role="region"
      aria-label="The days ahead"
      borderBottom="2px solid"
      borderTop="2px solid"
      borderColor="ink"
    >
      <Box minWidth={`${92 + 62 * days.length}px`} position="relative">
        <Box position="absolute" top="0" bottom="0" left={LABELS} right="0" pointerEvents="none" aria-hidden>
          <BandStripes bands={view.bands} count={days.length} />
        </Box>
        <Row label="Day" days={days}>
          {(d) => <DayName d={d} shown={view.shown?.day === d.day} />}
        </Row>
        <Row label="Low, high" days={days}>
          {(d) => <Warmth d={d} days={days} units={view.units} />}
        </Row>
        <Nights view={view} />
        <Row label="Rain, gusts" days={days}>
          {(d) => <Wet d={d} units={view.units} />}
        </Row>
        <Row label="Leaves dry from" days={days}>
          {(d) => (
            <chakra.span
              display="block"
              fontSize="0.9rem"
              lineHeight="1.1"
              fontWeight={/\d/.test(d.leaves) ? 700 : 400}
            >
              {d.leaves}
            </chakra.span>
          )}
        </Row>
        <TripBars view={view} labels={LABELS} />
        <MinutesBars view={view} labels={LABELS} day={DAY} />
      </Box>
    </Box>
  );
}

interface RowProps {
  label: string;
  days: Day[];
  children: (day: Day) => ReactNode;
}

function Row({ label, days, children }: RowProps) {
  return (
    <Box display="grid" gridTemplateColumns={`${LABELS} repeat(${days.length}, ${DAY})`} position="relative">
      <RowName>{label}</RowName>
      {days.map((d) => (
        <Box key={d.day} textAlign="center" padding="3px 1px" color={d.source === "normal" ? "soft" : "ink"}>
          {children(d)}
        </Box>
      ))}
    </Box>
  );
}

function DayName({ d, shown }: { d: Day; shown: boolean }) {
  const name = (
    <chakra.span fontFamily="heading" fontSize="1.05rem" fontWeight="600" whiteSpace="nowrap">
      {d.label}
    </chakra.span>
  );
  if (!d.hasHours)
    return (
      <Box minHeight="44px" display="grid" placeItems="center">
        {name}
      </Box>
    );
  return (
    <Link
      to={shown ? "?" : `?day=${d.day}`}
      preventScrollReset
      aria-label={shown ? `Close the hours of ${d.date}` : `Hours of ${d.date}`}
      aria-expanded={shown}
      style={{ display: "grid", placeItems: "center", minHeight: 44, textUnderlineOffset: 4 }}
    >
      {name}
    </Link>
  );
}

/** The day's span as a bar, the low's likely miss as a thin line below it. */
function Warmth({ d, days, units }: { d: Day; days: Day[]; units: SkyView["units"] }) {
  const bottom = Math.min(...days.map((x) => x.minC)) - 4;
  const top = Math.max(...days.map((x) => x.maxC)) + 1;
  const at = (c: number) => `${Math.max(0, Math.min(100, (100 * (top - c)) / (top - bottom)))}%`;
  const cold = d.minC <= 0;
  const miss = d.missC > 0 ? `, may miss by ${d.missC.toFixed(1)} degrees` : "";
  return (
    <Box>
      <Box position="relative" height="66px" aria-hidden>
        {d.missC > 0 && (
          <Box
            position="absolute"
            left="calc(50% - 1px)"
            width="2px"
            background="edge"
            style={{ top: at(d.minC + d.missC), bottom: `calc(100% - ${at(d.minC - d.missC)})` }}
          />
        )}
        <Box
          position="absolute"
          left="calc(50% - 6px)"
          width="12px"
          borderRadius="6px"
          background={cold ? "slate" : d.source === "normal" ? "line" : "plum"}
          style={{ top: at(d.maxC), bottom: `calc(100% - ${at(d.minC)})` }}
        />
      </Box>
      <chakra.span
        fontWeight={cold ? 700 : 400}
        color={cold ? "slate" : "inherit"}
        title={`Low ${sayTemperature(d.minC, units)}${miss}`}
      >
        {sayTemperature(d.minC, units)}
      </chakra.span>{" "}
      {sayTemperature(d.maxC, units)}
    </Box>
  );
}

/** Odds of frost, each on the night between its two days. */
function Nights({ view }: { view: SkyView }) {
  const count = view.days.length;
  return (
    <Box display="grid" gridTemplateColumns={`${LABELS} minmax(0, 1fr)`} position="relative">
      <RowName>Frost, the night between</RowName>
      <Box position="relative" height="40px">
        {view.days.slice(0, -1).map((d, n) =>
          d.frost ? (
            <chakra.span
              key={d.day}
              position="absolute"
              top="1px"
              transform="translateX(-50%)"
              textAlign="center"
              fontSize="0.92rem"
              lineHeight="1.2"
              whiteSpace="nowrap"
              color="slate"
              fontWeight={d.frost.strong ? 700 : 400}
              background={d.frost.strong ? "card" : "transparent"}
              borderRadius="8px"
              padding="0 5px"
              style={{ left: `${(100 * (n + 1)) / count}%` }}
              title={`In the coldest bed, ${d.frost.bed}`}
            >
              {d.frost.odds.replace("under ", "<").replace("over ", ">")}
              <chakra.span display="block" fontSize="0.85rem" fontWeight="400">
                {d.frost.strong ? d.frost.bed.slice(0, 12) : ""}
              </chakra.span>
            </chakra.span>
          ) : null,
        )}
      </Box>
    </Box>
  );
}

function Wet({ d, units }: { d: Day; units: SkyView["units"] }) {
  return (
    <Box fontSize="0.9rem" lineHeight="1.2" minHeight="40px">
      {d.rainMm !== null && <span>{sayRain(d.rainMm, units)}</span>}
      {d.storm ? (
        <chakra.span
          display="block"
          fontWeight="700"
          color="slate"
          lineHeight="1.1"
          background="card"
          borderRadius="8px"
        >
          {d.storm}
        </chakra.span>
      ) : (
        d.windKmh !== null &&
        d.windKmh >= 35 && <chakra.span display="block">≋ {sayWind(d.windKmh, units)}</chakra.span>
      )}
    </Box>
  );
}
