import { Crop, CROP_GROUPS, CueWeight, Meaning, START_EVENTS } from "./crop";
import type { CropValue } from "./crop-value";
import { LIFE_VALUES } from "./life-values";
import { patchCrop, type CropData } from "./patch-crop";

export const HOUSEHOLD_STANDING = "this household";

type Listed = [path: string, part: CropValue["part"], label: string, unit: string, kind: CropValue["kind"]];

const CHOICES = { suppress: ["yes", "slight", "no"], climacteric: ["yes", "partly", "no"] } as const;

/** Values outside the cues, in the order of the page. */
const LISTED: readonly Listed[] = [
  ["name", "days and sizes", "Name", "", "text"],
  ["packet.low", "days and sizes", "Days to first pick, from", "days", "number"],
  ["packet.high", "days and sizes", "Days to first pick, to", "days", "number"],
  ["packet.from", "days and sizes", "Counted from", "", START_EVENTS],
  ["nurseryDays.value", "days and sizes", "Sowing to planting out", "days", "number"],
  ["perennial.degreeDays", "days and sizes", "Heat from midwinter to its year’s start", "°C·d", "number"],
  ["perennial.firstCropYear", "days and sizes", "Year of the first crop, planting = 1", "", "number"],
  ["windowDays.value", "days and sizes", "Stays good for", "days", "number"],
  ["again.low", "days and sizes", "Picked again after, from", "days", "number"],
  ["again.high", "days and sizes", "Picked again after, to", "days", "number"],
  ["degreeDays.baseC", "days and sizes", "Grows above", "°C", "number"],
  ["degreeDays.upperC", "days and sizes", "Grows no faster above", "°C", "number"],
  ["size.text", "days and sizes", "Size in words", "", "text"],
  ["target.lowMm", "days and sizes", "Size to pick at, from", "mm", "number"],
  ["target.highMm", "days and sizes", "Size to pick at, to", "mm", "number"],
  ["target.overMm", "days and sizes", "Too big from", "mm", "number"],
  ["ripeColour", "days and sizes", "Colour when ripe", "", "text"],
  ["piece.one", "picking", "One of it is called", "", "text"],
  ["piece.many", "picking", "Several are called", "", "text"],
  ["family", "picking", "Family", "", "text"],
  ["group", "picking", "Kind of crop", "", CROP_GROUPS],
  ["mode", "picking", "Taken", "", ["once", "passes", "repeat"]],
  ["suppressesWhenLeft.value", "picking", "Left on, it slows the plant", "", CHOICES.suppress],
  ["pick.tool", "picking", "Tool", "", "text"],
  ["pick.how", "picking", "How to take it", "", "text"],
  ["pick.stays", "picking", "What stays", "", "text"],
  ["pick.not", "picking", "Do not", "", "text"],
  ["waiting.text", "picking", "What waiting costs", "", "text"],
  ["piecesPerMinute.value", "picking", "Picked in a minute", "pieces", "number"],
  ["pieceGrams.value", "picking", "A piece weighs", "g", "number"],
  ["piecesPerPlant.value", "picking", "A plant gives (in all, or on a warm day)", "pieces", "number"],
  ["worthPerKg.value", "picking", "Worth of a kilogram, courgette = 1", "", "number"],
  ["worthEarly.value", "picking", "Worth when nearly ready", "of 1", "number"],
  ["worthPast.value", "picking", "Worth when past", "of 1", "number"],
  ["leavesStay.count", "picking", "Leaves that stay on a plant", "leaves", "number"],
  ["clockRule.liftPastPacketDays", "picking", "Lifted whatever its size, past the packet by", "days", "number"],
  ["stopCropping.afterDays", "picking", "Picking stops after", "days", "number"],
  ["unitSpread.value", "picking", "Spread between pieces (log)", "", "number"],
  ["thins.value", "picking", "Thinned by the biggest", "", "yes or no"],
  ["cold.chillC", "weather", "Chills below", "°C", "number"],
  ["cold.damageC", "weather", "Harmed at", "°C", "number"],
  ["cold.killC", "weather", "Killed at", "°C", "number"],
  ["cold.lostAtDamage", "weather", "Share lost when harmed", "of 1", "number"],
  ["storm.gustLoss", "weather", "Share lost in a gale", "of 1", "number"],
  ["storm.soakLoss", "weather", "Share lost in a soaking", "of 1", "number"],
  ["heat.aboveC", "weather", "Heat ends it from", "°C", "number"],
  ["heat.effect", "weather", "In heat it", "", "text"],
  ["heat.lossPerDay", "weather", "Share lost on a hot day", "of 1", "number"],
  ["rainWait.low", "weather", "Wait after a soaking, at least", "days", "number"],
  ["rainWait.high", "weather", "Wait after a soaking, at most", "days", "number"],
  ["dryDays.days", "weather", "Dry days wanted after lifting", "days", "number"],
  ["handsOffWhenWet.value", "weather", "Not touched when wet", "", "yes or no"],
  ["climacteric.value", "after", "Ripens on after picking", "", CHOICES.climacteric],
  ["indoors.fromNearlyDays", "after", "Finishes indoors, from nearly ripe", "days", "number"],
  ["indoors.fromGreenDays", "after", "Finishes indoors, from full-grown green", "days", "number"],
  ["indoors.text", "after", "How it finishes indoors", "", "text"],
  ["seedSaving.text", "after", "Kept for seed", "", "text"],
  ["after.text", "after", "After picking", "", "text"],
  ["after.store", "after", "Keeps", "", "text"],
  ["caution", "after", "Take care", "", "text"],
];

