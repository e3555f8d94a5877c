import { numberOf, NUMBER_WORD } from "../units";

/** How much of a crop, as a piece of a line says it, and the words that are left of it. */
export type LineAmount = { rest: string } & (
  | { status: "plants"; plants: number; about: boolean }
  | { status: "row"; lengthM: number }
  | { status: "area"; areaM2: number }
  /** A row, a bed, a handful: told, but of no size. */
  | { status: "open"; of: string; rows: number }
  /** "2 x 3 m" may be two rows or a piece of ground. */
  | { status: "two ways"; text: string }
  | { status: "not told" }
  | { status: "wrong"; sentence: string }
);

const MOST = 5000;
const LONGEST_M = 500;
const METRES: Record<string, number> = { m: 1, metre: 1, meter: 1, cm: 0.01, ft: 0.3048, foot: 0.3048, feet: 0.3048, "'": 0.3048, "′": 0.3048, yd: 0.9144, yard: 0.9144, in: 0.0254, inch: 0.0254, inches: 0.0254 }; // prettier-ignore

const DIGITS = String.raw`\d+(?:[.,]\d+)?`;
const NUM = String.raw`(\b(?:${NUMBER_WORD})\b|-?\d{1,3}(?:,\d{3})+|-?\d+(?:\.\d+)?)`;
const UNIT = String.raw`(metres?|meters?|m|cm|feet|foot|ft\.?|['′]|yards?|yds?|inches|inch)(?![a-z²2])`;
const LEN = String.raw`(${DIGITS}|${NUMBER_WORD}|half a|a)\s*-?\s*${UNIT}`;
const SQUARE = String.raw`(?:(${DIGITS}|${NUMBER_WORD}|a)\s*(?:sq\.?|square)\s*-?\s*(feet|foot|ft\.?|m|metres?|meters?|yards?|yds?)|(${DIGITS})\s*(m|ft)\s*(?:²|2|\^2))(?![a-z])`;
const SIDES = String.raw`(${DIGITS})\s*(?:${UNIT})?\s*(by|x|×)\s*(${DIGITS})\s*-?\s*${UNIT}`;
/** What stands: said with the number, of the plant and not of its variety. */
const STANDS = String.raw`(?:x|×|no\.?|nos\.?|of|(?:plants|clumps|heads|crowns|sets|cloves|tubers|bulbs|slips|stools|canes|trees|bushes|seedlings|starts|plugs|hills|pots|tubs|roots|corms|cuttings|vines|stations|seeds|pieces)(?:\s+of)?|(?:plant|clump|head|crown|pot|tub|hill|vine|tree|bush|stool)\s+of)`;
const ABOUT = String.raw`(?:about|around|approx\.?|approximately|roughly|some|circa|c\.|~|maybe|nearly|almost|over)`;
const OPEN = String.raw`(?:a|an|one|the|my|our|half a|1/2 a?|½ a?|another)?\s*(rows?|beds?|patch(?:es)?|trays?|packets?|packs?|handfuls?|few|several|lots|lot|some|many|block|strip|drills?|box(?:es)?|border|sowing|load|bunch|bit|loads|plenty|mass|edging)`;
const after = (rest: string | undefined) => (rest ?? "").replace(/^(?:of|with)\s+(?:the\s+)?/i, "").trim();

/** Reads how much a piece of a line tells of what grows there: at its beginning, else at its end. */
export function readLineAmount(text: string): LineAmount {
  const words = text
    .trim()
    .replace(/^(?:i have|we have|there are|there is|got|the|my|our)\s+(?=\S)/i, "")
    .replace(/^(?:an?|one)\s+(?=\d)/i, "");
  if (/^\d+(?:[.,]\d+)?\s*(?:kg|g|kilos?|lbs?|pounds?|oz)\b/i.test(words)) return { status: "open", of: "weight", rows: 1, rest: after(words.replace(/^\S+?\s*(?:kg|g|kilos?|lbs?|pounds?|oz)\b\s*/i, "")) }; // prettier-ignore
  return readArea(words) ?? readRows(words) ?? readNumber(words) ?? { status: "not told", rest: words };
}

