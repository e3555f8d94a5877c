import { plannedPicks, type DaysAway, type PlantingOutlook } from "~/core/garden";
import { cautionOf, type Crop } from "~/core/crops";
import { helperMay, type Helper } from "~/core/hands";
import type { Planned } from "../planned";
import { BANS } from "../sentences/bans";
import { howToTake, notToDo } from "../sentences/how-to";
import { capital, everydaySize, nameOf, sayDay, sayExpected, sayLength } from "../words";
import { tripOf } from "./away-sheet";

export type HelperSheet = NonNullable<ReturnType<typeof helperSheet>>;

/**
 * The helper's sheet for the days away, bed by bed: what, how to tell, how to cut, how much, where to put it, what not to
 * touch. Undefined where no trip is ahead.
 */
export function helperSheet(planned: Planned, first?: string) {
  const of = tripOf(planned, first);
  if (!of) return undefined;
  const { outlook, today } = planned;
  const helpers = of.days.flatMap((n) => outlook.terms[n]!.hands.helper ?? []);
  const beds = [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()].sort((a, b) => a.position - b.position); // prettier-ignore
  const listed = outlook.plantings.filter((p) => visitsOf(planned, p, of).length > 0);
  return {
    name: of.trip.name,
    from: of.trip.from,
    span: `${sayDay(of.trip.from, today)} to ${sayDay(of.trip.to, today)}`,
    who: helpers[0]?.name ?? null,
    visits: of.days
      .filter((n) => outlook.terms[n]!.hands.helper)
      .map((n) => ({
        day: outlook.days[n]!,
        words: sayDay(outlook.days[n]!, today),
        minutes: outlook.minutesFree[n]!,
        isWanted: listed.some((p) => plannedPicks(p, planned.plan.picks).some((pick) => pick.day === n)),
      })),
    beds: beds.flatMap((bed) => {
      const here = listed.filter((p) => p.bed.id === bed.id);
      return here.length > 0
        ? [{ id: bed.id, name: bed.name, plantings: here.map((p) => onSheet(planned, p, of)) }]
        : [];
    }),
    leave: leftAlone(planned, listed, of, helpers),
    cautions: [...new Set(listed.flatMap((p) => cautionOf(p.crop) ?? []))],
  };
}

const visitsOf = ({ plan }: Planned, p: PlantingOutlook, of: DaysAway) => plannedPicks(p, plan.picks).filter((pick) => of.days.includes(pick.day)); // prettier-ignore

function onSheet(planned: Planned, p: PlantingOutlook, of: DaysAway) {
  const { outlook, today, units } = planned;
  const { crop } = p;
  return {
    plantingId: p.planting.id,
    name: nameOf(p),
    amounts: visitsOf(planned, p, of).map(({ day, pieces }) => `${sayDay(outlook.days[day]!, today)}: ${sayExpected(crop, pieces, p.doubt, units)}`), // prettier-ignore
    tell: tellingCues(crop),
    size: sizeOf(crop, units),
    how: howToTake(crop, p.ways, p.judgement.verdict).replace(/^When it is ready: /, ""),
    not: notToDo(crop, p.ways, p.judgement.verdict),
    put: putWords(crop),
  };
}

const MOST_CUES = 2;

/** The most telling cues that a stranger can read, with what is ready and what is not. */
function tellingCues(crop: Crop) {
  const asked = crop.cues.filter((c) => !c.auto && c.readings.some((r) => r.means === "ready"));
  const rank = { decisive: 0, strong: 1, weak: 2 } as const;
  return [...asked]
    .sort((a, b) => rank[a.weight] - rank[b.weight])
    .slice(0, MOST_CUES)
    .map((cue) => ({
      cueId: cue.id,
      ask: cue.ask,
      readings: cue.readings.map((r) => ({ id: r.id, words: r.everyday ?? r.text })),
      take: cue.readings.filter((r) => r.means === "ready").map((r) => r.everyday ?? r.text),
      leave: cue.readings.filter((r) => r.means === "early" || r.means === "nearly").map((r) => r.everyday ?? r.text),
    }));
}

/** The size to pick at, to be drawn true to scale where it fits a sheet. */
function sizeOf({ target, cues, size }: Crop, units: Parameters<typeof sayLength>[1]) {
  const along = target && cues.find((c) => c.id === target.cue)?.across;
  if (!target || !along) return { words: capital(size.text), drawn: null };
  const everyday = everydaySize(target.lowMm, target.highMm, along);
  const words = `${sayLength(target.lowMm, units)} to ${sayLength(target.highMm, units)} ${along === "length" ? "long" : "across"}${everyday ? `, ${everyday}` : ""}`; // prettier-ignore
  return { words, drawn: { lowMm: target.lowMm, highMm: target.highMm, along } };
}

/** Where it is put until we are back. */
function putWords({ life: { storage }, after }: Crop): string {
  const keeps = storage.lowDays < 21 ? "Yours to eat: it does not keep until we are back." : "";
  if (storage.fridgeDays >= 3 && storage.lowDays < 21) return `Into the fridge. ${keeps}`.trim();
  return `${capital(after.store.replace(/\.$/, ""))}. ${keeps}`.trim();
}

/** What is left alone, gathered by the reason. */
function leftAlone({ outlook }: Planned, listed: readonly PlantingOutlook[], of: DaysAway, helpers: readonly Helper[]) {
  const why = new Map<string, PlantingOutlook[]>();
  for (const p of outlook.plantings.filter((x) => !listed.includes(x))) {
    const reason = whyNot(p, of, helpers);
    why.set(reason, [...(why.get(reason) ?? []), p]);
  }
  return [...why].map(([reason, plantings]) => ({
    why: capital(reason),
    plantingIds: plantings.map((p) => p.planting.id),
    names: plantings.map((p) => `${nameOf(p)} (${p.bed.name})`),
  }));
}

/** Why a planting is left alone. */
function whyNot({ bans, crop, judgement }: PlantingOutlook, of: DaysAway, helpers: readonly Helper[]): string {
  const ban = of.days.map((n) => bans[n]).find((b) => b && b !== "helper");
  if (ban) return BANS[ban];
  if (judgement.verdict.kind === "unfit") return "not fit to eat";
  if (helpers[0] && !helperMay(helpers[0], crop)) return "not on the list";
  return "nothing to pick in these days";
}
