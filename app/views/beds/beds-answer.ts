import type { FieldErrors } from "~/core/issues";
import type { LinesView } from "./lines-view";

/** What was added together, so that it can be taken back as one. */
export interface AddedTogether {
  plantings: string[];
  beds: string[];
}

/** What the beds' page gets back: of which form, what is wrong by field, or what was done. */
export interface BedsAnswer {
  at: string;
  sentence?: string;
  errors?: FieldErrors;
  /** Lines read back for confirmation. */
  lines?: LinesView;
  /** Lines to look through before they are read. */
  draft?: string;
  added?: AddedTogether;
  done?: string;
}
