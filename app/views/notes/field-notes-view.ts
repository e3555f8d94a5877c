import {
  cautionOf,
  CROP_GROUPS,
  cropValues,
  HOUSEHOLD_STANDING,
  PRESERVING_CAUTIONS,
  type END_CAUSES,
  type Catalogue,
  type Crop,
  type CropData,
  type CropValue,
  type Variety,
} from "~/core/crops";
import type { UnitSystem } from "~/core/units";
import { between, inARow, everydaySize, householdNumber, inUnits, sayInUnits, sayRoughly } from "../words";

/**
 * Crops of the list that answer to what was typed, by kind.
 *
 * @param growing - ids of the crops that grow here now
 */
export function notesList(crops: Catalogue, growing: ReadonlySet<string>, typed: string) {
  const wanted = typed.trim().toLowerCase();
  const found = crops.filter((c) => !wanted || wordsOf(c).includes(wanted));
  const groups = CROP_GROUPS.map((group) => ({
    group,
    crops: found
      .filter((c) => c.group === group)
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((c) => ({ id: c.id, name: c.name, size: c.size.text, growing: growing.has(c.id), own: isOwnCrop(c.id) })),
  })).filter((g) => g.crops.length > 0);
  return { groups, count: found.length, anyGrowing: growing.size > 0 };
}

const isOwnCrop = (id: string) => id.startsWith("own_");

/** All that a search may hit: names, cues, how and where kept. */
function wordsOf(c: Crop): string {
  const parts = [
    c.name,
    c.family,
    c.group,
    ...c.alsoCalled,
    c.pick.how,
    c.after.text,
    c.after.store,
    cautionOf(c) ?? "",
  ];
  const cues = c.cues.flatMap((cue) => [cue.ask, ...cue.readings.map((r) => r.text)]);
  return [...parts, ...cues].join(" ").toLowerCase();
}

