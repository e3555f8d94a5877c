import { EntryBatch, type EntryAnswer } from "~/core/entries";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { planAhead } from "../garden/planned-garden.server";
import { applyEntry } from "./apply-entry.server";

/** What is made from the plan. */
const FROM_PLAN: readonly unknown[] = ["start round", "mark jobs"];

/** A round starts from the plan, and jobs are of it: where one is asked for it is worked out first, beside the other requests. */
export async function readyForEntries(db: Db, garden: GardenRow, raw: unknown): Promise<void> {
  const batch = EntryBatch.safeParse(raw);
  const isFromPlan = batch.success && batch.data.entries.some((e) => FROM_PLAN.includes((e as { kind?: unknown } | null)?.kind)); // prettier-ignore
  // Where the plan cannot be had, the entry is answered for that; the others have nothing to do with it.
  if (isFromPlan) await planAhead(db, garden).catch((error: unknown) => console.error(error));
}

export type BatchOutcome = { status: "answered"; answers: EntryAnswer[] } | { status: "no batch" };

/**
 * Takes a batch of entries: each is applied by itself, so that one that fails holds up no other.
 *
 * @param person - whose device sent them, where that is known
 */
export function takeEntries(db: Db, raw: unknown, person: string | null = null): BatchOutcome {
  const batch = EntryBatch.safeParse(raw);
  if (!batch.success) return { status: "no batch" };
  return { status: "answered", answers: batch.data.entries.map((entry) => applyEntry(db, entry, person)) };
}
