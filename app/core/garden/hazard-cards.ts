import { sayDay, sayNight } from "../calendar";
import {
  FREEZE_CLASSES,
  GUST_KMH,
  HEAT_C,
  SOAK_MM,
  frozenOdds,
  inTenths,
  isDug,
  nightOddsBelow,
  type Threat,
} from "../hazards";
import type { Picks } from "../planner";
import { sayMass, sayRain, sayTemperature, sayWind, type UnitSystem } from "../units";
import { HEAT_CARE_C, HEAT_STOP_C, soilOutlook, trackIndex } from "../weather";
import { coverActs, frostActs, heatActs, stormActs } from "./hazard-acts";
import { HAZARD_KINDS, isThreat, likely, touch, type HazardCard, type Touched } from "./hazard-card";
import { capital, cropNames, listOf } from "./in-sentences";
import type { GardenOutlook } from "./look-ahead";
import { patienceCards } from "./patience-cards";
import { oddsByBed } from "./say-beds";

/** Odds from which a hazard is told at all: our judgement. */
const TOLD = 0.15;
const MOST_NIGHTS = 3;
/** A pick of a crop lifted once worth less than this is no loss worth naming, g. */
const NAMED_GRAMS = 50;

/**
 * All that is coming and matters to this garden, what threatens it before the rest, each soonest first: each with its odds, what it touches, what would be
 * lost, and the acts that help.
 *
 * @param picks - the plan's, day indexes from today
 */
export function hazardCards(outlook: GardenOutlook, picks: Picks, units: UnitSystem): HazardCard[] {
  const cards = [
    ...frostCards(outlook, picks, units),
    ...chillCards(outlook, picks, units),
    ...frozenCards(outlook),
    ...stormCards(outlook, picks, units),
    ...heatCards(outlook, picks, units),
    ...patienceCards(outlook, picks),
  ];
  const rank = (c: HazardCard) => HAZARD_KINDS.indexOf(c.kind);
  return cards.sort(
    (a, b) => Number(isThreat(b.kind)) - Number(isThreat(a.kind)) || a.from.localeCompare(b.from) || rank(a) - rank(b),
  );
}

function called({ track, today }: GardenOutlook, n: number): boolean {
  return track.source[trackIndex(track, today) + n] !== "normal";
}

/** Plantings with a threat of these kinds on an evening, the dearest first. */
function touchedBy(outlook: GardenOutlook, picks: Picks, kinds: readonly Threat["kind"][], n: number): Touched[] {
  const evening = outlook.days[n]!;
  return outlook.plantings
    .flatMap((p): Touched[] => {
      const threats = p.survival.threats.filter((t) => kinds.includes(t.kind) && t.lastDayBefore === evening);
      if (threats.length === 0) return [];
      const loss = 1 - threats.reduce((kept, t) => kept * (1 - t.loss), 1);
      return [touch(p, picks, n, loss)];
    })
    .sort((a, b) => b.grams - a.grams);
}

/** What is lost if nothing is done, and what the plan brings in before; by crop, the dearest first. */
function stakeOf(outlook: GardenOutlook, touched: readonly Touched[], units: UnitSystem): string[] {
  if (touched.length === 0) return ["Nothing that stands out there now would be lost to it."];
  const named = (list: readonly Touched[]) =>
    listOf(cropNames(list.map((t) => outlook.plantings.find((p) => p.planting.id === t.plantingId)!)));
  const grams = touched.reduce((sum, t) => sum + t.grams, 0);
  const come = touched.filter((t) => t.comesIn !== null);
  const stay = touched.filter((t) => t.comesIn === null && t.grams >= NAMED_GRAMS);
  const step = grams < 1000 ? 50 : 100;
  const loss = grams >= NAMED_GRAMS ? `Unpicked it would take about ${sayMass(Math.round(grams / step) * step, units)}: ${named(touched)}.` : ""; // prettier-ignore
  if (come.length === 0) return [loss, "Nothing planned comes in before it."].filter(Boolean);
  const before =
    stay.length > 0
      ? `The plan brings in all but ${named(stay)} before it.`
      : come.length === touched.length && loss
        ? "The plan brings it all in before it."
        : `${capital(named(come))} come in before it.`;
  return [loss, before].filter(Boolean);
}

function bedsOf(outlook: GardenOutlook) {
  return [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()].sort((a, b) => a.position - b.position);
}

