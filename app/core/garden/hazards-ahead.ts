import { FREEZE_CLASSES, HEAT_C, coverGainOf, frozenOdds, isDug, nightOddsBelow, type Threat } from "../hazards";
import type { Picks } from "../planner";
import { soilOutlook, trackIndex } from "../weather";
import { HAZARD_KINDS, isThreat, touch, type BedOdds, type Hazard, type HazardAct, type Touched } from "./hazard";
import { coverActs, frostActs, heatActs, stormActs } from "./hazard-acts";
import type { GardenOutlook } from "./look-ahead";
import { patienceAhead } from "./patience-ahead";

/** Odds from which a hazard is told at all: our judgement. */
export const TOLD = 0.15;
const MOST_NIGHTS = 3;

/**
 * All that is coming and matters to this garden, what threatens it before the rest, each soonest first: its odds,
 * what it touches, and the acts that help.
 *
 * @param picks - the plan's, day indexes from today
 */
export function hazardsAhead(outlook: GardenOutlook, picks: Picks): Hazard[] {
  const rank = (h: Hazard) => HAZARD_KINDS.indexOf(h.kind);
  return [
    ...frosts(outlook, picks),
    ...chills(outlook, picks),
    ...frozenGround(outlook),
    ...storms(outlook, picks),
    ...heats(outlook, picks),
    ...patienceAhead(outlook, picks),
  ].sort(
    (a, b) => Number(isThreat(b.kind)) - Number(isThreat(a.kind)) || a.from.localeCompare(b.from) || rank(a) - rank(b),
  );
}

/** Whether a day is spoken of by the record or the forecast: a usual day is no call. */
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
      const all = touch(p, picks, n, 1 - threats.reduce((kept, t) => kept * (1 - t.loss), 1));
      // What takes the blossom, the leaf or a seedling takes nothing that could be picked before it.
      return [threats.some((t) => (t.act ?? "pick") === "pick") ? all : { ...all, grams: 0 }];
    })
    .sort((a, b) => b.grams - a.grams);
}

/** Beds with plantings, in walking order. */
function bedsOf(outlook: GardenOutlook) {
  return [...new Map(outlook.plantings.map((p) => [p.bed.id, p.bed])).values()].sort((a, b) => a.position - b.position);
}

function frosts(outlook: GardenOutlook, picks: Picks): Hazard[] {
  const { track, days } = outlook;
  const nightsOf = bedsOf(outlook).map((bed) => ({
    bed,
    nights: nightOddsBelow(track, bed.kind, FREEZE_CLASSES.light, days.length - 1, coverGainOf(outlook.covers, bed.id)),
  }));
  const bedsOn = (n: number) =>
    nightsOf.map(({ bed: { id, name, kind }, nights }): BedOdds => {
      const { odds, bedMinC } = nights[n]!;
      return { bedId: id, name, kind, odds, bedMinC };
    });
  const evenings = days.slice(0, -1).flatMap((_, n) => frostOn(outlook, picks, n, bedsOn(n)));
  return evenings.slice(0, MOST_NIGHTS);
}

function frostOn(outlook: GardenOutlook, picks: Picks, n: number, beds: BedOdds[]): Hazard[] {
  if (!called(outlook, n + 1)) return [];
  const evening = outlook.days[n]!;
  const odds = Math.max(0, ...beds.map((b) => b.odds));
  const touched = touchedBy(outlook, picks, ["frost"], n);
  if (odds < TOLD && touched.length === 0) return [];
  return [
    {
      key: `frost ${evening}`,
      kind: "frost",
      from: evening,
      to: evening,
      odds: Math.max(odds, ...touched.map((t) => t.loss)),
      // A tender crop is harmed above freezing too: then it is a cold night, not a frost.
      onlyCold: odds < TOLD,
      bedMinC: Math.min(...beds.map((b) => b.bedMinC)),
      beds,
      touched,
      acts: withCovers(frostActs(outlook, touched), coverActs(outlook, beds, touched, evening)),
    },
  ];
}

