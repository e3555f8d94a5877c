import type { IsoDay } from "~/core/calendar";
import type { Hazard, HazardAct, HazardKind, PlantingOutlook } from "~/core/garden";
import { FREEZE_CLASSES, GUST_KMH, SOAK_MM } from "~/core/hazards";
import type { UnitSystem } from "~/core/units";
import { HEAT_CARE_C, HEAT_STOP_C } from "~/core/weather";
import {
  capital,
  cropNames,
  inTenths,
  listOf,
  nameOf,
  oddsByBed,
  sayDay,
  sayRoughly,
  sayNight,
  sayRain,
  sayTemperature,
  sayWind,
} from "../words";
import { actWords, type ActTold } from "./act";
import type { CardWords } from "./card-words";

/** Something the sky has in store, in plain words. */
export interface HazardCard {
  key: string;
  kind: HazardKind;
  from: IsoDay;
  odds: number;
  /** "Frost likely Wednesday night". */
  lead: string;
  /** How likely, where: "7 in 10 in the low bed, 3 in 10 by the wall". */
  where: string;
  beds: { id: string; name: string; odds: string; low: string }[];
  touched: { plantingId: string; name: string; says: string }[];
  /** What it would cost and what comes in before, in sentences. */
  stake: string[];
  acts: ActTold[];
  caution: string | null;
}

/** Odds from which a part of a storm is named: our judgement. */
const TOLD = 0.15;
/** A pick worth less than this is no loss worth naming, g. */
const NAMED_GRAMS = 50;

/** "likely", "possible", "not ruled out". */
const likely = (odds: number) => (odds >= 0.6 ? "likely" : odds >= 0.3 ? "possible" : "not ruled out");

/** Puts a hazard into words. */
export function hazardCard(hazard: Hazard, words: CardWords): HazardCard {
  const { key, kind, from, odds } = hazard;
  return {
    key,
    kind,
    from,
    odds,
    ...headOf(hazard, words),
    beds: [...hazard.beds]
      .sort((a, b) => b.odds - a.odds)
      .map((b) => ({ id: b.bedId, name: b.name, odds: inTenths(b.odds), low: `about ${sayTemperature(b.bedMinC, words.units)}` })), // prettier-ignore
    touched: hazard.touched.map((t) => ({ plantingId: t.plantingId, ...touchedWords(t, words) })),
    stake: stakeOf(hazard, words),
    acts: hazard.acts.map((act: HazardAct) => actWords(act, hazard.beds, words)),
    caution: cautionOf(hazard, words.units),
  };
}

const plantingOf = ({ outlook }: CardWords, id: string): PlantingOutlook =>
  outlook.plantings.find((p) => p.planting.id === id)!;
const namesOf = (words: CardWords, touched: Hazard["touched"]) =>
  cropNames(touched.map((t) => plantingOf(words, t.plantingId)));

function touchedWords(t: Hazard["touched"][number], words: CardWords): { name: string; says: string } {
  const { outlook, units } = words;
  const p = plantingOf(words, t.plantingId);
  const stake = t.grams >= 10 ? `: about ${sayRoughly(t.grams, units)} at stake` : "";
  const comes = t.comesIn === null ? "; stays out by the plan" : `; picked ${sayDay(outlook.days[t.comesIn]!, outlook.today)}`; // prettier-ignore
  return { name: nameOf(p), says: `${p.bed.name}${stake}${t.loss > 0 ? comes : ""}` };
}

/** What is coming, when, how likely and where. */
function headOf(hazard: Hazard, words: CardWords): { lead: string; where: string } {
  const { outlook, units } = words;
  const { today } = outlook;
  const on = sayDay(hazard.from, today);
  switch (hazard.kind) {
    case "frost":
      return {
        lead: `${hazard.onlyCold ? "A cold night" : `${freezeName(hazard.bedMinC)} ${likely(Math.max(0, ...hazard.beds.map((b) => b.odds)))}`} ${sayNight(hazard.from, today)}`, // prettier-ignore
        where: hazard.onlyCold ? `down to about ${sayTemperature(hazard.bedMinC, units)}` : oddsByBed(hazard.beds),
      };
    case "chill":
      return {
        lead: `Too cold to ripen, about ${on}`,
        where: `days too cold for ${listOf(namesOf(words, hazard.touched))}: no frost, but it pits and stops`,
      };
    case "frozen ground":
      return { lead: `Ground frozen hard ${likely(hazard.odds)}, from ${on}`, where: `${inTenths(hazard.odds)} in open ground` }; // prettier-ignore
    case "storm":
      return { lead: `${stormName(hazard)} ${likely(hazard.odds)} ${on}`, where: stormParts(hazard, units) };
    case "heat":
      return {
        lead: `Heat ${on}${hazard.to > hazard.from ? ` to ${sayDay(hazard.to, today)}` : ""}`,
        where: `up to ${sayTemperature(hazard.topC, units)}${hazard.feelsC >= HEAT_CARE_C ? `, feels like ${sayTemperature(hazard.feelsC, units)}` : ""}`, // prettier-ignore
      };
    case "thunder":
      return {
        lead: `Thunder ${likely(hazard.odds)} ${on}`,
        where: `${inTenths(hazard.odds)}${hazard.between ? `, ${hazard.between.join(" to ")}` : ""}`,
      };
    case "watery":
      return {
        lead: `Watery after ${sayDay(hazard.soakedOn, today)}’s soaking`,
        where: `give it dry days until ${sayDay(hazard.to, today)}`,
      };
    case "wet leaves":
      return { lead: wetLead(hazard, on), where: hazard.by === "rain" ? "from rain" : "from dew" };
  }
}

