import { eq } from "drizzle-orm";
import { netWeight } from "~/core/ledger";
import { readAmount } from "~/core/units";
import type { Db } from "~/db/client.server";
import { container } from "~/db/schema.server";
import type { FieldErrors, PickForm } from "./pick-form";

export interface PickAmount {
  grams: number | null;
  pieces: number | null;
  grossGrams: number | null;
  containerId: string | null;
  containerCount: number | null;
  tareGrams: number | null;
}

const MOST_PIECES = 20_000;

/** Turns what was typed into net grams and pieces, or says field by field what cannot be. */
export function pickAmount(
  db: Db,
  form: PickForm,
): { status: "ok"; amount: PickAmount } | { status: "refused"; errors: FieldErrors } {
  const refused = (errors: FieldErrors) => ({ status: "refused" as const, errors });
  const none: PickAmount = {
    grams: null,
    pieces: null,
    grossGrams: null,
    containerId: null,
    containerCount: null,
    tareGrams: null,
  };
  if (form.outcome === "nothing ready") return { status: "ok", amount: none };
  const amount = { ...none };
  if (form.count) {
    const pieces = Number(form.count);
    if (!Number.isInteger(pieces)) return refused({ count: `“${form.count}” is not a whole number of pieces.` });
    if (pieces < 0) return refused({ count: "A count cannot be below zero." });
    if (pieces > MOST_PIECES)
      return refused({ count: `More than ${MOST_PIECES} pieces in one pick: check the number.` });
    amount.pieces = pieces;
  }
  if (form.weight) {
    const read = readAmount(form.weight);
    if (read.status === "not understood") return refused({ weight: read.sentence });
    if (read.status === "count") return refused({ weight: `Add a unit to “${form.weight}”: g, kg, oz or lb.` });
    const crate = form.containerId
      ? db.select().from(container).where(eq(container.id, form.containerId)).get()
      : undefined;
    if (form.containerId && !crate) return refused({ containerId: "That container is no longer known." });
    const count = crate ? Number(form.containerCount || "1") : 0;
    if (crate && !(Number.isInteger(count) && count >= 1 && count <= 100))
      return refused({ containerCount: "Say how many containers stood on the scale, 1 to 100." });
    const net = netWeight(read.grams, crate ? [{ count, tareGrams: crate.tareGrams }] : []);
    if (net.status === "impossible") return refused({ weight: net.sentence });
    amount.grams = net.grams;
    if (crate) {
      amount.grossGrams = read.grams;
      amount.containerId = crate.id;
      amount.containerCount = count;
      amount.tareGrams = crate.tareGrams;
    }
  }
  if (!amount.pieces && !amount.grams)
    return refused({ count: "Say how many, or how much it weighs. If nothing came off, tap “Nothing ready”." });
  return { status: "ok", amount };
}