function readArea(words: string): LineAmount | undefined {
  const square = find(words, SQUARE, String.raw`(?:\s*(?:bed|patch|block|plot))?`);
  if (square) {
    const [, a, unitA, b, unitB] = square.found;
    return areaOf(lengthNumber(a ?? b!) * metresIn(unitA ?? unitB!) ** 2, square.rest);
  }
  const sides = find(words, SIDES, String.raw`(?:\s*(?:bed|patch|block|plot|rows?))?`);
  if (!sides) return undefined;
  const [whole, a, unitA, by, b, unitB] = sides.found;
  const unit = metresIn(unitB!);
  if (/row/i.test(whole) && Number.isInteger(Number(a))) return rowOf(Number(a) * lengthNumber(b!) * unit, sides.rest);
  const feet = Math.abs(unit - METRES.ft!) < 1e-9 && lengthNumber(a!) >= 3;
  if (!unitA && by !== "by" && !feet && !/bed|patch|block|plot/i.test(whole))
    return { status: "two ways", text: whole.trim(), rest: sides.rest };
  return areaOf(lengthNumber(a!) * (unitA ? metresIn(unitA) : unit) * lengthNumber(b!) * unit, sides.rest);
}

function readRows(words: string): LineAmount | undefined {
  const of = String.raw`\s*-?\s*(?:long\s+)?(?:rows?|drills?)?`;
  const rows = new RegExp(String.raw`^${NUM}\s*(?:rows?|drills?)\s*(?:of|x|×|,)?\s*${LEN}${of}(?:\s+(?:each|long))?(?:\s+of)?(?:\s+(.+))?$`, "i").exec(words); // prettier-ignore
  if (rows) return rowOf(numberOf(rows[1]!)! * lengthNumber(rows[2]!) * metresIn(rows[3]!), after(rows[4]));
  const longRows = new RegExp(String.raw`^${NUM}\s+${LEN}\s*-?\s*(?:long\s+)?(?:rows|drills)(?:\s+of)?\s+(.+)$`, "i").exec(words); // prettier-ignore
  if (longRows)
    return rowOf(numberOf(longRows[1]!)! * lengthNumber(longRows[2]!) * metresIn(longRows[3]!), after(longRows[4]));
  const rowsThen = new RegExp(String.raw`^${NUM}\s*(?:rows?|drills?)\s+(?:of\s+)?(.+?),?\s+(?:of\s+|each\s+)?${LEN}(?:\s+(?:each|long|row))*$`, "i").exec(words); // prettier-ignore
  if (rowsThen) return rowOf(numberOf(rowsThen[1]!)! * lengthNumber(rowsThen[3]!) * metresIn(rowsThen[4]!), rowsThen[2]!); // prettier-ignore
  const length = find(words, LEN, String.raw`(?:\s*-?\s*(?:long|rows?|drills?|of row|run|strip|each))*`);
  return length && rowOf(lengthNumber(length.found[1]!) * metresIn(length.found[2]!), length.rest);
}

