import { get, update } from "idb-keyval";
import { z } from "zod";

const KEY = "akmedon-outbox";

/** Something done in the garden, written down on the device before it is sent. */
export const OutboxEntry = z.object({
  id: z.string(),
  to: z.enum(["/picks", "/looks"]),
  /** What was done, for the gardener: "Courgette: 9". */
  words: z.string(),
  fields: z.record(z.string(), z.string()),
  /** Set when the garden refused it later on: the sentence. */
  problem: z.string().nullable(),
  /** The sentences by field of the form it came from. */
  errors: z.record(z.string(), z.string()).default({}),
});
export type OutboxEntry = z.infer<typeof OutboxEntry>;

const Entries = z.array(OutboxEntry).catch([]);

/** All entries on the device, oldest first. */
export async function readOutbox(): Promise<OutboxEntry[]> {
  return Entries.parse((await get(KEY)) ?? []);
}

/** Changes the entries in one step. */
export function changeOutbox(edit: (entries: OutboxEntry[]) => OutboxEntry[]): Promise<void> {
  return update<unknown>(KEY, (before) => edit(Entries.parse(before ?? [])));
}

const Answer = z.object({ status: z.string(), errors: z.record(z.string(), z.string()).default({}) });

export type SendResult =
  { status: "saved" } | { status: "waits for signal" } | { status: "refused"; errors: Record<string, string> };

const PATIENCE_MS = 8000;

/** Sends one entry; whatever is not a clear answer counts as no signal. */
export async function postEntry(entry: OutboxEntry): Promise<SendResult> {
  try {
    const body = new URLSearchParams(entry.fields);
    const response = await fetch(entry.to, { method: "POST", body, signal: AbortSignal.timeout(PATIENCE_MS) });
    const answer = Answer.parse(await response.json());
    return answer.status === "refused" ? { status: "refused", errors: answer.errors } : { status: "saved" };
  } catch {
    return { status: "waits for signal" };
  }
}
