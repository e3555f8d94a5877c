import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import { readLines, TypedLine, type LineWords } from "~/core/lines";
import { UnitSystem } from "~/core/units";

const LinesInput = z.object({
  today: IsoDay,
  units: UnitSystem.default("metric"),
  /** Left out: month first in US units, else day first. */
  order: z.enum(["day first", "month first"]).optional(),
  /** South of the equator spring begins in September. */
  latitude: z.number().min(-90).max(90).default(0),
  /** Names of the beds that are there. */
  beds: z.array(z.string()).default([]),
  lines: z.array(z.union([z.string().max(500), TypedLine])).max(1000),
});

/**
 * The verb `read-lines`: plantings as typed → what was understood of each line, what is asked, what is left over.
 *
 * @throws {z.ZodError} for input of the wrong shape
 */
export function readLinesAnswer(input: unknown, catalogue: Catalogue, words: LineWords) {
  const { lines, units, order, latitude, ...rest } = LinesInput.parse(input);
  const typed = lines.map((line) => (typeof line === "string" ? { text: line } : line));
  const setting = { ...rest, units, order: order ?? (units === "us" ? ("month first" as const) : ("day first" as const)), south: latitude < 0 }; // prettier-ignore
  return { lines: readLines(catalogue, typed, setting, words) };
}
