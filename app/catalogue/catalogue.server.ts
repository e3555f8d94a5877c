import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { asWritten, withFiguresIn, type SayFigure } from "~/core/units";
import { ClimateFile, type ClimatePlace } from "~/core/weather";
import { VarietyName, type LineWords } from "~/core/lines";
import {
  ActRule,
  Crop,
  resolveLikes,
  School,
  SharedCue,
  Standing,
  unsaidOf,
  type Catalogue,
  type CropData,
} from "~/core/crops";

const DATA = path.resolve(process.env.AKMEDON_DATA ?? "data");
const read = (file: string): unknown => JSON.parse(readFileSync(path.join(DATA, file), "utf8"));

let data: CropData[] | undefined;
let known: z.input<typeof School>[] | undefined;
let shared: z.input<typeof SharedCue>[] | undefined;
let actRules: z.input<typeof ActRule>[] | undefined;
let loaded: Catalogue | undefined;

/** The crops of `data/crops` as data, each laid over the one it is like, with its schools; not yet checked. */
export function catalogueData(): CropData[] {
  data ??= resolveLikes(
    readdirSync(path.join(DATA, "crops"))
      .filter((file) => file.endsWith(".json"))
      .sort()
      .map((file) => saidOf(read(path.join("crops", file)) as CropData)),
  )
    .map(withSchools)
    .map(withSharedCues)
    .map(withActs);
  return data;
}

/** A crop's file, once it says or names all that it must not take over by being silent. */
function saidOf(file: CropData): CropData {
  const unsaid = unsaidOf(file);
  if (unsaid.length > 0) throw new Error(`${String(file.id)}: is like ${String(file.like)}; write ${unsaid.join(", ")} or name them under “sameAs”`); // prettier-ignore
  return file;
}

/** A crop's data with the schools that name it. */
function withSchools(crop: CropData): CropData {
  return { ...crop, schools: schoolData().filter((s) => s.crops.includes(crop.id as string)) };
}

/** A crop's data with the cues that it shares with others: they come after its own. */
function withSharedCues(crop: CropData): CropData {
  const of = sharedCues().filter((s) => s.crops.includes(crop.id as string));
  const own = (crop.cues ?? []) as { id: string }[];
  const twice = of.find((s) => own.some((c) => c.id === s.cue.id));
  if (twice) throw new Error(`shared-cues.json: ${String(crop.id)} has a cue “${twice.cue.id}” of its own`);
  const cues = (which: SharedCue["of"]) => of.filter((s) => (s.of ?? "standing") === which).map((s) => s.cue);
  return { ...crop, cues: [...own, ...cues("standing")], liftedCues: cues("lifted") };
}

/** A crop's data with what is done to it beside picking. */
function withActs(crop: CropData): CropData {
  return { ...crop, acts: actData().filter((a) => a.crops.includes(crop.id as string)) };
}

function actData(): z.input<typeof ActRule>[] {
  if (!actRules) {
    const raw = read("acts.json");
    const parsed = z.array(ActRule).safeParse(raw);
    if (!parsed.success) throw new Error(`acts.json: ${z.prettifyError(parsed.error)}`);
    actRules = raw as z.input<typeof ActRule>[];
  }
  return actRules;
}

function sharedCues(): z.input<typeof SharedCue>[] {
  if (!shared) {
    const raw = read("shared-cues.json");
    const parsed = z.array(SharedCue).safeParse(raw);
    if (!parsed.success) throw new Error(`shared-cues.json: ${z.prettifyError(parsed.error)}`);
    shared = raw as z.input<typeof SharedCue>[];
  }
  return shared;
}

function schoolData(): z.input<typeof School>[] {
  if (!known) {
    const raw = read("schools.json");
    const parsed = z.array(School).safeParse(raw);
    if (!parsed.success) throw new Error(`schools.json: ${z.prettifyError(parsed.error)}`);
    known = raw as z.input<typeof School>[];
  }
  return known;
}

/**
 * Checks a crop's data; the measures in its texts are said as the household says them.
 *
 * @throws {Error} naming the crop and the field when it does not fit
 */
export function checkedCrop(crop: CropData, say: SayFigure = asWritten): Crop {
  const parsed = Crop.safeParse(withFiguresIn(crop, say));
  if (!parsed.success) throw new Error(`${String(crop.id)}: ${z.prettifyError(parsed.error)}`);
  return parsed.data;
}

/** The crops as the app ships them, measures as they are written there; checked once per process. */
export function catalogue(): Catalogue {
  loaded ??= catalogueData().map((crop) => checkedCrop(crop));
  return loaded;
}

/** The titles behind the source ids. */
export function sources(): Record<string, string> {
  return z.record(z.string(), z.string()).parse(read("sources.json"));
}

let words: LineWords | undefined;

const VarietyFile = z.object({
  standing: Standing,
  crops: z.record(z.string(), z.array(z.union([z.string(), VarietyName.omit({ cropId: true, standing: true })]))),
});
const OtherPlants = z.object({ standing: Standing, names: z.array(z.string().min(3)) });

/**
 * What lines are read with: the varieties that gardeners name, and plants that are no crop of the catalogue.
 *
 * @throws {Error} when a variety is of no crop, or the files do not fit
 */
export function lineWords(): LineWords {
  if (!words) {
    const { standing, crops } = VarietyFile.parse(read("varieties.json"));
    const unknown = Object.keys(crops).find((id) => !catalogue().some((c) => c.id === id));
    if (unknown) throw new Error(`varieties.json: ${unknown} is no crop`);
    const varieties = Object.entries(crops).flatMap(([cropId, names]) =>
      names.map((v) => ({ ...(typeof v === "string" ? { name: v } : v), cropId, standing })),
    );
    words = { varieties, otherPlants: OtherPlants.parse(read("other-plants.json")).names };
  }
  return words;
}

let climates: ClimatePlace[] | undefined;

/** Places whose usual months are known. */
export function climatePlaces(): readonly ClimatePlace[] {
  climates ??= ClimateFile.parse(read("climates.json")).places;
  return climates;
}
