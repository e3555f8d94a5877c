import { daysBetween } from "~/core/calendar";
import { returnOrder, tripJustEnded, type PlantingOutlook, type ReturnAct } from "~/core/garden";
import { trackIndex } from "~/core/weather";
import type { Planned } from "../planned";
import { howToTake } from "../sentences/how-to";
import { verdictSentence } from "../sentences/verdict";
import { counted, nameOf, sayDay, sayPieces, sayRain, sayTemperature } from "../words";

export type BackSheet = NonNullable<ReturnType<typeof backSheet>>;

const TITLES: Record<ReturnAct, { title: string; why: string }> = {
  "take off first": { title: "Off first", why: "What is over or spoilt comes off, so that it neither infects nor hinders the rest; eat of it only what is sound." },
  strip: { title: "Strip", why: "What hangs on and grows old stops the plant: everything of size comes off, the overgrown too, and it starts again." },
  take: { title: "Take", why: "What is lost soonest first." },
  look: { title: "Look first", why: "Only eyes settle these." },
  keep: { title: "Keeps", why: "Nothing to do today." },
}; // prettier-ignore

/** What comes first on coming back, from the days away; undefined where nobody is just back. */
export function backSheet(planned: Planned) {
  const { outlook, today } = planned;
  const trip = tripJustEnded(outlook);
  if (!trip) return undefined;
  const order = returnOrder(outlook.plantings);
  return {
    name: trip.name,
    away: `${counted(daysBetween(trip.from, trip.to) + 1, "day")} away, back since ${sayDay(trip.to, today)}.`,
    meanwhile: meanwhile(planned, trip.from),
    groups: (Object.keys(TITLES) as ReturnAct[])
      .map((act) => ({
        act,
        ...TITLES[act],
        plantings: order.filter((o) => o.act === act).map(({ p }) => lineOf(planned, p, act)),
      }))
      .filter((g) => g.plantings.length > 0),
  };
}

function lineOf({ today, units }: Planned, p: PlantingOutlook, act: ReturnAct) {
  const { verdict } = p.judgement;
  const pieces = p.pieces[0] ?? 0;
  const there = (act === "strip" || act === "take") && pieces >= 0.5 ? `${sayPieces(p.crop, pieces, units)} likely there. ` : ""; // prettier-ignore
  return {
    plantingId: p.planting.id,
    name: nameOf(p),
    bed: p.bed.name,
    says: `${there}${verdictSentence(verdict, { crop: p.crop, today, units })}`,
    how:
      act === "strip" || act === "take" ? howToTake(p.crop, p.ways, verdict).replace(/^When it is ready: /, "") : null,
  };
}

/** What the weather was meanwhile, as far as it is recorded. */
function meanwhile({ outlook, today, units }: Planned, from: string): string {
  const { track } = outlook;
  const [first, last] = [Math.max(0, trackIndex(track, from)), trackIndex(track, today)];
  const seen = Array.from({ length: Math.max(0, last - first) }, (_, k) => first + k).filter((i) => track.source[i] === "observed"); // prettier-ignore
  if (seen.length === 0) return "There is no record of the weather meanwhile.";
  const rain = seen.reduce((sum, i) => sum + (track.rainMm[i] ?? 0), 0);
  const low = Math.min(...seen.map((i) => track.minC[i]!));
  const high = Math.max(...seen.map((i) => track.maxC[i]!));
  const asFar = seen.length < last - first ? `, on ${counted(seen.length, "day")} of record` : "";
  return `Meanwhile ${rain < 1 ? "no rain" : `${sayRain(rain, units)} of rain`}, lowest ${sayTemperature(low, units)}, highest ${sayTemperature(high, units)}${asFar}.`; // prettier-ignore
}
