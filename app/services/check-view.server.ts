import { dayAndMonth, sayDay, shortDay } from "~/core/calendar";
import { isCounted, sayPieces, type PlantingOutlook } from "~/core/garden";
import { inTenths } from "~/core/hazards";
import { shareInWords, type DayRange } from "~/core/readiness";
import { sayLength, sayReadingText, type UnitSystem } from "~/core/units";
import type { GardenRow } from "~/db/schema.server";
import { cueView } from "./cue-view.server";
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
  const readToday = new Map(planting.looks.filter((l) => l.takenOn === today).map((l) => [l.cueId, l]));
  const earlier = new Map(planting.looks.filter((l) => l.takenOn < today).sort((a, b) => a.takenOn.localeCompare(b.takenOn)).map((l) => [l.cueId, l])); // prettier-ignore
  const gain = new Map(j.nextLooks.map((n) => [n.cue.id, n.bits]));
  const order = [...j.nextLooks.map((n) => n.cue), ...crop.cues.filter((c) => readToday.has(c.id))];
  const cues = order.map((cue) =>
    cueView(crop, cue, units, today, gain.get(cue.id) ?? 0, readToday.get(cue.id), earlier.get(cue.id)),
  );
  const planDay = planned.plan.picks[planting.id]?.[0];
  const waits = ["leave", "look again", "wait dry", "seed", "stop", "hold"].includes(j.verdict.kind);
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
    urgent: ["take today", "take early", "clear", "past", "unfit", "settle", "hold"].includes(j.verdict.kind),
    sure: inTenths(j.verdict.probability),
    how: `${j.how}`,
    not: `Do not ${crop.pick.not}.`,
    waiting: j.waiting,
    size: sayReadingText(crop.size.text, units),
    after: `${crop.after.text}. ${crop.after.store}.`,
    caution: p.ban
      ? "The label has the last word on when it may be picked, and on when you may touch it."
      : (crop.caution ?? null),
    opens: rangeInWords(j.window.opens, today),
    closes: rangeInWords(j.window.closes, today),
    conflict: j.conflict,
    /** What the garden has told beyond the cues, a line each. */
    told: toldBy(p, units, today),
    countable: crop.mode === "repeat" ? { ready: true, leaves: Boolean(crop.leavesStay) } : null,
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
    repeats: crop.mode !== "once",
    standings: [
      [
        "Days to first pick",
        `${planting.packet?.low ?? crop.packet.low}–${planting.packet?.high ?? crop.packet.high}`,
        planting.packet ? "this planting’s packet" : crop.packet.standing.line,
      ],
      ["Good for", `${crop.windowDays.value} days`, crop.windowDays.standing.line],
      [
        "Heat counts from",
        crop.degreeDays.calendar ? "every day alike" : `${crop.degreeDays.baseC} °C to ${crop.degreeDays.upperC} °C`,
        crop.degreeDays.standing.line,
      ],
      [
        "Cold harms at",
        crop.cold.damageC === null
          ? "no cold"
          : `${crop.cold.damageC} °C, kills at ${crop.cold.killC} °C`.replaceAll("-", "−"),
        crop.cold.standing.line,
      ],
      ["How it is picked", crop.pick.tool, crop.pick.standing.line],
    ] as const,
    cropId: crop.id,
  };
}

/** What sizes, counts and earlier picks have told of this planting, in sentences. */
function toldBy(p: PlantingOutlook, units: UnitSystem, today: string): string[] {
  const { growth, ahead, shareReady, odds } = p.judgement;
  const told: string[] = [];
  if (growth) {
    const length = (mm: number) => sayLength(mm, units);
    const pace = growth.days > 1 ? "at its own pace" : "at the usual pace";
    const target = growth.targetOn && growth.targetOn > today ? ` ${length(growth.targetMm)} ${sayDay(growth.targetOn, today)};` : ""; // prettier-ignore
    const over =
      growth.overOn && growth.overOn > today
        ? ` too big (${length(growth.overMm)}) about ${sayDay(growth.overOn, today)}`
        : "";
    told.push(
      `About ${length(growth.nowMm)} now, growing ${length(Math.max(1, growth.mmPerDay))} a day ${pace}.${target || over ? ` Expect${target}${over}.`.replace(";.", ".") : ""}`,
    );
  }
  const readyOrPast = odds.prime + odds.slipping + odds.gone;
  const said = p.judgement.verdict.sentence.includes(`${shareInWords(shareReady)} of them`);
  if (!said && shareReady >= 0.05 && shareReady < 0.9 && readyOrPast >= 0.2)
    told.push(
      p.judgement.evidence.length > 0
        ? `${capital(shareInWords(shareReady))} of the ${p.crop.piece.many} are ready.`
        : `By the heat so far, ${shareInWords(shareReady)} of the ${p.crop.piece.many} should be ready.`,
    );
  const days = Math.round(ahead.days);
  if (ahead.picks > 0 && Math.abs(days) >= 1)
    told.push(
      `Your plants run ${Math.abs(days)} ${Math.abs(days) === 1 ? "day" : "days"} ${days > 0 ? "ahead of" : "behind"} the packet (learnt from ${ahead.picks} first ${ahead.picks === 1 ? "pick" : "picks"}).`,
    );
  if (p.rate && p.rate.seen >= 2 && Math.abs(p.rate.factor - 1) >= 0.15)
    told.push(
      `Bears ${p.rate.factor > 1 ? "more" : "less"} freely than usual: ${Math.round(p.rate.factor * 100)} % (from ${p.rate.seen} picks and counts).`,
    );
  if (p.leaves)
    told.push(
      p.leaves.mayComeOff > 0
        ? `About ${p.leaves.mayComeOff} leaves may come off each plant; ${p.leaves.mustStay} stay.`
        : `No leaf to spare: ${p.leaves.mustStay} have to stay on each plant.`,
    );
  return told;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * What a pick now would bring. A crop lifted once offers all of itself only when the verdict or the plan
 * takes it; until then the ones likely ready.
 */
function expectedOf(p: PlantingOutlook, units: UnitSystem, waits: boolean) {
  const { odds } = p.judgement;
  const ready = p.crop.mode !== "repeat" && waits ? odds.prime + odds.slipping + odds.gone : 1;
  // Where the verdict takes it, there is at least the one that was looked at.
  const takes = ["ready", "take today", "take early", "clear", "past"].includes(p.judgement.verdict.kind);
  const pieces = Math.max(takes && p.judgement.evidence.length > 0 ? 1 : 0, (p.pieces[0] ?? 0) * ready);
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
