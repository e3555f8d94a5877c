import { daysBetween, minutesOf } from "~/core/calendar";
import type { Trip } from "~/core/hands";
import { HEAT_C } from "~/core/hazards";
import { trackIndex } from "~/core/weather";
import type { Planned } from "../planned";
import { inTenths } from "../words";

/** Odds from which a hazard gets a band through the rows: our judgement. */
const BAND_ODDS = 0.3;

export interface Band {
  kind: "frost" | "storm" | "heat" | "away";
  /** In days from the first column's left edge. */
  from: number;
  to: number;
  /** Name of a run of such days, and the stretch it speaks of. */
  label: { words: string; from: number; to: number } | null;
}

/** Hazards and absences across all days; a frost lies on the night between two of them. */
export function bandsOf({ outlook }: Planned): Band[] {
  const offset = trackIndex(outlook.track, outlook.today);
  const frost = outlook.frost.map((night, n) => {
    // The chance of a usual night is no call.
    if (outlook.track.source[offset + n + 1] === "normal") return 0;
    const inBeds = outlook.plantings.flatMap((p) =>
      p.survival.threats.filter((t) => t.kind === "frost" && t.lastDayBefore === night.evening),
    );
    return Math.max(night.odds, ...inBeds.map((t) => t.odds));
  });
  const storm = outlook.storms.map((s) => Math.max(s.gustOdds, s.soakOdds, s.hailOdds));
  const heat = outlook.days.map((_, n) =>
    outlook.track.maxC[offset + n]! >= HEAT_C && outlook.track.source[offset + n] !== "normal" ? 1 : 0,
  );
  return [
    ...bandsWhere(
      "frost",
      frost.slice(0, -1),
      [0.72, 1.28],
      (odds) => `frost${odds.length > 1 ? `, ${odds.length} nights` : ""} ${inTenths(Math.max(...odds))}`,
    ),
    ...bandsWhere("storm", storm, [0.08, 0.92], (odds) => `storm ${inTenths(Math.max(...odds))}`),
    ...bandsWhere("heat", heat, [0, 1], () => "heat"),
    ...outlook.trips.flatMap((trip): Band[] => awayBand(trip, outlook.today, outlook.days.length)),
  ];
}

/** A trip from its hour of leaving to its hour of coming back, as far as the days shown reach. */
function awayBand(trip: Trip, today: string, days: number): Band[] {
  const hour = (time: string | null | undefined, or: number) => (time ? minutesOf(time) / 1440 : or);
  const from = Math.max(0, daysBetween(today, trip.from) + hour(trip.leaveAt, 0));
  const to = Math.min(days, daysBetween(today, trip.to) + hour(trip.backAt, 1));
  return to > from ? [{ kind: "away", from, to, label: { words: "away", from, to } }] : [];
}

/** A band a day where the odds are high; the first of a run of days carries the name for all of them. */
function bandsWhere(
  kind: Band["kind"],
  odds: readonly number[],
  [start, end]: [number, number],
  name: (odds: number[]) => string,
): Band[] {
  return odds.flatMap((value, n): Band[] => {
    if (value < BAND_ODDS) return [];
    const runOn = n > 0 && odds[n - 1]! >= BAND_ODDS;
    let last = n;
    while (last + 1 < odds.length && odds[last + 1]! >= BAND_ODDS) last++;
    return [
      {
        kind,
        from: n + start,
        to: n + end,
        label: runOn ? null : { words: name(odds.slice(n, last + 1)), from: n + start, to: last + end },
      },
    ];
  });
}
