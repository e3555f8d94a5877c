import type { FieldErrors } from "~/core/issues";
import type { UnitSystem } from "~/core/units";
import type { ContainerToChoose } from "~/views/ledger/container-words";
import type { lineView } from "~/views/ledger/line-view";

/** What the page of a line is drawn from. */
export type LineOfLedger = ReturnType<typeof lineView> & {
  containers: ContainerToChoose[];
  /** Who picks here; none in a household of one. */
  people: string[];
  units: UnitSystem;
  today: string;
  earlier: { until: string; was: string }[];
};

/** What became of a form of this page. */
export type LineAnswer = { at: "line" | "lot"; errors: FieldErrors } | undefined;
