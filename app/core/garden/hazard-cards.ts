import { addDays, sayDay, sayNight, type IsoDay } from "../calendar";
import {
  FREEZE_CLASSES,
  GUST_KMH,
  HEAT_C,
  SOAK_MM,
  frozenOdds,
  inTenths,
  isDug,
  nightOddsBelow,
  type BedKind,
  type Threat,
} from "../hazards";
import type { Picks } from "../planner";
import { sayMass, sayRain, sayTemperature, sayWind, type UnitSystem } from "../units";
import { HEAT_CARE_C, HEAT_STOP_C, soilOutlook, trackIndex } from "../weather";
import { THUNDER_STOP, type DayTerms } from "./day-terms";
import { coverActs, frostActs, heatActs, stormActs, type HazardAct } from "./hazard-acts";
import { capital, cropNames, listOf } from "./in-sentences";
import type { GardenOutlook, PlantingOutlook } from "./look-ahead";
import { oddsByBed } from "./say-beds";

export const HAZARD_KINDS = [
  "frost",
  "chill",
  "frozen ground",
  "storm",
  "heat",
  "thunder",
  "watery",
  "wet leaves",
] as const;
export type HazardKind = (typeof HAZARD_KINDS)[number];

/** Kinds that take something from the crop; the others ask people for patience or to stay in. */
const THREATS: readonly HazardKind[] = ["frost", "chill", "frozen ground", "storm", "heat"];
export const isThreat = (kind: HazardKind) => THREATS.includes(kind);

/** A planting that a hazard touches. */
export interface Touched {
  plantingId: string;
  /** "French bean, climbing". */
  name: string;
  bed: string;
  /** Expected share lost if it is still out there. */
  loss: number;
  /** The same in grams of what could be picked the day before. */
  grams: number;
  /** Day index of the planned pick that is ahead of it; null when none is. */
  comesIn: number | null;
}

/** Something the sky has in store, in plain words. */
export interface HazardCard {
  key: string;
  kind: HazardKind;
  from: IsoDay;
  to: IsoDay;
  odds: number;
  /** "Frost likely Wednesday night". */
  lead: string;
  /** How likely, where: "7 in 10 in the low bed, 3 in 10 by the wall". */
  where: string;
  beds: { bedId: string; name: string; kind: BedKind; odds: number; bedMinC: number }[];
  touched: Touched[];
  /** What it would cost and what comes in before, in sentences. */
  stake: string[];
  acts: HazardAct[];
  caution: string | null;
}

/** Odds from which a hazard is told at all: our judgement. */
const TOLD = 0.15;
const MOST_NIGHTS = 3;
/** A pick of a crop lifted once worth less than this is no loss worth naming, g. */
const NAMED_GRAMS = 50;

/** "likely", "possible", "not ruled out". */
const likely = (odds: number) => (odds >= 0.6 ? "likely" : odds >= 0.3 ? "possible" : "not ruled out");

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
    ...thunderCards(outlook),
    ...wateryCards(outlook),
    ...wetCards(outlook, picks),
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

function touch(p: PlantingOutlook, picks: Picks, n: number, loss: number): Touched {
  const planned = (picks[p.planting.id] ?? []).filter((t) => t <= n);
  return {
    plantingId: p.planting.id,
    name: p.planting.variety ? `${p.crop.name}, ${p.planting.variety}` : p.crop.name,
    bed: p.bed.name,
    loss,
    grams: (p.pieces[n] ?? 0) * p.crop.pieceGrams.value * loss,
    comesIn: planned.at(-1) ?? null,
  };
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

function thunderCards(outlook: GardenOutlook): HazardCard[] {
  return outlook.storms
    .flatMap((storm, n): HazardCard[] => {
      const hours = outlook.terms[n]!.thunderHours;
      if (storm.thunderOdds < THUNDER_STOP && hours.length === 0) return [];
      const odds = Math.max(storm.thunderOdds, ...hours.map((h) => h.thunderOdds));
      const between = hours.length > 0 && hours.length < 20 ? `, ${hours[0]!.clock} to ${hours.at(-1)!.clock}` : "";
      return [
        {
          key: `thunder ${storm.day}`,
          kind: "thunder",
          from: storm.day,
          to: storm.day,
          odds,
          lead: `Thunder ${likely(odds)} ${sayDay(storm.day, outlook.today)}`,
          where: `${inTenths(odds)}${between}`,
          beds: [],
          touched: [],
          stake: [],
          acts: [{ act: "stop", words: "No round while it is about: heard is near enough." }],
          caution:
            "Go in when thunder is heard; wait 30 minutes after the last. Keep off metal poles, trellis and ladders.",
        },
      ];
    })
    .slice(0, 2);
}

function wateryCards(outlook: GardenOutlook): HazardCard[] {
  const ago = outlook.rain.soakedDaysAgo;
  if (ago === null) return [];
  const watery = outlook.plantings.filter(
    (p) => p.crop.rainWait && p.crop.rainWait.high > ago && p.judgement.odds.prime + p.judgement.odds.close >= 0.3,
  );
  if (watery.length === 0) return [];
  const wait = Math.max(...watery.map((p) => p.crop.rainWait!.high)) - ago;
  return [
    {
      key: `watery ${outlook.today}`,
      kind: "watery",
      from: outlook.today,
      to: addDays(outlook.today, wait),
      odds: 1,
      lead: `Watery after ${ago === 0 ? "today" : sayDay(addDays(outlook.today, -ago), outlook.today)}’s soaking`,
      where: `give it dry days until ${sayDay(addDays(outlook.today, wait), outlook.today)}`,
      beds: [],
      touched: watery.map((p) => touch(p, {}, 0, 0)),
      stake: [`${capital(listOf(cropNames(watery)))}: softness and a flat taste are false for now.`],
      acts: [{ act: "wait", words: "Taste one before you take the rest." }],
      caution: null,
    },
  ];
}

function wetCards(outlook: GardenOutlook, picks: Picks): HazardCard[] {
  const cards = outlook.terms.slice(0, 2).flatMap((day, n): HazardCard[] => {
    const touched = outlook.plantings.filter(
      (p) => p.crop.handsOffWhenWet.value && ((picks[p.planting.id] ?? []).includes(n) || p.bans[n] === "wet leaves"),
    );
    if ((!day.dryFrom && !day.wetAllDay) || touched.length === 0) return [];
    const from = day.hours?.hours.find((h) => h.clock >= "06:00")?.leavesWet ?? "dew";
    return [
      {
        key: `wet ${day.day}`,
        kind: "wet leaves",
        from: day.day,
        to: day.day,
        odds: 1,
        lead: wetLead(day, outlook.today),
        where: from === "rain" ? "from rain" : "from dew",
        beds: [],
        touched: touched.map((p) => touch(p, picks, n, 0)),
        stake: [`${capital(listOf(cropNames(touched)))} wait until dry: touching them wet spreads disease.`],
        acts: [{ act: "wait", words: "Roots and heads cut with a knife may go first." }],
        caution: null,
      },
    ];
  });
  // Tomorrow's dew is news when today has none.
  return cards.slice(0, 1);
}

/** "Leaves wet today until about 09:00"; rain at an hour that is not told may wet them at any. */
function wetLead({ day, dryFrom, hours }: DayTerms, today: IsoDay): string {
  const on = sayDay(day, today);
  if (dryFrom) return `Leaves wet ${on} until about ${dryFrom}`;
  return hours?.rainHoursKnown ? `Leaves wet all day ${on}` : `Rain about ${on}: leaves may be wet`;
}
