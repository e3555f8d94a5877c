import { fieldErrors } from "~/core/issues";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import type { AddedTogether, BedsAnswer } from "~/views/beds/beds-answer";
import type { TypedLine } from "~/core/lines";
import { lastYearsLines } from "./last-years-lines.server";
import { linesOfText, MOST_LINES } from "./lines-of-text.server";
import { addTypedLines, readTypedLines, takeBackLines } from "./planting-lines.server";
import { BedForm, addBed, editBed, moveBed, removeBed } from "./beds.server";
import { reopenSeason } from "./seasons.server";

type Asked =
  | { intent: "add bed"; name: string; kind: string }
  | { intent: "edit bed"; bedId: string; name: string; kind: string }
  | { intent: "move bed"; bedId: string; step: "up" | "down" }
  | { intent: "remove bed"; bedId: string }
  | { intent: "read lines"; bedId: string; text: string }
  | { intent: "answer lines" | "add lines"; bedId: string; rows: TypedLine[] }
  | { intent: "take back"; bedId: string; added: AddedTogether }
  | { intent: "last year" }
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
    case "read lines":
      return readLines(db, garden, asked.bedId, linesOfText(asked.text).map((text) => ({ text }))); // prettier-ignore
    case "answer lines":
      return readLines(db, garden, asked.bedId, asked.rows);
    case "add lines":
      return addLines(db, garden, asked.bedId, asked.rows);
    case "take back":
      return { at: atLines(asked.bedId), done: takeBackLines(db, asked.added) };
    case "last year": {
      const draft = lastYearsLines(db, garden);
      return draft
        ? { at: atLines(""), draft }
        : { at: atLines(""), sentence: "Nothing was sown or planted last year." };
    }
  }
}

function saveBed(db: Db, asked: Extract<Asked, { intent: "add bed" | "edit bed" }>): BedsAnswer {
  const at = asked.intent === "add bed" ? "new bed" : asked.bedId;
  const fields = BedForm.safeParse(asked);
  if (!fields.success) return { at, errors: fieldErrors(fields.error) };
  const outcome = asked.intent === "add bed" ? addBed(db, fields.data) : editBed(db, asked.bedId, fields.data);
  return outcome.status === "refused" ? { at, errors: { name: outcome.sentence } } : { at, done: `${fields.data.name} saved.` }; // prettier-ignore
}

function readLines(db: Db, garden: GardenRow, bedId: string, typed: readonly TypedLine[]): BedsAnswer {
  const at = atLines(bedId);
  if (typed.length === 0)
    return { at, sentence: "Type what grows there, for example “6 courgette, sown 3 May, bed 4”." };
  if (typed.length > MOST_LINES) return { at, sentence: `These are ${typed.length} lines. Read at most ${MOST_LINES} at once.` }; // prettier-ignore
  return { at, lines: readTypedLines(db, garden, typed, bedId || undefined) };
}

function addLines(db: Db, garden: GardenRow, bedId: string, typed: readonly TypedLine[]): BedsAnswer {
  const { added, left } = addTypedLines(db, garden, typed, bedId || undefined);
  const at = atLines(bedId);
  const lines = left.length > 0 ? { lines: readTypedLines(db, garden, left, bedId || undefined) } : {};
  if (added.plantings.length === 0) return { at, ...lines, sentence: "No line could be added yet. Answer what is asked first." }; // prettier-ignore
  const beds = added.beds.length > 0 ? ` and ${counted(added.beds.length, "bed", "beds")}` : "";
  return { at, ...lines, added, done: `Added: ${counted(added.plantings.length, "planting", "plantings")}${beds}.` };
}

const atLines = (bedId: string) => `line ${bedId}`;
const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
