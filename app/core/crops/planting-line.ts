import type { IsoDay } from "../calendar";
import { cropInWords, type Catalogue } from "./crop-words";
import type { Crop, StartEvent } from "./crop";
import { readHowMany } from "./how-many";
import { joinDates, readPlantingDay, type DayOrder } from "./planting-date";

export type PlantingLine =
  | {
      status: "understood";
      crop: Crop;
      variety: string;
      plants: number;
      /** Metres of row, where it was told so. */
      lengthM: number | null;
      startEvent: StartEvent;
      startedOn: IsoDay;
      bedName: string | undefined;
    }
  | { status: "not understood"; sentence: string };

const EVENT_WORDS: Record<string, StartEvent> = {
  sown: "sown",
  sowed: "sown",
  sow: "sown",
  planted: "planted",
  transplanted: "planted",
  "set out": "planted",
  blossom: "blossom",
  flowered: "blossom",
  bloomed: "blossom",
  growing: "growth",
  "new growth": "growth",
  growth: "growth",
};
const EVENT = "sown|sowed|sow|planted|transplanted|set out|blossom|flowered|bloomed|new growth|growing|growth";

const wrong = (sentence: string) => ({ status: "not understood" as const, sentence });

/** The parts of a line: at commas and semicolons that stand in no number and no date, and before how it started. */
function partsOf(line: string): string[] {
  return joinDates(line)
    .replace(new RegExp(`([^,;\\s])\\s+(?=(?:${EVENT})\\b\\s*(?:on\\s+)?\\S*\\d)`, "gi"), "$1, ")
    .split(/(?<!\d),|,(?!\d)|;/)
    .map((part) => part.trim())
    .filter(Boolean);
}

/**
 * Understands a planting typed in one line: "6 courgette Striped, sown 3 May, bed 4". First how many and of what (the
 * crop's noun last, its variety round it), then how and when it started, then the bed.
 *
 * @param line - as typed
 * @param today - for dates without a year; a start after today is refused
 * @param order - of day and month in this household
 * @returns the parts, or a sentence that says which part was not understood, or asks what is open
 */
export function readPlantingLine(
  catalogue: Catalogue,
  line: string,
  today: IsoDay,
  order: DayOrder = "day first",
): PlantingLine {
  const [what, ...rest] = partsOf(line);
  if (!what) return wrong("Type what grows there, for example “6 courgette, sown 3 May, bed 4”.");
  const many = readHowMany(what);
  if (many.status === "wrong") return wrong(many.sentence);
  const named = cropInWords(catalogue, many.rest);
  if (named.status === "none") return wrong(notKnown(catalogue, many.rest.split(/\s+/)));
  if (named.status === "several") return wrong(whichOf(many.rest, named.crops));
  const { crop, variety } = named;
  if (many.status === "row of unknown length") return wrong(`How long is the row? Write “3 m of ${many.rest}”.`);
  // One tree or one clump goes without saying, one carrot does not.
  if (many.status === "not told" && !crop.perennial)
    return wrong(`How many? Write it first, like “6 ${many.rest}”, or a length of row, like “3 m of ${many.rest}”.`);
  const { plants, lengthM } = many.status === "told" ? many : { plants: 1, lengthM: null };

  let startEvent: StartEvent | undefined;
  let startedOn: IsoDay | undefined;
  let bedName: string | undefined;
  for (const part of rest) {
    const event = new RegExp(`^(${EVENT})\\b\\s*(?:on\\s+)?(.+)$`, "i").exec(part);
    if (event?.[1] && event[2]) {
      startEvent = EVENT_WORDS[event[1].toLowerCase()];
      startedOn = readPlantingDay(event[2], today, order);
      if (!startedOn) return wrong(`“${event[2]}” is not a day up to today. Write it like 3 May or 2026-05-03.`);
    } else if (bedName === undefined) bedName = part.replace(/^in\s+/i, "");
    else return wrong(`“${part}” was not understood. Say “sown 3 May” or “planted 3 May”, and one bed.`);
  }
  if (!startedOn || !startEvent)
    return wrong(
      "Say when it started, for example “sown 3 May”, “planted 20 May”, “blossom 10 April” or “new growth 1 April”.",
    );
  if (startedOn > today) return wrong(`${startedOn} is after today. A planting is added once it is in the ground.`);
  return { status: "understood", crop, variety, plants, lengthM, startEvent, startedOn, bedName };
}

/** Crops that one word may stand for are asked for by their names, never chosen silently. */
function whichOf(words: string, crops: readonly Crop[]): string {
  const names = crops.map(
    (c) => `“${[...c.alsoCalled].sort((a, b) => b.length - a.length)[0] ?? c.name.toLowerCase()}”`,
  );
  return `“${words}” may be ${names.slice(0, -1).join(", ")} or ${names.at(-1)}. Write which.`;
}

/** Names a few crops that begin alike; the field notes have them all. */
function notKnown(catalogue: Catalogue, words: readonly string[]): string {
  const starts = words.map((w) => w.toLowerCase().slice(0, 3)).filter((w) => w.length === 3);
  const alike = catalogue.filter((c) => [c.name.toLowerCase(), ...c.alsoCalled].some((n) => n.split(/[\s,]+/).some((w) => starts.some((s) => w.startsWith(s))))); // prettier-ignore
  const names = alike.slice(0, 6).map((c) => c.name.toLowerCase());
  const help =
    names.length > 0 ? `Did you mean ${names.join(" or ")}?` : "The field notes list them all, and take a crop of your own."; // prettier-ignore
  return `No crop called “${words.join(" ")}” is known here. ${help}`;
}
