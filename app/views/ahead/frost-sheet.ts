import { hazardsAhead, type Hazard, type PlantingOutlook } from "~/core/garden";
import type { Planned } from "../planned";
import type { ActTold } from "../sentences/act";
import { hazardCard } from "../sentences/hazard";
import { capital, inTenths, nameOf, sayDay, sayNight, sayRoughly, sayTemperature } from "../words";
import { earlyWords, takenOn, type DayTaken } from "./taken";

type Frost = Extract<Hazard, { kind: "frost" }>;

export type FrostSheet = NonNullable<ReturnType<typeof frostSheet>>;

/** Nights of cold that the forecast has, the soonest first. */
export const frostsAhead = ({ outlook, plan }: Planned): Frost[] =>
  hazardsAhead(outlook, plan.picks).filter((h): h is Frost => h.kind === "frost");

/** Loss under which a planting counts as safe from a night: our judgement. */
const SAFE = 0.05;
/** A stake of less is not told in grams, and what stands more cold than this, °C, stands a frost: our judgement. */
const NAMED_GRAMS = 50;
const HARDY_C = -2;

/**
 * Everything before a night of frost, made from the plan: what is taken when, what is covered or brought in and when that
 * comes off again, what waits and why, what is lost anyway.
 *
 * @param evening - the night asked for; the first one where it is not ahead
 * @returns undefined where no frost is in sight
 */
export function frostSheet(planned: Planned, evening?: string) {
  const { outlook, today, units } = planned;
  const all = frostsAhead(planned);
  const frost = all.find((h) => h.from === evening) ?? all[0];
  if (!frost) return undefined;
  const card = hazardCard(frost, { outlook, units });
  const n = outlook.days.indexOf(frost.from);
  const touched = new Map(frost.touched.map((t) => [t.plantingId, t]));
  const of = (id: string) => outlook.plantings.find((p) => p.planting.id === id)!;
  const isHelped = (act: ActTold) => act.name !== "Pick" && act.name !== "Pick green";
  return {
    evening: frost.from,
    lead: card.lead,
    where: card.where,
    stake: card.stake,
    caution: card.caution,
    nights: all.map((h) => ({ evening: h.from, words: sayNight(h.from, today), isThis: h === frost })),
    takes: takenOn(planned, days(0, n), (p) => (touched.has(p.planting.id) ? (earlyWords(p) ?? mayTake(touched.get(p.planting.id)!.loss)) : null)) satisfies DayTaken[], // prettier-ignore
    helps: card.acts.filter(isHelped),
    off: offWords(frost, card.acts, planned),
    waits: outlook.plantings
      .filter((p) => (touched.get(p.planting.id)?.loss ?? 0) < SAFE)
      .map((p) => ({ plantingId: p.planting.id, name: nameOf(p), bed: p.bed.name, why: whySafe(p, frost, planned) })),
    lost: frost.touched
      .filter((t) => t.comesIn === null && t.loss >= SAFE)
      .map((t) => ({
        plantingId: t.plantingId,
        name: nameOf(of(t.plantingId)),
        bed: of(t.plantingId).bed.name,
        says: lossWords(of(t.plantingId), t, planned),
      })),
  };
}

const days = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);

/** When covers come off again. */
function offWords(frost: Frost, acts: readonly ActTold[], { outlook, today }: Planned): string | null {
  if (!acts.some((a) => a.cover)) return null;
  const morning = outlook.days[outlook.days.indexOf(frost.from) + 1];
  if (!morning) return null;
  return `Covers off by mid-morning ${sayDay(morning, today)}, pots out again once it is above freezing: under cover it gets too warm in the sun, and flowers want insects.`; // prettier-ignore
}

/** Why a planting may stay out. */
function whySafe({ crop, bed }: PlantingOutlook, frost: Frost, { units }: Planned): string {
  const { damageC, killC } = crop.cold;
  if (damageC === null && killC === null) return "Cold does not matter to it.";
  const limit = damageC ?? killC!;
  const low = frost.beds.find((b) => b.bedId === bed.id)?.bedMinC;
  if (limit <= HARDY_C) return `Stands down to about ${sayTemperature(limit, units)}${crop.group === "leaf" || crop.group === "root" ? ", often the sweeter for it" : ""}.`; // prettier-ignore
  return low === undefined ? "Not likely to be touched." : `About ${sayTemperature(low, units)} is expected there, and it is harmed below ${sayTemperature(limit, units)}.`; // prettier-ignore
}

const mayTake = (loss: number) => `The frost may take it: ${inTenths(loss)}.`;

function lossWords(
  { crop, survival }: PlantingOutlook,
  { grams, loss }: Frost["touched"][number],
  { units }: Planned,
): string {
  // prettier-ignore
  const act = survival.threats.find((t) => t.kind === "frost")?.act;
  const words = grams >= NAMED_GRAMS ? `about ${sayRoughly(grams, units)} at stake, and not in the plan` : "little of use on it yet, and it would suffer"; // prettier-ignore
  const kept = act === "earth up" ? "; earthed up it grows again" : "";
  return `${mayTake(loss)} ${capital(words)}${kept}${crop.indoors?.fromGreenDays === undefined ? "" : "; full-grown ones ripen indoors"}.`;
}
