import type { z } from "zod";
import { issueSentence } from "./issue-sentence";

/** Sentences by field of a form or an entry. */
export type FieldErrors = Partial<Record<string, string>>;

/** First sentence of each field of a failed parse. */
export function fieldErrors(error: z.ZodError): FieldErrors {
  const errors: FieldErrors = {};
  for (const issue of error.issues) errors[String(issue.path[0] ?? "form")] ??= issueSentence(issue);
  return errors;
}
