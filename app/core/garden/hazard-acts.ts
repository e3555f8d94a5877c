import { sayDay, type IsoDay } from "../calendar";
import {
  BED_CLIMATES,
  COVERS,
  FREEZE_CLASSES,
  inTenths,
  nightOddsBelow,
  type BedKind,
  type StormDay,
} from "../hazards";
import { sayDegrees, type UnitSystem } from "../units";
import { capital, cropNames, listOf } from "./in-sentences";
import type { GardenOutlook, PlantingOutlook } from "./look-ahead";
import type { HazardCard, Touched } from "./hazard-card";
import { inBed } from "./say-beds";

/** Something that helps. What each does is common practice, its figures as their own tables say. */
export interface HazardAct {
  act:
    | "pick"
    | "pick green"
    | "cover"
    | "bring in"
    | "net"
    | "tie in"
    | "cut vines"
    | "water"
    | "shade"
    | "lift"
    | "stop"
    | "wait";
  words: string;
  /** Set where the app can note it and reckon with it: cover this bed for this night. */
  cover?: { bedId: string; evening: IsoDay; covered: boolean };
}

/** Beds that a cover laid for the night can be put on. */
const COVERABLE: readonly BedKind[] = ["open", "raised", "low", "wall", "container"];
const MOST_COVERS = 2;
/** Covering is worth naming when it takes this much off the odds: our judgement. */
const HELPS = 0.08;

const plantingsOf = (outlook: GardenOutlook, touched: readonly Touched[]): PlantingOutlook[] =>
  outlook.plantings.filter((p) => touched.some((t) => t.plantingId === p.planting.id));

/** Picks that the plan has not made, said by crop. */
function pickAct(outlook: GardenOutlook, touched: readonly Touched[]): HazardAct[] {
  const come = touched.filter((t) => t.comesIn !== null);
  const missed = plantingsOf(
    outlook,
    touched.filter((t) => t.comesIn === null && t.grams >= 50),
  );
  const last = Math.max(...come.map((t) => t.comesIn!));
  const spare = missed.length > 0 ? `Time to spare? Take ${listOf(cropNames(missed))} too.` : "";
  const round = come.length > 0 ? `The last round before it is ${sayDay(outlook.days[last]!, outlook.today)}.` : "";
  const words = [round, spare].filter(Boolean).join(" ");
  return words ? [{ act: "pick", words }] : [];
}

/** Against a cold night or lasting chill. */
export function frostActs(outlook: GardenOutlook, touched: readonly Touched[]): HazardAct[] {
  const hit = plantingsOf(outlook, touched);
  const acts = pickAct(outlook, touched);
  const green = hit.filter((p) => p.crop.indoors?.fromGreenDays !== undefined);
  if (green.length > 0)
    acts.push({ act: "pick green", words: `${capital(listOf(cropNames(green)))}: full-grown green ones ripen indoors; leave only the smallest.` }); // prettier-ignore
  if (hit.some((p) => p.bed.kind === "container")) acts.push({ act: "bring in", words: "Bring the pots in for the night." }); // prettier-ignore
  const vines = hit.filter((p) => p.crop.id.startsWith("sweet_potato"));
  if (vines.length > 0)
    acts.push({ act: "cut vines", words: "Blackened sweet potato vines: cut them at once, lift within a week." });
  return acts;
}

/** Covers that help, the most endangered bed first, with what each does to the odds. */
export function coverActs(
  outlook: GardenOutlook,
  beds: HazardCard["beds"],
  touched: readonly Touched[],
  evening: IsoDay,
  units: UnitSystem,
): HazardAct[] {
  const n = outlook.days.indexOf(evening);
  const covers = beds
    .filter((b) => COVERABLE.includes(b.kind) && touched.some((t) => t.bed === b.name))
    .map((b) => {
      const odds = (gainC: number) =>
        nightOddsBelow(outlook.track, b.kind, FREEZE_CLASSES.light, n + 1, () => gainC)[n]!.odds;
      const covered = outlook.coverGainC(b.bedId)(evening) > 0;
      return { b, covered, bare: odds(0), under: odds(COVERS.fleece.gainC) };
    })
    .filter((c) => c.covered || c.bare - c.under >= HELPS)
    .sort((a, b) => b.bare - a.bare)
    .slice(0, MOST_COVERS)
    .map(({ b, covered, bare, under }): HazardAct => ({
      act: "cover",
      words: covered
        ? `Covered that night ${inBed(b)}: ${inTenths(bare)} becomes ${inTenths(b.odds)}.`
        : `Fleece ${inBed(b)} (about ${sayDegrees(COVERS.fleece.gainC, units)}): ${inTenths(bare)} becomes ${inTenths(under)}.`,
      cover: { bedId: b.bedId, evening, covered },
    }));
  if (covers.length > 0)
    covers.push({ act: "water", words: "Water dry soil in the afternoon: damp ground gives warmth back. Covers off by mid-morning." }); // prettier-ignore
  return covers;
}

/** Against gusts, soakings and hail. */
export function stormActs(outlook: GardenOutlook, storm: StormDay, touched: readonly Touched[]): HazardAct[] {
  const hit = plantingsOf(outlook, touched);
  const acts = pickAct(outlook, touched);
  const open = outlook.plantings.filter((p) => BED_CLIMATES[p.bed.kind].dayC < 3);
  if (storm.gustOdds >= 0.3) {
    const tall = open.filter((p) => ["ear", "tree fruit"].includes(p.crop.group) || /tomato|bean_(pole|runner)/.test(p.crop.id)); // prettier-ignore
    if (tall.length > 0) acts.push({ act: "tie in", words: `Tie in and stake ${listOf(cropNames(tall))}; lay loose fleece and netting down.` }); // prettier-ignore
  }
  if (storm.hailOdds >= 0.15 && hit.length > 0)
    acts.push({ act: "net", words: "Fine net or fleece over leaf and soft fruit breaks the hail." });
  if (storm.soakOdds >= 0.3) {
    const curing = open.filter((p) => p.crop.dryDays && p.judgement.odds.prime >= 0.3);
    if (curing.length > 0)
      acts.push({
        act: "lift",
        words: `${capital(listOf(cropNames(curing)))} that are due: lift them while it is dry.`,
      });
    const watery = open.filter((p) => p.crop.rainWait);
    if (watery.length > 0)
      acts.push({
        act: "wait",
        words: `${capital(listOf(cropNames(watery)))} will be watery: take ripe ones before, or wait ${Math.max(...watery.map((p) => p.crop.rainWait!.high))} dry days after.`,
      });
  }
  return acts;
}

/** Against heat: heads and leaf first, water for the rest. */
export function heatActs(outlook: GardenOutlook, touched: readonly Touched[]): HazardAct[] {
  const hit = plantingsOf(outlook, touched);
  const acts = pickAct(outlook, touched);
  if (hit.length > 0)
    acts.push({
      act: "shade",
      words: `Shade cloth over ${listOf(cropNames(hit))} gains a day or two (our judgement).`,
    });
  const pots = outlook.plantings.some((p) => p.bed.kind === "container");
  acts.push({ act: "water", words: `Water the evening before${pots ? "; pots up to three times a day" : ""}.` });
  acts.push({
    act: "pick",
    words: "Pick leaf and heads first, in the cool of the morning, and get them into the shade.",
  });
  return acts;
}
