import { z } from "zod";
import { RecordDay } from "../calendar";
import { CONDITIONS, FATES } from "../ledger";
import { SeasonCrop } from "../seasons";

/** What every entry carries: its own number, who sends it, the how-manieth it is there, and when it was done. */
const envelope = {
  id: z.uuid("This entry has no number of its own; reload the page."),
  device: z.string("This entry does not say which device it is from.").min(1).max(64),
  sequence: z.number("This entry has no place in its row.").int().min(0),
  at: z.iso.datetime({ offset: true, error: "This entry does not say when it was done." }),
};
const planting = z.string("Say which planting.").min(1, "Say which planting.").max(100);
/** Day it speaks of, when the gardener says another than that of `at`. */
const on = RecordDay.optional();
const text = (what: string, most: number) =>
  z.string(`Write the ${what} as text.`).trim().max(most, `Keep the ${what} under ${most} letters.`);

/** Containers of one kind on the scale. */
export const ContainersOn = z.object({
  containerId: z.string("Choose a container of the list.").min(1).max(100),
  count: text("number of containers", 10).default("1"),
});

/** How much, as it was typed. */
const amount = {
  count: text("count", 20).default(""),
  weight: text("weight", 40).default(""),
  containers: z
    .array(ContainersOn, "Choose containers of the list.")
    .max(8, "At most eight kinds of containers.")
    .default([]),
};

/** A pick: what came off one planting on one call, or that nothing was ready. */
export const PickBody = z.object({
  plantingId: planting,
  /** The season it was logged at, where the page knew it. */
  seasonId: z.string().max(120).optional(),
  roundId: z.string().max(64).optional(),
  on,
  outcome: z.enum(["picked", "nothing ready"], "Say whether something was picked or nothing was ready."),
  tookAll: z.boolean("Say whether all of it was taken.").default(false),
  ...amount,
  estimated: z.boolean("Say whether the amount is a guess.").default(false),
  condition: z.enum(CONDITIONS, "Choose a condition of the list.").default("sound"),
  fate: z.enum(FATES, "Choose from the list where it goes.").default("eat now"),
  note: text("note", 500).default(""),
});
export type PickBody = z.infer<typeof PickBody>;

/** Said of a pick of nothing. */
export const SAY_HOW_MUCH = "Say how many, or how much it weighs. If nothing came off, tap “Nothing ready”.";

/** Whether a pick says how much came off, as far as that shows before it is read: no count, or none, and no weight. */
export const saysHowMuch = ({
  outcome,
  count = "",
  weight = "",
}: Pick<z.input<typeof PickBody>, "outcome" | "count" | "weight">): boolean =>
  outcome === "nothing ready" || weight.trim() !== "" || !/^0*$/.test(count.trim());

/** A cue that was read; without a reading and a size the answer of that day is taken back. */
export const LookBody = z.object({
  plantingId: planting,
  cueId: z.string("Say which cue was read.").min(1, "Say which cue was read.").max(100),
  readingId: z.string("Choose what you saw.").max(100).nullable().default(null),
  measuredMm: z
    .number("Give the size as a number.")
    .min(1, "A size under 1 mm cannot be read.")
    .max(3000, "Nothing here grows longer than 3 m: check the unit.")
    .optional(),
  sampleOf: z
    .number("Say how many, as a number.")
    .int("Say how many, as a whole number.")
    .min(1, "At least one was looked at.")
    .max(1000, "At most 1000.")
    .optional(),
  /** Share of the pieces that read so; 0 takes that reading back, the others of the day stay. */
  share: z
    .number("Say what share of them, as a number.")
    .min(0, "A share lies between none and all.")
    .max(1, "A share lies between none and all.")
    .optional(),
  on,
});
export type LookBody = z.infer<typeof LookBody>;

export const CountBody = z.object({
  plantingId: planting,
  what: z.enum(["ready", "leaves"], "Say what was counted."),
  number: text("count", 10).regex(/^\d{1,6}$/, "Write the count as a whole number, nothing below none."),
  on,
});
export type CountBody = z.infer<typeof CountBody>;

