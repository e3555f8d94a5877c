import { addDays, daysBetween, type IsoDay } from "../calendar";
import type { Crop } from "../crops";
import { flagsOf, type PartFlag } from "./flags";
import { cueScale, STAGE_OF } from "./likelihood";
import { knownLooks, type KnownLook, type Look } from "./look";
import { answer } from "./step";
import type { TellingCue } from "./next-looks";
import type { Apart, Verdict } from "./verdict-reason";

/** What was taken as a whole and now lies somewhere. */
export interface Lifted {
  on: IsoDay;
  /** Looks at what was lifted. */
  looks: readonly KnownLook[];
  /** Looks at it while it stood: a bolted stem stays one. */
  before: readonly KnownLook[];
  /** How many pieces there are, so that what is read of one speaks of one. */
  pieces: number | undefined;
}

/** What was seen while it stood is remembered so long, and what is read of it lying until it is read again: our judgement. */
const REMEMBERED_DAYS = 14;
const LYING_DAYS = 400;
/** Days to the next look at what is nearly cured, and at most at what is not. */
const NEARLY_DAYS = 2;
const CURING_DAYS = 7;

/**
 * What to do with a crop once it is lifted: cure on, store, use first, or throw out, by what was seen of it, and by
 * its days where nobody has looked.
 */
export function liftedVerdict(crop: Crop, lifted: Lifted, today: IsoDay): Verdict {
  const flags = flagsOf([...newest(lifted.looks), ...flagsBefore(lifted)], lifted.pieces, today, LYING_DAYS);
  const apart = flags.parts.filter((f) => f.means !== "early").map(apartOf);
  const { whole } = flags;
  if (whole?.means === "unfit") return answer("unfit", { why: "unfit", advice: adviceOf(whole.look) }, 1, { apart });
  const first = whole && whole.means !== "early" ? whole.look : undefined;
  const verdict =
    curing(crop, lifted, today, first !== undefined) ?? (first ? firstUsed(first) : keeps(crop, lifted.on, today));
  return { ...verdict, apart };
}

const adviceOf = ({ reading }: KnownLook) => reading.advice ?? null;

export const apartOf = ({ means, share, pieces, look }: PartFlag): Apart => ({
  means,
  share,
  pieces,
  reading: look.reading.text,
  advice: adviceOf(look),
});

/** Of each cue its newest day: what was wet last week is not wet now. */
function newest(looks: readonly KnownLook[]): KnownLook[] {
  return looks.filter((l) => !looks.some((other) => other.cueId === l.cueId && other.takenOn > l.takenOn));
}

function flagsBefore({ before, on }: Lifted): KnownLook[] {
  return before.filter(
    (l) => ["flower", "damage"].includes(l.cue.kind) && daysBetween(l.takenOn, on) <= REMEMBERED_DAYS,
  );
}

/** Not cured yet, or due to be looked at; undefined once it is, and for what needs no curing. */
function curing(crop: Crop, { on, looks }: Lifted, today: IsoDay, first: boolean): Verdict | undefined {
  const seen = newest(looks)
    .filter((l) => cueScale(l.cue)?.readingIds.includes(l.readingId))
    .sort((a, b) => b.takenOn.localeCompare(a.takenOn) || STAGE_OF[a.reading.means]! - STAGE_OF[b.reading.means]!)[0];
  const then = first ? "use first" : "store";
  const stage = seen && STAGE_OF[seen.reading.means]!;
  if (stage !== undefined && stage >= 2) return undefined;
  const { cure } = crop.life;
  const lying = daysBetween(on, today);
  if (seen) {
    const left = Math.max(NEARLY_DAYS, Math.min(CURING_DAYS, (cure?.low ?? 0) - lying));
    const lookAgain = addDays(seen.takenOn > today ? today : seen.takenOn, stage === 1 ? NEARLY_DAYS : left);
    const due = lookAgain < today;
    return answer("cure on", { why: "curing", advice: adviceOf(seen), until: null, due, then }, 1, {
      lookAgain: due ? today : lookAgain,
    });
  }
  if (!cure) return undefined;
  const until = addDays(on, cure.low);
  const due = until <= today;
  return answer("cure on", { why: "curing", advice: cure.how, until, due, then }, 1, {
    lookAgain: due ? today : until,
  });
}

const firstUsed = (look: KnownLook): Verdict =>
  answer("use first", { why: "will not keep", advice: look.reading.advice ?? look.reading.text }, 1);

/** A store that lasts for weeks has no day that is worth naming. */
const NAMED_DAYS = 45;

function keeps(crop: Crop, on: IsoDay, today: IsoDay): Verdict {
  const { lowDays, highDays } = crop.life.storage;
  const until = addDays(on, Math.round(lowDays));
  if (today > addDays(on, Math.round(highDays))) return answer("use first", { why: "kept long", days: daysBetween(on, today) }, 1); // prettier-ignore
  return answer("store", { why: "keeps", until: lowDays <= NAMED_DAYS ? until : null }, 1);
}

/** Cues to read of what lies, those that tell whether it is cured first. */
export function liftedLooks({ liftedCues }: Crop, looks: readonly KnownLook[], today: IsoDay): TellingCue[] {
  const read = new Set(looks.filter((l) => l.takenOn === today).map((l) => l.cueId));
  return liftedCues
    .filter((cue) => !read.has(cue.id))
    .map((cue) => ({ cue, bits: cueScale(cue) ? 1 : 0 }))
    .sort((a, b) => b.bits - a.bits);
}

/**
 * The same for a season that is over, from all its looks.
 *
 * @throws {LookRefused} for a look that the crop does not know
 */
export function judgeLifted(
  crop: Crop,
  { on, looks, pieces }: { on: IsoDay; looks: readonly Look[]; pieces: number },
  today: IsoDay,
) {
  const known = knownLooks(crop, looks).filter((l) => l.takenOn <= today);
  const lying = known.filter((l) => crop.liftedCues.includes(l.cue));
  const before = known.filter((l) => !crop.liftedCues.includes(l.cue));
  return {
    verdict: liftedVerdict(crop, { on, looks: lying, before, pieces }, today),
    nextLooks: liftedLooks(crop, lying, today).map((n) => n.cue),
    lying: daysBetween(on, today),
  };
}
