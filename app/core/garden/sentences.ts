import { addDays, sayDay, sayNight } from "../calendar";
import { inTenths } from "../hazards";
import type { Loser, Picks } from "../planner";
import { sayMass, type UnitSystem } from "../units";
import { sayCount } from "./amounts";
import type { GardenOutlook, PlantingOutlook } from "./look-ahead";

/** One plain sentence of the start page; `urgent` ones are set in the accent. */
export interface GardenSentence {
  plantingId: string | null;
  lead: string;
  text: string;
  urgent: boolean;
}

export interface GardenSentences {
  best: GardenSentence[];
  turning: GardenSentence[];
  threatened: GardenSentence[];
  unfit: GardenSentence[];
}

const MOST_EACH = 5;

/** "Courgette, striped" in its bed. */
function nameOf({ crop, planting, bed }: PlantingOutlook): string {
  return `${crop.name}${planting.variety ? `, ${planting.variety}` : ""} (${bed.name})`;
}

/**
 * The four paragraphs beside the horizon: at its best, about to turn, threatened, does not fit.
 *
 * @param picks - the plan's, day indexes from today
 * @param losers - of the same plan
 */
export function gardenSentences(
  outlook: GardenOutlook,
  picks: Picks,
  losers: readonly Loser[],
  units: UnitSystem,
): GardenSentences {
  const { today, plantings } = outlook;
  const about = (p: PlantingOutlook, text: string, urgent = false): GardenSentence => ({
    plantingId: p.planting.id,
    lead: nameOf(p),
    text,
    urgent,
  });
  const kindOf = (p: PlantingOutlook) => p.judgement.verdict.kind;
  const best = plantings
    .filter((p) => ["ready", "take today"].includes(kindOf(p)))
    .sort((a, b) => b.judgement.odds.prime - a.judgement.odds.prime)
    .map((p) => about(p, p.judgement.verdict.sentence, kindOf(p) === "take today"));
  const turning = plantings
    .filter((p) => ["past", "clear", "look now"].includes(kindOf(p)))
    .sort(
      (a, b) => b.judgement.odds.slipping + b.judgement.odds.gone - a.judgement.odds.slipping - a.judgement.odds.gone,
    )
    .map((p) => about(p, p.judgement.verdict.sentence, kindOf(p) !== "look now"));
  return {
    best: best.slice(0, MOST_EACH),
    turning: turning.slice(0, MOST_EACH),
    threatened: [...frostSentences(outlook, picks), ...stormSentences(outlook, picks)].slice(0, MOST_EACH),
    unfit: losers.slice(0, 3).flatMap((loser) => {
      const p = plantings.find((x) => x.planting.id === loser.id);
      if (!p) return [];
      const lost = sayMass((loser.lost / p.crop.worthPerKg.value) * 1000, units);
      const saver = loser.saver
        ? ` ${capital(sayCount(loser.saver.extraMinutes))} more minutes ${sayDay(addDays(today, loser.saver.day), today)} would save it.`
        : " No single day’s extra hour would save it.";
      return [about(p, `About ${lost} worth is lost for want of time.${saver}`)];
    }),
  };
}

function frostSentences(outlook: GardenOutlook, picks: Picks): GardenSentence[] {
  const { today, plantings } = outlook;
  const nights = [
    ...new Set(
      plantings.flatMap((p) => p.survival.threats.filter((t) => t.kind === "frost").map((t) => t.lastDayBefore)),
    ),
  ].sort();
  return nights.slice(0, 2).map((evening) => {
    const hit = plantings.flatMap((p) => {
      const threat = p.survival.threats.find((t) => t.kind === "frost" && t.lastDayBefore === evening);
      return threat ? [{ p, threat }] : [];
    });
    const byBed = new Map<string, number>();
    for (const { p, threat } of hit) byBed.set(p.bed.name, Math.max(byBed.get(p.bed.name) ?? 0, threat.odds));
    const beds = [...byBed].sort((a, b) => b[1] - a[1]);
    const worst = beds[0];
    const mildest = beds.length > 1 ? beds.at(-1) : undefined;
    const places = [worst, mildest].flatMap((b) => (b ? [`${inTenths(b[1])} at the ${lower(b[0])}`] : [])).join(", ");
    const until = outlook.days.indexOf(evening);
    const saved = hit.filter(({ p }) => (picks[p.planting.id] ?? []).some((t) => t <= until));
    const crops = [...new Set(saved.map(({ p }) => lower(p.crop.name.split(",")[0] ?? "")))];
    const come =
      crops.length > 0 ? ` ${capital(listOf(crops))} come in before it.` : " Nothing planned comes in before it.";
    return { plantingId: null, lead: `Frost ${sayNight(evening, today)}`, text: `${places}.${come}`, urgent: false };
  });
}

function stormSentences(outlook: GardenOutlook, picks: Picks): GardenSentence[] {
  const { today, plantings } = outlook;
  return outlook.storms
    .filter((s) => s.gustOdds >= 0.4 || s.soakOdds >= 0.4)
    .slice(0, 2)
    .map((storm) => {
      const index = outlook.days.indexOf(storm.day);
      const exposed = plantings.filter((p) =>
        p.survival.threats.some((t) => t.kind !== "frost" && t.lastDayBefore === storm.day),
      );
      const before = exposed.filter((p) => (picks[p.planting.id] ?? []).some((t) => t <= index));
      const crops = [...new Set(exposed.map((p) => lower(p.crop.name.split(",")[0] ?? "")))];
      const parts = [
        storm.gustOdds >= 0.4 ? `gusts of ${Math.round(storm.windKmh ?? 0)} km/h (${inTenths(storm.gustOdds)})` : "",
        storm.soakOdds >= 0.4 ? `${Math.round(storm.rainMm ?? 0)} mm of rain (${inTenths(storm.soakOdds)})` : "",
      ].filter(Boolean);
      const hit = crops.length
        ? ` It would cost ${listOf(crops)}; ${sayCount(before.length)} of ${sayCount(exposed.length)} come in before.`
        : "";
      return {
        plantingId: null,
        lead: `Storm ${sayDay(storm.day, today)}`,
        text: `${parts.join(", ")}.${hit}`,
        urgent: false,
      };
    });
}

/** A name within a sentence; words that are always capital stay so. */
const lower = (text: string) => (/^(French|Swiss)/.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1));
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function listOf(words: readonly string[]): string {
  if (words.length <= 1) return words[0] ?? "";
  return `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}
