import { dayAndMonth, sayDay, shortDay } from "~/core/calendar";
import { isCounted, sayPieces, type PlantingOutlook } from "~/core/garden";
import { inTenths } from "~/core/hazards";
import type { DayRange } from "~/core/readiness";
import { sayReadingText, type UnitSystem } from "~/core/units";
import type { GardenRow } from "~/db/schema.server";
import { stageInWords } from "./horizon-view.server";
import type { PlannedGarden } from "./outlook.server";
import { pickReason } from "./pick-reason.server";

export type CheckView = NonNullable<ReturnType<typeof checkView>>;

/** Below this a cue's answer would tell too little to lead with (bits): our judgement. */
const TELLING_BITS = 0.08;

/** One planting as the check and the round show it; undefined when it no longer grows. */
export function checkView(planned: PlannedGarden, row: GardenRow, plantingId: string) {
  const p = planned.outlook.plantings.find((x) => x.planting.id === plantingId);
  if (!p) return undefined;
  const { crop, judgement: j, planting, bed } = p;
  const units = row.unitSystem;
  const { today } = planned;
  const readToday = new Map(planting.looks.filter((l) => l.takenOn === today).map((l) => [l.cueId, l.readingId]));
  const earlier = new Map(planting.looks.filter((l) => l.takenOn < today).sort((a, b) => a.takenOn.localeCompare(b.takenOn)).map((l) => [l.cueId, l])); // prettier-ignore
  const gain = new Map(j.nextLooks.map((n) => [n.cue.id, n.bits]));
  const order = [...j.nextLooks.map((n) => n.cue), ...crop.cues.filter((c) => readToday.has(c.id))];
  const cues = order.map((cue) => {
    const before = earlier.get(cue.id);
    return {
      id: cue.id,
      ask: cue.ask,
      how: cue.how ?? null,
      standing: cue.standing.line,
      bits: gain.get(cue.id) ?? 0,
      chosen: readToday.get(cue.id) ?? null,
      before: before
        ? `${sayDay(before.takenOn, today)}: ${cue.readings.find((r) => r.id === before.readingId)?.text ?? ""}`
        : null,
      readings: cue.readings.map((r) => ({
        id: r.id,
        text: sayReadingText(r.text, units),
        everyday: r.everyday ?? null,
        advice: r.advice ?? null,
      })),
    };
  });
  const planDay = planned.plan.picks[planting.id]?.[0];
  const waits = ["leave", "look again"].includes(j.verdict.kind);
  return {
    id: planting.id,
    crop: crop.name,
    variety: planting.variety,
    bed: bed.name,
    plants: planting.plants,
    started: `${planting.startEvent} ${dayAndMonth(planting.startedOn, today.slice(0, 4))}`,
    arc: j.arc,
    stage: stageInWords(j.odds),
    verdict: j.verdict.sentence,
    urgent: ["take today", "take early", "clear", "past", "unfit"].includes(j.verdict.kind),
    sure: inTenths(j.verdict.probability),
    how: `${j.how}`,
    not: `Do not ${crop.pick.not}.`,
    waiting: j.waiting,
    size: sayReadingText(crop.size.text, units),
    after: `${crop.after.text}. ${crop.after.store}.`,
    caution: crop.caution ?? null,
    opens: rangeInWords(j.window.opens, today),
    closes: rangeInWords(j.window.closes, today),
    conflict: j.conflict,
    /** Said with the verdict when the plan takes today what could still wait by itself. */
    planToday:
      planDay === 0 && waits
        ? `The plan takes it today all the same: ${
            pickReason(planned, p, 0, p.taskPieces[0]?.[0] ?? 0, units)
              .slice(1)
              .join(" ") || "the days ahead are full."
          }`
        : null,
    evidence: j.evidence.map((e) => ({
      ask: e.ask,
      reading: sayReadingText(e.reading, units),
      on: sayDay(e.takenOn, today),
      moved: e.moved,
      effect: effectInWords(e.moved),
    })),
    cues,
    /** How many cues to lead with: two looks are enough, unless they disagree. */
    lead:
      readToday.size >= 2 && !j.conflict
        ? 0
        : Math.min(2, Math.max(1, cues.filter((c) => c.bits >= TELLING_BITS).length)),
    plan:
      planDay === undefined
        ? null
        : `Planned: ${sayDay(planned.outlook.days[planDay]!, today)}, about ${sayPieces(crop, p.taskPieces[0]?.[planDay] ?? 0, units)}.`,
    expected: expectedOf(p, units, waits && planDay !== 0),
    counted: isCounted(crop),
    piece: crop.piece,
    repeats: crop.mode === "repeat",
    standings: [
      [
        "Days to first pick",
        `${planting.packet?.low ?? crop.packet.low}–${planting.packet?.high ?? crop.packet.high}`,
        planting.packet ? "this planting’s packet" : crop.packet.standing.line,
      ],
      ["Good for", `${crop.windowDays.value} days`, crop.windowDays.standing.line],
      [
        "Heat counts from",
        `${crop.degreeDays.baseC} °C to ${crop.degreeDays.upperC} °C`,
        crop.degreeDays.standing.line,
      ],
      [
        "Cold harms at",
        crop.cold.damageC === null ? "no cold" : `${crop.cold.damageC} °C, kills at ${crop.cold.killC} °C`,
        crop.cold.standing.line,
      ],
      ["How it is picked", crop.pick.tool, crop.pick.standing.line],
    ] as const,
  };
}

/**
 * What a pick now would bring. A crop lifted once offers all of itself only when the verdict or the plan
 * takes it; until then the ones likely ready.
 */
function expectedOf(p: PlantingOutlook, units: UnitSystem, waits: boolean) {
  const { odds } = p.judgement;
  const ready = p.crop.mode === "once" && waits ? odds.prime + odds.slipping + odds.gone : 1;
  const pieces = Math.max(0, (p.pieces[0] ?? 0) * ready);
  const hardlyAny = pieces < 0.5;
  return {
    words: hardlyAny ? "expected: hardly any" : `expected about ${sayPieces(p.crop, pieces, units)}`,
    count: Math.max(1, Math.round(pieces)),
    guess: sayPieces(p.crop, pieces, units),
  };
}

function rangeInWords(range: DayRange, today: string): string {
  const say = (day: string | null) =>
    day ? (day <= today ? shortDay(day) : sayDay(day, today)) : "beyond the season’s outlook";
  if (!range.p50) return "not within the outlook";
  return `${say(range.p50)} (between ${say(range.p10)} and ${say(range.p90)})`;
}

function effectInWords(moved: number): string {
  const points = Math.round(Math.abs(moved) * 100);
  if (points < 1) return "made no odds";
  return `${moved > 0 ? "towards ready" : "away from ready"}, ${points} points`;
}
