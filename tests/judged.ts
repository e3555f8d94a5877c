import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, type IsoDay } from "~/core/calendar";
import { ofVariety, type Crop, type Variety } from "~/core/crops";
import type { RainOutlook, Threat } from "~/core/hazards";
import { assess, development, judge, normalDaysTo, type Look } from "~/core/readiness";
import { roughNormals, skyTrack } from "~/core/weather";
import { howToTake, waitingSentence } from "~/views/sentences/how-to";
import { conflictSentence, verdictSentence } from "~/views/sentences/verdict";

const crops = catalogue();
const normals = roughNormals(52);
export const HORIZON = 14;

/** A planting on a day, what was seen of it and what is coming, for tests of the judgement. */
export interface Situation {
  crop: string;
  /** When it started; left out, so long ago that it has just reached its usual day. */
  started?: IsoDay;
  /** Days before (−) or after (+) its usual day, in place of `started`. */
  packetDay?: number;
  today: IsoDay;
  looks?: Look[];
  lastFullPick?: IsoDay;
  school?: [string, string];
  /** What ends it, after day n of the horizon. */
  threat?: { kind: Threat["kind"]; after: number; loss?: number; days?: number };
  free?: boolean[];
  /** Days without free hands are no trip. */
  noTrip?: boolean;
  forSeed?: boolean;
  bedNeededOn?: IsoDay;
  firstPickOn?: IsoDay;
  growingYear?: number;
  soakedDaysAgo?: number;
  /** Dry days running from each day of the horizon. */
  dryRun?: number[];
  variety?: Omit<Variety, "cropId" | "name">;
}

const DRY: RainOutlook = { soakedDaysAgo: null, dryRun: new Array<number>(HORIZON).fill(7) };

/** Judges it in a rough climate of 52° north, and says it as the screens would. */
export function judged(s: Situation) {
  const { crop, judgement } = judgementOf(s);
  const words = { crop, today: s.today, units: "metric" as const };
  return {
    ...judgement,
    verdict: { ...judgement.verdict, sentence: verdictSentence(judgement.verdict, words) },
    conflict: judgement.conflict && conflictSentence(judgement.conflict),
    how: howToTake(crop, s.school ? { [s.school[0]]: s.school[1] } : {}, judgement.verdict),
    waiting: waitingSentence(crop, judgement, s.today),
  };
}

function judgementOf(s: Situation) {
  const plain = crops.find((c) => c.id === s.crop)!;
  const crop = ofVariety(plain, s.variety);
  const { today } = s;
  const started = s.started ?? startFor(crop, addDays(today, -(s.packetDay ?? 0)));
  const track = skyTrack([], [], normals, started, today, addDays(today, 90));
  const dev = development(crop, track, normals, {
    startedOn: started,
    lastFullPickOn: s.lastFullPick ?? null,
    schools: s.school ? { [s.school[0]]: s.school[1] } : {},
  });
  const { threat } = s;
  const loss = threat?.loss ?? 0.85;
  const sound = new Float64Array(HORIZON).fill(1);
  const threats: Threat[] = [];
  if (threat)
    for (let d = 0; d < (threat.days ?? 1); d++) {
      threats.push({ kind: threat.kind, lastDayBefore: addDays(today, threat.after + d), odds: 0.85, loss });
      for (let n = threat.after + d + 1; n < HORIZON; n++) sound[n]! *= 1 - loss;
    }
  const judgement = judge({
    crop,
    dev,
    assessment: assess(crop, dev, s.looks ?? [], today),
    today,
    survival: { sound, bears: sound, threats },
    rain: { soakedDaysAgo: s.soakedDaysAgo ?? null, dryRun: s.dryRun ?? DRY.dryRun },
    handsFree: s.free ?? new Array<boolean>(HORIZON).fill(true),
    // Nobody there means a trip, unless told otherwise.
    ...(s.free && s.noTrip !== true ? { away: s.free.map((free) => !free) } : {}),
    packetHighDays: crop.packet.high,
    ...(s.forSeed ? { forSeed: true } : {}),
    bedNeededOn: s.bedNeededOn ?? null,
    firstPickOn: s.firstPickOn ?? null,
    growingYear: s.growingYear ?? null,
  });
  return { crop, judgement };
}

/** The start from which a crop comes to its usual day on a given one, by its heat. */
function startFor(crop: Crop, readyOn: IsoDay): IsoDay {
  const { low, high } = crop.life.heat;
  const { baseC, upperC } = crop.degreeDays;
  let days = Math.round((crop.packet.low + crop.packet.high) / 2);
  for (let n = 0; n < 8; n++) {
    const taken = normalDaysTo(Math.sqrt(low * high), normals, addDays(readyOn, -days), baseC, upperC);
    days = Math.round((days + taken) / 2);
  }
  return addDays(readyOn, -days);
}

/** Looks of one day: [cue, reading] each. */
export const saw = (today: IsoDay, ...pairs: [string, string][]): Look[] =>
  pairs.map(([cueId, readingId]) => ({ cueId, readingId, takenOn: today }));
