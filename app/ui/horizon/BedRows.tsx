import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { LABELS } from "./layout";
import { RidgeRow } from "./RidgeRow";
import { QuietSpan } from "~/ui/theme/parts";

type BedShown = HorizonView["beds"][number];

/** One bed with its plantings, a ridge each. */
export function BedRows({ bed, view }: { bed: BedShown; view: HorizonView }) {
  return (
    <chakra.section
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
        <PlantingRow key={p.id} p={p} view={view} />
      ))}
    </chakra.section>
  );
}

function PlantingRow({ p, view }: { p: BedShown["plantings"][number]; view: HorizonView }) {
  return (
    <Box
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
              <QuietSpan fontWeight="400">{p.variety ? `, ${p.variety}` : ""}</QuietSpan>
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
  );
}
