import { and, desc, eq, gte, isNull } from "drizzle-orm";
import type { IsoDay } from "~/core/calendar";
import type { Db } from "../db.server";
import { helperLink, type HelperLinkRow } from "../schema/access.server";

export type { HelperLinkRow };

const open = (today: IsoDay) => and(isNull(helperLink.endedAt), gte(helperLink.untilDay, today));

export const addHelperLink = (db: Db, row: HelperLinkRow) => void db.insert(helperLink).values(row).run();

/** Links that open today, the newest first. */
export const helperLinksOpen = (db: Db, today: IsoDay) => db.select().from(helperLink).where(open(today)).orderBy(desc(helperLink.madeAt)).all(); // prettier-ignore

export const helperLinkByToken = (db: Db, tokenHash: string, today: IsoDay) =>
  db.select().from(helperLink).where(and(eq(helperLink.tokenHash, tokenHash), open(today))).get(); // prettier-ignore

/** @returns whether there was one to end */
export function endHelperLink(db: Db, id: string, at: string): boolean {
  return db.update(helperLink).set({ endedAt: at }).where(and(eq(helperLink.id, id), isNull(helperLink.endedAt))).run().changes > 0; // prettier-ignore
}
