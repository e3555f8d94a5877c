import { daysBetween, type IsoDay } from "../calendar";
import type { Meaning } from "../crops";
import { cueScale } from "./likelihood";
import type { KnownLook } from "./look";
import { isShared } from "./shared-looks";

/** A reading that settles the matter by itself: a bite, a bolting stalk, too few leaves. */
export interface Flag {
  means: Extract<Meaning, "unfit" | "now" | "past" | "early">;
  look: KnownLook;
}

/** A flag that speaks of some pieces only. */
export interface PartFlag extends Flag {
  /** Share of the pieces it speaks of, 0 to 1. */
  share: number;
  /** How many they are, where it was told or follows. */
  pieces: number | null;
}

export interface Flags {
  /** Strongest of those that speak of the whole planting. */
  whole: Flag | undefined;
  /** Those that speak of a part, strongest first. */
  parts: PartFlag[];
}

const FORCE: Flag["means"][] = ["unfit", "now", "past", "early"];
/** From this share on it is true of all of it: our judgement. */
const NEARLY_ALL = 0.9;
/** So many looked at that all read so stand for the rest too: our judgement. */
const SAMPLE_OF_ALL = 10;
/** A bite or a split seen longer ago than this is no longer news: our judgement. */
const FLAG_DAYS = 3;

/**
 * The flags among the looks, those of some pieces apart from those of the planting: one bolted onion is one, rust on
 * many leaves is the bed's. A weak cue never settles anything but what is unfit to eat.
 *
 * @param looks - of this cycle
 * @param pieces - how many the planting has; undefined: every flag speaks of all of it
 * @param days - how long a flag is news
 */
export function flagsOf(
  looks: readonly KnownLook[],
  pieces: number | undefined,
  today: IsoDay,
  days = FLAG_DAYS,
): Flags {
  const flags = looks
    .filter((l) => daysBetween(l.takenOn, today) <= days)
    .flatMap((look): Flag[] => {
      const means = flagged(look);
      return means ? [{ means, look }] : [];
    })
    .sort((a, b) => FORCE.indexOf(a.means) - FORCE.indexOf(b.means));
  const told: Flags = { whole: undefined, parts: [] };
  for (const flag of flags) {
    const share = shareOf(flag.look, pieces);
    if (share >= NEARLY_ALL) told.whole ??= flag;
    else told.parts.push({ ...flag, share, pieces: pieces === undefined ? null : Math.max(1, Math.round(share * pieces)) }); // prettier-ignore
  }
  return told;
}

function flagged(look: KnownLook): Flag["means"] | undefined {
  const { means } = look.reading;
  if (means === "unfit") return means;
  // A rule laid against it leaves nothing to likelihoods.
  if (means === "past" && look.measuredMm !== undefined && look.cue.weight === "decisive") return means;
  const scaled = cueScale(look.cue)?.readingIds.includes(look.readingId) ?? false;
  // Of some pieces a step of ripeness is a share of them; what is past is told apart.
  if (scaled && isShared(look)) return means === "past" ? means : undefined;
  if (scaled && means !== "now") return undefined;
  if (means === "past" && look.cue.weight === "weak") return undefined;
  return means === "now" || means === "past" || means === "early" ? means : undefined;
}

/** Share of the planting that a flag speaks of: as told, or of what is read piece by piece, those looked at. */
function shareOf({ share, reading, sampleOf = 1 }: KnownLook, pieces: number | undefined): number {
  if (share !== undefined) return share;
  if (reading.of === "planting" || pieces === undefined || sampleOf >= SAMPLE_OF_ALL) return 1;
  return sampleOf / Math.max(pieces, sampleOf);
}
