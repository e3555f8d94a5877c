import { lineWords } from "~/catalogue/catalogue.server";
import { knownVariety, readLines, type ReadLine, type TypedLine } from "~/core/lines";
import type { BedKind } from "~/core/hazards";
import { plantsInRow } from "~/core/life";
import { yearTurnOn } from "~/core/seasons";
import type { Crop } from "~/core/crops";
import type { Db } from "~/db/client.server";
import { allBeds, appendBed, bedHasPlantings, bedById, deleteBed, type BedRow } from "~/db/beds/beds.server";
import { insertPlanting, plantingById } from "~/db/beds/plantings.server";
import { insertSeason } from "~/db/beds/seasons.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { saveVariety, varietiesOf } from "~/db/notes/household.server";
import type { AddedTogether } from "~/views/beds/beds-answer";
import { linesView, type LinesView } from "~/views/beds/lines-view";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";
import { settlePlanting } from "../garden/settle-seasons.server";
import { removePlanting } from "./edit-planting.server";

interface PlacedLine {
  read: ReadLine;
  /** A bed of the footpath, or one that is made with the line. */
  bed: { name: string; isNew: boolean } | undefined;
}

/**
 * Understands typed lines of this garden.
 *
 * @param atBed - the bed they were typed at, if at one
 */
export function readTypedLines(db: Db, row: GardenRow, typed: readonly TypedLine[], atBed?: string): LinesView {
  const placed = placedLines(db, row, typed, atBed);
  return linesView(typed, placed.map((p) => p.read), placed.map((p) => p.bed), cropsOf(db)); // prettier-ignore
}

function placedLines(db: Db, row: GardenRow, typed: readonly TypedLine[], atBed?: string): PlacedLine[] {
  const beds = allBeds(db);
  const reads = readLines(cropsOf(db), typed, lineSetting(row, beds), lineWords());
  const usual = beds.find((b) => b.id === atBed)?.name;
  return reads.map((read, i) => {
    const name = typed[i]?.bed?.trim() || read.bed || usual;
    return { read, bed: name ? bedNamed(beds, name) : undefined };
  });
}

function lineSetting(row: GardenRow, beds: readonly BedRow[]) {
  const us = row.unitSystem === "us";
  return {
    today: todayOf(row),
    units: row.unitSystem,
    order: us ? ("month first" as const) : ("day first" as const),
    south: row.latitude < 0,
    beds: beds.map((b) => b.name),
  };
}

/** A bed by its name, or by its number along the footpath; else a new one. */
function bedNamed(beds: readonly BedRow[], name: string): { name: string; isNew: boolean } {
  const wanted = name.toLowerCase();
  const numbered = /^bed\s*(\d+)$/.exec(wanted);
  const named = beds.some((b) => /^bed\s*\d+$/i.test(b.name));
  const found = beds.find((b) => b.name.toLowerCase() === wanted) ?? (numbered && !named ? beds[Number(numbered[1]) - 1] : undefined); // prettier-ignore
  return found
    ? { name: found.name, isNew: false }
    : { name: name.charAt(0).toUpperCase() + name.slice(1), isNew: true };
}

/**
 * Adds the lines that are understood, with the beds that they name, all or nothing; the others are given back.
 *
 * @returns what was added, to take it back as one, and the lines that are left
 */
export function addTypedLines(
  db: Db,
  row: GardenRow,
  typed: readonly TypedLine[],
  atBed?: string,
): { added: AddedTogether; left: TypedLine[] } {
  // prettier-ignore
  const crops = cropsOf(db);
  const added: AddedTogether = { plantings: [], beds: [] };
  const left: TypedLine[] = [];
  db.transaction(() => {
    const placed = placedLines(db, row, typed, atBed);
    placed.forEach(({ read, bed }, i) => {
      const crop = crops.find((c) => c.id === read.cropId);
      if (read.heading) return;
      if (read.status !== "understood" || !crop || !bed) {
        // Its bed stood in a heading that goes now.
        left.push({ ...typed[i]!, ...(bed ? { bed: bed.name } : {}) });
        return;
      }
      added.plantings.push(addPlanting(db, row, read, crop, bedFor(db, bed.name, crop, added)));
    });
  });
  return { added, left };
}

