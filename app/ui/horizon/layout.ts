/** Width of the names beside the days, at the table. */
export const LABELS = { md: "336px" };
/** Height of a planting's ridge, px. */
export const ROW_HEIGHT = 40;
/** Height of a worth on the ridge, px from its top. */
export const ridgeY = (worth: number) => ROW_HEIGHT - 1 - worth * (ROW_HEIGHT - 9);
