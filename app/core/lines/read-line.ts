import type { Catalogue, Crop, StartEvent } from "../crops";
import { cropInWords, type CropWords } from "./crop-words";
import { readLineAmount, type LineAmount } from "./line-amount";
import { isBedLike, takeBed } from "./line-bed";
import type { DaySetting, DaySpan } from "./line-day";
import { takeForm } from "./line-form";
import type { LineSetting, ReadLine, TypedLine } from "./line-reading";
import { takePacket } from "./line-packet";
import { takeStarts, type LineStart } from "./line-start";
import { sayDays, sayLine } from "./line-words";
import type { LineWords } from "./variety-name";

const NOTHING: ReadLine = { status: "refused", cropId: null, options: [], plants: null, about: false, lengthM: null, areaM2: null, variety: "", startEvent: null, from: null, to: null, sown: null, came: null, packet: null, form: null, bed: null, heading: false, asks: [], left: [], sentence: "" }; // prettier-ignore

/** So widely set that one of it goes without saying: a tree, a clump, plants a metre. */
const GOES_ALONE = 1.5;

/**
 * Understands a planting typed in one line: "6 courgette Striped, sown 3 May, bed 4". Packet, bed, form and start are
 * taken out of it wherever they stand; of what is left the piece with a crop's noun tells the crop, how much of it and
 * the variety. Every other piece is shown as left over.
 *
 * @param line - as typed, without its bullet
 * @param answers - the crop, the amount, the start that were answered, where the line left them open
 * @returns what was understood, what is asked in a sentence, or why it is refused
 */
export function readLine(
  catalogue: Catalogue,
  line: string,
  setting: LineSetting,
  lore: LineWords,
  answers: Omit<TypedLine, "text"> = {},
): ReadLine {
  // prettier-ignore
  const text = tidied(line);
  if (!text) return { ...NOTHING, sentence: "Type what grows there, for example “6 courgette, sown 3 May, bed 4”." };
  const { packet, rest: noPacket } = takePacket(text);
  const { starts: inLine, rest: noStart } = takeStarts(noPacket, setting);
  const starts = answers.start?.trim() ? answered(inLine, takeStarts(answers.start.trim(), setting).starts, answers.start) : inLine; // prettier-ignore
  const { form, event: byForm, rest: noForm } = takeForm(noStart);
  const { bed, rest: noBed } = takeBed(noForm, setting.beds);
  const pieces = piecesOf(noBed);
  const what = withChosen(theCrop(catalogue, pieces, lore), catalogue, answers.crop);
  if (what.words.status === "none" || what.words.status === "another plant")
    return { ...NOTHING, packet, bed, left: pieces, sentence: notKnown(what.words, pieces.join(", ") || text) };
  const rest = leftovers(catalogue, pieces, what, bed, lore);
  if (answers.amount?.trim()) rest.amount = readLineAmount(answers.amount.trim());
  if (rest.crops.length > 0) return { ...NOTHING, status: "asks", asks: ["crop"], options: rest.crops.map((c) => c.id), bed, left: pieces, sentence: rest.crops.length === 1 ? "Two plantings stand in one line. Write a line for each." : `${listed(rest.crops)} stand in one line. Write a line for each.` }; // prettier-ignore
  const crop = what.words.status === "one" ? what.words.crop : undefined;
  const options = what.words.status === "one" ? [] : what.words.crops;
  const read: ReadLine = {
    ...NOTHING,
    cropId: crop?.id ?? null,
    options: options.map((c) => c.id),
    ...amountOf(rest.amount, crop),
    variety: [what.words.variety, rest.variety].filter(Boolean).join(" "),
    packet: packet ?? packetOf(what.words),
    form,
    bed: bed ?? rest.bed,
    left: rest.left,
  };
  const started = startOf(starts, byForm, crop, options, setting);
  return finished({ ...read, ...started.read }, crop ?? options[0]!, what, rest.amount, started.sentence, setting);
}

