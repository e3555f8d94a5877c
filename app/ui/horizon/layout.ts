/** Width of the names beside the days, at the table. */
export const LABELS = { md: "336px" };
/** Height of a planting's ridge, px. */
export const ROW_HEIGHT = 40;
