import type { Entry } from "~/core/entries";
import type { Db } from "~/db/client.server";
import { saveCount } from "~/db/looks/looks.server";
import { seasonFor } from "../beds/seasons.server";
import { applied, refused, type Applied } from "../entries/applied";
import type { EntryDay } from "../entries/entry-day.server";

/** Writes down what was counted; the latest count of a day holds. */
export function takeCount(db: Db, entry: Extract<Entry, { kind: "count" }>, { day }: EntryDay): Applied {
  const season = seasonFor(db, entry.plantingId, day);
  if (!season) return refused({ look: "This planting is no longer there." });
  saveCount(db, { seasonId: season.id, what: entry.what, number: Number(entry.number), countedOn: day, countedAt: entry.at }); // prettier-ignore
  return applied;
}
