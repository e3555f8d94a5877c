import { addDays, type IsoDay } from "~/core/calendar";
import { developmentOn, readableCues, readPiece } from "~/core/practice";
import { assess, judge, type Look } from "~/core/readiness";
import { normalDraw, seeded } from "~/core/statistics";
import { gardener, knownTo, type TruthCase } from "./truth-garden";

/** Pieces of a planting, and how many of them somebody looks at. */
const PIECES = 60;
const LOOKED_AT = 20;
/** The eye rounds a share to tenths, and what is under this is not told. */
const TENTH = 0.1;
const LEAST = 0.05;
/** Plantings' pieces lie half to twice as far apart as is usual for the crop. */
const REACH = 2;
/** So many days later nobody has looked again. */
export const LATER_DAYS = 3;

/** How far the share told as ready lies from the true one, on the day of the look and some days later. */
export function shareErrors(c: TruthCase, today: IsoDay, seed: number): { now: number; later: number } | undefined {
  const uniform = seeded(seed * 11 + 7);
  const dev = knownTo(c, today);
  const { lag } = dev.pieces;
  const spread = dev.pieces.spread * Math.exp(Math.log(REACH) * (uniform() * 2 - 1));
  const apart = Array.from({ length: PIECES }, () => Math.exp(-spread * (normalDraw(uniform) + lag)));
  const cue = readableCues(c.crop).find((q) => q.weight === "decisive" && q.kind !== "time");
  if (!cue) return undefined;
  const truly = (day: IsoDay) => {
    const u = developmentOn(c.truth, day);
    return apart.filter((a) => u * a >= 1).length / PIECES;
  };
  const person = gardener(seed * 5 + 1);
  const count = new Map<string, number>();
  const u = developmentOn(c.truth, today);
  for (const a of apart.slice(0, LOOKED_AT)) {
    const { id } = readPiece(person, c.truth, cue, u * a);
    count.set(id, (count.get(id) ?? 0) + 1 / LOOKED_AT);
  }
  const looks = [...count].flatMap(([readingId, seen]): Look[] => {
    const share = Math.min(1, Math.round(seen / TENTH) * TENTH);
    return share < LEAST ? [] : [{ cueId: cue.id, readingId, takenOn: today, share }];
  });
  const told = (day: IsoDay) => {
    const known = knownTo(c, day);
    const judgement = judge({
      crop: c.crop,
      dev: known,
      assessment: assess(c.crop, known, looks, day),
      today: day,
      survival: { sound: new Float64Array(14).fill(1), bears: new Float64Array(14).fill(1), threats: [] },
      rain: { soakedDaysAgo: null, dryRun: new Array<number>(14).fill(7) },
      handsFree: new Array<boolean>(14).fill(true),
      packetHighDays: c.packet.high,
      pieces: PIECES,
    });
    const past = judgement.verdict.apart.reduce((sum, a) => sum + (a.means === "past" ? a.share : 0), 0);
    return day === today ? judgement.shareReady * (1 - past) + past : judgement.shareReady;
  };
  const later = addDays(today, LATER_DAYS);
  return { now: Math.abs(told(today) - truly(today)), later: Math.abs(told(later) - truly(later)) };
}
