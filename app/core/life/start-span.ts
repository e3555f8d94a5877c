import type { Crop, StartEvent } from "../crops";
import type { SeasonCrop } from "../seasons";

/** Days from a start to the first pick. */
export interface Span {
  low: number;
  high: number;
}

/** What the span of a season hangs on. */
export interface SpanOf {
  startEvent: StartEvent;
  startDoubtDays: number;
  seasonCrop: SeasonCrop;
  /** Of its own packet; null for the crop's. */
  packet: Span | null;
}

/** A planted crop takes at least this share of its days from seed: our judgement. */
const LEAST_AFTER_PLANTING = 0.4;

/** What the same plants give next, as the catalogue knows it. */
export function nextCropOf(crop: Crop, seasonCrop: SeasonCrop) {
  return crop.nextCrops.find((n) => n.crop === seasonCrop);
}

/** Share of the first crop that a season bears. */
export function cropShare(crop: Crop, seasonCrop: SeasonCrop): number {
  return nextCropOf(crop, seasonCrop)?.share ?? 1;
}

/**
 * Days from a season's start to its first pick. A packet counts from sowing or from planting out: what was started
 * the other way has its days in the nursery more, or fewer. A doubtful start widens the days by its doubt.
 */
export function spanOf(crop: Crop, { startEvent, startDoubtDays, seasonCrop, packet }: SpanOf): Span {
  const next = nextCropOf(crop, seasonCrop);
  const { low, high } = next ?? packet ?? crop.packet;
  const nursery = next ? 0 : nurseryShift(crop, startEvent, low);
  return { low: Math.max(1, low + nursery - startDoubtDays), high: high + nursery + startDoubtDays };
}

/** Days to add where the start is another than the packet counts from. */
function nurseryShift(crop: Crop, startEvent: StartEvent, low: number): number {
  const days = crop.nurseryDays?.value ?? 0;
  if (startEvent === "sown" && crop.packet.from === "planted") return days;
  if (startEvent === "planted" && crop.packet.from === "sown") return -Math.min(days, low * (1 - LEAST_AFTER_PLANTING));
  return 0;
}
