import { z } from "zod";
import { Supposition, isOurs, movedTrip, ownFor, type CannotSuppose } from "~/core/garden";
import { usualCover } from "~/core/hazards";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { bedById } from "~/db/beds/beds.server";
import { allTrips, handsRules, replaceDayMinutes } from "~/db/sky/hands.server";
import { cannotWords, suppositionWords, whatIfTold, type WhatIfAnswer } from "~/views/horizon/what-if-words";
import { todayOf } from "../garden/clock.server";
import { changeIf } from "../garden/supposed-change.server";
import { plannedGarden } from "../garden/planned-garden.server";
import { coverBed } from "../sky/covers.server";
import { removeTrip, saveTrip } from "../sky/trips.server";
import { editRows, type EditOutcome } from "./edit-plan.server";

const MOST_AT_ONCE = 8;

/** What is supposed, as it comes from a page: JSON text. */
export const Suppositions = z
  .string()
  .max(4000)
  .transform((text, { addIssue }): unknown => {
    try {
      return JSON.parse(text);
    } catch {
      addIssue("not JSON");
      return z.NEVER;
    }
  })
  .pipe(z.array(Supposition).min(1).max(MOST_AT_ONCE));

/** What becomes of the plan if something were otherwise: the plan is asked again, as it would be once it is so. */
export async function whatIf(db: Db, row: GardenRow, suppositions: Supposition[]): Promise<WhatIfAnswer> {
  const planned = plannedGarden(db, row);
  const so = await changeIf(db, row, planned, suppositions);
  const said = suppositions.map((s) => suppositionWords(s, planned));
  if (so.status === "cannot") return { status: "cannot", supposed: said, sentence: cannotWords(so.why) };
  return { status: "told", supposed: said, ...whatIfTold(planned, suppositions, so.change) };
}

/** Makes so what the household can make so, all of it or nothing. */
export function keepSupposed(db: Db, row: GardenRow, suppositions: readonly Supposition[]): EditOutcome {
  const ours = suppositions.filter(isOurs);
  if (ours.length === 0)
    return { status: "refused", sentence: "The weather comes as it comes: there is nothing to keep." };
  const planned = plannedGarden(db, row);
  try {
    const words = ours.map((s) => suppositionWords(s, planned)).join("; ");
    return editRows(db, { words, until: planned.outlook.days.at(-1)! }, () => {
      for (const s of ours) {
        const why = keepOne(db, row, s);
        if (why) throw new CannotKeep(cannotWords(why));
      }
      return { status: "noted", sentence: `Kept: ${words}. Under Sky & away it can be changed.` };
    });
  } catch (error) {
    if (error instanceof CannotKeep) return { status: "refused", sentence: error.message };
    throw error;
  }
}

/** Nothing of it is kept then. */
class CannotKeep extends Error {}

function keepOne(db: Db, row: GardenRow, s: Supposition): CannotSuppose | null {
  const today = todayOf(row);
  switch (s.what) {
    case "leave":
    case "return": {
      const next = movedTrip({ trips: handsRules(db).trips, today }, s);
      if (typeof next === "string") return next;
      const { id } = allTrips(db)[next.at]!;
      const { name, from, to, leaveAt = null, backAt = null } = next.trip;
      saveTrip(db, { id, name, from, to, leaveAt, backAt });
      return null;
    }
    case "stay": {
      const there = allTrips(db).filter((t) => t.fromDay === s.trip);
      for (const { id } of there) removeTrip(db, id);
      return there.length > 0 ? null : "no such trip";
    }
    case "away":
      if (s.to < s.from) return "days run backwards";
      if (s.to < today) return "no such day";
      saveTrip(db, { id: "", name: "Away", from: s.from, to: s.to, leaveAt: null, backAt: null });
      return null;
    case "helper":
    case "minutes":
      if (s.day < today) return "no such day";
      replaceDayMinutes(db, s.day, ownFor(handsRules(db), s));
      return null;
    case "cover": {
      const bed = bedById(db, s.bedId);
      if (!bed) return "no such bed";
      if (s.evening < today) return "no such day";
      coverBed(db, { bedId: s.bedId, evening: s.evening, cover: usualCover(bed.kind) });
      return null;
    }
    case "colder":
    case "fridge full":
      return null;
  }
}