/** The start that was answered, with the event of the line where the answer has none. */
function answered(inLine: readonly LineStart[], answer: readonly LineStart[], text: string): LineStart[] {
  const event = inLine.find((s) => s.event)?.event;
  if (answer.length === 0) return [{ event, text, problem: { status: "no such day", text, length: text.length } }];
  const span = answer.some((s) => s.span ?? s.problem) ? undefined : inLine.find((s) => s.span)?.span;
  return answer.map((s) => ({ ...s, event: s.event ?? event, span: s.span ?? span }));
}

function tidied(line: string): string {
  return line
    .normalize("NFKC")
    .replace(/[‐‑‒]/g, "-")
    .replace(/^\s*(?:[-*•–·▪]|\d{1,2}\)|\[[ x]?\])\s+/, "")
    .replace(/\s+/g, " ")
    .replace(/[\s,;.]+$/, "")
    .trim();
}

/** Pieces between commas, semicolons, bars and dashes that stand apart; a comma inside a number parts nothing. */
function piecesOf(text: string): string[] {
  return text
    .split(/(?<!\d),|,(?!\d)|[;|]|\s[-–—]\s(?!\d)|(?<=[a-z”"]):\s/i)
    .map((p) =>
      p
        .replace(/(?:^|\s+)(?:in|on|at|from|since|by|around|about|the|and|then|were|was|are|is|,)+$/i, "")
        .replace(/^(?:and|then|in|were|was)\s+/i, "")
        .replace(/^[\s():–-]+(?!\d)|^[\s():–]+|[\s(.]+$/g, "")
        .replace(/^([^(]*)\)$/, "$1"),
    ) // prettier-ignore
    .map((p) => p.trim())
    .filter((p) => /[\p{L}\p{N}]/u.test(p));
}

/** The crop that somebody chose stands, whatever the words leave open; they are its variety then. */
function withChosen(what: TheCrop, catalogue: Catalogue, chosen: string | undefined): TheCrop {
  const crop = catalogue.find((c) => c.id === chosen);
  if (!crop || what.words.status === "another plant") return what;
  const variety = what.words.status === "none" ? what.amount.rest : what.words.variety;
  return { ...what, words: { status: "one", crop, variety, known: undefined } };
}

interface TheCrop {
  at: number;
  amount: LineAmount;
  words: CropWords;
}

/** The piece that names the crop; a variety that stands apart from it is read with it. */
function theCrop(catalogue: Catalogue, pieces: readonly string[], lore: LineWords): TheCrop {
  const read = pieces.map((piece, at): TheCrop => {
    const amount = readLineAmount(piece);
    return { at, amount, words: cropInWords(catalogue, amount.rest, lore) };
  });
  const best = (["one", "several", "another plant", "nearly"] as const).map((s) => read.find((r) => r.words.status === s && !(s === "one" && r.words.status === "one" && r.words.known && isName(r)))).find(Boolean); // prettier-ignore
  const found = best ?? read.find((r) => r.words.status === "one") ?? read[0];
  if (!found) return { at: -1, amount: { status: "not told", rest: "" }, words: { status: "none" } };
  const apart = read.find((r) => r !== found && lore.varieties.some((v) => same(v.name, r.amount.rest)));
  if (!apart || !["one", "several"].includes(found.words.status)) return found;
  return { ...found, words: cropInWords(catalogue, `${apart.amount.rest} ${found.amount.rest}`, lore) };
}

const same = (a: string, b: string) =>
  a.toLowerCase() ===
  b
    .replace(/["“”'’]/g, "")
    .trim()
    .toLowerCase();
/** A piece that is a variety's name and nothing else. */
const isName = (r: TheCrop) => r.words.status === "one" && r.words.known !== undefined && same(r.words.known.name, r.amount.rest); // prettier-ignore

/** What the other pieces say: how much, the variety, the bed; another crop; or nothing that is known. */
function leftovers(
  catalogue: Catalogue,
  pieces: readonly string[],
  what: TheCrop,
  bed: string | null,
  lore: LineWords,
) {
  let amount = what.amount;
  let variety = "";
  let place = bed;
  const left: string[] = [];
  const crops = what.words.status === "one" ? twoCrops(catalogue, what, lore) : [];
  pieces.forEach((piece, at) => {
    if (at === what.at) return;
    const much = readLineAmount(piece);
    const of = much.rest.replace(/\b(?:plants?|of them|each|in all|total|rows?|seeds?)\b/gi, "").trim();
    if (much.status !== "not told" && of === "" && ["not told", "open", "two ways"].includes(amount.status))
      amount = much; // prettier-ignore
    else if (lore.varieties.some((v) => same(v.name, much.rest))) {
      if (much.status === "plants" && what.amount.status === "plants" && what.words.status === "one") crops.push(what.words.crop); // prettier-ignore
    } else if (/^["“'‘].*["”'’]$/.test(piece) || /^(?:var(?:iety)?\.?|cv\.?|cultivar)\s/i.test(piece))
      variety = piece.replace(/["“”‘’']|^(?:var(?:iety)?\.?|cv\.?|cultivar)\s*/gi, ""); // prettier-ignore
    else if (!place && isBedLike(piece)) place = piece.replace(/^(?:in|at|on)\s+(?:the\s+)?/i, "");
    else {
      const other = much.status === "plants" ? cropInWords(catalogue, much.rest, lore) : undefined;
      if (other?.status === "one" && what.words.status === "one") crops.push(what.words.crop, other.crop);
      else left.push(piece);
    }
  });
  return { amount, variety, bed: place, left, crops };
}

/** Two crops that an "and" joins: neither is the other's variety. */
function twoCrops(catalogue: Catalogue, { amount, words }: TheCrop, lore: LineWords): Crop[] {
  if (words.status !== "one" || (words.known && /\b(?:and|&)\b/i.test(words.known.name))) return [];
  const parts = amount.rest.split(/\s+(?:and|&|\+|plus)\s+/i);
  const found = parts.map((p) => cropInWords(catalogue, readLineAmount(p).rest, lore));
  const crops = found.flatMap((f) => (f.status === "one" ? [f.crop] : []));
  return parts.length > 1 && crops.length === parts.length && new Set(crops).size > 1 ? crops : [];
}

function amountOf(
  amount: LineAmount,
  crop: Crop | undefined,
): Pick<ReadLine, "plants" | "about" | "lengthM" | "areaM2"> {
  // prettier-ignore
  const none = { plants: null, about: false, lengthM: null, areaM2: null };
  if (amount.status === "plants") return { ...none, plants: amount.plants, about: amount.about };
  if (amount.status === "row") return { ...none, lengthM: amount.lengthM };
  if (amount.status === "area") return { ...none, areaM2: amount.areaM2 };
  const alone = amount.status === "not told" && crop?.perennial && crop.life.spacing.plantsPerM <= GOES_ALONE;
  return alone ? { ...none, plants: 1 } : none;
}

const packetOf = (words: CropWords) => (words.status === "one" ? (words.known?.packet ?? null) : null);

interface Started {
  read: Partial<ReadLine>;
  sentence?: string;
}

function startOf(
  starts: readonly LineStart[],
  byForm: StartEvent | undefined,
  crop: Crop | undefined,
  options: readonly Crop[],
  setting: DaySetting,
): Started {
  // prettier-ignore
  const problem = starts.find((s) => s.problem);
  const dated = starts.filter((s) => s.span);
  const ask = (sentence: string, read: Partial<ReadLine> = {}): Started => ({ read: { ...read, asks: ["day"] }, sentence }); // prettier-ignore
  if (problem?.problem) return ask(problemWords(problem.problem, setting), problem.event ? { startEvent: problem.event } : {}); // prettier-ignore
  const twice = dated.find((s, i) => dated.some((o, j) => j > i && o.event === s.event));
  if (twice) return ask(`Two days are told for “${twice.event ?? "the start"}”. Write a line for each sowing.`);
  const event = starts.find((s) => s.event)?.event ?? byForm;
  if (dated.length === 0) return ask(event ? `When was that: “${event}”? A month or a year will do.` : `When did it start? For example ${setting.order === "day first" ? "“sown 3 May”, “planted 20 May”" : "“sown May 3”, “planted May 20”"}; a month or a year will do.`, event ? { startEvent: event } : {}); // prettier-ignore
  const sown = dated.find((s) => s.event === "sown")?.span ?? null;
  const planted = dated.find((s) => s.event === "planted")?.span ?? null;
  const year = dated.find((s) => s.event === "blossom" || s.event === "growth");
  if (year) return told(year.event!, year.span!, { came: planted ?? sown });
  if (sown && planted) return sown.from > planted.to ? ask("It cannot have been planted out before it was sown. Which day is which?") : told("planted", planted, { sown }); // prettier-ignore
  const one = dated.at(-1)!;
  const start = one.event ?? byForm ?? usualEvent(crop ?? options[0]!, one);
  return start ? told(start, one.span!, {}) : { read: { ...spanOf(one.span!), asks: ["start"] }, sentence: `Was it sown or planted ${sayDays(one.span!, setting)}?` }; // prettier-ignore
}

const spanOf = ({ from, to }: DaySpan) => ({ from, to });
const told = (startEvent: StartEvent, span: DaySpan, more: Partial<ReadLine>): Started => ({ read: { startEvent, ...spanOf(span), ...more } }); // prettier-ignore

/** What a day without a word means: of what stands for years and of tubers planted, of what is never moved sown. */
function usualEvent(crop: Crop, start: LineStart): StartEvent | undefined {
  if (crop.perennial) return "planted";
  if (/\bold$/i.test(start.text)) return "sown";
  return crop.nurseryDays ? undefined : crop.packet.from === "planted" ? "planted" : "sown";
}

function problemWords(problem: NonNullable<LineStart["problem"]>, setting: DaySetting): string {
  if (problem.status === "no such day") return `“${problem.text}” is not a day. Write it like ${setting.order === "day first" ? "3 May" : "May 3"} or 2026-05-03.`; // prettier-ignore
  const other = problem.other ? ` Did you mean ${sayDays(problem.other, setting)}?` : "";
  return `“${problem.text}” is after today. A planting is added once it is in the ground.${other}`;
}

/** Puts together what is asked, and says it. */
function finished(
  read: ReadLine,
  crop: Crop,
  what: TheCrop,
  amount: LineAmount,
  startAsk: string | undefined,
  setting: LineSetting,
): ReadLine {
  // prettier-ignore
  const sentences: string[] = [];
  const asks: ReadLine["asks"] = [];
  if (what.words.status === "several" || what.words.status === "nearly") {
    asks.push("crop");
    sentences.push(what.words.status === "nearly" ? `Is “${what.words.word}” ${listed(what.words.crops, "or")}?` : `“${what.amount.rest}” may be ${listed(what.words.crops, "or")}. Which?`); // prettier-ignore
  }
  if (amount.status === "wrong") return { ...read, status: "refused", sentence: amount.sentence };
  if (read.plants === null && read.lengthM === null && read.areaM2 === null) {
    asks.push("amount");
    sentences.push(amountAsk(amount, setting));
  }
  if (startAsk) sentences.push(startAsk);
  asks.push(...read.asks);
  if (asks.length > 0) return { ...read, status: "asks", asks, sentence: sentences.join(" ") };
  return { ...read, status: "understood", sentence: sayLine(read, crop, setting) };
}

function amountAsk(amount: LineAmount, { units }: LineSetting): string {
  const length = units === "metric" ? "3 m" : "10 ft";
  if (amount.status === "two ways") return `Is “${amount.text}” rows of that length, or a piece of ground?`;
  if (amount.status === "open" && /row|drill|strip/.test(amount.of)) return `How long is the row? For example “${length}”.`; // prettier-ignore
  return `How many? A number, or a length of row like “${length}”.`;
}

function notKnown(words: CropWords, said: string): string {
  if (words.status === "another plant") return `“${words.name}” is a plant of its own that is not in the catalogue. The field notes take a crop of your own.`; // prettier-ignore
  return `No crop called “${said}” is known here. The field notes list them all, and take a crop of your own.`;
}

/** "Sweetcorn or maize": crops by the names that tell them apart. */
function listed(crops: readonly Crop[], joint: "or" | "and" = "and"): string {
  const names = crops.map((c) => `“${c.name.toLowerCase()}”`);
  return names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} ${joint} ${names.at(-1)}`;
}