/** A lot put on the scale, when it was picked or later. */
export const WeighingBody = z.object({
  lotId: z.string("Say which lot.").min(1, "Say which lot.").max(100),
  ...amount,
  label: text("label", 60).optional(),
});
export type WeighingBody = z.infer<typeof WeighingBody>;

export const NoteBody = z.object({
  plantingId: planting.nullable().default(null),
  text: text("note", 1000).min(1, "Write something down first."),
  on,
});

/** What is said of jobs beside picking: of some at once, by the keys of their acts. */
const MarkJobsBody = z.object({
  keys: z.array(z.string().min(1).max(200), "Say which job.").min(1, "Say which job.").max(40, "At most 40 jobs at once."), // prettier-ignore
  as: z.enum(["done", "left out", "due again"], "Say what became of the job."),
});

/** Two picks of one planting from two devices, that were two pickings. */
const BothCountBody = z.object({
  picks: z.tuple([z.string().min(1).max(100), z.string().min(1).max(100)], "Say which two picks."),
});

const roundId = z.string("Say which round.").min(1, "Say which round.").max(64);

/**
 * Everything done in the garden, in one envelope, the same on the device and on the server. Taking back names the
 * entry it takes back, also one that has not arrived yet.
 */
export const Entry = z.discriminatedUnion(
  "kind",
  [
    z.object({ ...envelope, kind: z.literal("pick"), ...PickBody.shape }),
    z.object({ ...envelope, kind: z.literal("look"), ...LookBody.shape }),
    z.object({ ...envelope, kind: z.literal("count"), ...CountBody.shape }),
    z.object({ ...envelope, kind: z.literal("weighing"), ...WeighingBody.shape }),
    z.object({ ...envelope, kind: z.literal("take back"), target: z.string("Say what is taken back.").min(1).max(100), putBack: z.boolean().default(false) }), // prettier-ignore
    z.object({ ...envelope, kind: z.literal("pass by"), roundId, plantingId: planting, done: z.boolean().default(true) }), // prettier-ignore
    z.object({ ...envelope, kind: z.literal("start round"), roundId }),
    z.object({ ...envelope, kind: z.literal("finish round"), roundId }),
    z.object({ ...envelope, kind: z.literal("mark jobs"), ...MarkJobsBody.shape }),
    z.object({ ...envelope, kind: z.literal("both count"), ...BothCountBody.shape }),
    z.object({ ...envelope, kind: z.literal("end"), plantingId: planting, bedFree: z.boolean().default(true), on }),
    z.object({ ...envelope, kind: z.literal("next crop"), plantingId: planting, crop: SeasonCrop, on }),
    z.object({ ...envelope, kind: z.literal("note"), ...NoteBody.shape }),
  ],
  "This kind of entry is not known here.",
);
export type Entry = z.infer<typeof Entry>;
export type EntryKind = Entry["kind"];

type Bodies = { [K in EntryKind]: Omit<Extract<z.input<typeof Entry>, { kind: K }>, keyof typeof envelope> };
/** An entry before it has its envelope. */
export type EntryBody = Bodies[EntryKind];

/** Most entries that one sending may hold. */
export const MOST_ENTRIES = 200;

/** What a device sends: each is read by itself, so that one that cannot be read holds up no other. */
export const EntryBatch = z.object({ entries: z.array(z.unknown()).max(MOST_ENTRIES) });

/** What became of one entry. */
export const EntryAnswer = z.discriminatedUnion("status", [
  z.object({ id: z.string(), status: z.literal("applied") }),
  z.object({
    id: z.string(),
    status: z.literal("refused"),
    sentence: z.string(),
    /** Sentences by field of the entry. */
    fields: z.record(z.string(), z.string()),
  }),
  /** The device keeps it; with why, where that is known. */
  z.object({ id: z.string(), status: z.literal("not now"), why: z.string().optional() }),
]);
export type EntryAnswer = z.infer<typeof EntryAnswer>;
export const EntryAnswers = z.object({ answers: z.array(EntryAnswer) });
