import { Box } from "@chakra-ui/react";
import type { Band } from "~/views/sky/bands";
import { BAND_ORDER, BAND_PATTERN } from "./bands";

/** The bands over a stretch of `count` days; its parent gives the place. */
export function BandStripes({ bands, count }: { bands: Band[]; count: number }) {
  const ordered = [...bands].sort((a, b) => BAND_ORDER.indexOf(a.kind) - BAND_ORDER.indexOf(b.kind));
  return ordered.map((band, i) => (
    <Box
      key={i}
      position="absolute"
      top="0"
      bottom="0"
      style={{
        left: `${(100 * band.from) / count}%`,
        width: `${(100 * (band.to - band.from)) / count}%`,
        ...BAND_PATTERN[band.kind],
      }}
    />
  ));
}
