import { isValid, parse } from "date-fns";
import type { IsoDay } from "../calendar";
import { readRowLength } from "../units";
import type { Crop, StartEvent } from "./crop";
import { findCrop, type Catalogue } from "./find-crop";

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
const WITH_YEAR = ["yyyy-MM-dd", "d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "d/M/yyyy"];
const WITHOUT_YEAR = ["d MMM", "d MMMM", "MMM d", "MMMM d"];
const ISO = (date: Date) =>
  [date.getFullYear(), String(date.getMonth() + 1).padStart(2, "0"), String(date.getDate()).padStart(2, "0")].join("-");

/** A date as typed; without a year, the latest such day not after today. */
function readDay(text: string, today: IsoDay): IsoDay | undefined {
  const tidy = text.trim().replace(/(\d)(st|nd|rd|th)\b/i, "$1");
  for (const form of WITH_YEAR) {
    const date = parse(tidy, form, new Date(2000, 0, 1));
    if (isValid(date) && date.getFullYear() > 1900) return ISO(date);
  }
  const year = Number(today.slice(0, 4));
  for (const y of [year, year - 1])
    for (const form of WITHOUT_YEAR) {
      const date = parse(`${tidy} ${y}`, `${form} yyyy`, new Date(2000, 0, 1));
      if (isValid(date) && ISO(date) <= today) return ISO(date);
    }
  return undefined;
}

/**
 * Understands a planting typed in one line: "6 courgette Striped, sown 3 May, bed 4".
 * The crop comes first (with a number of plants or metres of row before it and a variety after it, both optional), then
 * how and when it started, then the bed.
 *
 * @param line - as typed
 * @param today - for dates without a year; a start after today is refused
 * @returns the parts, or a sentence that says which part was not understood
 */
export function readPlantingLine(catalogue: Catalogue, line: string, today: IsoDay): PlantingLine {
  const wrong = (sentence: string): PlantingLine => ({ status: "not understood", sentence });
  const parts = line.split(/(?<!\d),|,(?!\d)|;/).map((part) => part.trim()).filter(Boolean); // prettier-ignore
  const [what, ...rest] = parts;
  if (!what) return wrong("Type what grows there, for example “6 courgette, sown 3 May, bed 4”.");

  const row = /^(\d+(?:[.,]\d+)?\s*(?:m|metres?|meters?|ft|foot|feet))\s+(?:row\s+)?(?:of\s+)?(.+)$/i.exec(what);
  const lengthM = row ? readRowLength(row[1]!, "metric") : null;
  if (typeof lengthM === "string") return wrong(lengthM);
  const counted = /^(-?\d+(?:\.\d+)?)\s*(?:x|×|plants?(?:\s+of)?)?\s*(.+)$/i.exec(what);
  const plants = counted && !row ? Number(counted[1]) : 1;
  if (!Number.isInteger(plants) || plants < 1 || plants > 5000)
    return wrong(`${counted?.[1]} is not a number of plants. Use a whole number from 1 to 5000.`);
  const words = (row?.[2] ?? counted?.[2] ?? what).trim().split(/\s+/);
  let crop: Crop | undefined;
  let used = words.length;
  for (; used > 0 && !crop; used--) crop = findCrop(catalogue, words.slice(0, used).join(" "));
  if (!crop) return wrong(notKnown(catalogue, words));
  const variety = words.slice(used + 1).join(" ").replace(/^["“']|["”']$/g, ""); // prettier-ignore

  let startEvent: StartEvent | undefined;
  let startedOn: IsoDay | undefined;
  let bedName: string | undefined;
  for (const part of rest) {
    const event =
      /^(sown|sowed|sow|planted|transplanted|set out|blossom|flowered|bloomed|new growth|growing|growth)\b\s*(?:on\s+)?(.+)$/i.exec(
        part,
      );
    if (event?.[1] && event[2]) {
      startEvent = EVENT_WORDS[event[1].toLowerCase()];
      startedOn = readDay(event[2], today);
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

/** Names a few crops that begin alike; the field notes have them all. */
function notKnown(catalogue: Catalogue, words: readonly string[]): string {
  const start = words[0]!.toLowerCase().slice(0, 3);
  const alike = catalogue.filter((c) => [c.name.toLowerCase(), ...c.alsoCalled].some((n) => n.split(/[\s,]+/).some((w) => w.startsWith(start)))); // prettier-ignore
  const names = alike.slice(0, 6).map((c) => c.name.toLowerCase());
  const help =
    names.length > 0 ? `Did you mean ${names.join(" or ")}?` : "The field notes list them all, and take a crop of your own."; // prettier-ignore
  return `No crop called “${words.join(" ")}” is known here, or more than one. ${help}`;
}