function frostCards(outlook: GardenOutlook, picks: Picks, units: UnitSystem): HazardCard[] {
  const { today, track, days } = outlook;
  const nightsOf = bedsOf(outlook).map((bed) => ({
    bed,
    nights: nightOddsBelow(track, bed.kind, FREEZE_CLASSES.light, days.length - 1, outlook.coverGainC(bed.id)),
  }));
  return days
    .slice(0, -1)
    .flatMap((evening, n): HazardCard[] => {
      if (!called(outlook, n + 1)) return [];
      const beds = nightsOf.map(({ bed, nights }) => ({
        bedId: bed.id,
        name: bed.name,
        kind: bed.kind,
        odds: nights[n]!.odds,
        bedMinC: nights[n]!.bedMinC,
      }));
      const odds = Math.max(0, ...beds.map((b) => b.odds));
      const touched = touchedBy(outlook, picks, ["frost"], n);
      if (odds < TOLD && touched.length === 0) return [];
      // A tender crop is harmed above freezing too: then it is a cold night, not a frost.
      const cold = odds < TOLD;
      const worst = beds.reduce((a, b) => (b.bedMinC < a.bedMinC ? b : a), beds[0]!);
      const name = cold ? "A cold night" : `${freezeName(worst.bedMinC)} ${likely(odds)}`;
      return [
        {
          key: `frost ${evening}`,
          kind: "frost",
          from: evening,
          to: evening,
          odds: Math.max(odds, ...touched.map((t) => t.loss)),
          lead: `${name} ${sayNight(evening, today)}`,
          where: cold ? `down to about ${sayTemperature(worst.bedMinC, units)}` : oddsByBed(beds),
          beds,
          touched,
          stake: stakeOf(outlook, touched, units),
          acts: [...frostActs(outlook, touched), ...coverActs(outlook, beds, touched, evening, units)],
          caution: "Soft produce caught by frost: use what is sound at once, discard what is water-soaked.",
        },
      ];
    })
    .slice(0, MOST_NIGHTS);
}

/** By the usual limits, where it is more than a light one. */
function freezeName(minC: number): string {
  if (minC <= FREEZE_CLASSES.severe) return "Severe frost";
  return minC <= FREEZE_CLASSES.moderate ? "Hard frost" : "Frost";
}

function chillCards(outlook: GardenOutlook, picks: Picks, units: UnitSystem): HazardCard[] {
  const n = outlook.days.findIndex((day) =>
    outlook.plantings.some((p) => p.survival.threats.some((t) => t.kind === "chill" && t.lastDayBefore === day)),
  );
  if (n < 0) return [];
  const touched = touchedBy(outlook, picks, ["chill"], n);
  const hit = touched.map((t) => outlook.plantings.find((p) => p.planting.id === t.plantingId)!);
  return [
    {
      key: `chill ${outlook.days[n]}`,
      kind: "chill",
      from: outlook.days[n]!,
      to: outlook.days[n]!,
      odds: Math.max(...hit.flatMap((p) => p.survival.threats.filter((t) => t.kind === "chill").map((t) => t.odds))),
      lead: `Too cold to ripen, about ${sayDay(outlook.days[n]!, outlook.today)}`,
      where: `days too cold for ${listOf(cropNames(hit))}: no frost, but it pits and stops`,
      beds: [],
      touched,
      stake: stakeOf(outlook, touched, units),
      acts: frostActs(outlook, touched),
      caution: null,
    },
  ];
}

function frozenCards(outlook: GardenOutlook): HazardCard[] {
  const soil = soilOutlook(outlook.track, outlook.days.length);
  const n = soil.findIndex((s, k) => called(outlook, k) && frozenOdds(s) >= TOLD);
  const dug = outlook.plantings.filter((p) => isDug(p.crop));
  if (n < 0 || dug.length === 0) return [];
  const odds = Math.max(...soil.map(frozenOdds));
  return [
    {
      key: `frozen ${outlook.days[n]}`,
      kind: "frozen ground",
      from: outlook.days[n]!,
      to: outlook.days[n]!,
      odds,
      lead: `Ground frozen hard ${likely(odds)}, from ${sayDay(outlook.days[n]!, outlook.today)}`,
      where: `${inTenths(odds)} in open ground`,
      beds: [],
      touched: dug.map((p) => touch(p, {}, n, 0)),
      stake: [`${capital(listOf(cropNames(dug)))} cannot be dug while it lasts.`],
      acts: [
        { act: "pick", words: "Dig a few meals’ worth before it." },
        { act: "cover", words: "A thick mulch over the row keeps the ground open longer (our judgement)." },
      ],
      caution: null,
    },
  ];
}

