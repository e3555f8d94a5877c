import { z } from "zod";

export const BED_KINDS = ["open", "raised", "low", "wall", "container", "frame", "tunnel", "tree"] as const;
export const BedKind = z.enum(BED_KINDS);
export type BedKind = z.infer<typeof BedKind>;

/** How a bed differs from the station, °C. All our judgement, until its own thermometer says. */
export interface BedClimate {
  /** On the night's low. */
  nightC: number;
  /** On the day's high. */
  dayC: number;
  /** Further fall on a clear, calm, dry night. */
  radiationC: number;
  label: string;
}

export const BED_CLIMATES: Record<BedKind, BedClimate> = {
  open: { nightC: 0, dayC: 0, radiationC: -1, label: "Open bed" },
  raised: { nightC: 0, dayC: 0.5, radiationC: -1, label: "Raised bed" },
  low: { nightC: -1.2, dayC: 0, radiationC: -1.2, label: "Low spot, cold air gathers" },
  wall: { nightC: 1.5, dayC: 1, radiationC: -0.4, label: "By a warm wall" },
  container: { nightC: 0.3, dayC: 0.5, radiationC: -0.8, label: "Containers" },
  frame: { nightC: 2, dayC: 3, radiationC: -0.3, label: "Cold frame" },
  tunnel: { nightC: 1.8, dayC: 4, radiationC: -0.3, label: "Tunnel or greenhouse" },
  tree: { nightC: 0.5, dayC: 0, radiationC: -0.6, label: "Tree" },
};

/**
 * The low of a night at a bed.
 *
 * @param stationMinC - forecast or observed low at the station, °C
 * @param openSky - how openly the night loses heat, 0 (cloud, wind, rain) to 1 (clear, calm, dry)
 * @param coverGainC - of a cover laid for the night, °C
 */
export function bedMinimum(kind: BedKind, stationMinC: number, openSky: number, coverGainC = 0): number {
  const climate = BED_CLIMATES[kind];
  return stationMinC + climate.nightC + openSky * climate.radiationC + coverGainC;
}
