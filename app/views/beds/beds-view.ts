import { groupBy } from "es-toolkit";
import type { IsoDay } from "~/core/calendar";
import type { Catalogue, StartEvent } from "~/core/crops";
import { BED_CLIMATES, type BedKind } from "~/core/hazards";
import type { EndReason, Season } from "~/core/seasons";
import type { UnitSystem } from "~/core/units";
import { dayAndMonth, sayStand, sayStart } from "../words";

/** A planting with its seasons, the newest last, as the beds' page needs it. */
export interface PlantingInBed {
  id: string;
  bedId: string;
  cropId: string;
  variety: string;
  plants: number;
  lengthM: number | null;
  cameBy: StartEvent;
  cameOn: IsoDay;
  seasons: (Season & { end: { endedOn: IsoDay; reason: EndReason } | null })[];
}

export interface BedToShow {
  id: string;
  name: string;
  kind: BedKind;
  position: number;
}

export type BedsView = ReturnType<typeof bedsView>;

interface BedsAsked {
  today: IsoDay;
  units: UnitSystem;
  /** How many plantings each bed has had: those not given are of earlier years. */
  everIn: ReadonlyMap<string, number>;
  /** The bed whose earlier years are wanted. */
  earlierOf: string;
}

/** Beds along the footpath and what stands, rests, or stood in each. */
export function bedsView(
  beds: readonly BedToShow[],
  plantings: readonly PlantingInBed[],
  crops: Catalogue,
  { today, units, everIn, earlierOf }: BedsAsked,
) {
  const of = groupBy(plantings, (p) => p.bedId);
  return beds.map((b) => {
    const own = of[b.id] ?? [];
    return {
      ...b,
      kindLabel: BED_CLIMATES[b.kind].label,
      plantings: own
        .map((p) => plantingLine(p, crops, today, units))
        .sort((a, c) => Number(a.finished !== null) - Number(c.finished !== null) || a.cameOn.localeCompare(c.cameOn)),
      /** Plantings of earlier years, which are not among them. */
      earlier: Math.max(0, (everIn.get(b.id) ?? 0) - own.length),
      opened: b.id === earlierOf,
    };
  });
}

function plantingLine(p: PlantingInBed, crops: Catalogue, today: IsoDay, units: UnitSystem) {
  const crop = crops.find((c) => c.id === p.cropId);
  const latest = p.seasons.at(-1);
  const end = latest?.end ?? null;
  const rests = end !== null && Boolean(crop?.perennial) && end.reason !== "bed free";
  const second = latest && latest.crop !== "main" ? `, now ${latest.crop}` : "";
  return {
    id: p.id,
    crop: crop?.name ?? `${p.cropId}, a crop no longer known`,
    variety: p.variety,
    stand: p.lengthM === null ? (p.plants > 1 ? String(p.plants) : "") : `${sayStand(p, units)},`,
    cameOn: p.cameOn,
    since: `${sinceWords(p, latest, today)}${second}`,
    /** Over for this year: it comes again by itself. */
    rests: rests ? `over for this year since ${dayAndMonth(end.endedOn, today)}` : null,
    finished: end && !rests ? dayAndMonth(end.endedOn, today) : null,
  };
}

/** How it came, and this year's start where that is another. */
function sinceWords(p: PlantingInBed, latest: Season | undefined, today: IsoDay): string {
  const came = sayStart({ startEvent: p.cameBy, startedOn: p.cameOn, startedTo: null, startStanding: "told" }, today);
  if (!latest || (latest.startEvent === p.cameBy && latest.startedOn === p.cameOn))
    return latest ? sayStart(latest, today) : came;
  return `${came}, ${sayStart(latest, today)}`;
}
