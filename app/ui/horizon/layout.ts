/** Width of the names beside the days, at the table. */
export const LABELS = { md: "336px" };
