/** A crop's data as written in a file, before it is checked. */
export type CropData = Record<string, unknown>;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * A crop like another, save for what is written: objects merge, lists are replaced, cues are replaced one
 * by one by their id and new ones are added. Variants of a crop, the household's own values and its own
 * crops all go this way.
 *
 * @param base - the whole crop
 * @param patch - what differs; `dropCues` names cues that do not apply, a null drops a field
 * @returns new data; neither argument is changed
 */
export function patchCrop(base: CropData, patch: CropData): CropData {
  const merged: CropData = Object.fromEntries(Object.entries(base).filter(([key]) => patch[key] !== null));
  for (const [key, value] of Object.entries(patch)) {
    if (key === "cues" || key === "dropCues" || key === "like" || key === "sameAs" || value === null) continue;
    const there = merged[key];
    merged[key] = isPlain(there) && isPlain(value) ? patchCrop(there, value) : value;
  }
  if (Array.isArray(base.cues)) {
    const drop = new Set((patch.dropCues as string[] | undefined) ?? []);
    const own = (patch.cues as { id: string }[] | undefined) ?? [];
    const kept = (base.cues as { id: string }[]).filter((c) => !drop.has(c.id));
    merged.cues = [
      ...kept.map((c) => own.find((o) => o.id === c.id) ?? c),
      ...own.filter((o) => !kept.some((c) => c.id === o.id)),
    ];
  } else if (patch.cues) merged.cues = patch.cues;
  return merged;
}

/** Numbers that a crop like another writes itself, or names under `sameAs` when they are meant to be the same. */
const OWN_NUMBERS = ["packet", "windowDays", "pieceGrams", "piecesPerPlant", "piecesPerMinute", "worthPerKg"] as const;

/**
 * What a crop like another leaves unsaid: numbers that it would take over by being silent.
 *
 * @returns the fields, none for a crop that stands by itself
 */
export function unsaidOf(file: CropData): string[] {
  if (typeof file.like !== "string") return [];
  const meant = (file.sameAs as string[] | undefined) ?? [];
  const unsaid = OWN_NUMBERS.filter((key) => !(key in file) && !meant.includes(key));
  return "life" in file ? unsaid : [...unsaid, "life"];
}

/**
 * Lays each crop over the one it is like.
 *
 * @param files - crop data by id
 * @returns whole crops, in the order of the files
 * @throws {Error} when a crop is like an unknown one, or like itself in a ring
 */
export function resolveLikes(files: readonly CropData[]): CropData[] {
  const byId = new Map(files.map((f) => [f.id as string, f]));
  const whole = (file: CropData, under: string[]): CropData => {
    const id = file.id as string;
    if (under.includes(id)) throw new Error(`${[...under, id].join(" → ")}: a crop cannot be like itself`);
    if (typeof file.like !== "string") return file;
    const base = byId.get(file.like);
    if (!base) throw new Error(`${id}: is like “${file.like}”, which is no crop`);
    // A life is its own: what another crop lives through is not inherited by not being written.
    const { life: _, ...likeness } = whole(base, [...under, id]);
    return patchCrop(likeness, file);
  };
  return files.map((file) => whole(file, []));
}