const at = (data: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((here, key) => {
    if (Array.isArray(here)) return here.find((x: { id?: string }) => x.id === key);
    return (here as Record<string, unknown> | undefined)?.[key];
  }, data);

const standingAt = (crop: Crop, path: readonly string[]): string => {
  const holder = at(crop, path.slice(0, -1)) as { standing?: { line: string } } | undefined;
  return path.length > 1 && holder?.standing ? holder.standing.line : "";
};

/** Every value of a crop that a household may change, with its standing. */
export function cropValues(crop: Crop): CropValue[] {
  const listed = [...LISTED, ...LIFE_VALUES].flatMap(([dotted, part, label, unit, kind]): CropValue[] => {
    const path = dotted.split(".");
    const value = at(crop, path);
    if (value === undefined && at(crop, path.slice(0, -1)) === undefined) return [];
    // Where every day counts alike there is no temperature to set.
    if (crop.degreeDays.calendar && (path[0] === "degreeDays" || dotted.startsWith("life.heat"))) return [];
    // What a crop has no use for is not offered empty: a household changes a life, it does not invent one.
    if (path[0] === "life" && value === undefined) return [];
    return [{ path, part, label, unit, kind, value: (value ?? null) as CropValue["value"], standing: standingAt(crop, path) }]; // prettier-ignore
  });
  const cues = crop.cues.flatMap((cue): CropValue[] => {
    const standing = cue.standing.line;
    const own = (path: string[], label: string, kind: CropValue["kind"], value: CropValue["value"], unit = ""): CropValue => ({ path: ["cues", cue.id, ...path], part: "cues", label, unit, kind, value, standing }); // prettier-ignore
    return [
      own(["ask"], `${cue.ask} (the question)`, "text", cue.ask),
      own(["weight"], `${cue.ask} tells`, CueWeight.options, cue.weight),
      ...cue.readings.flatMap((r) => [
        own(["readings", r.id, "text"], `${cue.ask} “${r.text}”: words`, "text", r.text),
        own(["readings", r.id, "means"], `${cue.ask} “${r.text}”: means`, Meaning.options, r.means),
        ...(r.fromMm ? [own(["readings", r.id, "fromMm"], `${cue.ask} “${r.text}”: from`, "number", r.fromMm, "mm")] : []), // prettier-ignore
      ]),
    ];
  });
  return [...listed, ...cues];
}

export type ValueChange = { status: "changed"; patch: CropData } | { status: "refused"; sentence: string };

/**
 * Changes one value: what is typed is read by the value's kind, laid over the crop, and the whole crop is
 * checked again, so that a household's value can never leave it in pieces.
 *
 * @param base - the crop's data as shipped (or, for the household's own crop, as it is like)
 * @param patch - what the household has changed so far
 * @param path - of one of `cropValues`
 * @param typed - as typed; empty takes an optional value away
 */
export function changeValue(base: CropData, patch: CropData, path: readonly string[], typed: string): ValueChange {
  const parsed = Crop.safeParse(patchCrop(base, patch));
  const known = parsed.success ? cropValues(parsed.data).find((v) => v.path.join(".") === path.join(".")) : undefined;
  if (!known) return { status: "refused", sentence: "This crop has no such value." };
  const read = readTyped(known, typed.trim());
  if (read.status === "refused") return read;
  const next = patchCrop(patch, patchFor(patchCrop(base, patch), path, read.value));
  const checked = Crop.safeParse(patchCrop(base, next));
  if (!checked.success) {
    return { status: "refused", sentence: `${known.label}: ${whatIsWrong(checked.error.issues[0], typed)}.` };
  }
  return { status: "changed", patch: next };
}

/** A schema's complaint as a gardener would put it. */
function whatIsWrong(
  issue: { code?: string; message: string; minimum?: unknown; maximum?: unknown } | undefined,
  typed: string,
): string {
  if (typed.trim() === "") return "write a number";
  if (issue?.code === "too_small") return `has to be above ${String(issue.minimum)}`;
  if (issue?.code === "too_big") return `has to be at most ${String(issue.maximum)}`;
  return issue?.code === "custom" ? issue.message : "this does not fit";
}

function readTyped(
  known: CropValue,
  typed: string,
): { status: "read"; value: unknown } | { status: "refused"; sentence: string } {
  const refuse = (sentence: string) => ({ status: "refused" as const, sentence });
  if (known.kind === "number") {
    if (typed === "")
      return known.value === null ? refuse(`${known.label}: write a number.`) : { status: "read", value: null };
    const number = Number(typed.replace(",", ".").replace("−", "-"));
    if (!Number.isFinite(number)) return refuse(`${known.label}: “${typed}” is not a number.`);
    if (Math.abs(number) > 100_000) return refuse(`${known.label}: ${typed} is too large.`);
    return { status: "read", value: number };
  }
  if (known.kind === "yes or no") {
    if (!["yes", "no"].includes(typed)) return refuse(`${known.label}: say yes or no.`);
    return { status: "read", value: typed === "yes" };
  }
  if (known.kind === "text") {
    if (typed.length > 400) return refuse(`${known.label}: keep it under 400 letters.`);
    if (typed === "" && !["caution", "ripeColour"].includes(known.path.join("."))) return refuse(`${known.label}: write a word or more.`); // prettier-ignore
    return { status: "read", value: typed === "" ? null : typed };
  }
  return known.kind.includes(typed) ? { status: "read", value: typed } : refuse(`${known.label}: choose one of ${known.kind.join(", ")}.`); // prettier-ignore
}

/** The patch that sets one value and says whose it is; a cue is always given whole. */
function patchFor(whole: CropData, path: readonly string[], value: unknown): CropData {
  if (path[0] !== "cues") {
    const [key, ...inner] = path as [string, ...string[]];
    if (inner.length === 0) return { [key]: value };
    const nested = inner.reduceRight<unknown>((under, name, depth) => (depth === inner.length - 1 ? { [name]: value, standing: HOUSEHOLD_STANDING } : { [name]: under }), undefined); // prettier-ignore
    return { [key]: nested };
  }
  const [, cueId, field, readingId, part] = path;
  const cue = (whole.cues as { id: string; readings: { id: string }[] }[]).find((c) => c.id === cueId)!;
  const changed =
    field === "readings"
      ? { ...cue, readings: cue.readings.map((r) => (r.id === readingId ? { ...r, [part!]: value } : r)) }
      : { ...cue, [field!]: value };
  return { cues: [{ ...changed, standing: HOUSEHOLD_STANDING }] };
}

/** Data without the group that a path names; groups left empty go with it. */
function without(data: CropData, [key, ...inner]: readonly string[]): CropData {
  const { [key!]: there, ...rest } = data;
  if (inner.length === 0) return rest;
  const left = without((there ?? {}) as CropData, inner);
  return Object.keys(left).length > 0 ? { ...rest, [key!]: left } : rest;
}

/** Takes a value of the household back: the shipped one holds again (of a cue, the whole cue). */
export function forgetValue(patch: CropData, path: readonly string[]): CropData {
  const { [path[0]!]: there, ...rest } = patch;
  if (path[0] === "life") {
    const life = without(there as CropData, path.slice(1, -1));
    return Object.keys(life).length > 0 ? { ...rest, life } : rest;
  }
  if (path[0] !== "cues") return rest;
  const cues = (there as { id: string }[] | undefined)?.filter((c) => c.id !== path[1]) ?? [];
  return cues.length > 0 ? { ...rest, cues } : rest;
}
