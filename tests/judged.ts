import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, type IsoDay } from "~/core/calendar";
import { roughNormals, skyTrack } from "~/core/weather";
import { development, judge, type Look } from "~/core/readiness";

const crops = catalogue();
const normals = roughNormals(52);
export const HORIZON = 14;

/** A planting on a day, what was seen of it and what is coming, for tests of the judgement. */
export interface Situation {
  crop: string;
  started: IsoDay;
  today: IsoDay;
  looks?: Look[];
  lastFullPick?: IsoDay;
  school?: string;
  killedAfter?: number;
  free?: boolean[];
}

/** Judges it in a rough climate of 52° north. */
export function judged({ crop: id, started, today, looks = [], lastFullPick, school, killedAfter, free }: Situation) {
  const crop = crops.find((c) => c.id === id)!;
  const track = skyTrack([], [], normals, started, today, addDays(today, 90));
  const dev = development(crop, track, normals, started, lastFullPick ?? null, null, 0, school);
  const sound = Float64Array.from({ length: HORIZON }, (_, n) =>
    killedAfter !== undefined && n > killedAfter ? 0.15 : 1,
  );
  const threats =
    killedAfter === undefined
      ? []
      : [{ kind: "frost" as const, lastDayBefore: addDays(today, killedAfter), odds: 0.85, loss: 0.85 }];
  const handsFree = free ?? new Array<boolean>(HORIZON).fill(true);
  return judge({ crop, dev, looks, today, survival: { sound, threats }, handsFree, packetHighDays: crop.packet.high });
}

/** Looks of one day: [cue, reading] each. */
export const saw = (today: IsoDay, ...pairs: [string, string][]): Look[] =>
  pairs.map(([cueId, readingId]) => ({ cueId, readingId, takenOn: today }));
