import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import type { HorizonView } from "~/services/horizon-view.server";
import { sayTemperature, sayWind } from "~/core/units";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import { ink } from "~/ui/theme";
import { BandStripes } from "./BandStripes";
import { BAND_PATTERN } from "./bands";
import { RidgeRow } from "./RidgeRow";

const LABELS = { md: "336px" };

/** Beds in walking order down the side, the days across, every planting a ridge of worth. */
export function HorizonBoard({ view }: { view: HorizonView }) {
  return (
    <Box position="relative" minWidth="0" overflowX="clip">
      <SkyStrip view={view} />
      <PhoneDays view={view} />
      <Box position="relative">
        <Bands view={view} />
        {view.beds.map((bed) => (
          <chakra.section
            key={bed.id}
            aria-label={bed.name}
            borderTop="1px solid"
            borderColor="line"
            position="relative"
            paddingBlock="6px"
          >
            <Box
              position={{ base: "relative", md: "absolute" }}
              zIndex="3"
              left="0"
              top="10px"
              bottom="0"
              width={{ base: "auto", md: "118px" }}
              paddingLeft={{ base: "16px", md: "28px" }}
            >
              <chakra.h2 fontSize="1.08rem" overflowWrap="anywhere" position="relative" zIndex="2">
                <chakra.a
                  href={`/beds#${bed.id}`}
                  display="inline-block"
                  minHeight="28px"
                  textDecoration="none"
                  _hover={{ textDecoration: "underline" }}
                >
                  {bed.name}
                </chakra.a>
              </chakra.h2>
              <chakra.span
                aria-hidden
                display={{ base: "none", md: "block" }}
                position="absolute"
                left="10px"
                top="5px"
                width="11px"
                height="11px"
                borderRadius="50%"
                background="plum"
              />
            </Box>
            {bed.plantings.map((p) => (
              <Box
                key={p.id}
                display={{ base: "block", md: "grid" }}
                gridTemplateColumns={`${LABELS.md} minmax(0, 1fr)`}
                alignItems="center"
              >
                <Link to={`/check/${p.id}`} style={{ textDecoration: "none", position: "relative", zIndex: 2 }}>
                  <Box
                    display="flex"
                    gap="10px"
                    alignItems="center"
                    minHeight="48px"
                    paddingLeft={{ base: "16px", md: "0" }}
                    marginLeft={{ base: "0", md: "124px" }}
                    paddingRight="10px"
                    _hover={{ textDecoration: "underline" }}
                  >
                    <ReadinessArc at={p.arc.at} spread={p.arc.spread} size="small" label={p.stage} urgent={p.urgent} />
                    <Box lineHeight="1.2" minWidth="0">
                      <chakra.span
                        display="block"
                        fontWeight="700"
                        whiteSpace="nowrap"
                        overflow="hidden"
                        textOverflow="ellipsis"
                        title={`${p.crop}, ${p.variety}`}
                      >
                        {p.crop}
                        <chakra.span fontWeight="400" color="soft">
                          {p.variety ? `, ${p.variety}` : ""}
                        </chakra.span>
                      </chakra.span>
                      <chakra.span
                        display="block"
                        fontSize="0.94rem"
                        whiteSpace="nowrap"
                        overflow="hidden"
                        textOverflow="ellipsis"
                        color={p.urgent ? "persimmon" : "ink"}
                        fontWeight={p.urgent ? 700 : 400}
                      >
                        {p.short}
                      </chakra.span>
                    </Box>
                  </Box>
                </Link>
                <RidgeRow planting={p} days={view.days.map((d) => d.label)} bands={view.bands} />
              </Box>
            ))}
          </chakra.section>
        ))}
        <chakra.span
          aria-hidden
          display={{ base: "none", md: "block" }}
          position="absolute"
          left="15px"
          top="20px"
          bottom="40px"
          borderLeft="2px dotted"
          borderColor="plum"
          opacity="0.7"
        />
      </Box>
      <Legend />
    </Box>
  );
}

/** The phone's day line: dates over the ridges, cold ones in the cold colour with their low. */
function PhoneDays({ view }: { view: HorizonView }) {
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
}

function SkyStrip({ view }: { view: HorizonView }) {
  const lows = view.days.map((d) => d.minC);
  const highs = view.days.map((d) => d.maxC);
  const bottom = Math.min(...lows, -2);
  const top = Math.max(...highs, bottom + 5);
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
        Low, high, rain; ≋ gusts, {view.units === "metric" ? "km/h" : "mph"}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={`repeat(${view.days.length}, 1fr)`}
        position="relative"
        paddingTop="36px"
      >
        <BandNames view={view} />
        {view.days.map((d, n) => (
          <Box key={d.day} position="relative" height="98px" textAlign="center" color={d.forecast ? "ink" : "soft"}>
            <chakra.span
              display="block"
              fontWeight={n === 0 ? 700 : 400}
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
                background={d.minC <= 0 ? "slate" : "plum"}
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
              fontWeight={d.minC <= 0 ? 700 : 400}
              color={d.minC <= 0 ? "slate" : "inherit"}
            >
              {sayTemperature(d.minC, view.units)} {sayTemperature(d.maxC, view.units)}
              <chakra.span display="block" color="soft" fontWeight="400" minHeight="1.1em">
                {d.windKmh !== null && d.windKmh >= 40 ? (
                  <abbr title={`Gusts of ${sayWind(d.windKmh, view.units)}`} style={{ textDecoration: "none" }}>
                    ≋ {parseInt(sayWind(d.windKmh, view.units))}
                  </abbr>
                ) : (
                  ""
                )}
              </chakra.span>
            </chakra.span>
          </Box>
        ))}
      </Box>
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

/** Frost, storm, heat and absence across all rows; the strip names them. On a phone each row has its own. */
function Bands({ view }: { view: HorizonView }) {
  return (
    <Box
      position="absolute"
      top="0"
      bottom="0"
      right="0"
      left={LABELS.md}
      display={{ base: "none", md: "block" }}
      pointerEvents="none"
      zIndex="1"
    >
      <BandStripes bands={view.bands} count={view.days.length} />
    </Box>
  );
}

function Legend() {
  const swatch = (kind: keyof typeof BAND_PATTERN, words: string) => (
    <chakra.span display="inline-flex" alignItems="center" gap="6px">
      <span
        aria-hidden
        style={{
          width: 26,
          height: 18,
          display: "inline-block",
          border: `1px solid ${ink("line")}`,
          ...BAND_PATTERN[kind],
        }}
      />
      {words}
    </chakra.span>
  );
  return (
    <chakra.p
      display="flex"
      flexWrap="wrap"
      gap="6px 18px"
      fontSize="0.92rem"
      color="soft"
      padding={{ base: "12px 16px", md: "12px 28px" }}
      borderTop="1px solid"
      borderColor="line"
      margin="0"
    >
      {swatch("frost", "frost, the night between two days")}
      {swatch("storm", "storm")}
      {swatch("heat", "heat")}
      {swatch("away", "away")}
      <span>Ridge: what a pick that day is worth; the pale part is what the weather may take. ● a planned pick</span>
    </chakra.p>
  );
}
