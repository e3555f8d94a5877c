import type { PocketList } from "~/core/pocket";
import { openSeasons } from "~/db/beds/seasons.server";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { revisionOf } from "~/db/revision.server";
import { todayOf } from "../garden/clock.server";

/** Pages that change with the hour. */
const ALWAYS = ["/round", "/round/walk", "/"];
/** Counts of writes begin anew with the process. */
const STARTED = Date.now();

/** Pages a phone keeps for a round without signal: the walk itself first, then every planting that grows. */
export function pocketList(db: Db, garden: GardenRow): PocketList {
  const checks = openSeasons(db).map(({ planting }) => `/check/${planting.id}`);
  return {
    pages: [...ALWAYS, ...new Set(checks), "/beds"],
    always: ALWAYS.length,
    as: [STARTED, revisionOf(db), todayOf(garden)].join(" "),
  };
}
