import type { School, StartEvent } from "~/core/crops";
import type { MATTERS } from "~/core/garden";
import type { UnitSystem } from "~/core/units";
import type { SeasonStrip } from "~/views/life/season-strip";
import type { TreatmentShown } from "./Treatments";

/** What the page of a planting is drawn from. */
export interface PlantingPageView {
  row: {
    id: string;
    bedId: string;
    cropId: string;
    variety: string;
    plants: number;
    /** Length of row in the household's unit; empty where the plants were counted. */
    rowLength: string;
    packetLow: number | null;
    packetHigh: number | null;
    schoolOption: string | null;
    forSeed: boolean;
    bedNeededOn: string | null;
    matters: (typeof MATTERS)[number];
    /** In the household’s unit; empty: all that comes. */
    eats: string;
  };
  season: { startEvent: StartEvent; startedOn: string; startedTo: string | null; startStanding: string };
  seasons: { id: string; words: string; end: string }[];
  ended: boolean;
  /** The plants went on to a further crop. */
  wentOn: boolean;
  beds: { id: string; name: string }[];
  crops: { id: string; name: string }[];
  crop: {
    name: string;
    packet: { low: number; high: number };
    school: School | null;
    perennial: boolean;
    keepsGiving: boolean;
  };
  way: { label: string; own: boolean } | null;
  treatments: TreatmentShown[];
  /** Days on which it is wanted, and what the plan says to each. */
  wanted: { id: string; day: string; words: string }[];
  /** Its life this season; null once it is over. */
  life: SeasonStrip | null;
  /** Unit of lengths of row. */
  units: UnitSystem;
  rowUnit: "m" | "ft";
  /** Plants in a metre of row, as the crop is usually spaced. */
  plantsPerM: number | null;
  today: string;
}