/** Pots that are named one by one need not be named again. */
function withCovers(acts: readonly HazardAct[], covers: readonly HazardAct[]): HazardAct[] {
  const potsNamed = covers.some((c) => c.act === "cover" && c.cover === "indoors");
  return [...acts.filter((a) => a.act !== "bring in" || !potsNamed), ...covers];
}

function chills(outlook: GardenOutlook, picks: Picks): Hazard[] {
  const chill = outlook.plantings.flatMap((p) => p.survival.threats.filter((t) => t.kind === "chill"));
  const n = outlook.days.findIndex((day) => chill.some((t) => t.lastDayBefore === day));
  if (n < 0) return [];
  const day = outlook.days[n]!;
  const touched = touchedBy(outlook, picks, ["chill"], n);
  const odds = Math.max(...chill.filter((t) => t.lastDayBefore === day).map((t) => t.odds));
  return [{ key: `chill ${day}`, kind: "chill", from: day, to: day, odds, beds: [], touched, acts: frostActs(outlook, touched) }]; // prettier-ignore
}

function frozenGround(outlook: GardenOutlook): Hazard[] {
  const soil = soilOutlook(outlook.track, outlook.days.length);
  const n = soil.findIndex((s, k) => called(outlook, k) && frozenOdds(s) >= TOLD);
  const dug = outlook.plantings.filter((p) => isDug(p.crop));
  if (n < 0 || dug.length === 0) return [];
  const day = outlook.days[n]!;
  return [
    {
      key: `frozen ${day}`,
      kind: "frozen ground",
      from: day,
      to: day,
      odds: Math.max(...soil.map(frozenOdds)),
      beds: [],
      touched: dug.map((p) => touch(p, {}, n, 0)),
      acts: [{ act: "dig before" }, { act: "mulch" }],
    },
  ];
}

function storms(outlook: GardenOutlook, picks: Picks): Hazard[] {
  return outlook.storms
    .flatMap((storm, n): Hazard[] => {
      const { day, gustOdds, soakOdds, hailOdds, windKmh, rainMm } = storm;
      const odds = Math.max(gustOdds, soakOdds, hailOdds);
      const touched = touchedBy(outlook, picks, ["wind", "soaking", "hail"], n);
      if (odds < 0.3 && (odds < TOLD || touched.length === 0)) return [];
      const acts = stormActs(outlook, storm, touched);
      return [{ key: `storm ${day}`, kind: "storm", from: day, to: day, odds, gustOdds, soakOdds, hailOdds, windKmh, rainMm, beds: [], touched, acts }]; // prettier-ignore
    })
    .slice(0, MOST_NIGHTS);
}

function heats(outlook: GardenOutlook, picks: Picks): Hazard[] {
  const { track, today, days, terms } = outlook;
  const at = trackIndex(track, today);
  const touchedOn = days.map((_, n) => touchedBy(outlook, picks, ["heat"], n));
  const hot = days.map((_, n) => (called(outlook, n) && track.maxC[at + n]! >= HEAT_C) || touchedOn[n]!.length > 0);
  const first = hot.indexOf(true);
  if (first < 0) return [];
  let last = first;
  while (hot[last + 1]) last++;
  const touched = touchedOn[first]!;
  const spell = terms.slice(first, last + 1);
  return [
    {
      key: `heat ${days[first]}`,
      kind: "heat",
      from: days[first]!,
      to: days[last]!,
      odds: Math.max(0.5, ...touched.map((t) => t.loss)),
      topC: Math.max(...track.maxC.slice(at + first, at + last + 1)),
      feelsC: Math.max(0, ...spell.flatMap((t) => (t.hours?.hours ?? []).map((h) => h.heatIndexC))),
      shut: spell.some((t) => t.hotSlots.length > 0),
      beds: [],
      touched,
      acts: heatActs(outlook, touched, days.slice(first, last + 1)),
    },
  ];
}
