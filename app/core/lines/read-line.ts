import type { Catalogue, Crop } from "../crops";
import { listed } from "./crop-names";
import type { CropWords } from "./crop-words";
import { readLineAmount, type LineAmount } from "./line-amount";
import { takeBed } from "./line-bed";
import { cropOfPieces, leftovers, piecesOf, withChosen, type LineCrop } from "./line-crop";
import { takeForm } from "./line-form";
import type { LineSetting, ReadLine, TypedLine } from "./line-reading";
import { takePacket } from "./line-packet";
import { takeStarts } from "./line-start";
import { answered, startOf } from "./line-start-of";
import { sayLine } from "./line-words";
import type { LineWords } from "./variety-name";

const NOTHING: ReadLine = { status: "refused", cropId: null, options: [], plants: null, about: false, lengthM: null, areaM2: null, variety: "", startEvent: null, from: null, to: null, sown: null, came: null, packet: null, varietyPacket: null, form: null, bed: null, heading: false, asks: [], left: [], sentence: "" }; // prettier-ignore

/** So widely set that one of it goes without saying: a tree, a clump, plants a metre; a herb that stays is one too. */
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
  const what = withChosen(cropOfPieces(catalogue, pieces, lore), catalogue, answers.crop);
  if (what.words.status === "none" || what.words.status === "another plant")
    return {
      ...NOTHING,
      packet,
      bed,
      left: pieces,
      sentence: notKnown(what.words, what.amount.rest || pieces.join(", ") || text),
    };
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
    packet,
    varietyPacket: packetOf(what.words),
    form,
    bed: bed ?? rest.bed,
    left: rest.left,
  };
  const started = startOf(starts, byForm, crop, options, setting);
  return finished({ ...read, ...started.read }, crop ?? options[0]!, what, rest.amount, started.sentence, setting);
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

function amountOf(
  amount: LineAmount,
  crop: Crop | undefined,
): Pick<ReadLine, "plants" | "about" | "lengthM" | "areaM2"> {
  // prettier-ignore
  const none = { plants: null, about: false, lengthM: null, areaM2: null };
  if (amount.status === "plants") return { ...none, plants: amount.plants, about: amount.about };
  if (amount.status === "row") return { ...none, lengthM: amount.lengthM };
  if (amount.status === "area") return { ...none, areaM2: amount.areaM2 };
  const alone =
    amount.status === "not told" &&
    crop?.perennial &&
    (crop.group === "herb" || crop.life.spacing.plantsPerM <= GOES_ALONE);
  return alone ? { ...none, plants: 1 } : none;
}

const packetOf = (words: CropWords) => (words.status === "one" ? (words.known?.packet ?? null) : null);

/** Puts together what is asked, and says it. */
function finished(
  read: ReadLine,
  crop: Crop,
  what: LineCrop,
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
