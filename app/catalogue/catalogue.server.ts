import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { Crop, resolveLikes, School, unsaidOf, type Catalogue, type CropData } from "~/core/crops";

const DATA = path.resolve(process.env.AKMEDON_DATA ?? "data");
const read = (file: string): unknown => JSON.parse(readFileSync(path.join(DATA, file), "utf8"));

let data: CropData[] | undefined;
let known: z.input<typeof School>[] | undefined;
let loaded: Catalogue | undefined;

/** The crops of `data/crops` as data, each laid over the one it is like, with its schools; not yet checked. */
export function catalogueData(): CropData[] {
  data ??= resolveLikes(
    readdirSync(path.join(DATA, "crops"))
      .filter((file) => file.endsWith(".json"))
      .sort()
      .map((file) => saidOf(read(path.join("crops", file)) as CropData)),
  ).map(withSchools);
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
 * Checks a crop's data.
 *
 * @throws {Error} naming the crop and the field when it does not fit
 */
export function checkedCrop(crop: CropData): Crop {
  const parsed = Crop.safeParse(crop);
  if (!parsed.success) throw new Error(`${String(crop.id)}: ${z.prettifyError(parsed.error)}`);
  return parsed.data;
}

/** The crops as the app ships them, checked once per process. */
export function catalogue(): Catalogue {
  loaded ??= catalogueData().map(checkedCrop);
  return loaded;
}

/** The titles behind the source ids. */
export function sources(): Record<string, string> {
  return z.record(z.string(), z.string()).parse(read("sources.json"));
}