/** By the usual limits, where it is more than a light one. */
function freezeName(minC: number): string {
  if (minC <= FREEZE_CLASSES.severe) return "Severe frost";
  return minC <= FREEZE_CLASSES.moderate ? "Hard frost" : "Frost";
}

type Storm = Extract<Hazard, { kind: "storm" }>;

function stormName({ gustOdds, soakOdds, hailOdds }: Storm): string {
  if (gustOdds >= TOLD) return "Storm";
  return soakOdds >= hailOdds ? "Downpour" : "Hail";
}

function stormParts({ gustOdds, soakOdds, hailOdds, windKmh, rainMm }: Storm, units: UnitSystem): string {
  const parts: string[] = [];
  if (gustOdds >= TOLD)
    parts.push(
      `gusts about ${sayWind(windKmh ?? GUST_KMH, units)} (${inTenths(gustOdds)} to pass ${sayWind(GUST_KMH, units)})`,
    );
  if (soakOdds >= TOLD)
    parts.push(
      `rain about ${sayRain(rainMm ?? SOAK_MM, units)} (${inTenths(soakOdds)} to pass ${sayRain(SOAK_MM, units)})`,
    );
  if (hailOdds >= TOLD) parts.push(`hail ${inTenths(hailOdds)}`);
  return parts.join(", ");
}

/** "Leaves wet today until about 09:00"; rain at an hour that is not told may wet them at any. */
function wetLead({ dryFrom, rainHoursKnown }: Extract<Hazard, { kind: "wet leaves" }>, on: string): string {
  if (dryFrom) return `Leaves wet ${on} until about ${dryFrom}`;
  return rainHoursKnown ? `Leaves wet all day ${on}` : `Rain about ${on}: leaves may be wet`;
}

/** What is lost if nothing is done, and what the plan brings in before. */
function stakeOf(hazard: Hazard, words: CardWords): string[] {
  const all = namesOf(words, hazard.touched);
  const names = () => capital(listOf(all));
  const one = all.length === 1;
  switch (hazard.kind) {
    case "thunder":
      return [];
    case "watery":
      return [`${names()}: softness and a flat taste are false for now.`];
    case "wet leaves":
      return [
        `${names()} ${one ? "waits" : "wait"} until dry: touched wet, ${one ? "it spreads" : "they spread"} disease.`,
      ];
    case "frozen ground":
      return [`${names()} cannot be dug while it lasts.`];
    case "heat":
      return [...heatEffects(hazard, words), ...lossOf(hazard.touched, words)];
    case "frost":
    case "chill":
    case "storm":
      return lossOf(hazard.touched, words);
  }
}

/** The loss by crop, the dearest first, and what comes in before. */
function lossOf(touched: Hazard["touched"], words: CardWords): string[] {
  if (touched.length === 0) return ["Nothing that stands out there now would be lost to it."];
  const named = (list: Hazard["touched"]) => listOf(namesOf(words, list));
  const grams = touched.reduce((sum, t) => sum + t.grams, 0);
  const come = touched.filter((t) => t.comesIn !== null);
  const stay = touched.filter((t) => t.comesIn === null && t.grams >= NAMED_GRAMS);
  const loss = grams >= NAMED_GRAMS ? `Unpicked it would take about ${sayRoughly(grams, words.units)}: ${named(touched)}.` : ""; // prettier-ignore
  const before =
    come.length === 0
      ? "Nothing planned comes in before it."
      : stay.length > 0
        ? `The plan brings in all but ${named(stay)} before it.`
        : come.length === touched.length && loss
          ? "The plan brings it all in before it."
          : `${capital(named(come))} ${namesOf(words, come).length === 1 ? "comes" : "come"} in before it.`;
  return [loss, before].filter(Boolean);
}

/** "Broccoli opens its buds.": what heat does to the first two crops it touches. */
function heatEffects({ touched }: Hazard, words: CardWords): string[] {
  const hit = touched.map((t) => plantingOf(words, t.plantingId));
  return cropNames(hit)
    .slice(0, 2)
    .map((name) => {
      const p = hit.find((x) => cropNames([x])[0] === name);
      return `${capital(name)} ${p?.crop.heat?.effect ?? "suffers"}.`;
    });
}

function cautionOf(hazard: Hazard, units: UnitSystem): string | null {
  switch (hazard.kind) {
    case "frost":
      return "Soft produce caught by frost: use what is sound at once, discard what is water-soaked.";
    case "storm":
      return "No ladders, poles or netting in the wind. Thunder heard: go in, wait 30 minutes after the last.";
    case "heat":
      return hazard.shut
        ? `From ${sayTemperature(HEAT_STOP_C, units)} felt heat there is no round: go early or in the evening. Dizzy, confused or no sweat: stop, cool down, call for help.`
        : "Go early, hat on, water every 15 to 20 minutes, rest in the shade.";
    case "thunder":
      return "Go in when thunder is heard; wait 30 minutes after the last. Keep off metal poles, trellis and ladders.";
    case "chill":
    case "frozen ground":
    case "watery":
    case "wet leaves":
      return null;
  }
}
