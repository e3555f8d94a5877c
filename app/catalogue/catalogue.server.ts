import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { Crop, type Catalogue } from "~/core/crops";

const DATA = path.resolve(process.env.AKMEDON_DATA ?? "data");

let loaded: Catalogue | undefined;

/**
 * The crops of `data/crops`, one a file, checked against the schema once per process.
 *
 * @throws {Error} naming the file and the field when one does not fit
 */
export function catalogue(): Catalogue {
  loaded ??= readdirSync(path.join(DATA, "crops"))
    .filter((file) => file.endsWith(".json"))
    .sort()
    .map((file) => {
      const parsed = Crop.safeParse(JSON.parse(readFileSync(path.join(DATA, "crops", file), "utf8")));
      if (!parsed.success) throw new Error(`${file}: ${z.prettifyError(parsed.error)}`);
      return parsed.data;
    });
  return loaded;
}

/** The titles behind the source ids. */
export function sources(): Record<string, string> {
  return z.record(z.string(), z.string()).parse(JSON.parse(readFileSync(path.join(DATA, "sources.json"), "utf8")));
}
