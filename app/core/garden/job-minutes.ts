import { addDays } from "../calendar";
import type { DayRound } from "./day-rounds";
import { actsDue, type ActDue, type GardenAhead } from "./acts-due";
import type { ActMark } from "./act-mark";

/** Jobs take no more of a round than this share: what is more is done beside it, or left. Our judgement. */
const MOST_OF_A_ROUND = 0.5;

const isCover = (act: ActDue["act"]) => act === "cover" || act === "take the cover off";

/** In which round of its day an act is done: covers go on in the last and come off in the first, all else is done in the longest. */
export function roundFor<R extends Pick<DayRound, "minutes">>(
  { act }: Pick<ActDue, "act">,
  ofDay: readonly R[],
): R | undefined {
  const walked = ofDay.filter((r) => r.minutes > 0);
  if (isCover(act)) return act === "cover" ? walked.at(-1) : walked[0];
  return walked.reduce<R | undefined>((a, b) => (a && a.minutes >= b.minutes ? a : b), undefined);
}

/** Acts whose days hang on no plan, each time that they come in the days ahead. */
function fixedActs(ahead: GardenAhead, marks: readonly ActMark[]): ActDue[] {
  // What was done today has used today's minutes: it counts as due until the day is over.
  const before = marks.filter((m) => m.isSkipped || m.day !== ahead.today);
  const last = ahead.days.at(-1)!;
  return actsDue(ahead, null, before).flatMap((act) => {
    if (!act.everyDays) return [act];
    const times: ActDue[] = [];
    for (let day = act.day; day <= last; day = addDays(day, act.everyDays)) times.push({ ...act, day });
    return times;
  });
}

/** The rounds of the days ahead less what is done in them beside picking. */
export function lessJobs(rounds: readonly DayRound[], ahead: GardenAhead, marks: readonly ActMark[]): DayRound[] {
  const left = rounds.map((r) => ({ ...r }));
  for (const act of fixedActs(ahead, marks)) {
    const round = roundFor(act, left.filter((r) => ahead.days[r.day] === act.day)); // prettier-ignore
    if (!round) continue;
    const whole = rounds[left.indexOf(round)]!.minutes;
    round.minutes = Math.max(whole * (1 - MOST_OF_A_ROUND), round.minutes - act.minutes);
  }
  return left;
}
