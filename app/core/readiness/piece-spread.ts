import type { Crop } from "../crops";

/** How the pieces of one planting differ from what its development speaks of. */
export interface PieceSpread {
  /** Of their development (log). */
  spread: number;
  /** How far the typical piece is behind the one that development speaks of, in spreads. */
  lag: number;
}

/** How far pieces of one planting spread in development (log), where the crop says nothing: our judgement. */
const UNIT_SPREAD = 0.07;
/** What keeps giving sets piece after piece: they lie further apart. Our judgement. */
const LEAST_AGAIN = 0.3;
/** The first and the last tenth of what ripens over a span lie this many standard deviations apart. */
const TENTHS_APART = 2.56;
/** In passes and repeats the leading tenth is looked at, else the typical piece: our judgement. */
const LAG = { once: 0, passes: 1.28, repeat: 1.28 } as const;

/** Spread of development between pieces of one planting: its own, or that of the span it ripens over. */
export function pieceSpread({ unitSpread, mode, life, packet }: Crop, cycle: "first" | "again"): PieceSpread {
  const span = mode === "passes" ? life.bearing : life.taking.days;
  let spread = UNIT_SPREAD;
  if (unitSpread) spread = unitSpread.value;
  else if (span && mode !== "repeat") {
    const days = Math.sqrt(span.low * span.high) / Math.sqrt(packet.low * packet.high);
    spread = Math.max(0.03, Math.log(1 + days) / TENTHS_APART);
  }
  return { spread: cycle === "again" ? Math.max(spread, LEAST_AGAIN) : spread, lag: LAG[mode] };
}
