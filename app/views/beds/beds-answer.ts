import type { FieldErrors } from "~/core/entries";

/** What the beds' page gets back: of which form, what is wrong by field, or what was done. */
export interface BedsAnswer {
  at: string;
  sentence?: string;
  errors?: FieldErrors;
  /** A line read back for confirmation. */
  understood?: { line: string; words: string };
  done?: string;
}
