import { z } from "zod";
import { BedKind } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import { allBeds, appendBed, bedHasPlantings, bedById, deleteBed, swapBeds, updateBed } from "~/db/beds/beds.server";

export const BedForm = z.object({
  name: z.string().trim().min(1, "Give the bed a name you would say aloud.").max(60, "Keep the name under 60 letters."),
  kind: BedKind,
});
type BedForm = z.infer<typeof BedForm>;

export type BedOutcome = { status: "saved"; bedId: string } | { status: "refused"; sentence: string };

function nameTaken(db: Db, name: string, but?: string): BedOutcome | undefined {
  const taken = allBeds(db).some((b) => b.id !== but && b.name.toLowerCase() === name.toLowerCase());
  return taken ? { status: "refused", sentence: `There is already a bed called ${name}.` } : undefined;
}

/** Adds a bed at the end of the footpath. */
export function addBed(db: Db, form: BedForm): BedOutcome {
  const taken = nameTaken(db, form.name);
  if (taken) return taken;
  const bedId = crypto.randomUUID();
  appendBed(db, { id: bedId, ...form });
  return { status: "saved", bedId };
}

/** Renames a bed or says what it is. */
export function editBed(db: Db, bedId: string, form: BedForm): BedOutcome {
  const taken = nameTaken(db, form.name, bedId);
  if (taken) return taken;
  if (!updateBed(db, bedId, form)) return { status: "refused", sentence: "This bed is no longer there." };
  return { status: "saved", bedId };
}

/** Moves a bed one place along the footpath. */
export function moveBed(db: Db, bedId: string, step: -1 | 1): void {
  const beds = allBeds(db);
  const at = beds.findIndex((b) => b.id === bedId);
  const [here, other] = [beds[at], beds[at + step]];
  if (here && other) swapBeds(db, here, other);
}

/** Takes an empty bed away; one with plantings or a history stays. */
export function removeBed(db: Db, bedId: string): { status: "removed" } | { status: "refused"; sentence: string } {
  if (!bedById(db, bedId)) return { status: "refused", sentence: "This bed is no longer there." };
  if (bedHasPlantings(db, bedId))
    return {
      status: "refused",
      sentence: "This bed has plantings in its record. Finish or move them; the bed stays for the ledger’s sake.",
    };
  deleteBed(db, bedId);
  return { status: "removed" };
}
