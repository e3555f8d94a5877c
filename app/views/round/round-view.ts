import { groupBy, sumBy } from "es-toolkit";
import { addDays, localMoment, sunTimes } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import { BED_MINUTES, ROUND_MINUTES, isCounted } from "~/core/garden";
import { checkView } from "../check/check-view";
import type { EndedView } from "../check/ended-view";
import type { JobTold } from "../sentences/acts-due";
import type { Planned } from "../planned";
import type { UnitSystem } from "~/core/units";
import { capital, cropAndVariety, inTenths, sayAmount, sayDay, sayRoughly, sayPieces, saySlot } from "../words"; // prettier-ignore
import { sharedByTwo, type StopReason } from "~/core/rounds";
import { nextRound, plannedRounds, roundName, type PlannedRound, type RoundOrder } from "./planned-walk";
import { leaveWords, type LeaveCost } from "./leave-words";
import { clocksAt, startOfRound, startWords, type PlaceOfGarden } from "./start";

/** A round that is out, with its list. */
export interface RoundOut {
  id: string;
  /** Numbers of rounds that other phones began and that joined this one. */
  joined: readonly string[];
  day: string;
  errands: readonly ErrandOut[];
}

export interface ErrandOut {
  plantingId: string;
  part: "first" | "later";
  doing: "pick" | "look";
  minutes: number;
  expectedPieces: number;
  passedBy: boolean;
  bed: string;
  bedPosition: number;
  cropId: string;
  variety: string;
  leave: LeaveCost | null;
  /** Set when its season is over: what can follow. */
  ended: EndedView | null;
  /** The pick that closed it. */
  pick: { id: string; outcome: string; grams: number | null; pieces: number | null; estimated: boolean } | null;
}

export type RoundView = ReturnType<typeof roundView>;
export type RoundPreviewView = Extract<RoundView, { status: "not started" }>;
export type RoundOutView = Extract<RoundView, { status: "out" }>;

/** How the household walks today. */
export interface RoundSetting {
  orders: readonly RoundOrder[];
  /** Minutes since midnight. */
  now: number;
}

/** Why a bed comes when it does. */
const WHY: Record<StopReason, string | null> = {
  path: null,
  cool: "first, while it is cool",
  heavy: "late: it is heavy",
  dry: null,
  asked: null,
};

/** The round that is out, or the walk that could start today. */
export function roundView(
  planned: Planned,
  place: PlaceOfGarden,
  out: RoundOut | null,
  crops: Catalogue,
  jobs: readonly JobTold[],
  set: RoundSetting,
) {
  const common = {
    /** Jobs beside picking that are due today. */
    jobs: jobs.filter((job) => job.isToday),
    today: planned.today,
    units: planned.units,
    daylight: daylightOf(planned.today, place),
    warnings: skyWarnings(planned),
  };
  return out ? { ...common, ...outView(planned, out, crops) } : { ...common, ...previewOf(planned, place, set) };
}

function daylightOf(today: string, { latitude, longitude, timeZone }: PlaceOfGarden): string {
  const sun = sunTimes(today, latitude, longitude);
  const clock = (at: Date) => localMoment(at, timeZone).slice(11);
  if (sun.status !== "ok") return "The sun neither rises nor sets";
  return `Sun ${clock(sun.riseAt)} to ${clock(sun.setAt)}`;
}

function previewOf(planned: Planned, place: PlaceOfGarden, { orders, now }: RoundSetting) {
  const { today, units, outlook } = planned;
  const round = nextRound(planned, orders);
  const { walk } = round;
  const start = startOfRound(planned, round, place, now);
  const { dryFrom } = outlook.terms[round.day]!;
  const clocks = clocksAt(walk, start.from, dryFrom);
  const halves = sharedByTwo(walk, ROUND_MINUTES);
  const next = outlook.days.findIndex((_, n) => n > 0 && plannedRounds(planned, n).some((r) => r.walk.grams > 0));
  return {
    status: "not started" as const,
    name: roundName(round),
    later: plannedRounds(planned, 0)
      .slice(1)
      .map((r) => laterRound(r, units)),
    minutes: Math.round(walk.minutes),
    kilos: walk.grams > 0 ? sayRoughly(walk.grams, units) : null,
    kit: walk.kit,
    start: startWords(start),
    isAsked: walk.stops.some((s) => s.why === "asked"),
    /** For two: what each walks, and how long the one who takes longer is out. */
    halves:
      halves?.map((half) => ({
        stops: clocksAt(half, start.from, dryFrom).map((when, n) => ({ key: half.stops[n]!.key, when })),
        minutes: Math.round(half.minutes),
      })) ?? null,
    containers: walk.containers.map((c) => `${c.label}, ${sayPieces(c.crop, c.pieces, units)}${isCounted(c.crop) && c.grams >= 100 ? ` (${sayRoughly(c.grams, units)})` : ""}`), // prettier-ignore
    cautions: walk.cautions,
    split: walk.splitForWetLeaves,
    next: next > 0 ? sayDay(addDays(today, next), today) : null,
    stops: walk.stops.map((stop, n) => ({
      key: stop.key,
      bed: stop.bedName,
      part: stop.part,
      when: clocks[n]!,
      minutes: Math.max(1, Math.round(stop.minutes)),
      kilos: stop.grams > 0 ? sayRoughly(stop.grams, units) : null,
      why: WHY[stop.why],
      jobs: stop.jobs.map((job) => ({ key: job.keys.join(), words: job.words, minutes: Math.round(job.minutes) })),
      errands: stop.errands.map((e) => ({
        id: e.plantingId,
        name: cropAndVariety(e.crop.name, e.variety),
        what: e.doing === "look" ? "look" : sayPieces(e.crop, e.pieces, units),
      })),
    })),
  };
}

