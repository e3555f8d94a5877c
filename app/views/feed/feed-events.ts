import { addDays, clockTime, minutesOf, type DatedEvent, type IsoDay, type LocalMoment } from "~/core/calendar";
import type { PayingAct } from "~/core/garden";
import { COVERS, type CoverNight } from "~/core/hazards";
import type { Stop } from "~/core/rounds";
import type { Planned } from "../planned";
import { comesTo, plannedRounds, type PlannedRound } from "../round/planned-walk";
import { startOfRound, type PlaceOfGarden } from "../round/start";
import { gathered, type JobTold } from "../sentences/acts-due";
import { actSentences } from "../sentences/paying-acts";
import { counted, cropAndVariety, listOf, lower, sayInUnits, sayPieces, sayRoughly } from "../words";

/** When an act is due: our judgement. */
const EVENING_ACT = "16:30";
const MORNING_ACT = "08:30";
const COVERS_OFF = "10:00";
const ACT_MINUTES = 15;
const ROUND_ALARM = 30;
const ACT_ALARM = 60;

/**
 * What is dated in the plan, for calendars: its rounds with what they come for, the covers that were noted with when they
 * come off, the jobs beside picking, looks that no round comes to, and the acts that would pay.
 */
export function feedEvents(
  planned: Planned,
  place: PlaceOfGarden,
  acts: readonly PayingAct[],
  jobs: readonly JobTold[],
): DatedEvent[] {
  const { outlook, today, units } = planned;
  const rounds = outlook.days.flatMap((day, n) => plannedRounds(planned, n).map((round) => roundEvent(planned, place, day, round))); // prettier-ignore
  const covers = outlook.covers.filter((c) => c.evening >= today).flatMap((c) => coverEvents(planned, c));
  const paying = acts.flatMap((act) => payingEvents(planned, act));
  // Covers that were noted have events of their own.
  const beside = gathered(jobs.filter((job) => job.plantingId !== null && !(job.isLook && comesTo(planned, job.day, job.plantingId)))).map(jobEvent); // prettier-ignore
  return [...rounds, ...covers, ...paying, ...beside].map((event) => ({
    ...event,
    title: sayInUnits(event.title, units),
    text: sayInUnits(event.text, units),
  }));
}

function roundEvent(planned: Planned, place: PlaceOfGarden, day: IsoDay, round: PlannedRound): DatedEvent {
  const { slot, walk } = round;
  const { from, to } = startOfRound(planned, round, place, null);
  const minutes = to - from;
  const brings = walk.grams > 0 ? `, about ${sayRoughly(walk.grams, planned.units)}` : "";
  const beds = counted(new Set(walk.stops.map((s) => s.bedId)).size, "bed");
  return {
    uid: `round-${day}-${slot ?? "day"}`,
    ...lasting(day, from, minutes),
    title: `Garden round: ${beds}, ${counted(minutes, "minute")}${brings}`,
    text: [...walk.stops.map((stop) => stopWords(stop, planned)), walk.kit.length > 0 ? `Take: ${listOf(walk.kit)}.` : ""].filter(Boolean).join("\n"), // prettier-ignore
    alarmMinutes: ROUND_ALARM,
  };
}

function stopWords({ bedName, part, errands, jobs }: Stop, { units }: Planned): string {
  const words = errands.map((e) => {
    const name = cropAndVariety(e.crop.name, e.variety);
    return e.doing === "look" ? `look at ${name}` : `${name}: ${sayPieces(e.crop, e.pieces, units)}`;
  });
  return `${bedName}${part === "later" ? ", once dry" : ""}: ${[...words, ...jobs.map((job) => lower(job.words))].join("; ")}`;
}

function lasting(day: IsoDay, from: number, minutes: number): { from: LocalMoment; to: LocalMoment } {
  return { from: `${day}T${clockTime(from)}`, to: `${day}T${clockTime(from + minutes)}` };
}

/** A cover that was noted, and when it comes off again. */
function coverEvents({ outlook }: Planned, { bedId, evening, cover }: CoverNight): DatedEvent[] {
  const bed = outlook.plantings.find((p) => p.bed.id === bedId)?.bed.name;
  if (!bed) return [];
  const byDay = COVERS[cover].gainC === 0;
  const on = (day: IsoDay) => outlook.covers.some((c) => c.bedId === bedId && c.cover === cover && c.evening === day);
  const words = COVERS[cover].words;
  const events: DatedEvent[] = [];
  // What stays through several days goes up once and comes down once.
  if (!byDay || !on(addDays(evening, -1))) {
    const title = cover === "indoors" ? `Bring in ${bed}` : `Cover ${bed}: ${words}`;
    events.push({ uid: `cover-${bedId}-${evening}`, ...lasting(evening, minutesOf(byDay ? MORNING_ACT : EVENING_ACT), ACT_MINUTES), title, text: "As noted under Sky & away.", alarmMinutes: ACT_ALARM }); // prettier-ignore
  }
  if (!byDay || !on(addDays(evening, 1))) {
    const off = addDays(evening, 1);
    const title = cover === "indoors" ? `Carry ${bed} out again` : `Take the cover off ${bed}`;
    events.push({ uid: `uncover-${bedId}-${evening}`, ...lasting(off, minutesOf(COVERS_OFF), ACT_MINUTES), title, text: "Covers off by mid-morning, so that what is under them neither cooks nor stays dry.", alarmMinutes: ACT_ALARM }); // prettier-ignore
  }
  return events;
}

/** A job beside picking; looks of a day are one event, which stands when what is looked at changes. */
const jobEvent = ({ keys, day, lead, act, text, minutes, isLook }: JobTold): DatedEvent => ({
  uid: isLook ? `look-${day}` : `job-${keys[0]!.replace(/[^\w-]+/g, "-")}`,
  ...lasting(day, minutesOf(isLook ? EVENING_ACT : MORNING_ACT), Math.max(ACT_MINUTES, Math.round(minutes))),
  title: keys.length > 1 && isLook ? `${act}: ${keys.length} plantings` : lead,
  text: isLook ? lead : text,
  alarmMinutes: ACT_ALARM,
});

/** An act that would pay, with its reason; what was noted already is an event of its own. */
function payingEvents(planned: Planned, act: PayingAct): DatedEvent[] {
  const [words] = actSentences(planned, [act]);
  const [day] = act.days;
  if (!words || !day) return [];
  const at = act.way === "covered" || act.way === "stripped" ? EVENING_ACT : MORNING_ACT;
  return [
    {
      uid: `act-${act.way}-${act.bedId}-${day}`,
      ...lasting(day, minutesOf(at), Math.max(ACT_MINUTES, Math.round(act.minutes))),
      title: `Worth doing: ${words.lead}`,
      text: words.text,
      alarmMinutes: ACT_ALARM,
    },
  ];
}
