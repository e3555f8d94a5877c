import { SAY_HOW_MUCH } from "~/core/entries";
import type { FieldErrors } from "~/core/issues";
import { netWeight } from "~/core/ledger";
import { typedCount, typedWeight } from "~/core/units";
import type { Db } from "~/db/client.server";
import { containerById } from "~/db/ledger/containers.server";

/** How much, as it was typed. */
export interface TypedAmount {
  count: string;
  weight: string;
  containers: readonly { containerId: string; count: string }[];
}

/** What stood on the scale: gross, and containers with their empty weights. */
export interface OnTheScale {
  grossGrams: number;
  netGrams: number;
  /** Told as about so much. */
  about: boolean;
  containers: { containerId: string; count: number; tareGrams: number }[];
}

export interface ReadAmount {
  grams: number | null;
  pieces: number | null;
  weighing: OnTheScale | null;
  /** Told as about so much. */
  about: boolean;
}

type Read<T> = { status: "ok"; value: T } | { status: "refused"; fields: FieldErrors };
const ok = <T>(value: T): Read<T> => ({ status: "ok", value });
const refused = (fields: FieldErrors) => ({ status: "refused" as const, fields });

/** Turns what was typed into net grams and pieces, or says field by field what cannot be. */
export function pickAmount(db: Db, typed: TypedAmount): Read<ReadAmount> {
  const pieces = typed.count ? typedCount(typed.count) : null;
  if (pieces?.status === "refused") return refused({ count: pieces.sentence });
  const weighing = typed.weight ? weighingOf(db, typed) : ok(null);
  if (weighing.status === "refused") return weighing;
  const grams = weighing.value?.netGrams ?? null;
  const counted = pieces?.value.pieces ?? null;
  if (!counted && !grams) return refused({ count: SAY_HOW_MUCH });
  const about = (pieces?.value.about ?? false) || (weighing.value?.about ?? false);
  return ok({ grams, pieces: counted, weighing: weighing.value, about });
}

/** A weight as read off the scale, less all that stood on it. */
export function weighingOf(db: Db, { weight, containers }: Omit<TypedAmount, "count">): Read<OnTheScale> {
  const read = typedWeight(weight);
  if (read.status === "refused") return refused({ weight: read.sentence });
  const { grams, about } = read.value;
  const stood: OnTheScale["containers"] = [];
  for (const { containerId, count: typedCount } of containers) {
    const known = containerById(db, containerId);
    if (!known) return refused({ containers: "That container is no longer known." });
    const count = Number(typedCount || "1");
    if (!(Number.isInteger(count) && count >= 1 && count <= 100))
      return refused({ containerCount: "Say how many containers stood on the scale, 1 to 100." });
    stood.push({ containerId, count, tareGrams: known.tareGrams });
  }
  const net = netWeight(grams, stood);
  if (net.status === "impossible") return refused({ weight: net.sentence });
  return ok({ grossGrams: grams, netGrams: net.grams, about, containers: stood });
}
