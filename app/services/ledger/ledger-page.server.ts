import { z } from "zod";
import type { IsoDay } from "~/core/calendar";
import { CONDITIONS, FATES, LEDGER_SORTS } from "~/core/ledger";
import type { UnitSystem } from "~/core/units";
import type { Db } from "~/db/client.server";
import { allBeds } from "~/db/beds/beds.server";
import { allPlantings } from "~/db/beds/plantings.server";
import { openSeasons } from "~/db/beds/seasons.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { containersInUse } from "~/db/ledger/containers.server";
import { countPicks, daysOfLedger, pickIdsInOrder, type LedgerFound } from "~/db/ledger/picks-in-order.server";
import { TOTALLED_BY, ledgerRow, type LedgerShown } from "~/views/ledger/ledger-view";
import { cropAndVariety, sayInUnits, shortDay } from "~/views/words";
import { pickersToldApart } from "../access/people.server";
import { todayOf } from "../garden/clock.server";
import { cropsOf } from "../garden/household-crops.server";
import { linesOf } from "./ledger-lines.server";
import { totalsOf } from "./ledger-totals.server";

/** Lines on a page of the ledger. */
const LINES = 40;
const LAST_PAGE = 100_000;

/** What is asked of the ledger in its address; what cannot be is taken for nothing said. */
export const LedgerQuery = z.object({
  by: z.enum(TOTALLED_BY).catch("crop"),
  q: z.string().trim().max(80).catch(""),
  sort: z.enum(LEDGER_SORTS).catch("day"),
  order: z.enum(["up", "down"]).catch("down"),
  page: z.coerce.number().int().min(1).max(LAST_PAGE).catch(1),
});
export type LedgerQuery = z.infer<typeof LedgerQuery>;

/** A page of the ledger with the totals of all of it, and the plantings that a pick can be logged for. */
export function ledgerPage(db: Db, garden: GardenRow, query: LedgerQuery) {
  const today = todayOf(garden);
  const crops = cropsOf(db);
  const names = Object.fromEntries(crops.map((c) => [c.id, c.name]));
  const found = query.q ? foundFor(db, query.q, names, today, garden.unitSystem) : undefined;
  const count = countPicks(db, found);
  const pages = Math.max(1, Math.ceil(count / LINES));
  const page = Math.min(query.page, pages);
  const ids = pickIdsInOrder(db, { sort: query.sort, descending: query.order === "down", found, from: (page - 1) * LINES, most: LINES, plantingsByCrop: query.sort === "crop" ? plantingsByCrop(db, names) : [] }); // prettier-ignore
  const totals = totalsOf(db, query.by);
  return {
    // What moved since the pick is shown on the line's own page.
    lines: linesOf(db, ids).map(ledgerRow),
    shown: { from: (page - 1) * LINES + 1, to: (page - 1) * LINES + ids.length, count, pages } satisfies LedgerShown,
    asked: { ...query, page },
    empty: count === 0 && !query.q,
    totals,
    today,
    units: garden.unitSystem,
    containers: containersInUse(db),
    people: pickersToldApart(db),
    growing: growingHere(db, names),
  };
}

/** Ids of all plantings by crop and variety as they are read. */
function plantingsByCrop(db: Db, names: Readonly<Record<string, string>>): string[] {
  return allPlantings(db)
    .map((p) => ({ id: p.id, words: cropAndVariety(names[p.cropId] ?? p.cropId, p.variety) }))
    .sort((a, b) => a.words.localeCompare(b.words))
    .map((p) => p.id);
}

/** Plantings that grow, by the way along the beds. */
function growingHere(db: Db, names: Readonly<Record<string, string>>) {
  const beds = new Map(allBeds(db).map((b) => [b.id, b]));
  return openSeasons(db)
    .flatMap(({ planting }) => {
      const bed = beds.get(planting.bedId);
      const crop = names[planting.cropId];
      return bed && crop ? [{ id: planting.id, bed, words: `${bed.name}: ${cropAndVariety(crop, planting.variety)}` }] : []; // prettier-ignore
    })
    .sort((a, b) => a.bed.position - b.bed.position)
    .map(({ id, words }) => ({ id, words }));
}

/** What was typed, sought in the words of a line as they are read: crop, variety, bed, day, fate, condition, note. */
function foundFor(
  db: Db,
  typed: string,
  names: Readonly<Record<string, string>>,
  today: IsoDay,
  units: UnitSystem,
): LedgerFound {
  const wanted = typed.toLowerCase();
  const has = (words: string) => words.toLowerCase().includes(wanted);
  const beds = new Map(allBeds(db).map((b) => [b.id, b.name]));
  const plantings = allPlantings(db).filter(
    (p) => has(cropAndVariety(names[p.cropId] ?? p.cropId, p.variety)) || has(beds.get(p.bedId) ?? ""),
  );
  return {
    plantingIds: plantings.map((p) => p.id),
    days: daysOfLedger(db).filter((day) => has(day) || has(sayInUnits(shortDay(day, today), units))),
    fates: FATES.filter(has),
    conditions: CONDITIONS.filter(has),
    outcomes: (["nothing ready"] as const).filter(has),
    inWords: typed,
  };
}
