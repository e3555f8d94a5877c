import type { IsoDay } from "~/core/calendar";
import { plannedPicks, type PlantingOutlook, type SeasonLife } from "~/core/garden";
import type { Ending } from "~/core/life";
import type { Planned } from "../planned";
import { between, counted, sayDay, sayExpected, sayPieces, shortDay } from "../words";

const ENDINGS: Record<Ending, string> = {
  spent: "spent",
  bolted: "run to flower",
  cold: "the cold takes it",
  age: "it is time to let it grow",
  past: "past its best",
  spring: "spring makes it shoot",
  dark: "the days get too cool",
};

/** What of its season has come, what is expected and how sure, a sentence each. */
export function seasonSentences(
  { today, units, outlook, plan }: Planned,
  p: PlantingOutlook,
  life: SeasonLife,
): string[] {
  const { crop, rate } = p;
  const says: string[] = [];
  const range = (r: { p10: IsoDay | null; p90: IsoDay | null }) => r.p10 && r.p90 ? `between ${sayDay(r.p10, today)} and ${sayDay(r.p90, today)}` : "beyond this outlook"; // prettier-ignore
  if (life.opens) {
    const { p50 } = life.opens;
    const open = p50 !== null && p50 <= today;
    says.push(open ? `By its dates the first pick was due about ${shortDay(p50, today)}; nobody has logged one.` : `First pick ${p50 ? `about ${sayDay(p50, today)}` : "later than this outlook reaches"}${life.opens.p10 && life.opens.p90 ? `, ${range(life.opens)} in eight years of ten` : ""}.`); // prettier-ignore
  }
  const next = plannedPicks(p, plan.picks)[0];
  if (next) says.push(`Next pick planned ${sayDay(outlook.days[next.day]!, today)}, ${sayExpected(crop, next.pieces, p.doubt, units)}.`); // prettier-ignore
  if (life.ends && life.ends.p90 >= today)
    says.push(
      `It ends about ${shortDay(life.ends.p50, today)}${life.ends.p10 === life.ends.p90 ? "" : `, ${range(life.ends)}`}${life.ends.by ? `: ${ENDINGS[life.ends.by]}` : ""}.`,
    );
  const { low, high } = life.pieces;
  const whole = between(sayPieces(crop, low, units), sayPieces(crop, high, units));
  const { seasons } = p.bears;
  const from = rate && rate.seen > 0 ? `, by ${rate.seen} of your picks and counts` : seasons > 0 ? `, by ${counted(seasons, "season")} here` : ", by what such plants give"; // prettier-ignore
  const taken = life.takenPieces > 0 ? `Picked so far: ${sayPieces(crop, life.takenPieces, units)}. ` : "";
  says.push(`${taken}The whole season: ${whole}${from}.`);
  return says;
}
