import { addDays, localMoment } from "~/core/calendar";
import { Entry, pairOf, twinsOf } from "~/core/entries";
import { bodiesOf } from "~/db/entries/entries.server";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { picksByDevice } from "~/db/ledger/picks.server";
import { twinAsked, type TwinAsked } from "~/views/ledger/twin-words";
import { inUnits } from "~/views/words";
import { todayOf } from "../garden/clock.server";
import { linesOf } from "./ledger-lines.server";

/** Nobody remembers longer which of two it was: days, our judgement. */
const ASKED_DAYS = 14;

/** More questions than this nobody answers at once: the latest first. */
const MOST_ASKED = 10;

/** Picks of one planting from two phones within minutes, of which nobody has said yet whether both count. */
export function twinsAsked(db: Db, garden: GardenRow): TwinAsked[] {
  const from = addDays(todayOf(garden), -ASKED_DAYS);
  const picks = picksByDevice(db, from);
  const alike = twinsOf(picks, new Set());
  if (alike.length === 0) return [];
  // It was said after they were done: no clock of an entry is ahead of when it came.
  const [earliest] = alike.map(([first]) => first.at).sort();
  const pairs = twinsOf(picks, new Set(bodiesOf(db, "both count", earliest!).flatMap(settledBy))).slice(-MOST_ASKED);
  const lines = new Map(linesOf(db, pairs.flatMap((pair) => pair.map((p) => p.id))).map((line) => [line.id, line])); // prettier-ignore
  const clockOf = (at: string) => localMoment(new Date(at), garden.timeZone).slice(11);
  return pairs.flatMap(([first, second]) => {
    const [one, other] = [lines.get(first.id), lines.get(second.id)];
    if (!one || !other) return [];
    const asked = twinAsked({ line: one, clock: clockOf(first.at) }, { line: other, clock: clockOf(second.at) }, garden.unitSystem); // prettier-ignore
    return inUnits(asked, garden.unitSystem);
  });
}

function settledBy(body: string): string[] {
  const said = Entry.safeParse(JSON.parse(body));
  return said.success && said.data.kind === "both count" ? [pairOf(...said.data.picks)] : [];
}
