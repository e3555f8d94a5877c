import type { IsoDay } from "../calendar";
import {
  BED_CLIMATES,
  COVERS,
  FREEZE_CLASSES,
  coverGainOf,
  nightOddsBelow,
  usualCover,
  type StormDay,
} from "../hazards";
import { COVERABLE } from "./protections";
import type { BedOdds, HazardAct, Touched } from "./hazard";
import type { GardenOutlook } from "./look-ahead";
import type { PlantingOutlook } from "./planting-outlook";

const MOST_COVERS = 2;
/** Covering is worth naming when it takes this much off the odds: our judgement. */
const HELPS = 0.08;
/** A pick missed of less than this is not named, g. */
const NAMED_GRAMS = 50;

const idsOf = (plantings: readonly PlantingOutlook[]) => plantings.map((p) => p.planting.id);
const plantingsOf = (outlook: GardenOutlook, touched: readonly Touched[]): PlantingOutlook[] =>
  outlook.plantings.filter((p) => touched.some((t) => t.plantingId === p.planting.id));

/** Picks ahead of it that the plan has made, and those it has not. */
function pickAct(touched: readonly Touched[]): HazardAct[] {
  const come = touched.flatMap((t) => t.comesIn ?? []);
  const spare = touched.filter((t) => t.comesIn === null && t.grams >= NAMED_GRAMS).map((t) => t.plantingId);
  if (come.length === 0 && spare.length === 0) return [];
  return [{ act: "pick", lastRound: come.length > 0 ? Math.max(...come) : null, spare }];
}

/** Against a cold night or lasting chill. */
export function frostActs(outlook: GardenOutlook, touched: readonly Touched[]): HazardAct[] {
  const hit = plantingsOf(outlook, touched);
  const acts = pickAct(touched);
  const green = hit.filter((p) => p.crop.indoors?.fromGreenDays !== undefined);
  if (green.length > 0) acts.push({ act: "pick green", of: idsOf(green) });
  const tops = hit.filter((p) => p.survival.threats.some((t) => t.act === "earth up"));
  if (tops.length > 0) acts.push({ act: "earth up", of: idsOf(tops) });
  if (hit.some((p) => p.bed.kind === "container")) acts.push({ act: "bring in" });
  if (hit.some((p) => p.crop.id.startsWith("sweet_potato"))) acts.push({ act: "cut vines" });
  return acts;
}

/** Covers that help, the most endangered bed first, with what each does to the odds. */
export function coverActs(
  outlook: GardenOutlook,
  beds: readonly BedOdds[],
  touched: readonly Touched[],
  evening: IsoDay,
): HazardAct[] {
  const n = outlook.days.indexOf(evening);
  const touchedBeds = new Set(plantingsOf(outlook, touched).map((p) => p.bed.id));
  const covers = beds
    .filter((b) => COVERABLE.includes(b.kind) && touchedBeds.has(b.bedId))
    .map((b) => {
      const odds = (gainC: number) =>
        nightOddsBelow(outlook.track, b.kind, FREEZE_CLASSES.light, n + 1, () => gainC)[n]!.odds;
      const covered = coverGainOf(outlook.covers, b.bedId)(evening) > 0;
      const noted = outlook.covers.find((c) => c.bedId === b.bedId && c.evening === evening);
      const cover = noted?.cover ?? usualCover(b.kind);
      return { b, cover, covered, bareOdds: odds(0), underOdds: covered ? b.odds : odds(COVERS[cover].gainC) };
    })
    .filter((c) => c.covered || c.bareOdds - c.underOdds >= HELPS)
    .sort((a, b) => b.bareOdds - a.bareOdds)
    .map(({ b, ...odds }): Extract<HazardAct, { act: "cover" }> => ({
      act: "cover",
      bedId: b.bedId,
      evening,
      nights: 1,
      ...odds,
    }));
  // Pots are brought in without a cover to find: they are named beside the beds.
  const under = covers.filter((c) => c.cover !== "indoors").slice(0, MOST_COVERS);
  const inside = covers.filter((c) => c.cover === "indoors").slice(0, MOST_COVERS);
  return [...under, ...inside].length > 0 ? [...inside, ...under, { act: "water", against: "frost", pots: false }] : [];
}

/** Against gusts, soakings and hail. */
export function stormActs(outlook: GardenOutlook, storm: StormDay, touched: readonly Touched[]): HazardAct[] {
  const acts = pickAct(touched);
  const open = outlook.plantings.filter((p) => BED_CLIMATES[p.bed.kind].dayC < 3);
  const tall = open.filter((p) => ["ear", "tree fruit"].includes(p.crop.group) || /tomato|bean_(pole|runner)/.test(p.crop.id)); // prettier-ignore
  if (storm.gustOdds >= 0.3 && tall.length > 0) acts.push({ act: "tie in", of: idsOf(tall) });
  if (storm.hailOdds >= 0.15) acts.push(...shieldActs(outlook, touched, "net", [storm.day], storm.hailOdds));
  if (storm.soakOdds < 0.3) return acts;
  const curing = open.filter((p) => p.crop.dryDays && p.judgement.odds.prime >= 0.3);
  if (curing.length > 0) acts.push({ act: "lift", of: idsOf(curing) });
  const watery = open.filter((p) => p.crop.rainWait);
  if (watery.length > 0)
    acts.push({ act: "wait", of: idsOf(watery), dryDays: Math.max(...watery.map((p) => p.crop.rainWait!.high)) });
  return acts;
}

/** A net or shade cloth over the beds of what is touched, put up once for all days: it changes what comes through, not the odds. */
function shieldActs(
  outlook: GardenOutlook,
  touched: readonly Touched[],
  cover: "net" | "shade",
  days: readonly IsoDay[],
  odds: number,
): HazardAct[] {
  const beds = new Set(plantingsOf(outlook, touched).filter((p) => COVERABLE.includes(p.bed.kind)).map((p) => p.bed.id)); // prettier-ignore
  const isOn = (bedId: string) => outlook.covers.some((c) => c.bedId === bedId && c.evening === days[0] && c.cover === cover); // prettier-ignore
  // What it holds back may leave nothing that is touched: a bed under it is named still.
  for (const { bed } of outlook.plantings) if (isOn(bed.id)) beds.add(bed.id);
  return [...beds].slice(0, MOST_COVERS).map((bedId) => ({
    act: "cover",
    bedId,
    evening: days[0]!,
    nights: days.length,
    cover,
    covered: isOn(bedId),
    bareOdds: odds,
    underOdds: odds,
  }));
}

/**
 * Against heat: heads and leaf first, water for the rest.
 *
 * @param spell - its days
 */
export function heatActs(outlook: GardenOutlook, touched: readonly Touched[], spell: readonly IsoDay[]): HazardAct[] {
  const pots = outlook.plantings.some((p) => p.bed.kind === "container");
  return [
    ...pickAct(touched),
    ...shieldActs(outlook, touched, "shade", spell, 1),
    { act: "water", against: "heat", pots },
    { act: "pick cool" },
  ];
}
