import { asc, count, desc, eq, inArray, or, sql, type SQL } from "drizzle-orm";
import type { CONDITIONS, FATES, LedgerSort } from "~/core/ledger";
import type { Db } from "../db.server";
import { bed, lot, pick, pickSum, planting, season, type PickRow } from "../schema/index.server";

/** What a search has found in words that are not in the file as they are read: any one of them makes a line match. */
export interface LedgerFound {
  plantingIds: readonly string[];
  days: readonly string[];
  fates: readonly (typeof FATES)[number][];
  conditions: readonly (typeof CONDITIONS)[number][];
  outcomes: readonly (typeof pick.$inferSelect.outcome)[];
  /** To be in the note, or in who picked, as it is typed. */
  inWords: string;
}

export interface LedgerAsked {
  sort: LedgerSort;
  descending: boolean;
  /** Undefined: all lines. */
  found: LedgerFound | undefined;
  from: number;
  most: number;
  /** All plantings in the order of their crops' names, for lines put in order by crop. */
  plantingsByCrop: readonly string[];
}

const listed = (values: readonly string[]) => sql`(select value from json_each(${JSON.stringify(values)}))`;
/** The lot that a line speaks of: the pick's own, else its first. */
const ofLot = (column: typeof lot.fate | typeof lot.condition) => sql`(select ${column} from ${lot} where ${lot.pickId} = ${pick.id} order by ${lot.id} <> ${pick.id}, ${lot}.rowid limit 1)`; // prettier-ignore

function orderOf(sort: LedgerSort, rank: SQL.Aliased<number>): SQL[] {
  switch (sort) {
    case "day":
      return [sql`${pick.pickedOn}`];
    case "crop":
      return [sql`${rank}`];
    case "bed":
      return [sql`${bed.position}`];
    case "grams":
      return [sql`ifnull(${pickSum.grams}, -1)`];
    case "pieces":
      return [sql`ifnull(${pickSum.pieces}, -1)`];
    case "condition":
    case "fate":
      return [ofLot(lot[sort])];
    case "note":
      return [sql`${pick.note} collate nocase`];
  }
}

function matching(db: Db, found: LedgerFound): SQL | undefined {
  const inLot = (column: typeof lot.fate | typeof lot.condition, values: readonly string[]) =>
    values.length === 0 ? undefined : sql`${ofLot(column)} in ${listed(values)}`;
  const seasons = db.select({ id: season.id }).from(season).where(sql`${season.plantingId} in ${listed(found.plantingIds)}`); // prettier-ignore
  return or(
    found.plantingIds.length > 0 ? inArray(pick.seasonId, seasons) : undefined,
    found.days.length > 0 ? sql`${pick.pickedOn} in ${listed(found.days)}` : undefined,
    found.outcomes.length > 0 ? inArray(pick.outcome, [...found.outcomes]) : undefined,
    inLot(lot.fate, found.fates),
    inLot(lot.condition, found.conditions),
    sql`instr(lower(${pick.note}), lower(${found.inWords})) > 0`,
    sql`instr(lower(${pick.person}), lower(${found.inWords})) > 0`,
  );
}

/** Ids of a page of the ledger's lines, in the order asked for, the newer first where that leaves them equal. */
export function pickIdsInOrder(db: Db, asked: LedgerAsked): string[] {
  const by = asked.descending ? desc : asc;
  const ranked = db
    .select({ id: sql<string>`value`.as("ranked_planting"), rank: sql<number>`key`.as("rank") })
    .from(sql`json_each(${JSON.stringify(asked.sort === "crop" ? asked.plantingsByCrop : [])})`)
    .as("ranked");
  return (
    db
      .select({ id: pick.id })
      .from(pick)
      // Joined loosely: what an order does not need, the database leaves out.
      .leftJoin(season, eq(pick.seasonId, season.id))
      .leftJoin(planting, eq(season.plantingId, planting.id))
      .leftJoin(bed, eq(planting.bedId, bed.id))
      .leftJoin(ranked, eq(ranked.id, season.plantingId))
      .leftJoin(pickSum, eq(pickSum.pickId, pick.id))
      .where(asked.found && matching(db, asked.found))
      .orderBy(...orderOf(asked.sort, ranked.rank).map(by), desc(pick.pickedOn), desc(pick.loggedAt), desc(pick.id))
      .limit(asked.most)
      .offset(asked.from)
      .all()
      .map((row) => row.id)
  );
}

/** How many lines there are, or answer to a search. */
export function countPicks(db: Db, found: LedgerFound | undefined): number {
  return db.select({ n: count() }).from(pick).where(found && matching(db, found)).get()!.n; // prettier-ignore
}

/** Days on which there is a line. */
export function daysOfLedger(db: Db): string[] {
  return db.selectDistinct({ day: pick.pickedOn }).from(pick).all().map((row) => row.day); // prettier-ignore
}

/** Where a reader of all lines stands. */
export type LedgerMark = Pick<PickRow, "pickedOn" | "loggedAt" | "id">;

/** The lines after one, the newest first: what is logged meanwhile shifts none of them. */
export function pickMarksAfter(db: Db, after: LedgerMark | undefined, most: number): LedgerMark[] {
  return db
    .select({ id: pick.id, pickedOn: pick.pickedOn, loggedAt: pick.loggedAt })
    .from(pick)
    .where(after && sql`(${pick.pickedOn}, ${pick.loggedAt}, ${pick.id}) < (${after.pickedOn}, ${after.loggedAt}, ${after.id})`)
    .orderBy(desc(pick.pickedOn), desc(pick.loggedAt), desc(pick.id))
    .limit(most)
    .all(); // prettier-ignore
}
