import { hazardsAhead, isThreat, plannedPicks, tripsAhead, type DaysAway, type PlantingOutlook } from "~/core/garden";
import { oddsOn } from "~/core/readiness";
import { stageInWords } from "../sentences/stage";
import type { Planned } from "../planned";
import { hazardCard } from "../sentences/hazard";
import { capital, listOf, nameOf, sayDay, sayExpected, sayPieces } from "../words";
import { earlyWords, takenOn, untaken } from "./taken";

export type AwaySheet = NonNullable<ReturnType<typeof awaySheet>>;

/** The trip asked for by its first day, or the soonest. */
export function tripOf({ outlook }: Planned, first?: string): DaysAway | undefined {
  const trips = tripsAhead(outlook);
  return trips.find((t) => t.trip.from === first) ?? trips[0];
}

/**
 * Everything before some days away, made from the plan: what is taken before, what the helper takes, what is covered or
 * brought in, what waits and how it will be found.
 *
 * @param first - first day of the trip; the soonest one where there is none such
 * @returns undefined where no trip is ahead
 */
export function awaySheet(planned: Planned, first?: string) {
  const { outlook, today, plan } = planned;
  const of = tripOf(planned, first);
  if (!of) return undefined;
  const say = (n: number) => sayDay(outlook.days[n]!, today);
  const before = span(0, of.days[0]! - 1);
  const helped = of.days.filter((n) => outlook.terms[n]!.hands.helper);
  const back = of.firstHome;
  return {
    name: of.trip.name,
    from: of.trip.from,
    span: `${capital(sayDay(of.trip.from, today))} to ${sayDay(of.trip.to, today)}`,
    trips: tripsAhead(outlook).map((t) => ({ from: t.trip.from, words: `${t.trip.name}, ${sayDay(t.trip.from, today)}`, isThis: t.trip === of.trip })), // prettier-ignore
    lastHome:
      of.lastHome === null ? "No hands are free before it." : `The last free hands before it: ${say(of.lastHome)}.`,
    takes: takenOn(planned, before, (p) => earlyWords(p)),
    helper: {
      who: listOf([...new Set(helped.map((n) => outlook.terms[n]!.hands.helper!.name))]),
      visits: helped.length,
      takes: takenOn(planned, of.days, () => null),
    },
    hazards: hazardsAhead(outlook, plan.picks)
      .filter((h) => isThreat(h.kind) && of.days.some((n) => outlook.days[n]! >= h.from && outlook.days[n]! <= h.to))
      .map((h) => hazardCard(h, planned))
      .map(({ key, lead, where, acts }) => ({ key, lead, where, acts: acts.filter((a) => a.name !== "Pick" && a.name !== "Wait") })), // prettier-ignore
    waits: untaken(planned, [...before, ...of.days]).map((p) => ({ plantingId: p.planting.id, name: nameOf(p), bed: p.bed.name, why: whyWaits(planned, p, back) })), // prettier-ignore
    stripped: stripped(planned, of),
  };
}

const span = (from: number, to: number) => Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => from + k);

/** How what waits will be found. */
function whyWaits({ outlook, plan, today, units }: Planned, p: PlantingOutlook, back: number | null): string {
  const next = plannedPicks(p, plan.picks)[0];
  if (next)
    return `Picked ${sayDay(outlook.days[next.day]!, today)}, ${sayExpected(p.crop, next.pieces, p.doubt, units)}.`;
  if (back === null) return `${capital(stageInWords(oddsOn(p.judgement.stages, outlook.days.at(-1)!)))} by the end of what is in sight.`; // prettier-ignore
  return `Likely ${stageInWords(oddsOn(p.judgement.stages, outlook.days[back]!))} on your first day back.`;
}

/** What bears on while nobody picks, and what of it is likely there on the last day. */
function stripped({ outlook, units }: Planned, { lastHome }: DaysAway) {
  if (lastHome === null) return [];
  return outlook.plantings
    .filter((p) => p.crop.mode === "repeat" && p.crop.suppressesWhenLeft.value === "yes" && (p.pieces[lastHome] ?? 0) >= 0.5)
    .map((p) => ({ plantingId: p.planting.id, name: nameOf(p), bed: p.bed.name, words: `${capital(sayPieces(p.crop, p.pieces[lastHome]!, units))} likely there.` })); // prettier-ignore
}
