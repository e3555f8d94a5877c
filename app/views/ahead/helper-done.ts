import type { Entry } from "~/core/entries";
import type { UnitSystem } from "~/core/units";
import { sayInUnits } from "../words";

/** Something a helper said today, which can be taken back. */
export interface HelperDone {
  entryId: string;
  plantingId: string;
  /** Of the planting. */
  name: string;
  /** The cue and the reading, where it was a look. */
  cueId: string | null;
  readingId: string | null;
  words: string;
}

/** An entry of a helper as it is shown to them. */
export function doneByHelper(entry: Entry, name: string, units: UnitSystem): HelperDone {
  const look = entry.kind === "look" ? entry : null;
  return {
    entryId: entry.id,
    plantingId: "plantingId" in entry ? (entry.plantingId ?? "") : "",
    name,
    cueId: look?.cueId ?? null,
    readingId: look?.readingId ?? null,
    words: sayInUnits(wordsOf(entry), units),
  };
}

function wordsOf(entry: Entry): string {
  if (entry.kind === "look") return "Looked at.";
  if (entry.kind !== "pick" || entry.outcome === "nothing ready") return "Nothing was ready.";
  const much = [entry.count, entry.weight].filter(Boolean).join(", ");
  return much ? `Picked: ${much}.` : "Picked.";
}