function bedFor(db: Db, name: string, crop: Crop, added: AddedTogether): string {
  const there = allBeds(db).find((b) => b.name.toLowerCase() === name.toLowerCase());
  if (there) return there.id;
  const id = crypto.randomUUID();
  appendBed(db, { id, name, kind: likelyKind(name, crop) });
  added.beds.push(id);
  return id;
}

const KINDS: readonly [RegExp, BedKind][] = [
  [/green ?house|glass ?house|tunnel|hoop|conservatory/i, "tunnel"],
  [/frame/i, "frame"],
  [/\b(?:pots?|tubs?|containers?|bags?|grow ?bags?|basket|trough|barrel|planters?|balcony|windowsill)\b/i, "container"],
  [/raised|\bbox\b/i, "raised"],
  [/wall|fence/i, "wall"],
  [/orchard|tree/i, "tree"],
];

/** What kind of bed a name speaks of: a guess that the household corrects. */
function likelyKind(name: string, crop: Crop): BedKind {
  return KINDS.find(([words]) => words.test(name))?.[1] ?? (crop.group === "tree fruit" ? "tree" : "open");
}

/** Adds a planting that was understood, and opens its season. */
function addPlanting(db: Db, row: GardenRow, read: ReadLine, crop: Crop, bedId: string): string {
  const id = crypto.randomUUID();
  const { startEvent, from, to } = read;
  const packet = read.packet ?? read.varietyPacket;
  const came = read.came
    ? { cameBy: "planted" as const, cameOn: read.came.from }
    : { cameBy: startEvent!, cameOn: from! };
  insertPlanting(db, { id, bedId, cropId: crop.id, variety: read.variety.slice(0, 60), ...standOf(read, crop), ...came, packetLow: packet?.low ?? null, packetHigh: packet?.high ?? null }); // prettier-ignore
  keepColour(db, crop, read.variety);
  // What is seen of a perennial before it flowers belongs to the same year.
  const opensOn = crop.perennial ? yearTurnOn(from!, row.latitude) : from!;
  insertSeason(db, { id: `${id}/1`, plantingId: id, opensOn, startEvent: startEvent!, startedOn: from!, startedTo: to === from ? null : to }); // prettier-ignore
  settlePlanting(db, row, plantingById(db, id)!);
  return id;
}

/** Ground counts as the rows that fill it. */
function standOf({ plants, lengthM, areaM2 }: ReadLine, crop: Crop): { plants: number; lengthM: number | null } {
  const metres = lengthM ?? (areaM2 === null ? null : Math.max(0.1, areaM2 / (crop.life.spacing.rowCm / 100)));
  return metres === null ? { plants: plants!, lengthM: null } : { plants: plantsInRow(crop, metres), lengthM: Math.round(metres * 100) / 100 }; // prettier-ignore
}

/** A variety of another colour than usual is written down with it, where the household has not done so. */
function keepColour(db: Db, crop: Crop, name: string): void {
  const known = knownVariety(lineWords().varieties, crop.id, name);
  if (!known?.colour && !known?.sizeMm) return;
  if (varietiesOf(db, crop.id).some((v) => v.name.toLowerCase() === name.toLowerCase())) return;
  const size = crop.target ? known.sizeMm : undefined;
  saveVariety(db, { cropId: crop.id, name, ripeColour: known.colour ?? null, sizeLowMm: size?.low ?? null, sizeHighMm: size?.high ?? null, packetLow: null, packetHigh: null }); // prettier-ignore
}

/** Takes back what was added together: plantings with picks stay, and beds in which something stands. */
export function takeBackLines(db: Db, { plantings, beds }: AddedTogether): string {
  let kept = 0;
  db.transaction(() => {
    for (const id of plantings) if (plantingById(db, id) && removePlanting(db, id).status === "refused") kept++;
    for (const id of beds) if (bedById(db, id) && !bedHasPlantings(db, id)) deleteBed(db, id);
  });
  return kept === 0 ? "Taken back." : `Taken back, but for ${kept} with picks in the ledger.`;
}
