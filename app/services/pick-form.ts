import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { CONDITIONS, FATES } from "~/core/ledger";

/** "on" from a form, "true" or "false" from a device, nothing when a box is not ticked. */
const checkbox = z
  .enum(["on", "true", "false", ""])
  .default("")
  .transform((v) => v === "on" || v === "true");

/** A pick as it comes from a form or from a device's outbox: text as typed. */
export const PickForm = z.object({
  id: z.uuid("The entry has no number of its own; reload the page."),
  plantingId: z.string().min(1),
  roundId: z.string().optional(),
  pickedOn: IsoDay,
  outcome: z.enum(["picked", "nothing ready"]),
  tookAll: checkbox,
  count: z.string().trim().default(""),
  weight: z.string().trim().default(""),
  containerId: z.string().default(""),
  containerCount: z.string().trim().default("1"),
  estimated: checkbox,
  condition: z.enum(CONDITIONS).default("sound"),
  fate: z.enum(FATES).default("eat now"),
  note: z.string().trim().max(500, "Keep the note under 500 letters.").default(""),
});
export type PickForm = z.infer<typeof PickForm>;

/** Sentences by field of the form. */
export type FieldErrors = Partial<Record<string, string>>;

/** First message of each field of a failed parse. */
export function fieldErrors(error: z.ZodError): FieldErrors {
  const errors: FieldErrors = {};
  for (const issue of error.issues) errors[String(issue.path[0] ?? "form")] ??= issue.message;
  return errors;
}
