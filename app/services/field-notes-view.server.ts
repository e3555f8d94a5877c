import { eq, isNull } from "drizzle-orm";
import { sources } from "~/catalogue/catalogue.server";
import { CROP_GROUPS, cropValues, HOUSEHOLD_STANDING, type Crop, type CropData } from "~/core/crops";
import { everydaySize, sayReadingText, type UnitSystem } from "~/core/units";
import type { Db } from "~/db/client.server";
import { householdCrop, planting, schoolChoice, variety } from "~/db/schema.server";
import { cropsOf, varietyOf } from "./household-crops.server";

/** Crops of the list that answer to what was typed, by kind; those growing here first said. */
export function notesList(db: Db, typed: string) {
  const growing = new Set(db.select().from(planting).where(isNull(planting.finishedOn)).all().map((p) => p.cropId)); // prettier-ignore
  const wanted = typed.trim().toLowerCase();
  const found = cropsOf(db).filter((c) => !wanted || wordsOf(c).includes(wanted));
  const groups = CROP_GROUPS.map((group) => ({
    group,
    crops: found
      .filter((c) => c.group === group)
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((c) => ({ id: c.id, name: c.name, size: c.size.text, growing: growing.has(c.id), own: c.id.startsWith("own_") })), // prettier-ignore
  })).filter((g) => g.crops.length > 0);
  return { groups, count: found.length, anyGrowing: growing.size > 0 };
}

/** All that a search may hit: names, cues, how and where kept. */
function wordsOf(c: Crop): string {
  const parts = [c.name, c.family, c.group, ...c.alsoCalled, c.pick.how, c.after.text, c.after.store, c.caution ?? ""];
  const cues = c.cues.flatMap((cue) => [cue.ask, ...cue.readings.map((r) => r.text)]);
  return [...parts, ...cues].join(" ").toLowerCase();
}

/** Plain names for the crop choice of a form. */
export function cropNames(db: Db) {
  return cropsOf(db)
    .filter((c) => !c.id.startsWith("own_"))
    .map((c) => ({ id: c.id, name: c.name }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

export type CropNotes = NonNullable<ReturnType<typeof cropNotes>>;

/** One crop as the field notes show and print it; undefined when there is none such. */
export function cropNotes(db: Db, cropId: string, units: UnitSystem) {
  const crop = cropsOf(db).find((c) => c.id === cropId);
  if (!crop) return undefined;
  const say = (text: string) => sayReadingText(text, units);
  const chosen = new Map(db.select().from(schoolChoice).where(eq(schoolChoice.cropId, cropId)).all().map((s) => [s.schoolId, s.optionId])); // prettier-ignore
  const titles = sources();
  const row = db.select().from(householdCrop).where(eq(householdCrop.cropId, cropId)).get();
  // A crop of the household's own is its own in every value: none of them has a handbook to go back to.
  const patch = row && !cropId.startsWith("own_") ? (JSON.parse(row.patch) as CropData) : {};
  const values = cropValues(crop).map((v) => ({ ...v, path: v.path.join("."), own: isOwn(patch, v.path) }));
  return {
    id: crop.id,
    name: crop.name,
    own: crop.id.startsWith("own_"),
    family: crop.family,
    alsoCalled: crop.alsoCalled,
    sized: Boolean(crop.target),
    ripeColour: crop.ripeColour ?? null,
    inBrief: [
      ["First pick", `${crop.packet.low}–${crop.packet.high} days after it was ${EVENT[crop.packet.from]}`, crop.packet.standing.line], // prettier-ignore
      ["Stays good", `${crop.windowDays.value} days`, crop.windowDays.standing.line],
      ...(crop.again ? [["Picked again", `every ${span(crop.again.low, crop.again.high)} days`, crop.again.standing.line]] : []), // prettier-ignore
      ["Size", say(crop.size.text), crop.size.standing.line],
      ["How", crop.pick.how, crop.pick.standing.line],
      ...(crop.pick.stays ? [["Leave", crop.pick.stays, crop.pick.standing.line]] : []),
      ...(crop.pick.not ? [["Do not", crop.pick.not, crop.pick.standing.line]] : []),
      ["Waiting", crop.waiting.text, crop.waiting.standing.line],
      ["Cold", cold(crop), crop.cold.standing.line],
      ...(crop.heat ? [["Heat", `from ${crop.heat.aboveC} °C it ${crop.heat.effect}`, crop.heat.standing.line]] : []),
      ...(crop.rainWait ? [["Rain", `wait ${span(crop.rainWait.low, crop.rainWait.high)} days: ${crop.rainWait.because}`, crop.rainWait.standing.line]] : []), // prettier-ignore
      ...(crop.indoors ? [["Indoors", `finishes in ${crop.indoors.low}–${crop.indoors.high} days at ${crop.indoors.atLowC}–${crop.indoors.atHighC} °C: ${crop.indoors.text}`, crop.indoors.standing.line]] : []), // prettier-ignore
      ["Afterwards", crop.after.text, crop.after.standing.line],
      ["Keeps", crop.after.store, crop.after.standing.line],
      ...(crop.seedSaving ? [["Seed", crop.seedSaving.text, crop.seedSaving.standing.line]] : []),
    ] as [string, string, string][],
    caution: crop.caution ?? null,
    cues: crop.cues.map((cue) => ({
      id: cue.id,
      ask: cue.ask,
      how: cue.how ?? null,
      weight: cue.weight,
      auto: cue.auto ?? null,
      standing: cue.standing.line,
      readings: cue.readings.map((r, i) => ({
        text: say(r.text),
        everyday: r.everyday ?? (cue.across ? (everydaySize(r.fromMm, cue.readings[i + 1]?.fromMm, cue.across) ?? null) : null), // prettier-ignore
        means: r.means,
        advice: r.advice ?? null,
      })),
    })),
    schools: crop.schools.map((s) => ({
      id: s.id,
      question: s.question,
      why: s.why,
      standing: s.standing.line,
      usual: s.usual,
      chosen: chosen.get(s.id) ?? s.usual,
      options: s.options.map((o) => ({ id: o.id, label: o.label })),
    })),
    varieties: db.select().from(variety).where(eq(variety.cropId, cropId)).all().map((row) => ({ id: row.id, ...varietyOf(row) })), // prettier-ignore
    statements: Object.entries(crop.notes)
      .map(([about, lines]) => ({ about, lines: lines.map((l) => ({ text: say(l.text), standing: l.standing.line })) }))
      .filter((s) => s.lines.length > 0),
    values,
    sources: [...new Set(standingsIn(crop))].sort().map((id) => ({ id, title: titles[id] ?? id })),
  };
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
  return path.length === 1 || (there as Record<string, unknown>)[path[1]!] !== undefined;
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