function readNumber(words: string): LineAmount | undefined {
  const block = /^(?:(\d+)\s*(?:[x×]|rows? of)\s*(\d+)\s+(?:block of\s+)?(\D+)|(\D+?),?\s+(?:in )?(?:a )?(\d+)\s*(?:[x×]|rows? of)\s*(\d+)(?:\s+(?:block|grid|plants))?)$/i.exec(words); // prettier-ignore
  if (block) return plantsOf(Number(block[1] ?? block[5]) * Number(block[2] ?? block[6]), false, (block[3] ?? block[4])!.trim()); // prettier-ignore
  const lastRows = new RegExp(String.raw`^(.*[a-z'”"])\s+(\d+|${NUMBER_WORD}|double)\s+rows?$`, "i").exec(words);
  if (lastRows) return { status: "open", of: "rows", rows: numberOf(lastRows[2]!) ?? 2, rest: lastRows[1]! };
  const open = new RegExp(String.raw`^(?:(\d+|${NUMBER_WORD})\s+)?${OPEN}\b\s*(?:seeds?\s+)?(?:of\s+)?(?:row\s+)?(.*)$`, "i").exec(words); // prettier-ignore
  if (
    open &&
    (open[1] === undefined || /^(?:row|bed|patch|tray|pack|handful|drill|block|strip|box|sowing)/i.test(open[2]!))
  )
    return { status: "open", of: open[2]!.toLowerCase(), rows: numberOf(open[1] ?? "1") ?? 1, rest: open[3]! };
  const range = new RegExp(String.raw`^(?:${ABOUT}\s*)?(\d+)\s*(?:-|–|to|or)\s*(\d+)\s*(?:${STANDS}\s+)*(?:of\s+)?(\D.*|)$`, "i").exec(words); // prettier-ignore
  if (range && Number(range[2]) > Number(range[1]))
    return plantsOf(Math.round((Number(range[1]) + Number(range[2])) / 2), true, range[3]!);
  const before = new RegExp(String.raw`^(${ABOUT}\s*)?${NUM}(\s*-?ish\b|\s+or so\b|\+)?(?:\s*${STANDS}(?=\s|$))*\s*(?:of\s+)?(\D.*|)$`, "i").exec(words); // prettier-ignore
  if (before && !/^[./]\d/.test(before[4]!)) return plantsOf(numberOf(before[2]!)!, Boolean(before[1] ?? before[3]), before[4]!); // prettier-ignore
  const times = /^[x×]\s*(\d+)$/i.exec(words);
  if (times) return plantsOf(Number(times[1]), false, "");
  const end = new RegExp(String.raw`^(.*\D)\s*(?:[x×:(–-]|\s-)\s*(?:x\s*)?${NUM}\s*(?:plants?|of them)?\s*\)?$`, "i").exec(words); // prettier-ignore
  if (end && numberOf(end[2]!) !== undefined) return plantsOf(numberOf(end[2]!)!, false, end[1]!.trim());
  const last = new RegExp(String.raw`^(.*[a-z'”")])\s+(\d+)(?:\s*${STANDS})?$`, "i").exec(words);
  if (last) return plantsOf(Number(last[2]), false, last[1]!);
  const single = /^(?:a|an|one|single|1)\s+(?:single\s+|big\s+|small\s+|large\s+|old\s+|young\s+)?(?:(?:clump|plant|pot|tub|crown|bush|tree|vine|hill)\s+of\s+)?(.+)$/i.exec(words); // prettier-ignore
  return single ? plantsOf(1, false, single[1]!) : undefined;
}

/** A pattern at the beginning of the words, or at their end. */
function find(words: string, pattern: string, tail: string): { found: RegExpExecArray; rest: string } | undefined {
  const start = new RegExp(String.raw`^${pattern}${tail}(?:\s+|$)`, "i").exec(words);
  if (start) return { found: start, rest: after(words.slice(start[0].length)) };
  const end = new RegExp(String.raw`[\s,(]+(?:a |one )?${pattern}${tail}\)?$`, "i").exec(words);
  return end ? { found: end, rest: words.slice(0, end.index).trim() } : undefined;
}

const metresIn = (unit: string) => {
  const plain = unit.toLowerCase().replace(/\.$/, "");
  return METRES[plain] ?? METRES[plain.replace(/s$/, "")] ?? Number.NaN;
};
const lengthNumber = (text: string) =>
  /^half a$/i.test(text) ? 0.5 : /^a$/i.test(text) ? 1 : (numberOf(text.replace(",", ".")) ?? Number.NaN);

function rowOf(metres: number, rest: string): LineAmount {
  return metres < 0.1 || metres > LONGEST_M
    ? { status: "wrong", sentence: "A row is between 10 cm and 500 m long.", rest }
    : { status: "row", lengthM: Math.round(metres * 100) / 100, rest };
}

function areaOf(areaM2: number, rest: string): LineAmount {
  return areaM2 < 0.01 || areaM2 > 2000
    ? { status: "wrong", sentence: "A piece of ground is between 0.01 and 2000 square metres.", rest }
    : { status: "area", areaM2: Math.round(areaM2 * 100) / 100, rest };
}

function plantsOf(number: number, about: boolean, rest: string): LineAmount {
  return !Number.isInteger(number) || number < 1 || number > MOST
    ? { status: "wrong", sentence: `${number} is not a number of plants. Use a whole number from 1 to 5000.`, rest }
    : { status: "plants", plants: number, about, rest: after(rest) };
}
