import { z } from "zod";

const FIGURE_UNITS = ["°C", "mm", "cm", "m", "km", "kg", "g", "km/h", "litre"] as const;

/** A measure within words, one number or from-to. */
export const Figure = z.object({
  low: z.number(),
  /** Null where there is one number. */
  high: z.number().nullable(),
  /** What stands between the two: "–", " to ", " and ". */
  joint: z.string(),
  unit: z.enum(FIGURE_UNITS),
  /** A difference, not a place on the scale: "2 °C colder". */
  step: z.enum(["colder", "warmer"]).nullable(),
});
export type Figure = z.infer<typeof Figure>;

const NUMBER = String.raw`[−-]?\d+(?:\.\d+)?`;
const MEASURE = String.raw`(${NUMBER})(?:(–| to | and |-)(${NUMBER}))? ?(°C(?!·)|mm|cm|km/h|kg|km|g|litres?|l|metres?|m)( colder| warmer)?`; // prettier-ignore
const ALONE = new RegExp(`(?<![\\w.])${MEASURE}(?![\\w/²])`, "g");
const WHOLE = new RegExp(`^${MEASURE}$`);
const IN_BRACES = /\{([^{}]*)\}/g;

const unitOf = (text: string) => (/^m(etres?)?$/.test(text) ? "m" : /^l(itres?)?$/.test(text) ? "litre" : text);
const numberOf = (text: string) => Number(text.replace("−", "-"));

function figureFrom([, low, joint, high, unit, step]: readonly (string | undefined)[]): Figure {
  return Figure.parse({
    low: numberOf(low!),
    high: high === undefined ? null : numberOf(high),
    joint: joint ?? "",
    unit: unitOf(unit!),
    step: step?.trim() ?? null,
  });
}

/**
 * Reads a measure that stands for itself: "80–120 mm", "−3 °C", "2 °C colder".
 *
 * @returns undefined when it is none
 */
export function readFigure(text: string): Figure | undefined {
  const found = WHOLE.exec(text);
  return found ? figureFrom(found) : undefined;
}

/** How a figure is said; `written` is how it stands in the words. */
export type SayFigure = (figure: Figure, written: string) => string;

/** As the data has it: in metric units. */
export const asWritten: SayFigure = (_, written) => written;

/**
 * Words with their figures said: those of data stand in braces, "{80–120 mm} wide".
 *
 * @throws {Error} naming what stands in braces and is no measure
 */
export function withFigures(text: string, say: SayFigure): string {
  return text.replace(IN_BRACES, (_, inside: string) => {
    const figure = readFigure(inside);
    if (!figure) throw new Error(`“${text}”: {${inside}} is no measure`);
    return say(figure, inside);
  });
}

/** The same for every text of a value. */
export function withFiguresIn<T>(value: T, say: SayFigure): T {
  if (typeof value === "string") return (value.includes("{") ? withFigures(value, say) : value) as T;
  if (Array.isArray(value)) return value.map((v: unknown) => withFiguresIn(v, say)) as T;
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, withFiguresIn(v as unknown, say)])) as T;
}

/** Replaces measures that stand in words as words: in sentences that were written in metric units. */
export function sayFiguresOf(sentence: string, say: SayFigure): string {
  return sentence.replace(ALONE, (...found: string[]) => say(figureFrom(found.slice(0, 6)), found[0]!));
}

/** Measures that stand in a text of data as prose, outside of braces. */
export function figuresAsProse(text: string): string[] {
  return text.replace(IN_BRACES, "…").match(ALONE) ?? [];
}
