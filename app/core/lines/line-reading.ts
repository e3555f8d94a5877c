import { z } from "zod";
import { IsoDay } from "../calendar";
import { StartEvent } from "../crops";
import type { DaySetting } from "./day-setting";

/** What is open in a line, in the order in which it is asked. */
export const LINE_ASKS = ["crop", "amount", "start", "day"] as const;

/** A line as it was read. */
export const ReadLine = z.object({
  status: z.enum(["understood", "asks", "refused"]),
  cropId: z.string().nullable(),
  /** Crops that it may be, where that is open. */
  options: z.array(z.string()),
  plants: z.number().int().nullable(),
  /** The number was told as about so many. */
  about: z.boolean(),
  lengthM: z.number().nullable(),
  areaM2: z.number().nullable(),
  variety: z.string(),
  startEvent: StartEvent.nullable(),
  /** First and last day on which it may have started: the same where it was told exactly. */
  from: IsoDay.nullable(),
  to: IsoDay.nullable(),
  /** When it was sown, where it is counted from a later planting out. */
  sown: z.object({ from: IsoDay, to: IsoDay }).nullable(),
  /** When a plant of many years was planted, where its year counts from growth or blossom. */
  came: z.object({ from: IsoDay, to: IsoDay }).nullable(),
  /** Days to maturity, where the line tells them. */
  packet: z.object({ low: z.number(), high: z.number() }).nullable(),
  /** The same as lists of the variety have them. */
  varietyPacket: z.object({ low: z.number(), high: z.number() }).nullable(),
  /** What it came as: "sets", "crowns", "bare root". */
  form: z.string().nullable(),
  bed: z.string().nullable(),
  /** The line is a bed's heading. */
  heading: z.boolean(),
  asks: z.array(z.enum(LINE_ASKS)),
  /** Pieces of the line that were not used. */
  left: z.array(z.string()),
  sentence: z.string(),
});
export type ReadLine = z.infer<typeof ReadLine>;

/** A line as it was typed, and what was answered to it since. */
export const TypedLine = z.object({
  text: z.string().max(500, "A line is at most 500 letters long."),
  crop: z.string().max(60).optional(),
  amount: z.string().max(60).optional(),
  start: z.string().max(80).optional(),
  bed: z.string().max(60).optional(),
});
export type TypedLine = z.infer<typeof TypedLine>;

export interface LineSetting extends DaySetting {
  units: "metric" | "us";
  /** Names of the garden's beds. */
  beds: readonly string[];
}
