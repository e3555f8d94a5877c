import type { FieldErrors } from "~/core/issues";

/** What became of something done in the garden. */
export type Applied =
  | { status: "applied" }
  | { status: "refused"; sentence: string; fields: FieldErrors }
  /** It cannot be applied yet, but may be later. */
  | { status: "not now" };

export const applied: Applied = { status: "applied" };

/** Refused with the sentence for the whole, or with sentences by field of which the first speaks for all. */
export function refused(what: string | FieldErrors, fields: FieldErrors = {}): Applied {
  if (typeof what === "string") return { status: "refused", sentence: what, fields };
  return { status: "refused", sentence: Object.values(what)[0] ?? "This does not fit.", fields: what };
}
