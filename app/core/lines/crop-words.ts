import { distance } from "fastest-levenshtein";
import type { Catalogue, Crop } from "../crops";
import type { LineWords, VarietyName } from "./variety-name";

/** Lower case, accents and plural endings off, so that "Beetroots" finds beetroot. */
function stemWord(word: string): string {
  return word
    .toLowerCase()
    .normalize("NFD")
    .replace(/[\u0300-\u036f]|['’.]/g, "")
    .replace(/ies$/, "y")
    .replace(/(leaf|lea)ves$/, "leaf")
    .replace(/(ch|sh|o|x)es$/, "$1")
    .replace(/([^s])s$/, "$1");
}

/** What the words of a line name: one crop, several that it may be, one that is spelt nearly so, or none. */
export type CropWords =
  | { status: "one"; crop: Crop; variety: string; known: VarietyName | undefined }
  | { status: "several"; crops: Crop[]; variety: string }
  | { status: "nearly"; crops: Crop[]; word: string; variety: string }
  | { status: "another plant"; name: string }
  | { status: "none" };

/** Names of a kind that are said without the crop's noun: the word is the variety too. */
const KINDS_AS_NAMES = ["butternut", "savoy", "calabrese", "jalapeno", "charentai", "thai", "italian", "curly", "flat", "flatleaf", "asian", "dessert", "cooking", "crab", "damson", "gage", "greengage", "mirabelle", "rainbow", "romaine", "cos", "butterhead", "crisphead", "tayberry", "loganberry", "boysenberry", "radicchio", "frisee", "escarole", "witloof", "spearmint", "peppermint", "borlotti", "cannellini", "kidney", "pinto", "navy"]; // prettier-ignore
/** Said of a habit, inside a name: "autumn fruiting raspberries". */
const HABITS = ["fruiting", "bearing", "cropping"];

/** What a plant came as: said of the plant, not of its variety. */
const FORMS = ["slip", "set", "clove", "crown", "plant", "start", "plug", "tuber", "seedling", "seed", "bush", "cane", "head", "tree", "vine", "stool", "runner", "corm", "bulb", "transplant", "cutting"]; // prettier-ignore
const FILLERS = ["of", "the", "some", "my", "our", "a", "an", "row", "rows", "clump", "clumps", "and", "with", "on", "at", "by", "for", "from", "bed", "beds", "patch", "double", "single", "x", "-", "–", "—", "|"]; // prettier-ignore
/** Said of the plants where they are written small; part of a name else ("Old Homestead"). */
const SOFT = ["more", "nice", "few", "lovely", "big", "old", "young", "established", "mature", "in"];
/** Nouns that stand for crops that differ: which one is asked, unless certain words beside it, or any, say. */
const OPEN_NOUNS: readonly { noun: string; of: readonly string[]; unless?: readonly RegExp[] }[] = [
  { noun: "tomato", of: ["tomato_large", "tomato_cherry"] },
  { noun: "bean", of: ["bean_bush", "bean_pole"] },
  {
    noun: "squash",
    of: ["winter_squash", "courgette", "patty_pan"],
    unless: [/butternut|acorn|winter|hard|hubbard|kabocha|delicata|spaghetti|buttercup|turban|onion/],
  },
];

interface Span<T> {
  from: number;
  to: number;
  of: T[];
}

const plainWords = (text: string) => text.trim().split(/\s+/).filter(Boolean);
/** Names asked for before: a line asks for the same few thousand over and over. */
const plainNames = new Map<string, string>();
const MOST_KEPT = 20_000;

/** A name as names are compared: without case, accents, marks and plural endings. */
export function plainName(text: string): string {
  const kept = plainNames.get(text);
  if (kept !== undefined) return kept;
  const plain = plainWords(text.replace(/[,"“”()]/g, " ").replace(/[-–]/g, " ")).map(stemWord).join(" "); // prettier-ignore
  if (plainNames.size >= MOST_KEPT) plainNames.clear();
  plainNames.set(text, plain);
  return plain;
}

/**
 * Finds the crop in a row of words: of all the names that stand in it the one that ends last, and of those the
 * longest, for a noun stands last and what is before it tells its colour, season or habit. A variety that is known
 * says which of the crops of one noun it is, and stands for its crop where no noun is. The other words are the variety.
 *
 * @param text - "early purple garlic", "sweet potato slips", "Sungold"
 */
export function cropInWords(catalogue: Catalogue, text: string, lore: LineWords): CropWords {
  const words = plainWords(text.replace(/[()]/g, " ")).filter((w) => !HABITS.includes(w.toLowerCase()));
  const noun = lastNamed(catalogue, words);
  const known = longestVariety(lore.varieties, words, noun);
  const other = lore.otherPlants.find((p) => {
    const span = spanOf(words, plainName(p));
    // A crop that a household added under such a name is its crop.
    return span && (!noun || (covers(span, noun) && !covers(noun, span)));
  });
  if (other) return { status: "another plant", name: other };
  if (!noun || (known && known.to - known.from > noun.to - noun.from && covers(known, noun) && !fits(noun, known)))
    return known ? byVariety(catalogue, words, known, lore) : nearly(catalogue, words, lore);
  const span = words.slice(noun.from, noun.to);
  const kind = span.filter(
    (w) =>
      KINDS_AS_NAMES.includes(stemWord(w).replace("-", "")) &&
      !noun.of.some((c) => plainName(c.name).split(" ").includes(stemWord(w))),
  );
  const told = known && narrowed(catalogue, noun, words, known);
  const name = told ? words.slice(known.from, known.to) : [];
  const variety = varietyOf(words.slice(0, noun.from), [...kind, ...words.slice(noun.to)], name);
  if (told) return { status: "one", crop: told.crop, variety: keptName(variety, told.name, noun, known), known: told.name }; // prettier-ignore
  const before = lastNamed(catalogue, words.slice(0, noun.from));
  // "Strawberry spinach": two crops' nouns that make no name together are asked.
  if (before && !isForm(words.slice(before.from, before.to)) && !before.of.some((c) => noun.of.includes(c)))
    return { status: "several", crops: [...noun.of, ...before.of], variety: "" };
  const open = OPEN_NOUNS.find((o) => plainName(span.join(" ")) === o.noun);
  if (open && (open.unless ? !open.unless.some((r) => r.test(text.toLowerCase())) : variety === ""))
    return { status: "several", crops: open.of.flatMap((id) => catalogue.find((c) => c.id === id) ?? []), variety };
  if (noun.of.length > 1) return { status: "several", crops: noun.of, variety };
  return { status: "one", crop: noun.of[0]!, variety, known: undefined };
}

const covers = (a: { from: number; to: number }, b: { from: number; to: number }) => a.from <= b.from && a.to >= b.to;
/** A variety that holds its own crop's noun ("Lemon cucumber") is no reason to look away from it. */
const fits = (noun: Span<Crop>, known: Span<VarietyName>) => known.of.some((v) => noun.of.some((c) => c.id === v.cropId)); // prettier-ignore

/** The crop of a known variety, where it is one of those that the noun may stand for. */
function narrowed(catalogue: Catalogue, noun: Span<Crop>, words: readonly string[], known: Span<VarietyName>) {
  const said = plainName(words.slice(noun.from, noun.to).join(" ")).split(" ");
  const may = (crop: Crop) => noun.of.includes(crop) || [...namesOf(crop)].some((n) => said.every((w) => n.split(" ").includes(w))); // prettier-ignore
  const found = known.of.flatMap((name) => {
    const crop = catalogue.find((c) => c.id === name.cropId);
    return crop && may(crop) ? [{ crop, name }] : [];
  });
  const own = found.filter(({ crop }) => noun.of.length === 1 && noun.of[0] === crop);
  if (own.length === 1) return own[0];
  return found.length === 1 ? found[0] : undefined;
}

/** A variety's name in full where part of it was taken for the noun: "Black Cherry". */
const keptName = (
  variety: string,
  name: VarietyName,
  noun: { from: number; to: number },
  known: { from: number; to: number },
) => (known.from < noun.to && noun.from < known.to ? name.name : variety);

function byVariety(
  catalogue: Catalogue,
  words: readonly string[],
  known: Span<VarietyName>,
  lore: LineWords,
): CropWords {
  // prettier-ignore
  const others = words.filter((w, i) => (i < known.from || i >= known.to) && !FORMS.includes(stemWord(w)) && !FILLERS.includes(w.toLowerCase())); // prettier-ignore
  const sure = known.of.filter((v) => !v.needsCrop);
  const crops = (sure.length > 0 ? sure : known.of).flatMap((v) => catalogue.find((c) => c.id === v.cropId) ?? []);
  const variety = varietyOf(words, [], words.slice(known.from, known.to));
  if (others.length > 2 || (others.length > 0 && sure.length === 0)) return nearly(catalogue, words, lore);
  if (crops.length === 1 && sure.length === 1 && others.length === 0)
    return { status: "one", crop: crops[0]!, variety, known: sure[0] };
  return crops.length === 0 ? { status: "none" } : { status: "several", crops, variety };
}

/** A word one or two letters off a crop's or a variety's name: offered, never taken. */
function nearly(catalogue: Catalogue, words: readonly string[], lore: LineWords): CropWords {
  for (const size of [3, 2, 1])
    for (let from = words.length - size; from >= 0; from--) {
      const word = words.slice(from, from + size).join(" ");
      const stem = plainName(word);
      const most = stem.length < 4 ? 0 : stem.length < 7 ? 1 : 2;
      if (most === 0 || FORMS.includes(stem)) continue;
      const near = (names: Iterable<string>) => Math.min(...[...names].map((n) => (n.length < 4 ? 99 : distance(n, stem)))); // prettier-ignore
      const found = catalogue.map((crop) => ({ crop, off: near(namesOf(crop)) })).filter((c) => c.off <= most);
      const varieties = lore.varieties.filter((v) => !v.needsCrop && near([plainName(v.name)]) <= Math.min(most, 1));
      if (found.length === 0 && varieties.length === 0) continue;
      const best = Math.min(...found.map((c) => c.off));
      const crops = found.length > 0 ? found.filter((c) => c.off === best).map((c) => c.crop) : varieties.flatMap((v) => catalogue.find((c) => c.id === v.cropId) ?? []); // prettier-ignore
      const left = [...words.slice(0, from), ...words.slice(from + size)];
      return { status: "nearly", crops: [...new Set(crops)].slice(0, 4), word, variety: found.length > 0 ? varietyOf(left, []) : varietyOf(words, []) }; // prettier-ignore
    }
  return { status: "none" };
}

function lastNamed(catalogue: Catalogue, words: readonly string[]): Span<Crop> | undefined {
  for (let to = words.length; to > 0; to--)
    for (let from = 0; from < to; from++) {
      const span = words.slice(from, to);
      const crops = cropsByName(catalogue).get(plainName(span.join(" ")));
      if (!crops) continue;
      // A name that is also a form ("canes") gives way to a crop's noun before it.
      const earlier = isForm(span) ? lastNamed(catalogue, words.slice(0, from)) : undefined;
      return earlier ?? { from, to, of: crops };
    }
  return undefined;
}

const nameMaps = new WeakMap<Catalogue, Map<string, Crop[]>>();
function cropsByName(catalogue: Catalogue): Map<string, Crop[]> {
  const kept = nameMaps.get(catalogue);
  if (kept) return kept;
  const map = new Map<string, Crop[]>();
  for (const crop of catalogue) for (const name of namesOf(crop)) map.set(name, [...(map.get(name) ?? []), crop]);
  nameMaps.set(catalogue, map);
  return map;
}

const isForm = (words: readonly string[]) => words.length === 1 && FORMS.includes(stemWord(words[0]!));

/** The longest run of words that is a variety's name, of every crop that has one so called. */
function longestVariety(
  varieties: readonly VarietyName[],
  words: readonly string[],
  noun: Span<Crop> | undefined,
): Span<VarietyName> | undefined {
  // prettier-ignore
  const byStems = varietyStems(varieties);
  for (let size = words.length; size > 0; size--)
    for (let from = 0; from + size <= words.length; from++) {
      const of = byStems.get(plainName(words.slice(from, from + size).join(" ")));
      // The crop’s own noun may be some other variety’s name: "garlic", of chives.
      if (of && !(noun && covers(noun, { from, to: from + size }))) return { from, to: from + size, of };
    }
  return undefined;
}

const varietyMaps = new WeakMap<readonly VarietyName[], Map<string, VarietyName[]>>();
function varietyStems(varieties: readonly VarietyName[]) {
  const kept = varietyMaps.get(varieties);
  if (kept) return kept;
  const map = new Map<string, VarietyName[]>();
  for (const v of varieties) map.set(plainName(v.name), [...(map.get(plainName(v.name)) ?? []), v]);
  varietyMaps.set(varieties, map);
  return map;
}

/** Whether some variety goes by this name. */
export const isVarietyName = (varieties: readonly VarietyName[], text: string): boolean => varietyStems(varieties).has(plainName(text)); // prettier-ignore

/** The variety that goes by this name among a crop's, if it is known. */
export function knownVariety(varieties: readonly VarietyName[], cropId: string, name: string): VarietyName | undefined {
  return varietyStems(varieties)
    .get(plainName(name))
    ?.find((v) => v.cropId === cropId);
}

function spanOf(words: readonly string[], wanted: string): { from: number; to: number } | undefined {
  for (let from = 0; from < words.length; from++)
    for (let to = from + 1; to <= Math.min(words.length, from + 4); to++)
      if (plainName(words.slice(from, to).join(" ")) === wanted) return { from, to };
  return undefined;
}

const named = new WeakMap<Crop, Set<string>>();

function namesOf(crop: Crop): Set<string> {
  const names = named.get(crop) ?? new Set([crop.name, crop.id.replace(/_/g, " "), ...crop.alsoCalled].flatMap((n) => [plainName(n), turned(n)])); // prettier-ignore
  named.set(crop, names);
  return names;
}

/** "Bean, climbing" is also said "climbing bean". */
function turned(name: string): string {
  const [noun, ...rest] = name.split(",").map((part) => part.trim());
  return plainName([...rest, noun].join(" "));
}

/** The other words without the ones that tell what it came as; those of a known name stay. */
function varietyOf(before: readonly string[], after: readonly string[], name: readonly string[] = []): string {
  const kept = [...before, ...after].filter((w) => name.includes(w) || (!FILLERS.includes(w.toLowerCase()) && !SOFT.includes(w) && !FORMS.includes(stemWord(w)))); // prettier-ignore
  return kept.join(" ").replace(/["“”]|^['’‘]|['’](?=\s|$)/g, "").replace(/^[\s:–-]+|[\s:,.–-]+$/g, ""); // prettier-ignore
}
