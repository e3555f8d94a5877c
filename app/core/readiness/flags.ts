import type { Meaning } from "../crops";
import { cueScale } from "./likelihood";
import type { KnownLook } from "./look";

/** A reading that settles the matter by itself: a bite, a bolting stalk, too few leaves. */
export interface Flag {
  means: Extract<Meaning, "unfit" | "now" | "past" | "early">;
  look: KnownLook;
}

const FORCE: Flag["means"][] = ["unfit", "now", "past", "early"];

/**
 * The strongest flag among the looks: unfit over now over past over early. A weak cue never settles
 * anything but what is unfit to eat.
 *
 * @param looks - of this cycle
 */
export function strongestFlag(looks: readonly KnownLook[]): Flag | undefined {
  const flags = looks.flatMap((look): Flag[] => {
    const { means } = look.reading;
    if (means === "unfit") return [{ means, look }];
    // A rule laid against it leaves nothing to likelihoods.
    if (means === "past" && look.measuredMm !== undefined && look.cue.weight === "decisive") return [{ means, look }];
    const scaled = cueScale(look.cue)?.readingIds.includes(look.readingId) ?? false;
    if (scaled && means !== "now") return [];
    if (means === "past" && look.cue.weight === "weak") return [];
    return means === "now" || means === "past" || means === "early" ? [{ means, look }] : [];
  });
  return flags.sort((a, b) => FORCE.indexOf(a.means) - FORCE.indexOf(b.means))[0];
}
