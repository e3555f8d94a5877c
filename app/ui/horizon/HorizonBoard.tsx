import { Box, chakra } from "@chakra-ui/react";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { Band } from "~/views/sky/bands";
import { ink } from "~/ui/theme";
import { BandStripes } from "./BandStripes";
import { BedRows } from "./BedRows";
import { BOARD_CSS } from "./board-css";
import { PhoneDays, SkyStrip } from "./HorizonSky";
import { LABELS } from "./layout";

/** Beds in walking order down the side, the days across, every planting a ridge of worth. */
export function HorizonBoard({ view }: { view: HorizonView }) {
  return (
    <Box position="relative" minWidth="0" overflowX="clip" css={BOARD_CSS}>
      <SkyStrip view={view} />
      <PhoneDays view={view} />
      <Box position="relative">
        <Bands view={view} />
        {view.beds.map((bed) => (
          <BedRows key={bed.id} bed={bed} view={view} />
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
  const swatch = (kind: Band["kind"], words: string) => (
    <chakra.span display="inline-flex" alignItems="center" gap="6px">
      <span
        aria-hidden
        className={`band-${kind}`}
        style={{ width: 26, height: 18, display: "inline-block", border: `1px solid ${ink("line")}` }}
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
