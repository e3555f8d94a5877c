import { EntryBatch, type EntryAnswer } from "~/core/entries";
import type { Db } from "~/db/client.server";
import { applyEntry } from "./apply-entry.server";

export type BatchOutcome = { status: "answered"; answers: EntryAnswer[] } | { status: "no batch" };

/** Takes a batch of entries: each is applied by itself, so that one that fails holds up no other. */
export function takeEntries(db: Db, raw: unknown): BatchOutcome {
  const batch = EntryBatch.safeParse(raw);
  if (!batch.success) return { status: "no batch" };
  return { status: "answered", answers: batch.data.entries.map((entry) => applyEntry(db, entry)) };
}