/** Plain names for the crop choice of a form: the handbook's, or those that this household knows. */
export function cropNames(crops: Catalogue, ownToo = false) {
  return crops
    .filter((c) => ownToo || !isOwnCrop(c.id))
    .map((c) => ({ id: c.id, name: c.name }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** What the household has said of a crop. */
export interface NotesRecord {
  /** Its patch over the handbook's crop; empty for none. */
  patch: CropData;
  varieties: readonly (Variety & { id: string })[];
  /** Its ways, where it has chosen one. */
  chosen: readonly { schoolId: string; optionId: string }[];
  /** Titles behind the source ids. */
  titles: Readonly<Record<string, string>>;
}

export type CropNotes = ReturnType<typeof cropNotes>;

/** One crop as the field notes show and print it. */
export function cropNotes(crop: Crop, { patch, varieties, chosen, titles }: NotesRecord, units: UnitSystem) {
  const own = isOwnCrop(crop.id);
  const notes = {
    id: crop.id,
    name: crop.name,
    own,
    family: crop.family,
    alsoCalled: crop.alsoCalled,
    sized: Boolean(crop.target),
    ripeColour: crop.ripeColour ?? null,
    inBrief: inBrief(crop, units),
    caution: cautionOf(crop),
    cues: cuesOf(crop.cues),
    liftedCues: cuesOf(crop.liftedCues),
    schools: crop.schools.map(({ id, question, why, standing, usual, options }) => ({
      id,
      question,
      why,
      standing: standing.line,
      usual,
      chosen: chosen.find((c) => c.schoolId === id)?.optionId ?? usual,
      options: options.map((o) => ({ id: o.id, label: o.label })),
    })),
    varieties,
    statements: Object.entries(crop.notes)
      .map(([about, lines]) => ({ about, lines: lines.map((l) => ({ text: l.text, standing: l.standing.line })) }))
      .filter((s) => s.lines.length > 0),
    // A crop of the household's own is its own in every value: none of them has a handbook to go back to.
    values: cropValues(crop).map((v) => ({ ...v, path: v.path.join("."), own: !own && isOwn(patch, v.path) })),
    sources: [...new Set(standingsIn(crop))].sort().map((id) => ({ id, title: titles[id] ?? id })),
  };
  return { ...inUnits(notes, units), values: notes.values.map((v) => valueIn(v, units)) };
}

/** A value as the household reads and writes it. */
function valueIn<V extends CropValue | Omit<CropValue, "path">>(v: V, units: UnitSystem): V {
  const label = sayInUnits(v.label, units);
  if (typeof v.value === "number") return { ...v, label, ...householdNumber(v.value, v.unit, units) };
  const { unit } = householdNumber(0, v.unit, units);
  return { ...v, label, unit, value: typeof v.value === "string" ? sayInUnits(v.value, units) : v.value };
}

type Brief = [what: string, words: string, standing: string];

/** The crop in a dozen lines. */
function inBrief(crop: Crop, units: UnitSystem): Brief[] {
  const {
    packet,
    windowDays,
    again,
    size,
    pick,
    waiting,
    heat,
    rainWait,
    indoors,
    after,
    seedSaving,
    perennial,
    life,
  } = crop;
  const lines: (Brief | false | undefined)[] = [
    ["First pick", `${packet.low}–${packet.high} days after it was ${EVENT[packet.from]}`, packet.standing.line],
    perennial && ["Stands for years", `${firstCropWords(perennial.firstCropYear)}; each year counts from its ${perennial.opens}`, perennial.standing.line], // prettier-ignore
    ["Stays good", days(windowDays.value), windowDays.standing.line],
    again && [
      "Picked again",
      again.high === 1 ? "every day" : `every ${span(again.low, again.high)} days`,
      again.standing.line,
    ],
    ["Size", size.text, size.standing.line],
    ["How", pick.how, pick.standing.line],
    pick.stays !== "" && ["Leave", pick.stays, pick.standing.line],
    pick.not !== "" && ["Do not", pick.not, pick.standing.line],
    ["Waiting", waiting.text, waiting.standing.line],
    life.bearing && ["Bears for", `${span(life.bearing.low, life.bearing.high)} days; ${ENDS[life.bearing.ends]}`, life.bearing.standing.line], // prettier-ignore
    life.taking.way !== "keeps giving" && ["Taken", life.taking.way, life.taking.standing.line],
    ["Gives", `${sayYield(life.yield, units)} a plant in a season`, life.yield.standing.line],
    ["Stands", `${inARow(life.spacing.plantsPerM, units)}, rows ${life.spacing.rowCm} cm apart`, life.spacing.standing.line], // prettier-ignore
    life.chill && ["Winter chill", `${life.chill.hours} hours between 0 and 7 °C, or it wakes late and thinly`, life.chill.standing.line], // prettier-ignore
    ["Cold", cold(crop), crop.cold.standing.line],
    ...coldByAge(crop),
    heat && ["Heat", `from ${heat.aboveC} °C it ${heat.effect}`, heat.standing.line],
    rainWait && ["Rain", `wait ${span(rainWait.low, rainWait.high)} days: ${rainWait.because}`, rainWait.standing.line],
    indoors && ["Indoors", `finishes in ${indoors.low}–${indoors.high} days at ${indoors.atLowC}–${indoors.atHighC} °C: ${indoors.text}`, indoors.standing.line], // prettier-ignore
    ["Afterwards", after.text, after.standing.line],
    ["Keeps", after.store, after.standing.line],
    ["Kept apart", ethylene(crop), life.storage.standing.line],
    ["Putting by", PRESERVING_CAUTIONS[life.preserving.value] ?? PUT_BY[life.preserving.value], life.preserving.standing.line], // prettier-ignore
    ...crop.nextCrops.map((n): Brief => ["After that", `${n.crop} in ${span(n.low, n.high)} days`, n.standing.line]),
    seedSaving && ["Seed", seedSaving.text, seedSaving.standing.line],
  ];
  return lines.filter((line): line is Brief => Boolean(line));
}

const days = (count: number) => (count === 1 ? "a day" : `${count} days`);
const firstCropWords = (year: number) => (year === 1 ? "crops from its first year" : `first crop in its year ${year}`);

function cuesOf(cues: Crop["cues"]) {
  return cues.map((cue) => ({
    id: cue.id,
    ask: cue.ask,
    how: cue.how ?? null,
    weight: cue.weight,
    auto: cue.auto ?? null,
    standing: cue.standing.line,
    readings: cue.readings.map((r, i) => ({
      text: r.text,
      everyday: r.everyday ?? (cue.across ? (everydaySize(r.fromMm, cue.readings[i + 1]?.fromMm, cue.across) ?? null) : null), // prettier-ignore
      means: r.means,
      advice: r.advice ?? null,
    })),
  }));
}

const ENDS: Record<(typeof END_CAUSES)[number], string> = {
  spent: "then it is spent",
  bolted: "then it runs to flower",
  cold: "until the cold takes it",
  dark: "until the days get short",
  "day length": "until the days turn",
  age: "then it is left to grow",
  dries: "then it dries",
};
const PUT_BY = {
  "high acid": "sour enough to be bottled, by a tested recipe",
  "low acid": "",
  dry: "",
  "fresh only": "eaten fresh, or frozen",
} as const;
const sayYield = ({ low, high }: { low: number; high: number }, units: UnitSystem) => between(sayRoughly(low * 1000, units), sayRoughly(high * 1000, units)); // prettier-ignore

/** What ripening gas asks for: what makes it and what feels it lie apart. */
function ethylene({ life: { storage } }: Crop): string {
  const made = { none: "gives off no ripening gas", little: "gives off a little ripening gas", much: "gives off much ripening gas" }[storage.ethyleneMade]; // prettier-ignore
  return `${made}; ${storage.ethyleneFelt ? "spoils beside ripe apples, melons, tomatoes" : "does not mind it"}`;
}

const ACTS = { cover: "cover it", "earth up": "earth it up", pick: "pick it", leave: "leave it, it grows on" } as const;
const AGES = { young: "Cold, young", flower: "Cold, in flower", plant: "Cold, the plant" } as const;

function coldByAge({ life }: Crop): Brief[] {
  return (["young", "flower", "plant"] as const).flatMap((age): Brief[] => {
    const limit = life.cold[age];
    return limit ? [[AGES[age], `harmed at ${limit.damageC} °C, killed at ${limit.killC} °C: ${ACTS[limit.act]}`.replaceAll("-", "−"), limit.standing.line]] : []; // prettier-ignore
  });
}

const EVENT = { sown: "sown", planted: "planted", blossom: "in blossom", growth: "growing" } as const;
const span = (low: number, high: number) => (low === high ? String(low) : `${low}–${high}`);

function cold(crop: Crop): string {
  const { chillC, damageC, killC } = crop.cold;
  const parts = [
    chillC === undefined ? "" : `chills below ${chillC} °C`,
    damageC === null ? "" : `harmed at ${damageC} °C`,
    killC === null ? "" : `killed at ${killC} °C`,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(", ").replaceAll("-", "−") : "no cold harms what is picked";
}

/** Whether the household has set this value (of a cue, anything in the cue). */
function isOwn(patch: CropData, path: string[]): boolean {
  if (path[0] === "cues") return ((patch.cues ?? []) as { id: string }[]).some((c) => c.id === path[1]);
  const there = patch[path[0]!];
  if (there === undefined) return false;
  return path.slice(1).reduce<unknown>((here, key) => (here as Record<string, unknown> | undefined)?.[key], there) !== undefined; // prettier-ignore
}

function standingsIn(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(standingsIn);
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    key === "standing" && (inner as { line?: string }).line !== HOUSEHOLD_STANDING
      ? [...String((inner as { line: string }).line).matchAll(/from memory of (\S+?)(?:;|$)|published: (\S+),/g)].map((m) => m[1] ?? m[2] ?? "") // prettier-ignore
      : standingsIn(inner),
  );
}
