import { actsDue } from "~/core/garden";
import { clockTime } from "~/core/calendar";
import type { Stop } from "~/core/rounds";
import { comesTo, plannedRounds } from "../round/planned-walk";
import { startOfRound, type PlaceOfGarden } from "../round/start";
import { gathered, jobsTold, type JobTold } from "../sentences/acts-due";
import type { Planned } from "../planned";
import { bandsOf } from "../sky/bands";
import { capital, cropAndVariety, longDay, sayPieces, sayRoughly, saySlot } from "../words";

/** A bed of a round, in a line. */
interface PaperStop {
  key: string;
  bed: string;
  words: string[];
}

/** A round of a day. */
interface PaperRound {
  key: string;
  /** "In the morning, from about 07:30 · 30 min · about 5.8 kg". */
  lead: string;
  stops: PaperStop[];
}

export interface PaperDay {
  day: string;
  words: string;
  /** Frost, storm, heat or absence that day. */
  notes: string[];
  rounds: PaperRound[];
  /** What else is due: jobs, and plantings to look at again. */
  beside: string[];
}

/** The plan of the coming days for paper: days with nothing to do are left out, and told in one line. */
export function paperPlan(planned: Planned, place: PlaceOfGarden): { days: PaperDay[]; free: string; sums: string } {
  const { outlook, plan, units } = planned;
  const jobs = jobsTold(planned, actsDue(outlook, plan, outlook.actMarks));
  const all = outlook.days.map((day, n): PaperDay => {
    const rounds = plannedRounds(planned, n);
    const onRounds = new Set(rounds.flatMap((r) => r.walk.stops.flatMap((s) => s.jobs.flatMap((job) => job.keys))));
    const beside = jobs.filter((job) => job.day === day && !onRounds.has(job.keys[0]!) && !(job.isLook && comesTo(planned, day, job.plantingId))); // prettier-ignore
    return {
      day,
      words: longDay(day),
      notes: bandsOf(planned).flatMap((band) =>
        band.label && band.from < n + 1 && band.to > n && (band.kind !== "away" || outlook.away[n])
          ? [band.label.words]
          : [],
      ),
      rounds: rounds.map((round) => {
        const { from } = startOfRound(planned, round, place, null);
        const when = [round.slot && round.isOneOfSeveral ? `${capital(saySlot(round.slot))}, from` : "From", "about", clockTime(from)].join(" "); // prettier-ignore
        const brings = round.walk.grams > 0 ? `about ${sayRoughly(round.walk.grams, units)}` : null;
        return {
          key: `${day} ${round.slot}`,
          lead: [when, `${Math.round(round.walk.minutes)} min`, brings].filter(Boolean).join(" · "),
          stops: round.walk.stops.map((stop) => paperStop(stop, planned)),
        };
      }),
      beside: gathered(beside).map(besideWords),
    };
  });
  const isFree = (d: PaperDay) => d.rounds.length + d.beside.length === 0;
  const grams = outlook.days.reduce(
    (sum, _, n) => sum + plannedRounds(planned, n).reduce((all, r) => all + r.walk.grams, 0),
    0,
  );
  const minutes = outlook.days.reduce(
    (sum, _, n) => sum + plannedRounds(planned, n).reduce((all, r) => all + r.walk.minutes, 0),
    0,
  );
  return {
    days: all.filter((d) => !isFree(d)),
    free: all.filter(isFree).map((d) => d.words).join("; "), // prettier-ignore
    sums:
      grams > 0
        ? `About ${sayRoughly(grams, units)} in ${Math.round(minutes)} minutes.`
        : "Nothing to pick is planned.",
  };
}

const besideWords = ({ lead, minutes }: JobTold) => (minutes >= 1 ? `${lead}, ${Math.round(minutes)} min` : lead);

function paperStop({ key, bedName, part, errands, jobs }: Stop, { units }: Planned): PaperStop {
  return {
    key,
    bed: `${bedName}${part === "later" ? ", once dry" : ""}`,
    words: [
      ...errands.map((e) => {
        const name = cropAndVariety(e.crop.name, e.variety);
        return e.doing === "look" ? `look at ${name}` : `${name}: ${sayPieces(e.crop, e.pieces, units)}`;
      }),
      ...jobs.map((job) => job.words),
    ],
  };
}
