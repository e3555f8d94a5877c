import type { IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { plantsOf } from "~/core/life";
import { cueScale, judgeLifted, type Look } from "~/core/readiness";
import type { Planned } from "../planned";
import { cueView } from "./cue-view";
import { verdictSentence } from "../sentences/verdict";

/** So long after its cure what was lifted is still asked for, days: our judgement. */
const ASKED_DAYS = 60;

/** What to do with what was lifted, and the cues that tell; null for what keeps giving, and long after. */
export function liftedView(
  crop: Crop,
  planting: { plants: number; lengthM: number | null },
  on: IsoDay,
  looks: readonly Look[],
  { today, units }: Pick<Planned, "today" | "units">,
) {
  if (crop.mode !== "once") return null;
  const pieces = Math.max(1, Math.round(plantsOf(crop, planting) * crop.piecesPerPlant.value));
  const { verdict, nextLooks, lying } = judgeLifted(crop, { on, looks, pieces }, today);
  if (lying > (crop.life.cure?.high ?? 0) + ASKED_DAYS) return null;
  const ofToday = looks.filter((l) => l.takenOn === today);
  const order = [...nextLooks, ...crop.liftedCues.filter((c) => !nextLooks.includes(c))];
  return {
    says: verdictSentence(verdict, { crop, today, units }),
    urgent: verdict.kind === "use first" || verdict.kind === "unfit",
    several: pieces > 1,
    plants: pieces,
    countable: null,
    piece: crop.piece,
    repeats: false,
    // Whether it is cured is asked until somebody has felt it.
    lead: nextLooks[0] && (ofToday.length === 0 || cueScale(nextLooks[0])) ? 1 : 0,
    cues: order.map((cue) =>
      cueView(crop, cue, { units, today }, 0, {
        now: ofToday.findLast((l) => l.cueId === cue.id),
        before: looks.findLast((l) => l.cueId === cue.id && l.takenOn < today),
        mix: ofToday.filter((l) => l.cueId === cue.id && l.share !== undefined),
      }),
    ),
  };
}
