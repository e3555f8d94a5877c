import type { Crop } from "./crop";

export type Catalogue = readonly Crop[];

/** Lower case, accents and plural endings off, so that "Beetroots" finds beetroot. */
function stemWord(word: string): string {
  return word
    .toLowerCase()
    .normalize("NFD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/ies$/, "y")
    .replace(/(ch|sh|o|x)es$/, "$1")
    .replace(/([^s])s$/, "$1");
}

/** What the words of a line name: one crop, several that it may be, or none. */
export type CropWords =
  { status: "one"; crop: Crop; variety: string } | { status: "several"; crops: Crop[] } | { status: "none" };

/** Names of a kind that are said without the crop's noun: the word is the variety too. */
const KINDS_AS_NAMES = ["butternut"];
/** Said of a habit, inside a name: "autumn fruiting raspberries". */
const HABITS = ["fruiting", "bearing", "cropping"];

/** What a plant came as: said of the plant, not of its variety. */
const FORMS = ["slip", "set", "clove", "crown", "plant", "start", "plug", "tuber", "seedling", "seed", "bush", "cane", "head", "tree", "vine", "stool", "runner"]; // prettier-ignore
const FILLERS = ["of", "the", "some", "my", "our", "a", "an", "row", "rows", "clump", "clumps"];
/** Nouns that stand for crops that differ: which one is asked, unless the words before it say. */
const OPEN_NOUNS: readonly { noun: string; of: readonly string[]; unless: readonly RegExp[] }[] = [
  {
    noun: "squash",
    of: ["winter_squash", "courgette", "patty_pan"],
    unless: [/butternut|acorn|winter|hard|hubbard|kabocha|delicata|spaghetti|buttercup/],
  },
];

interface Span {
  from: number;
  to: number;
  crops: Crop[];
}

const plainWords = (text: string) => text.trim().split(/\s+/).filter(Boolean);
const stems = (text: string) => plainWords(text.replace(/,/g, " ").replace(/-/g, " ")).map(stemWord).join(" ");

/**
 * Finds the crop in a row of words: of all the names that stand in it the one that ends last, and of those the
 * longest, for a noun stands last and what is before it tells its colour, season or habit. The other words are its
 * variety.
 *
 * @param text - "early purple garlic", "sweet potato slips", "French bean climbing"
 */
export function cropInWords(catalogue: Catalogue, text: string): CropWords {
  const words = plainWords(text).filter((w) => !HABITS.includes(w.toLowerCase()));
  const span = lastNamed(catalogue, words);
  if (!span) return { status: "none" };
  const before = words.slice(0, span.from);
  const after = words.slice(span.to);
  const open = OPEN_NOUNS.find((o) => stems(words.slice(span.from, span.to).join(" ")) === o.noun);
  if (open && !open.unless.some((r) => r.test(text.toLowerCase())))
    return { status: "several", crops: open.of.flatMap((id) => catalogue.find((c) => c.id === id) ?? []) };
  if (span.crops.length > 1) return { status: "several", crops: span.crops };
  const kind = words.slice(span.from, span.to).filter((w) => KINDS_AS_NAMES.includes(stemWord(w)));
  return { status: "one", crop: span.crops[0]!, variety: varietyOf(before, [...kind, ...after]) };
}

function lastNamed(catalogue: Catalogue, words: readonly string[]): Span | undefined {
  for (let to = words.length; to > 0; to--)
    for (let from = 0; from < to; from++) {
      const span = words.slice(from, to);
      const crops = catalogue.filter((c) => namesOf(c).has(stems(span.join(" "))));
      if (crops.length === 0) continue;
      // A name that is also a form ("canes") gives way to a crop's noun before it.
      const earlier = isForm(span) ? lastNamed(catalogue, words.slice(0, from)) : undefined;
      return earlier ?? { from, to, crops };
    }
  return undefined;
}

const isForm = (words: readonly string[]) => words.length === 1 && FORMS.includes(stemWord(words[0]!));

const known = new WeakMap<Crop, Set<string>>();

function namesOf(crop: Crop): Set<string> {
  const names = known.get(crop) ?? new Set([crop.name, crop.id.replace(/_/g, " "), ...crop.alsoCalled].flatMap((n) => [stems(n), turned(n)])); // prettier-ignore
  known.set(crop, names);
  return names;
}

/** "Bean, climbing" is also said "climbing bean". */
function turned(name: string): string {
  const [noun, ...rest] = name.split(",").map((part) => part.trim());
  return stems([...rest, noun].join(" "));
}

/** The other words without the ones that tell what it came as. */
function varietyOf(before: readonly string[], after: readonly string[]): string {
  const kept = [...before, ...after].filter((w) => !FILLERS.includes(w.toLowerCase()) && !FORMS.includes(stemWord(w)));
  return kept.join(" ").replace(/^["“']|["”']$/g, "");
}