/** Another round of today, in a line. */
function laterRound({ slot, walk }: PlannedRound, units: UnitSystem) {
  const names = walk.stops.flatMap((stop) => stop.errands.map((e) => cropAndVariety(e.crop.name, e.variety)));
  const brings = walk.grams > 0 ? `, about ${sayRoughly(walk.grams, units)}` : "";
  return {
    slot,
    lead: slot ? capital(saySlot(slot)) : "Later",
    text: `${Math.round(walk.minutes)} minutes${brings}: ${[...new Set(names)].join("; ")}.`,
  };
}

function outView(planned: Planned, out: RoundOut, crops: Catalogue) {
  const halves = halvesOf(out.errands);
  return {
    status: "out" as const,
    roundId: out.id,
    joined: out.joined,
    day: out.day,
    bedMinutes: BED_MINUTES,
    /** For two: the first and last bed of each stretch, and its minutes; null where there is one bed only. */
    halves: halves?.map((half) => ({ beds: half.beds, minutes: half.minutes })) ?? null,
    errands: out.errands.map((e) => ({ ...errandView(planned, e, crops), half: halves?.findIndex((half) => half.positions.includes(e.bedPosition)) ?? 0 })), // prettier-ignore
  };
}

/** A round that is out, cut along the path for two. */
function halvesOf(errands: readonly ErrandOut[]) {
  const stops = Object.values(groupBy(errands, (e) => `${e.bedPosition} ${e.part}`)).map((of) => ({
    bedPosition: of[0]!.bedPosition,
    bed: of[0]!.bed,
    minutes: BED_MINUTES + sumBy(of, (e) => e.minutes),
  }));
  return (
    sharedByTwo({ stops }, ROUND_MINUTES)?.map(({ stops: own, minutes }) => {
      const along = [...own].sort((a, b) => a.bedPosition - b.bedPosition);
      return { beds: [...new Set(along.map((s) => s.bed))], positions: along.map((s) => s.bedPosition), minutes: Math.round(minutes) }; // prettier-ignore
    }) ?? null
  );
}

function errandView(planned: Planned, e: ErrandOut, crops: Catalogue) {
  const crop = crops.find((c) => c.id === e.cropId);
  const growing = planned.outlook.plantings.find((p) => p.planting.id === e.plantingId);
  return {
    id: e.plantingId,
    bed: e.bed,
    name: cropAndVariety(crop?.name ?? e.cropId, e.variety),
    part: e.part,
    doing: e.doing,
    minutes: e.minutes,
    expected: e.doing === "pick" && crop ? sayPieces(crop, e.expectedPieces, planned.units) : null,
    done: e.passedBy || e.pick !== null,
    outcome: outcomeInWords(e, planned),
    pickId: e.pick?.id ?? null,
    view: checkView(planned, e.plantingId) ?? null,
    ended: e.ended,
    /** For when time is short: what it costs to leave it. */
    leave: {
      loss: e.leave?.loss ?? 0,
      words: growing ? leaveWords(planned, growing, e.doing, e.leave) : "it can wait",
    },
  };
}

function outcomeInWords({ pick, passedBy }: ErrandOut, { units }: Planned): string | null {
  if (!pick) return passedBy ? "passed by" : null;
  return pick.outcome === "nothing ready" ? "nothing ready" : sayAmount(pick, units);
}

/** What the sky of today asks of whoever goes out. */
function skyWarnings({ outlook }: Planned): string[] {
  const terms = outlook.terms[0]!;
  const { thunderHours, thunderSlots, hotSlots } = terms;
  const first = thunderHours[0];
  const thunder = Math.max(outlook.storms[0]!.thunderOdds, ...thunderHours.map((h) => h.thunderOdds));
  return [
    leafWarning(terms),
    first ? `Thunder ${inTenths(thunder)}, ${first.clock} to ${thunderHours.at(-1)!.clock}: be in before it.` : "",
    thunderSlots.length > 0 && !terms.hands.away
      ? `No round is planned ${thunderSlots.map(saySlot).join(" or ")}.`
      : "",
    hotSlots.length > 0 ? `Too hot to work at ${hotSlots.join(" and ")}: go early or late, take water.` : "",
  ].filter(Boolean);
}

function leafWarning({ dryFrom, wetAllDay, hours }: Planned["outlook"]["terms"][number]): string {
  if (dryFrom) return `Leaves are dry from about ${dryFrom}.`;
  if (!wetAllDay) return "";
  return hours?.rainHoursKnown ? "Leaves stay wet today." : "Rain about today: leaves may be wet.";
}
