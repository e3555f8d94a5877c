import { z } from "zod";
import { Entry, type EntryBody } from "~/core/entries";

/** Kinds that this version of the app can send. */
const KINDS = Entry.options.map((option) => option.shape.kind.value);

/** An entry as the device keeps it until the garden has it. What is typed in it may still be wrong. */
export const KeptEntry = z.object({
  id: z.string(),
  entry: z.looseObject({
    id: z.string(),
    device: z.string(),
    sequence: z.number(),
    at: z.string(),
    kind: z.enum(KINDS as [(typeof KINDS)[number], ...(typeof KINDS)[number][]]),
  }),
  /** What was done, for the gardener: "Courgette: 9". */
  words: z.string(),
  /** Set when the garden refused it: why, and by field of the form it came from. */
  problem: z.object({ sentence: z.string(), fields: z.record(z.string(), z.string()) }).nullable(),
});
export type KeptEntry = z.infer<typeof KeptEntry>;

/** An entry that was refused. */
export const withProblem = (kept: KeptEntry, problem: NonNullable<KeptEntry["problem"]>): KeptEntry => ({ ...kept, problem }); // prettier-ignore

/** The same entry with another body, to be sent again. */
export function withBody(
  { id, entry: { device, sequence, at } }: KeptEntry,
  body: EntryBody,
  words: string,
): KeptEntry {
  return { id, entry: { ...body, id, device, sequence, at }, words, problem: null };
}

/** Where entries wait. */
export interface EntryStore {
  /** By which the device calls itself; undefined before its first entry, and once it was emptied. */
  number: () => Promise<string | undefined>;
  /** True when what waits is gone with the page. */
  forgets: boolean;
  /** Writes an entry down with its envelope; returns its number. */
  add: (body: EntryBody, words: string) => Promise<string>;
  /** What waits or was refused, in the order it was done. What cannot be read is put aside, and the rest read. */
  all: () => Promise<KeptEntry[]>;
  /** Takes an entry off the device. */
  remove: (id: string) => Promise<void>;
  /** Keeps a refusal with its entry until it is seen and put right. */
  refuse: (id: string, problem: NonNullable<KeptEntry["problem"]>) => Promise<void>;
  /** Puts an entry right: the same entry with another body, to be sent again. */
  replace: (id: string, body: EntryBody, words: string) => Promise<void>;
  /** What could not be read, as it stood. */
  aside: () => Promise<unknown[]>;
  dropAside: () => Promise<void>;
}
