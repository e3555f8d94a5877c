import type { Band } from "~/views/sky/bands";
import { BAND_ORDER } from "./bands";

/** The bands over a stretch of `count` days; its parent gives the place. */
export function BandStripes({ bands, count }: { bands: Band[]; count: number }) {
  const ordered = [...bands].sort((a, b) => BAND_ORDER.indexOf(a.kind) - BAND_ORDER.indexOf(b.kind));
  const at = (days: number) => `${Math.round((10000 * days) / count) / 100}%`;
  return ordered.map(
    (band, i) =>
    <div key={i} className={`band-${band.kind}`} style={{ position: "absolute", top: 0, bottom: 0, left: at(band.from), width: at(band.to - band.from) }} />, // prettier-ignore
  );
}
