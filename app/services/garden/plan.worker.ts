import type { KeptOutlooks, PlantingOutlook, PlantingSheet } from "~/core/garden";
import { openGarden, type Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { LedgerMark } from "~/db/ledger/picks-in-order.server";
import type { Planned } from "~/views/planned";
import { csvPart, type CsvPart } from "../ledger/ledger-csv.server";
import { setClockBy } from "./clock.server";
import { adviceOn, planGarden, sheetOfPlanting, type Advice, type KeptPlan } from "./plan-garden.server";
import { planSupposedly, type SupposedPlan, type Supposing } from "./plan-supposed.server";

export interface PlanAsked {
  file: string;
  row: GardenRow;
  /** The asker's clock, ms since 1970. */
  now: number;
  /** The last message that the asker holds; null for none. */
  has: number | null;
}

/** A planting as it goes between threads: its crop is known on both sides. */
type Sent = Omit<PlantingOutlook, "crop">;

export interface PlanSent {
  message: number;
  planned: Omit<Planned, "outlook"> & { outlook: Omit<Planned["outlook"], "plantings"> };
  /** In their order; without news where the asker holds it already. */
  plantings: { id: string; news?: Sent }[];
}

export type AdviceAsked = Parameters<typeof adviceOn>[0];

interface Held {
  db: Db;
  kept: KeptPlan;
  message: number;
  sent: Map<string, PlantingOutlook>;
  /** What was worked out for plans that are supposed. */
  supposing: KeptOutlooks;
}

const gardens = new Map<string, Held>();

function heldOf(file: string): Held {
  const known = gardens.get(file) ?? { db: openGarden(file), kept: { outlooks: { plantings: new Map() } }, message: 0, sent: new Map<string, PlantingOutlook>(), supposing: { plantings: new Map() } }; // prettier-ignore
  gardens.set(file, known);
  return known;
}

/** Judges and plans the garden of a file as it is now. */
export function plan({ file, row, now, has }: PlanAsked): PlanSent {
  setClockBy(now);
  const held = heldOf(file);
  // One reading of the file: what is written meanwhile belongs to the next plan.
  const { outlook, ...rest } = held.db.transaction(() => planGarden(held.db, row, held.kept));
  const { plantings, ...others } = outlook;
  const known = has === held.message ? held.sent : new Map<string, PlantingOutlook>();
  held.sent = new Map(plantings.map((p) => [p.planting.id, p]));
  held.message += 1;
  return {
    message: held.message,
    planned: { ...rest, outlook: others },
    plantings: plantings.map((p) => {
      const { id } = p.planting;
      if (known.get(id) === p) return { id };
      const { crop, ...news } = p;
      return { id, news };
    }),
  };
}

export interface SheetAsked {
  file: string;
  row: GardenRow;
  now: number;
  plantingId: string;
}

/** What one planting's verdict is worked out from. */
export function sheet({ file, row, now, plantingId }: SheetAsked): PlantingSheet | undefined {
  setClockBy(now);
  const { db, kept } = heldOf(file);
  return db.transaction(() => sheetOfPlanting(db, row, plantingId, kept));
}

export interface SupposedAsked extends Supposing {
  file: string;
  row: GardenRow;
  now: number;
}

/** What the plan of a file's garden would come to if something were otherwise. */
export function planSupposed({ file, row, now, ...asked }: SupposedAsked): SupposedPlan {
  setClockBy(now);
  const { db, supposing } = heldOf(file);
  return db.transaction(() => planSupposedly(db, row, asked, supposing));
}

/** What a plan cannot fit, what would save it, and which acts pay. */
export const advice = (asked: AdviceAsked): Advice => adviceOn(asked);

/** Some lines of a garden's ledger, as they stand in its file. */
export const ledgerPart = ({ file, after }: { file: string; after: LedgerMark | null }): CsvPart => {
  const { db } = heldOf(file);
  return db.transaction(() => csvPart(db, after));
};