function stormCards(outlook: GardenOutlook, picks: Picks, units: UnitSystem): HazardCard[] {
  return outlook.storms
    .flatMap((storm, n): HazardCard[] => {
      const odds = Math.max(storm.gustOdds, storm.soakOdds, storm.hailOdds);
      const touched = touchedBy(outlook, picks, ["wind", "soaking", "hail"], n);
      if (odds < 0.3 && (odds < TOLD || touched.length === 0)) return [];
      const parts = [
        storm.gustOdds >= TOLD
          ? `gusts about ${sayWind(storm.windKmh ?? GUST_KMH, units)} (${inTenths(storm.gustOdds)} to pass ${sayWind(GUST_KMH, units)})`
          : "",
        storm.soakOdds >= TOLD
          ? `rain about ${sayRain(storm.rainMm ?? SOAK_MM, units)} (${inTenths(storm.soakOdds)} to pass ${sayRain(SOAK_MM, units)})`
          : "",
        storm.hailOdds >= TOLD ? `hail ${inTenths(storm.hailOdds)}` : "",
      ].filter(Boolean);
      const what = storm.gustOdds >= TOLD ? "Storm" : storm.soakOdds >= storm.hailOdds ? "Downpour" : "Hail";
      return [
        {
          key: `storm ${storm.day}`,
          kind: "storm",
          from: storm.day,
          to: storm.day,
          odds,
          lead: `${what} ${likely(odds)} ${sayDay(storm.day, outlook.today)}`,
          where: parts.join(", "),
          beds: [],
          touched,
          stake: stakeOf(outlook, touched, units),
          acts: stormActs(outlook, storm, touched),
          caution: "No ladders, poles or netting in the wind. Thunder heard: go in, wait 30 minutes after the last.",
        },
      ];
    })
    .slice(0, MOST_NIGHTS);
}

function heatCards(outlook: GardenOutlook, picks: Picks, units: UnitSystem): HazardCard[] {
  const { track, today, days, terms } = outlook;
  const at = trackIndex(track, today);
  const hot = days.map((_, n) => called(outlook, n) && track.maxC[at + n]! >= HEAT_C);
  const touchedOn = days.map((_, n) => touchedBy(outlook, picks, ["heat"], n));
  const first = days.findIndex((_, n) => hot[n] || touchedOn[n]!.length > 0);
  if (first < 0) return [];
  let last = first;
  while (last + 1 < days.length && (hot[last + 1] || touchedOn[last + 1]!.length > 0)) last++;
  const top = Math.max(...Array.from({ length: last - first + 1 }, (_, k) => track.maxC[at + first + k]!));
  const touched = touchedOn[first]!;
  const feels = Math.max(0, ...terms.slice(first, last + 1).flatMap((t) => (t.hours?.hours ?? []).map((h) => h.heatIndexC))); // prettier-ignore
  const shut = terms.slice(first, last + 1).some((t) => t.hotSlots.length > 0);
  const until = last > first ? ` to ${sayDay(days[last]!, today)}` : "";
  return [
    {
      key: `heat ${days[first]}`,
      kind: "heat",
      from: days[first]!,
      to: days[last]!,
      odds: Math.max(0.5, ...touched.map((t) => t.loss)),
      lead: `Heat ${sayDay(days[first]!, today)}${until}`,
      where: `up to ${sayTemperature(top, units)}${feels >= HEAT_CARE_C ? `, feels like ${sayTemperature(feels, units)}` : ""}`,
      beds: [],
      touched,
      stake: [...heatEffects(outlook, touched), ...stakeOf(outlook, touched, units)],
      acts: heatActs(outlook, touched),
      caution: shut
        ? `From ${sayTemperature(HEAT_STOP_C, units)} felt heat there is no round: go early or in the evening. Dizzy, confused or no sweat: stop, cool down, call for help.`
        : "Go early, hat on, water every 15 to 20 minutes, rest in the shade.",
    },
  ];
}

/** "Broccoli opens its buds.": what heat does to the first two crops it touches. */
function heatEffects(outlook: GardenOutlook, touched: readonly Touched[]): string[] {
  const hit = outlook.plantings.filter((p) => touched.some((t) => t.plantingId === p.planting.id));
  return cropNames(hit)
    .slice(0, 2)
    .map((name) => {
      const p = hit.find((x) => cropNames([x])[0] === name);
      return `${capital(name)} ${p?.crop.heat?.effect ?? "suffers"}.`;
    });
}
