import { fieldErrors } from "~/core/entries";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import { sayStand, sayStart } from "~/views/words";
import { todayOf } from "../garden/clock.server";
import { addPlanting, understandLine } from "./add-planting.server";
import { BedForm, addBed, editBed, moveBed, removeBed } from "./beds.server";
import { reopenSeason } from "./seasons.server";

type Asked =
  | { intent: "add bed"; name: string; kind: string }
  | { intent: "edit bed"; bedId: string; name: string; kind: string }
  | { intent: "move bed"; bedId: string; step: "up" | "down" }
  | { intent: "remove bed"; bedId: string }
  | { intent: "read line" | "add planting"; bedId: string; line: string }
  | { intent: "reopen"; plantingId: string };

export const isBedsRefusal = ({ errors, sentence }: BedsAnswer) => Boolean(errors ?? sentence);

/** Does what the beds' page asks. */
export function bedsDesk(db: Db, garden: GardenRow, asked: Asked): BedsAnswer {
  switch (asked.intent) {
    case "add bed":
    case "edit bed":
      return saveBed(db, asked);
    case "move bed":
      moveBed(db, asked.bedId, asked.step === "up" ? -1 : 1);
      return { at: asked.bedId };
    case "remove bed": {
      const outcome = removeBed(db, asked.bedId);
      return outcome.status === "refused" ? { at: asked.bedId, sentence: outcome.sentence } : { at: "", done: "Bed removed." }; // prettier-ignore
    }
    case "reopen": {
      const outcome = reopenSeason(db, asked.plantingId);
      return outcome.status === "refused" ? { at: "", sentence: outcome.sentence } : { at: "", done: "Growing again." };
    }
    case "read line":
    case "add planting":
      return typedLine(db, garden, asked);
  }
}

function saveBed(db: Db, asked: Extract<Asked, { intent: "add bed" | "edit bed" }>): BedsAnswer {
  const at = asked.intent === "add bed" ? "new bed" : asked.bedId;
  const fields = BedForm.safeParse(asked);
  if (!fields.success) return { at, errors: fieldErrors(fields.error) };
  const outcome = asked.intent === "add bed" ? addBed(db, fields.data) : editBed(db, asked.bedId, fields.data);
  return outcome.status === "refused" ? { at, errors: { name: outcome.sentence } } : { at, done: `${fields.data.name} saved.` }; // prettier-ignore
}

function typedLine(
  db: Db,
  garden: GardenRow,
  { intent, bedId, line: typed }: Extract<Asked, { line: string }>,
): BedsAnswer {
  // prettier-ignore
  const at = `line ${bedId}`;
  const outcome = understandLine(db, garden, typed, bedId || undefined);
  if (outcome.status === "not understood") return { at, sentence: outcome.sentence };
  const { line } = outcome;
  const start = sayStart({ ...line, startedTo: null, startStanding: "told" }, todayOf(garden));
  const much = line.lengthM === null ? `${line.plants} ×` : `${sayStand(line, garden.unitSystem)},`;
  const words = `${much} ${line.crop.name}${line.variety ? `, ${line.variety}` : ""}, ${start}, in ${line.bedName}`;
  if (intent === "read line") return { at, understood: { line: typed, words } };
  addPlanting(db, garden, line);
  return { at, done: `Added: ${words}.` };
}
