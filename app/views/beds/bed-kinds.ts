import { BED_CLIMATES } from "~/core/hazards";

/** Kinds of beds as a form offers them. */
export const BED_KIND_LABELS = Object.entries(BED_CLIMATES).map(([kind, { label }]) => ({ kind, label }));
