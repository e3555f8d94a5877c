import { z } from "zod";
import type { FieldErrors } from "~/core/issues";
import { readAmount } from "~/core/units";
import type { Db } from "~/db/client.server";
import { containersInUse, insertContainers, retireContainer } from "~/db/ledger/containers.server";

export const ContainerForm = z.object({
  name: z.string().trim().min(1, "Give it a name you know it by.").max(40, "Keep the name under 40 letters."),
  tare: z.string().trim().min(1, "Say what it weighs when empty, for example 1.2 kg."),
});

/** Heavier than this a container is no basket any more, g: our judgement. */
const HEAVIEST_GRAMS = 30_000;

/** Adds a container of the household's own. */
export function addContainer(
  db: Db,
  { name, tare }: z.infer<typeof ContainerForm>,
): { status: "added" } | { status: "refused"; errors: FieldErrors } {
  const refuse = (errors: FieldErrors) => ({ status: "refused" as const, errors });
  if (containersInUse(db).some((c) => c.name.toLowerCase() === name.toLowerCase()))
    return refuse({ name: `There is already a container called ${name}.` });
  const read = readAmount(tare);
  if (read.status === "not understood") return refuse({ tare: read.sentence });
  if (read.status !== "mass") return refuse({ tare: `Add a unit to “${tare}”: g, kg, oz or lb.` });
  if (read.grams < 1 || read.grams > HEAVIEST_GRAMS) return refuse({ tare: "An empty container weighs 1 g to 30 kg." });
  insertContainers(db, [{ id: crypto.randomUUID(), name, tareGrams: read.grams }]);
  return { status: "added" };
}

/** Containers in use, lightest first. */
export function containersOf(db: Db) {
  return containersInUse(db);
}

/** Takes a container out of use. */
export function removeContainer(db: Db, id: string): boolean {
  return retireContainer(db, id);
}
