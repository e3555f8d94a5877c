import type { BanReason } from "~/core/garden";

/** Why nobody may pick on a day, to stand after a colon. */
export const BANS: Record<BanReason, string> = {
  treated: "still within the days of the label",
  helper: "not the helper’s to pick",
  "frozen ground": "the ground is frozen",
  "wet leaves": "leaves are wet in all your minutes",
};
