import { en } from "chrono-node";
import { addDays, IsoDay, isoDay, dayNumber } from "../calendar";
import { lastOfMonth, oneDay, two, yearOf, type DaySetting, type DaySpan } from "./day-setting";
import { feast, FEASTS } from "./feast-days";

/** A day phrase at the beginning of a text: what it means, or that no such day is, and how long it is. */
export type DayPhrase = { length: number; text: string } & (
  | { status: "days"; span: DaySpan }
  | { status: "no such day" }
  | { status: "after today"; span: DaySpan; other?: DaySpan }
);

const MONTHS = ["jan(?:uary)?", "feb(?:ruary)?", "mar(?:ch)?", "apr(?:il)?", "may", "june?", "july?", "aug(?:ust)?", "sept?(?:ember)?", "oct(?:ober)?", "nov(?:ember)?", "dec(?:ember)?"]; // prettier-ignore
const MONTH = `(?:${MONTHS.join("|")})\\b\\.?`;
const DAY = String.raw`\d{1,2}(?:st|nd|rd|th)?(?![\d./-])`;
const YEAR = String.raw`(?:(?:,|\s+of)?\s+(?:(?:19|20)\d\d|['’]\d\d|(?:last|this) year)\b)`;
const SEASON = "(?:spring|summer|autumn|fall|winter)";
const SMALL = String.raw`(?:\d{1,3}|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|a couple of|a few|several)`; // prettier-ignore
const ABOUT = String.raw`(?:about|around|approx(?:imately)?\.?|circa|roughly|some ?time (?:in|around)|some time|~|near|maybe|probably|or so)`;
const PART = String.raw`(?:(?:very\s+)?early|mid(?:dle of|dle)?|late|(?:the\s+)?(?:start|beginning|end|middle)(?: of)?|(?:the\s+)?(?:first|second|third|fourth|last)\s+(?:week|half|weekend) (?:of|in))[\s-]+`; // prettier-ignore
const FORMS: readonly { form: RegExp; read: (m: RegExpExecArray, s: DaySetting) => DaySpan | undefined }[] = [
  { form: of(String.raw`(?:between\s+)?(?:the\s+)?\d{1,2}(?:st|nd|rd|th)?\s*(?:-|–|to|until|and|or)\s*(?:the\s+)?${DAY}(?:\s+of)?\s+${MONTH}${YEAR}?`), read: ([t], s) => between(t, /^(\D*)(\d+)\S*?\s*(?:-|–|to|until|and|or)\s*(?:the\s+)?(\d+\S*\s+.*)$/i, s) }, // prettier-ignore
  {
    form: of(
      String.raw`(?:between\s+)?${MONTH}\s+\d{1,2}(?:st|nd|rd|th)?\s*(?:-|–|to|and|or)\s*\d{1,2}(?:st|nd|rd|th)?\b${YEAR}?`,
    ),
    read: monthDays,
  },
  { form: of(String.raw`(?:between\s+)?${DAY}(?:\s+of)?\s+${MONTH}\s*(?:-|–|to|and|or)\s*${DAY}(?:\s+of)?\s+${MONTH}${YEAR}?`), read: twoDays }, // prettier-ignore
  { form: of(String.raw`(?:between\s+)?${MONTH}\s*(?:/|-|–|to|or|and)\s*${MONTH}${YEAR}?`), read: twoMonths },
  { form: of(String.raw`\d{4}[-/]\d{1,2}[-/]\d{1,2}`), read: ([t], s) => exact(t.replace(/\//g, "-"), s) },
  { form: of(String.raw`\d{1,2}([./-])\d{1,2}\1(?:\d{4}|\d{2})(?![\d/])`), read: ([t], s) => exact(t, t.includes(".") ? { ...s, order: "day first" } : s) }, // prettier-ignore
  { form: of(String.raw`\d{1,2}/\d{1,2}(?![\d/])`), read: ([t], s) => exact(t, s) },
  { form: of(String.raw`(?:the\s+)?${DAY}(?:\s+of)?\s+${MONTH}${YEAR}?`), read: ([t], s) => exact(t, s) },
  { form: of(String.raw`${MONTH}\s+(?:the\s+)?${DAY}${YEAR}?`), read: ([t], s) => exact(t, s) },
  { form: of(String.raw`${PART}(?:last\s+|this\s+)?${MONTH}${YEAR}?`), read: partOfMonth },
  { form: of(String.raw`(?:last\s+|this\s+)?${MONTH}${YEAR}?`), read: wholeMonth },
  { form: of(String.raw`${ABOUT}?\s*${SMALL}(?:\s+or\s+\w+)?\s+(?:days?|weeks?|months?|years?)\s+(?:ago|old|back)`), read: ago }, // prettier-ignore
  { form: of(String.raw`a\s+(?:day|week|month|year)\s+or\s+(?:two|so)\s+(?:ago|old|back)`), read: ago },
  { form: of(String.raw`(?:${PART})?(?:(?:this|last|in|the|the previous)\s+)?${SEASON}(?:\s+before last)?${YEAR}?`), read: season }, // prettier-ignore
  { form: of(String.raw`(?:last|this)\s+year|the\s+year\s+before\s+last`), read: yearNamed },
  { form: of(String.raw`(?:19|20)\d\d(?:\s*(?:-|–|or|to)\s*(?:19|20)?\d\d)?(?![\d/.-])`), read: years },
  { form: of(String.raw`(?:last|this)\s+(?:week|month|weekend)`), read: lastWeek },
  { form: of(String.raw`today|yesterday|the day before yesterday`), read: ([t], { today }) => oneDay(addDays(today, /before/i.test(t) ? -2 : /yest/i.test(t) ? -1 : 0)) }, // prettier-ignore
  { form: of(String.raw`(?:last|this|on)?\s*(?:monday|tuesday|wednesday|thursday|friday|saturday|sunday)`), read: weekday }, // prettier-ignore
  { form: of(String.raw`(?:last\s+|this\s+)?${FEASTS}${YEAR}?`), read: feast },
];

function of(pattern: string): RegExp {
  return new RegExp(`^(?:${pattern})(?![a-z-])`, "i");
}

const LEAD = new RegExp(
  String.raw`^(?:(?:on|in|at|from|since|over|during|back in|the week of|by|${ABOUT})\s+|~\s*)+`,
  "i",
);
const VAGUE_DAYS = 3;
const FIRST_YEAR = 1900;

/**
 * A day as a gardener writes it, at the beginning of a text: "3 May", "6/1", "mid May", "last spring", "9 weeks ago",
 * "2019". Without a year it is the latest such day that is not after today. Vague words are spans.
 *
 * @returns undefined where the text begins with no day
 */
export function dayPhrase(text: string, setting: DaySetting): DayPhrase | undefined {
  const lead = LEAD.exec(text)?.[0] ?? "";
  const words = withYear(text.slice(lead.length), setting.today);
  for (const { form, read } of FORMS) {
    const found = form.exec(words);
    if (!found) continue;
    const at = { length: lead.length + found[0].length, text: found[0].trim() };
    const span = read(found, setting);
    if (!span || span.from < `${FIRST_YEAR}-01-01`) return { ...at, status: "no such day" };
    const wide = new RegExp(ABOUT, "i").test(lead) && span.from === span.to ? spread(span, VAGUE_DAYS) : span;
    if (span.from > setting.today)
      return { ...at, status: "after today", span, ...otherOrder(found[0], read, setting) };
    return { ...at, status: "days", span: { from: wide.from, to: earlier(wide.to, setting.today) } };
  }
  return undefined;
}

/** The day that the other order of day and month makes of it, where that is not after today. */
function otherOrder(text: string, read: (m: RegExpExecArray, s: DaySetting) => DaySpan | undefined, s: DaySetting) {
  if (!/^\d{1,2}[/-]\d{1,2}[/-]/.test(text)) return {};
  const span = read([text] as unknown as RegExpExecArray, { ...s, order: s.order === "day first" ? "month first" : "day first" }); // prettier-ignore
  return span && span.from <= s.today ? { other: span } : {};
}

/** "20 Oct last year": the year in figures, as wide as the words so that lengths stay. */
function withYear(text: string, today: IsoDay): string {
  const year = Number(today.slice(0, 4));
  return text.replace(/^([^,;|]{3,14}?\d[^,;|]{0,6}? |[a-z]+ )(last|this) year\b/i, (all, day: string, which: string) => (/^(?:sown|planted|in|of|the)\b/i.test(day) ? all : `${day}${String(year - (which.toLowerCase() === "last" ? 1 : 0)).padStart(which.length + 5)}`)); // prettier-ignore
}

/** Whether a phrase is surely a day where nothing says that one follows: months alone may be names. */
export const isSureDay = (text: string): boolean =>
  /\d/.test(text) || /\b(ago|old|last|this|yesterday|today|early|mid|late)\b/i.test(text);

const spread = ({ from, to }: DaySpan, days: number): DaySpan => ({ from: addDays(from, -days), to: addDays(to, days) }); // prettier-ignore
const earlier = (a: IsoDay, b: IsoDay) => (a < b ? a : b);

/** One exact day, by the date reader. */
function exact(text: string, { today, order }: DaySetting): DaySpan | undefined {
  const tidy = text.replace(/\s+/g, " ").replace(/^the\s+/i, "").replace(/['’](\d\d)\b/, "20$1").replace(/\bsept\b/i, "sep").replace(/^([a-z]+)\.?\s+(?:the\s+)?(\d{1,2})(?:st|nd|rd|th)?(?=$|\D)/i, "$2 $1").replace(/,/g, " "); // prettier-ignore
  const [, y, m, d] = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(tidy) ?? [];
  if (y) return IsoDay.safeParse(`${y}-${two(Number(m))}-${two(Number(d))}`).success ? oneDay(`${y}-${two(Number(m))}-${two(Number(d))}`) : undefined; // prettier-ignore
  const reader = order === "day first" ? en.GB : en.casual;
  const [result] = reader.parse(tidy, { instant: new Date(yearOf(today), 5, 15, 12) });
  if (!result || result.text.replace(/\W/g, "").length < tidy.replace(/^the\s+/i, "").replace(/\W/g, "").length - 2)
    return undefined;
  const [month, day] = [result.start.get("month")!, result.start.get("day")!];
  const at = (year: number) => `${year}-${two(month)}-${two(day)}`;
  if (result.start.isCertain("year")) return real(at(result.start.get("year")!));
  return at(yearOf(today)) <= today ? real(at(yearOf(today))) : real(at(yearOf(today) - 1));
}
const real = (day: string) => (IsoDay.safeParse(day).success ? oneDay(day) : undefined);

function between(text: string, parts: RegExp, s: DaySetting): DaySpan | undefined {
  const [, , first, second] = parts.exec(text) ?? [];
  const to = second && exact(second, s);
  if (!to || !first) return undefined;
  const from = real(`${to.from.slice(0, 8)}${two(Number(first))}`);
  return from && from.from <= to.to ? { from: from.from, to: to.to } : undefined;
}

function monthDays([text]: RegExpExecArray, s: DaySetting): DaySpan | undefined {
  const [, month, a, b, year = ""] = /^(?:between\s+)?(\D+?)\s+(\d+)\D*?\s*(?:-|–|to|and|or)\s*(\d{1,2})(?:st|nd|rd|th)?(.*)$/i.exec(text) ?? []; // prettier-ignore
  return between(`${a} to ${b} ${month}${year.replace(",", "")}`, /^(\D*)(\d+)\s*(?:to)\s*(\d+\s+.*)$/i, s);
}

function twoDays([text]: RegExpExecArray, s: DaySetting): DaySpan | undefined {
  const [, a, b] = /^(?:between\s+)?(\d.*?)\s*(?:-|–|to|and|or)\s*(\d.*)$/i.exec(text) ?? [];
  const to = b && exact(b, s);
  const from = to && a && exact(/\d{4}$/.test(a) ? a : `${a} ${yearOf(to.from)}`, s);
  return from && from.from <= to.to ? { from: from.from, to: to.to } : undefined;
}

const monthNumber = (text: string) => MONTHS.findIndex((m) => new RegExp(`^${m}$`, "i").test(text.replace(".", ""))) + 1; // prettier-ignore

/** A span of months: in the year told, else the latest that has begun. */
function monthsOf(first: number, last: number, yearText: string | undefined, { today }: DaySetting, back = 0): DaySpan {
  const told = yearText && Number(yearText.replace(/\D/g, "").padStart(4, "20"));
  const begin = (year: number) => `${year}-${two(first)}-01`;
  const now = yearOf(today);
  const year = told ? told : (begin(now) <= today ? now : now - 1) - back;
  return { from: begin(year), to: lastOfMonth(last < first ? year + 1 : year, last) };
}

function twoMonths([text]: RegExpExecArray, s: DaySetting): DaySpan {
  const [, a, b, year] = /^(?:between\s+)?([a-z.]+)\s*(?:\/|-|–|to|or|and)\s*([a-z]+)\.?(.*)$/i.exec(text)!;
  return monthsOf(monthNumber(a!), monthNumber(b!), year?.trim() ? year : undefined, s);
}

function wholeMonth([text]: RegExpExecArray, s: DaySetting): DaySpan {
  const [, last, month, year] = /^(last\s+|this\s+)?([a-z]+)\.?(.*)$/i.exec(text)!;
  const number = monthNumber(month!);
  const isNow = number === Number(s.today.slice(5, 7)) && /last/i.test(last ?? "");
  return monthsOf(number, number, year?.trim() ? year : undefined, s, isNow ? 1 : 0);
}

function partOfMonth([text]: RegExpExecArray, s: DaySetting): DaySpan {
  const month = new RegExp(`(?:last\\s+|this\\s+)?${MONTH}${YEAR}?$`, "i").exec(text)!;
  const whole = wholeMonth(month, s);
  return partOf(text.slice(0, month.index), whole);
}

/** The part of a span that "early", "mid", "the end of", "the second week of" names. */
function partOf(words: string, { from, to }: DaySpan): DaySpan {
  const [a, b] = [dayNumber(from), dayNumber(to)];
  const share = (x: number, y: number): DaySpan => ({ from: isoDay(a + Math.floor((b - a + 1) * x)), to: isoDay(a + Math.ceil((b - a + 1) * y) - 1) }); // prettier-ignore
  const week = ["first week", "second week", "third week", "fourth week"].findIndex((w) => words.toLowerCase().includes(w)); // prettier-ignore
  if (week >= 0) return { from: isoDay(a + 7 * week), to: isoDay(a + 7 * week + 6) };
  if (/last week/i.test(words)) return { from: isoDay(b - 6), to };
  if (/half/i.test(words)) return /first/i.test(words) ? share(0, 0.5) : share(0.5, 1);
  if (/early|start|begin|first/i.test(words)) return share(0, 1 / 3);
  return /late|end/i.test(words) ? share(2 / 3, 1) : share(1 / 3, 2 / 3);
}

const COUNTS: Record<string, number> = { a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12, fifteen: 15, twenty: 20, thirty: 30, forty: 40, fifty: 50, "a couple of": 2 }; // prettier-ignore

function ago([text]: RegExpExecArray, { today }: DaySetting): DaySpan | undefined {
  const vague = new RegExp(`^${ABOUT}|\\bor\\b`, "i").test(text);
  const [, count, unit] = new RegExp(`(${SMALL})(?:\\s+or\\s+\\w+)?\\s+(day|week|month|year)s?\\b`, "i").exec(text.replace(/\s+or\s+(two|so)\s+(?=ago|old|back)/i, " ")) ?? []; // prettier-ignore
  if (!count || !unit) return undefined;
  const few = /few|several/i.test(count);
  const n = few ? 3.5 : (COUNTS[count.toLowerCase()] ?? Number(count));
  if (unit === "year") {
    const year = yearOf(today) - Math.round(n);
    return { from: `${few ? year - 2 : year}-01-01`, to: `${few ? year + 1 : year}-12-31` };
  }
  const days = { day: 1, week: 7, month: 30.4 }[unit.toLowerCase() as "day" | "week" | "month"];
  const middle = addDays(today, -Math.round(n * days));
  const doubt = few ? 1.5 * days : unit === "month" ? 15 : vague ? days / 2 : 0;
  return spread(oneDay(middle), Math.round(doubt));
}

const SEASON_MONTHS: Record<string, [number, number]> = { spring: [3, 5], summer: [6, 8], autumn: [9, 11], fall: [9, 11], winter: [12, 2] }; // prettier-ignore

function season([text]: RegExpExecArray, s: DaySetting): DaySpan {
  const name = new RegExp(SEASON, "i").exec(text)![0].toLowerCase();
  const shift = (m: number) => (s.south ? ((m + 5) % 12) + 1 : m);
  const [first, last] = SEASON_MONTHS[name]!.map(shift) as [number, number];
  const year = /(?:19|20)\d\d|['’]\d\d/.exec(text)?.[0];
  const begun = monthsOf(first, last, year, s);
  const back = year ? 0 : /before last/i.test(text) ? 1 : /\blast|previous/i.test(text) && begun.to >= s.today ? 1 : 0;
  const whole = back === 0 ? begun : monthsOf(first, last, undefined, s, back);
  return new RegExp(`^${PART}`, "i").test(text) ? partOf(text, whole) : whole;
}

function yearNamed([text]: RegExpExecArray, { today }: DaySetting): DaySpan {
  const year = yearOf(today) - (/before/i.test(text) ? 2 : /last/i.test(text) ? 1 : 0);
  return { from: `${year}-01-01`, to: `${year}-12-31` };
}

function years([text]: RegExpExecArray): DaySpan | undefined {
  const [a, b] = text.match(/\d+/g)!.map(Number) as [number, number?];
  const last = b === undefined ? a : b < 100 ? Math.floor(a / 100) * 100 + b : b;
  return last < a ? undefined : { from: `${a}-01-01`, to: `${last}-12-31` };
}

function lastWeek([text]: RegExpExecArray, { today }: DaySetting): DaySpan {
  if (/month/i.test(text)) {
    const first = `${today.slice(0, 8)}01`;
    if (/this/i.test(text)) return { from: first, to: today };
    const to = addDays(first, -1);
    return { from: `${to.slice(0, 8)}01`, to };
  }
  const monday = addDays(today, -((dayNumber(today) + 3) % 7));
  const week = /this/i.test(text) ? monday : addDays(monday, -7);
  return /weekend/i.test(text)
    ? { from: addDays(week, 5), to: addDays(week, 6) }
    : { from: week, to: addDays(week, 6) };
}

function weekday([text]: RegExpExecArray, { today }: DaySetting): DaySpan {
  const names = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];
  const wanted = names.findIndex((n) =>
    text
      .toLowerCase()
      .replace(/^(?:last|this|on)\s+/, "")
      .startsWith(n),
  );
  const back = ((dayNumber(today) + 3) % 7) - wanted;
  return oneDay(addDays(today, -(back > 0 ? back : back + 7)));
}
