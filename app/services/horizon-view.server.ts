import { longDay, sayNight, weekday, sayDay } from "~/core/calendar";
import { gardenSentences, isCounted, sayCount, sayPieces, type PlantingOutlook } from "~/core/garden";
import type { Stage } from "~/core/readiness";
import { sayMass, type UnitSystem } from "~/core/units";
import { trackIndex } from "~/core/weather";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/schema.server";
import { bandsOf } from "./bands.server";
import { plannedGarden, type PlannedGarden } from "./outlook.server";
import { pickReason } from "./pick-reason.server";
import { openRound, plannedWalk } from "./round.server";

const STAGE_WORDS: Record<Stage, string> = {
  "not yet": "not yet",
  close: "close",
  prime: "at its peak",
  slipping: "slipping",
  gone: "gone over",
};
const URGENT = new Set(["take today", "take early", "clear", "past", "unfit"]);

/** Most likely stage, in a word. */
export function stageInWords(odds: Record<Stage, number>): string {
  const [stage] = (Object.entries(odds) as [Stage, number][]).sort((a, b) => b[1] - a[1])[0]!;
  return STAGE_WORDS[stage];
}

/** What a row's second line says: the verdict in two or three words. */
function inShort(p: PlantingOutlook, planned: PlannedGarden): string {
  const { verdict, odds } = p.judgement;
  const say = (day: string) => sayDay(day, planned.today);
  switch (verdict.kind) {
    case "ready":
      return verdict.takeBy ? `ready, by ${say(verdict.takeBy)}` : "ready";
    case "take today":
      return "take it today";
    case "take early":
      return verdict.takeBy ? `take early, ${say(verdict.takeBy)}` : "take it early";
    case "clear":
      return "over: take it off";
    case "past":
      return "past its best";
    case "unfit":
      return "not fit to eat";
    case "look now":
      return "look today";
    case "settle":
      return "looks disagree: open one";
    case "wait dry":
      return verdict.lookAgain ? `wait for dry, ${say(verdict.lookAgain)}` : "wait for dry days";
    case "hold":
      return verdict.lookAgain ? `treated: not before ${say(verdict.lookAgain)}` : "treated";
    case "seed":
      return "left for seed";
    case "stop":
      return "stop for this year";
    case "look again":
      return verdict.lookAgain ? `nearly; look ${say(verdict.lookAgain)}` : "nearly";
    case "leave":
      return stageInWords(odds);
  }
}

export type HorizonView = ReturnType<typeof horizonView>;

/** Everything the start page draws, worked out on the server. */
export function horizonView(db: Db, row: GardenRow) {
  const planned = plannedGarden(db, row);
  const { outlook, plan, today } = planned;
  const units: UnitSystem = row.unitSystem;
  const offset = trackIndex(outlook.track, today);
  const walk = plannedWalk(planned, 0);
  const out = openRound(db);
  return {
    title: longDay(today),
    summary: summaryOf(planned, units),
    round: out ? { status: "out" as const } : walk.stops.length > 0 ? { status: "due" as const, minutes: Math.round(walk.minutes) } : { status: "none" as const, next: nextRoundDay(planned) }, // prettier-ignore
    days: outlook.days.map((day, n) => ({
      day,
      label: `${["Mo", "Tu", "We", "Th", "Fr", "Sa", "Su"][weekday(day)]} ${Number(day.slice(8))}`,
      minC: outlook.track.minC[offset + n]!,
      maxC: outlook.track.maxC[offset + n]!,
      rainMm: outlook.track.rainMm[offset + n] ?? null,
      windKmh: outlook.track.windKmh[offset + n] ?? null,
      forecast: outlook.track.source[offset + n] !== "normal",
      away: outlook.away[n]!,
      minutesFree: outlook.minutesFree[n]!,
    })),
    bands: bandsOf(planned),
    beds: bedsOf(planned, units),
    sentences: gardenSentences(outlook, plan.picks, planned.losers(), units),
    weatherKnown: outlook.days.some((_, n) => outlook.track.source[offset + n] !== "normal"),
    normalYears: outlook.normalYears,
    units,
  };
}

function nextRoundDay({ outlook, plan, today }: PlannedGarden): string | null {
  const first = Math.min(...Object.values(plan.picks).flat());
  return Number.isFinite(first) ? sayDay(outlook.days[first]!, today) : null;
}

function summaryOf(planned: PlannedGarden, units: UnitSystem): string[] {
  const { outlook, plan } = planned;
  const frost = outlook.frost.findIndex((n) => n.odds >= 0.4);
  const until = frost >= 0 ? frost : outlook.days.length - 1;
  const walks = outlook.days.map((_, n) => plannedWalk(planned, n)).filter((w, n) => n <= until && w.grams > 0);
  if (walks.length === 0) return ["Nothing to pick is planned in the next two weeks."];
  const grams = walks.reduce((sum, w) => sum + w.grams, 0);
  const minutes = walks.reduce((sum, w) => sum + w.minutes, 0);
  const rounds = `${sayCount(walks.length)} ${walks.length === 1 ? "round" : "rounds"}`;
  const span =
    frost >= 0 ? `before ${possessive(sayNight(outlook.days[frost]!, outlook.today))} frost` : "in the next two weeks";
  const percent = (plan.gap * 100).toFixed(plan.gap < 0.01 ? 1 : 0);
  return [
    `${rounds.charAt(0).toUpperCase()}${rounds.slice(1)} ${span} bring in about `,
    sayMass(Math.round(grams / 500) * 500, units),
    " in ",
    `${Math.round(minutes)} minutes`,
    `. No plan can beat it by more than ${percent === "0.0" ? "0.1" : percent} %.`,
  ];
}

const possessive = (word: string) => `${word}’s`;

function bedsOf(planned: PlannedGarden, units: UnitSystem) {
  const { outlook, plan } = planned;
  const beds = new Map<string, { id: string; name: string; position: number; plantings: PlantingOutlook[] }>();
  for (const p of outlook.plantings) {
    const bed = beds.get(p.bed.id) ?? { ...p.bed, plantings: [] };
    bed.plantings.push(p);
    beds.set(p.bed.id, bed);
  }
  return [...beds.values()]
    .sort((a, b) => a.position - b.position)
    .map((bed) => ({
      id: bed.id,
      name: bed.name,
      plantings: bed.plantings.map((p) => {
        const picks = plan.picks[p.planting.id] ?? [];
        return {
          id: p.planting.id,
          crop: p.crop.name,
          variety: p.planting.variety,
          arc: p.judgement.arc,
          stage: stageInWords(p.judgement.odds),
          short: inShort(p, planned),
          urgent: URGENT.has(p.judgement.verdict.kind),
          ridge: p.ridge,
          clear: p.ridge.map((r, n) => Math.min(1, r / Math.max(0.02, p.survival.sound[n]!))),
          handles: picks.map((day, order) => {
            const rowIndex = order === 0 ? 0 : picks[order - 1]! + 1;
            const pieces = p.taskPieces[rowIndex]?.[day] ?? 0;
            return {
              day,
              label: sayPieces(p.crop, pieces, units),
              /** On the ridge a counted crop is a bare number: "9". */
              short: isCounted(p.crop) ? String(Math.max(1, Math.round(pieces))) : sayPieces(p.crop, pieces, units),
              why: pickReason(planned, p, day, pieces, units),
            };
          }),
        };
      }),
    }));
}
