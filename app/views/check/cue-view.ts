import type { IsoDay } from "~/core/calendar";
import type { Crop, Cue } from "~/core/crops";
import { readingOfSize, type Look } from "~/core/readiness";
import type { UnitSystem } from "~/core/units";
import { everydaySize, sayDay, sayLength } from "../words";

export type CueView = ReturnType<typeof cueView>;
export type MeasureView = NonNullable<CueView["measure"]>;

/** One cue as the check asks it: its readings in everyday sizes, and how to measure where it is a size. */
export function cueView(
  crop: Crop,
  cue: Cue,
  { units, today }: { units: UnitSystem; today: IsoDay },
  bits: number,
  { now, before, mix }: { now: Look | undefined; before: Look | undefined; mix: readonly Look[] },
) {
  const along = cue.across;
  return {
    id: cue.id,
    ask: cue.ask,
    how: cue.how ?? null,
    standing: cue.standing.line,
    bits,
    chosen: now?.readingId ?? null,
    /** Readings that stand side by side today, with the share of the pieces that each is true of. */
    mix: mix.map((l) => ({ readingId: l.readingId, share: l.share ?? 1 })),
    measured: now?.measuredMm ?? null,
    sampleOf: now?.sampleOf ?? 1,
    before: before
      ? `${sayDay(before.takenOn, today)}: ${
          before.measuredMm
            ? sayLength(before.measuredMm, units)
            : (cue.readings.find((r) => r.id === before.readingId)?.text ?? "")
        }`
      : null,
    readings: cue.readings.map((r, i) => ({
      id: r.id,
      text: r.text,
      everyday: r.everyday ?? (along ? (everydaySize(r.fromMm, cue.readings[i + 1]?.fromMm, along) ?? null) : null),
      advice: r.advice ?? null,
    })),
    measure: along ? measureView(cue, along, now?.measuredMm ?? before?.measuredMm ?? targetOf(crop, cue)) : null,
  };
}

/** Where the slider starts when nothing was measured: the size to pick at. */
const targetOf = (crop: Crop, cue: Cue) => (crop.target?.cue === cue.id ? crop.target.lowMm : undefined);

/** What the slider needs: its range and where readings change, mm. */
function measureView(cue: Cue, along: "length" | "width", last: number | undefined) {
  const borders = cue.readings.flatMap((r) => r.fromMm ?? []);
  const top = Math.max(...borders);
  const max = Math.ceil((top * 1.35) / 10) * 10;
  const step = max > 400 ? 5 : 1;
  const ready = cue.readings.find((r) => r.means === "ready" && r.fromMm)?.fromMm ?? top / 2;
  return {
    along,
    min: step,
    max,
    step,
    start: last ?? ready,
    /** The reading at each border and above it. */
    readings: [0, ...borders].flatMap((fromMm) => {
      const reading = readingOfSize(cue, Math.max(fromMm, 0.5));
      return reading ? [{ fromMm, id: reading.id, means: reading.means }] : [];
    }),
  };
}
