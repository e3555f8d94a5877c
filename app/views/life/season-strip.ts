import { addDays, daysBetween, type IsoDay } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { seasonLife, type PlantingOutlook, type SeasonLife } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import type { Planned } from "../planned";
import { seasonSentences } from "../sentences/season";
import { sayPieces, sayTemperature, shortDay } from "../words";
import { scaleOf, stretch, type Scale, type Stretch } from "./strip";

/** A mark on the strip: where, how high on the arc, and what it says. */
export interface StripMark {
  at: number;
  /** Height on the arc, 0 to 1. */
  high: number;
  kind: "look" | "pick" | "frost" | "heat";
  says: string;
}

/** An earlier season of the same planting, laid over this one by days since its start. */
export interface EarlierSeason {
  label: string;
  picked: Stretch | null;
  says: string;
}

export interface SeasonStrip {
  months: Scale["months"];
  today: number;
  growing: Stretch | undefined;
  /** First pick, from the earliest likely to the latest. */
  opening: Stretch | undefined;
  bearing: Stretch | undefined;
  /** The end, from the earliest likely to the latest. */
  ending: Stretch | undefined;
  /** The arc of its life, points from left to right. */
  arc: { at: number; high: number }[];
  marks: StripMark[];
  earlier: EarlierSeason[];
  /** What has come, what is expected and how sure, a sentence each. */
  says: string[];
}

/** A season that is over, as the record tells it. */
export interface PastSeason {
  year: string;
  startedOn: IsoDay;
  firstOn: IsoDay | null;
  lastOn: IsoDay | null;
  pieces: number;
}

/** The strip of a planting's season: its life from start to end with what was seen, picked and suffered. */
export function seasonStrip(planned: Planned, p: PlantingOutlook, past: readonly PastSeason[] = []): SeasonStrip {
  const { outlook, today } = planned;
  const life = seasonLife(p, outlook);
  const last = life.ends?.p90 ?? addDays(today, 75);
  const to = last > today ? last : today;
  const scale = scaleOf(addDays(life.startedOn < today ? life.startedOn : today, -6), addDays(to, 10));
  const first = life.pickedFirstOn ?? life.opens?.p50 ?? last;
  const end = life.ends?.p50 ?? last;
  return {
    months: scale.months,
    today: scale.at(today),
    growing: stretch(scale, life.startedOn, first),
    opening: life.opens ? stretch(scale, life.opens.p10 ?? today, life.opens.p90 ?? last) : undefined,
    bearing: stretch(scale, first, end),
    ending: life.ends ? stretch(scale, life.ends.p10, life.ends.p90) : undefined,
    arc: arcOf(scale, life.startedOn, first, end),
    marks: marksOf(planned, p, life, scale, (day) => heightAt(day, life.startedOn, first, end)),
    earlier: past.map((season) => earlierOf(season, life.startedOn, scale, p.crop, planned.units)),
    says: seasonSentences(planned, p, life),
  };
}

/** Height of the arc on a day: up from the start to the middle of its bearing, and down to its end. */
function heightAt(day: IsoDay, start: IsoDay, first: IsoDay, end: IsoDay): number {
  const middle = addDays(first, Math.round(Math.max(0, daysBetween(first, end)) / 2));
  const [from, to] =
    day <= middle ? [start, middle] : [addDays(end, Math.max(3, Math.round(daysBetween(first, end) / 4))), middle];
  const whole = daysBetween(from, to) || 1;
  const share = Math.min(1, Math.max(0, daysBetween(from, day) / whole));
  return Math.sin((share * Math.PI) / 2);
}

const ARC_POINTS = 48;

function arcOf(scale: Scale, start: IsoDay, first: IsoDay, end: IsoDay): SeasonStrip["arc"] {
  const days = daysBetween(scale.from, scale.to);
  return Array.from({ length: ARC_POINTS + 1 }, (_, n) => {
    const day = addDays(scale.from, Math.round((n / ARC_POINTS) * days));
    return { at: scale.at(day), high: day < start ? 0 : heightAt(day, start, first, end) };
  });
}

function marksOf(
  { today, units }: Planned,
  p: PlantingOutlook,
  life: SeasonLife,
  scale: Scale,
  high: (day: IsoDay) => number,
): StripMark[] {
  const { planting, crop } = p;
  const on = (day: IsoDay) => ({ at: scale.at(day), high: high(day) });
  const looks = planting.looks.flatMap((look): StripMark[] => {
    const reading = crop.cues.find((c) => c.id === look.cueId)?.readings.find((r) => r.id === look.readingId);
    return reading ? [{ ...on(look.takenOn), kind: "look", says: `${shortDay(look.takenOn, today)}: ${reading.text}` }] : []; // prettier-ignore
  });
  const picks = planting.picks
    .filter((x) => x.pickedOn >= life.startedOn)
    .map((x): StripMark => ({ ...on(x.pickedOn), kind: "pick", says: `${shortDay(x.pickedOn, today)}: ${sayPieces(crop, x.pieces, units)} picked` })); // prettier-ignore
  const weather = life.weather.map((w): StripMark => ({ ...on(w.day), high: 0, kind: w.kind, says: `${shortDay(w.day, today)}: ${w.kind === "frost" ? "down to" : "up to"} ${sayTemperature(w.celsius, units)}` })); // prettier-ignore
  return [...looks, ...picks, ...weather].sort((a, b) => a.at - b.at);
}

function earlierOf(
  { year, startedOn, firstOn, lastOn, pieces }: PastSeason,
  start: IsoDay,
  scale: Scale,
  crop: Crop,
  units: UnitSystem,
): EarlierSeason {
  const shifted = (day: IsoDay) => addDays(start, daysBetween(startedOn, day));
  return {
    label: year,
    picked: firstOn && lastOn ? (stretch(scale, shifted(firstOn), addDays(shifted(lastOn), 1)) ?? null) : null,
    says: firstOn && lastOn ? `${year}: ${sayPieces(crop, pieces, units)}, ${shortDay(firstOn, addDays(lastOn, 1))} to ${shortDay(lastOn, addDays(lastOn, 1))}` : `${year}: nothing picked`, // prettier-ignore
  };
}
