import { groupBy } from "es-toolkit";
import type { IsoDay } from "~/core/calendar";
import type { Catalogue } from "~/core/crops";
import {
  amountOf,
  isGuessed,
  harvestOf,
  totalsBy,
  type CONDITIONS,
  type FATES,
  type Movement,
  type SummedHarvest,
  type Total,
} from "~/core/ledger";
import type { SeasonCrop } from "~/core/seasons";

type Fate = (typeof FATES)[number];
type Condition = (typeof CONDITIONS)[number];

/** A pick with where it came from, as it is stored. */
export interface PickOfLedger {
  pick: {
    id: string;
    pickedOn: IsoDay;
    outcome: "picked" | "nothing ready";
    tookAll: boolean;
    note: string;
    /** Who picked, where that is known. */
    person: string | null;
    loggedAt: string;
    withdrawnAt: string | null;
  };
  plantingId: string;
  seasonCrop: SeasonCrop;
  cropId: string;
  variety: string;
  bed: string;
}

/** A lot of a pick. */
export interface LotOfLedger {
  id: string;
  pickId: string;
  fate: Fate;
  condition: Condition;
  label: string;
}

/** What stood on the scale, newest first. */
export interface WeighingOfLedger {
  lotId: string;
  grossGrams: number;
  containers: readonly { containerId: string; count: number; tareGrams: number }[];
}

/** All that a ledger is drawn from. */
export interface LedgerRecord {
  picks: readonly PickOfLedger[];
  lots: readonly LotOfLedger[];
  movements: readonly Movement[];
  weighings: readonly WeighingOfLedger[];
}

export type LedgerLine = ReturnType<typeof ledgerLines>[number];

/** Every line of the ledger, in the order given, withdrawn ones included and marked. */
export function ledgerLines({ picks, lots, movements, weighings }: LedgerRecord, crops: Catalogue) {
  const lotsBy = groupBy(lots, (l) => l.pickId);
  const movedBy = groupBy(movements, (m) => m.lotId);
  const weighedBy = groupBy(weighings, (w) => w.lotId);
  return picks.map(({ pick, ...of }) => {
    const own = lotsBy[pick.id] ?? [];
    const first = own.find((l) => l.id === pick.id) ?? own[0];
    const amount = amountOf(own.flatMap((l) => harvestOf(movedBy[l.id] ?? [])));
    const { grams, pieces } = amount;
    const scale = first && weighedBy[first.id]?.[0];
    const onScale = scale && scale.containers.length > 0 ? scale : undefined;
    return {
      ...pick,
      plantingId: of.plantingId,
      crop: crops.find((c) => c.id === of.cropId)?.name ?? of.cropId,
      seasonCrop: of.seasonCrop,
      variety: of.variety,
      bed: of.bed,
      // Nothing is left of a weight that was moved back.
      grams: grams || null,
      pieces: pieces || null,
      estimated: isGuessed(amount),
      grossGrams: onScale?.grossGrams ?? null,
      containers: onScale?.containers ?? [],
      condition: first?.condition ?? ("sound" as const),
      fate: first?.fate ?? ("eat now" as const),
      label: first?.label ?? "",
      lots: own.map((l) => ({ ...l, now: amountOf(movedBy[l.id] ?? []), history: movedBy[l.id] ?? [] })),
    };
  });
}

/** A line as the ledger's list needs it: how many lots, not what is in them. */
export type LedgerRow = Omit<LedgerLine, "lots"> & { lots: number };

/** Shortened for the list. */
export function ledgerRow({ lots, ...line }: LedgerLine): LedgerRow {
  return { ...line, lots: lots.length };
}

/** Which lines of how many a page shows, counted from 1. */
export interface LedgerShown {
  from: number;
  to: number;
  count: number;
  pages: number;
}

export const TOTALLED_BY = ["crop", "variety", "bed", "year"] as const;
export type TotalledBy = (typeof TOTALLED_BY)[number];

/** A part of what the garden gave, with where it came from as far as the parts are told apart. */
export interface HarvestOfLedger extends SummedHarvest {
  cropId: string;
  variety: string;
  bed: string;
  year: string;
}

/** Totals of what stands in the ledger: weighed, estimated and spoilt apart; the largest first. */
export function ledgerTotals(harvest: readonly HarvestOfLedger[], by: TotalledBy, crops: Catalogue): Total[] {
  const keyOf = (of: HarvestOfLedger): string => {
    if (by === "bed" || by === "year") return of[by];
    const crop = crops.find((c) => c.id === of.cropId)?.name ?? of.cropId;
    return by === "variety" && of.variety ? `${crop}, ${of.variety}` : crop;
  };
  const size = (t: Total) => t.weighedGrams + t.estimatedGrams;
  return totalsBy(harvest.map((of) => ({ ...of, key: keyOf(of) }))).sort(
    (a, b) => size(b) - size(a) || b.pieces - a.pieces,
  );
}
