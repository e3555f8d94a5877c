import { z } from "zod";
import type { Crop, Cue, Reading } from "./crop";
import { Standing } from "./standing";

const HOUSEHOLD = Standing.parse("this household");

/** A variety as the household writes it down: only what differs from the crop. */
export const Variety = z.object({
  cropId: z.string(),
  name: z.string().trim().min(1, "Give the variety its name.").max(60, "Keep the name under 60 letters."),
  /** "yellow", "purple": the colour it has when ripe. */
  ripeColour: z.string().trim().max(30, "One or two words for the colour.").nullable(),
  /** Size to pick at, mm, as the crop's own size cue reads it. */
  size: z
    .object({ lowMm: z.number().min(1), highMm: z.number().max(2000) })
    .refine((s) => s.lowMm < s.highMm, "The larger size has to be above the smaller.")
    .nullable(),
  packet: z
    .object({ low: z.number().int().min(1), high: z.number().int().max(900) })
    .refine((p) => p.low <= p.high, "The packet’s later day is before its earlier one.")
    .nullable(),
});
export type Variety = z.infer<typeof Variety>;

/**
 * The crop as this variety of it is judged: its colour when ripe in the cues' words, its own sizes in the
 * size cue and target, its packet's days. What the household wrote says so in its standing.
 *
 * @returns the crop itself when the variety differs in nothing
 */
export function ofVariety(crop: Crop, variety: Omit<Variety, "cropId" | "name"> | undefined): Crop {
  if (!variety || (!variety.ripeColour && !variety.size && !variety.packet)) return crop;
  const { ripeColour, size, packet } = variety;
  const scale = size && crop.target ? (size.lowMm + size.highMm) / (crop.target.lowMm + crop.target.highMm) : 1;
  return {
    ...crop,
    ...(ripeColour ? { ripeColour } : {}),
    ...(packet ? { packet: { ...crop.packet, ...packet, standing: HOUSEHOLD } } : {}),
    ...(size && crop.target
      ? {
          target: {
            cue: crop.target.cue,
            ...size,
            ...(crop.target.overMm ? { overMm: Math.max(size.highMm, crop.target.overMm * scale) } : {}),
            standing: HOUSEHOLD,
          },
          size: { text: `${size.lowMm}–${size.highMm} mm`, standing: HOUSEHOLD },
        }
      : {}),
    cues: crop.cues.map((cue) => {
      if (cue.kind === "colour" && ripeColour) return recoloured(cue, crop.ripeColour, ripeColour);
      return cue.id === crop.target?.cue && scale !== 1 ? rescaled(cue, scale) : cue;
    }),
  };
}

const COLOURS = /\b(red|yellow|orange|purple|pink|green|white|black|brown)\b/;

function recoloured(cue: Cue, usual: string | undefined, ripe: string): Cue {
  const say = (r: Reading): Reading => {
    if (r.means === "ready" && usual && r.text.includes(usual)) return { ...r, text: r.text.replace(usual, ripe) };
    if (r.means === "ready" && /colour/.test(r.text)) return { ...r, text: `${r.text}: ${ripe}` };
    // A colour on the way belongs to the usual variety: another one simply turns.
    if (r.means === "nearly" && usual && COLOURS.test(r.text)) return { ...r, text: "turning" };
    if (r.means === "past" && usual && /redden/.test(r.text)) return { ...r, text: "dark, split" };
    return r;
  };
  const named = (r: Reading): Reading =>
    r.everyday && usual !== ripe && COLOURS.test(r.everyday) ? { ...r, everyday: undefined } : r;
  return {
    ...cue,
    how: `Ripe here is ${ripe}.`,
    readings: cue.readings.map((r) => named(say(r))),
    standing: HOUSEHOLD,
  };
}

/** Sizes of a reading's own words, times a factor, to the nearest 5 (or 1 below 30). */
function rescaled(cue: Cue, factor: number): Cue {
  const round = (mm: number) => (mm * factor < 30 ? Math.round(mm * factor) : Math.round((mm * factor) / 5) * 5);
  return {
    ...cue,
    readings: cue.readings.map((r) => ({
      ...r,
      everyday: undefined,
      text: r.text.replace(/\d+(?=(–\d+)? mm)|(?<=–)\d+(?= mm)/g, (n) => String(round(Number(n)))),
      ...(r.fromMm ? { fromMm: Math.max(1, round(r.fromMm)) } : {}),
    })),
    standing: HOUSEHOLD,
  };
}
