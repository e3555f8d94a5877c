import type { StartEvent } from "../crops";
import { addDays } from "../calendar";
import type { DaySetting, DaySpan } from "./day-setting";
import { dayPhrase, isSureDay, type DayPhrase } from "./line-day";

/** How and when a planting started, as a line says it; an event without a day, or a day without an event. */
export interface LineStart {
  event?: StartEvent | undefined;
  span?: DaySpan | undefined;
  /** As written. */
  text: string;
  problem?: Exclude<DayPhrase, { status: "days" }>;
}

const EVENTS: readonly { event: StartEvent; words: string; alone: boolean; cameUp?: boolean }[] = [
  { event: "sown", words: "came up|come up|coming up|sprouted|germinated|emerged|popped up|showing since", alone: true, cameUp: true }, // prettier-ignore
  { event: "sown", words: "self[- ]?sown|self[- ]?seeded|volunteers?|volunteered", alone: true },
  { event: "sown", words: "(?:direct[- ]|re|succession )?(?:sown|sowed|sew|seeded|sow)(?: direct(?:ly)?| indoors| inside| outdoors| outside| under (?:glass|cover)| in (?:situ|trays?|modules|cells|pots|seed trays?))?", alone: true }, // prettier-ignore
  { event: "sown", words: "(?:started|grown|raised)(?: from seeds?)?(?: indoors| inside| under (?:lights|glass))?", alone: false }, // prettier-ignore
  { event: "planted", words: "(?:planted|set|put|moved|bedded|pricked|potted|hardened)(?:[- ](?:out|up|on|in))|transplant(?:ed)?(?: out)?", alone: true }, // prettier-ignore
  { event: "planted", words: "(?:trans|re|inter)?planted|plant(?=\\s+\\d)|dibbed in|dug in|heeled in|stuck in|plugged in|in the ground(?: since)?|went in|gone in|in since|divided|been (?:here|there|in)(?: since| for)?", alone: true }, // prettier-ignore
  { event: "planted", words: "bought|got|given|arrived|delivered|here since|put|set", alone: false },
  { event: "blossom", words: "(?:in |full |first )?(?:blossom(?:ed|ing)?|bloom(?:ed|ing)?|flower(?:ed|ing))(?: from| since| at)?|in flower|flowers (?:open(?:ed)?)|petal fall|fruit set", alone: false }, // prettier-ignore
  { event: "growth", words: "new growth|started growing|shooting|shoots(?: up)?|leafed out|leafing(?: out)?|bud[- ]?(?:burst|break)|broke dormancy|growing(?: since| again)?|growth|first spears?|spears(?: up)?", alone: false }, // prettier-ignore
];
/** From emergence back to the sowing, days: common practice for most seeds in spring soil. */
const COMES_UP_WITHIN = 14;

/**
 * Takes out of a line what it says of how and when the planting started.
 *
 * @returns the starts in the order they stand, and the line with a bar where each was
 */
export function takeStarts(line: string, setting: DaySetting): { starts: LineStart[]; rest: string } {
  const starts: LineStart[] = [];
  let rest = line;
  for (;;) {
    const next = nextStart(rest, setting);
    if (!next) break;
    starts.push(next.start);
    rest = `${rest.slice(0, next.from)} | ${rest.slice(next.to)}`;
  }
  const day = starts.some((s) => s.span ?? s.problem)
    ? undefined
    : (looseDay(rest, setting) ?? longThere(rest, setting));
  if (!day) return { starts: joined(starts), rest };
  rest = `${rest.slice(0, day.from)} | ${rest.slice(day.to)}`;
  return { starts: joined([...starts, day.start]), rest };
}

interface Found {
  start: LineStart;
  from: number;
  to: number;
}

/** The first event word of a line with the day that follows or goes before it. */
function nextStart(line: string, setting: DaySetting): Found | undefined {
  const found = EVENTS.flatMap((e) => [...line.matchAll(new RegExp(`(?<![\\w-])(?:${e.words})(?![\\w-])`, "gi"))].map((m) => ({ e, from: m.index, to: m.index + m[0].length, text: m[0] }))); // prettier-ignore
  for (const { e, from, to, text } of found.sort((a, b) => a.from - b.from || b.to - a.to)) {
    const gap = /^[\s:,–-]*(?:(?:out|on|in|it|them|was|were)\s+(?=\S))?\s*/i.exec(line.slice(to))![0].length; // prettier-ignore
    const day = dayPhrase(line.slice(to + gap), setting);
    const follows = day && !isPlantName(line.slice(to + gap), day) ? day : undefined;
    if (follows) return { start: startOf(e, follows, text), from, to: to + gap + follows.length };
    const before = dayBefore(line.slice(0, from), setting);
    if (before) return { start: startOf(e, before.day, text), from: before.at, to };
    if (e.alone) return { start: { event: e.event, text }, from, to };
  }
  return undefined;
}

function startOf(e: (typeof EVENTS)[number], day: DayPhrase, text: string): LineStart {
  const said = `${text} ${day.text}`;
  if (day.status !== "days") return { event: e.event, text: said, problem: day };
  const { from, to } = day.span;
  return { event: e.event, text: said, span: e.cameUp ? { from: addDays(from, -COMES_UP_WITHIN), to } : { from, to } };
}

/** "spring onions" after "planted" is no season, "May Queen" no month: another word follows that belongs to it. */
function isPlantName(text: string, day: DayPhrase): boolean {
  return !isSureDay(day.text) && /^\s+[a-z]/i.test(text.slice(day.length)) && !/^\s+(?:in|at|on|by|from|and|bed)\b/i.test(text.slice(day.length)); // prettier-ignore
}

/** A day that ends right before an event: "3 March sown". */
function dayBefore(text: string, setting: DaySetting): { day: DayPhrase; at: number } | undefined {
  for (const m of text.matchAll(/(?<![\w/.-])[\w~]/g)) {
    const day = dayPhrase(text.slice(m.index), setting);
    if (day && isSureDay(day.text) && /^[\s,:–-]*$/.test(text.slice(m.index + day.length))) return { day, at: m.index }; // prettier-ignore
  }
  return undefined;
}

/** A day that no event word goes with; a month alone only where it is a piece of its own. */
function looseDay(line: string, setting: DaySetting): Found | undefined {
  for (const m of line.matchAll(/(?<![\w/.'’-])[\w~]/g)) {
    const text = line.slice(m.index);
    const day = dayPhrase(text, setting);
    if (!day) continue;
    const lead = /(?:^|[,;|(])\s*$/.test(line.slice(0, m.index));
    const ends = /^\s*(?:$|[,;|)])/.test(text.slice(day.length));
    const isFraction = /^\d\/\d(?!\d)/.test(text) && !(lead && ends);
    const alone = /^\D+$/.test(day.text) || /^\d{4}$/.test(day.text) || isFraction;
    if (/^\s*(?:days?|cm|mm|m|ft|feet|x)\b/i.test(text.slice(day.length))) continue;
    if (alone ? (lead || /\s$/.test(line.slice(0, m.index))) && ends && (isSureDay(day.text) || lead) : isSureDay(day.text)) // prettier-ignore
      return { start: { text: day.text, ...(day.status === "days" ? { span: day.span } : { problem: day }) }, from: m.index, to: m.index + day.length }; // prettier-ignore
  }
  return undefined;
}

/** What has stood for years without anybody knowing since when: three to thirty of them, our judgement. */
function longThere(line: string, { today }: DaySetting): Found | undefined {
  const found = /(?:^|[\s,|(])((?:very |well[- ]|long )?(?:established|mature)|inherited|came with the (?:house|garden|plot)|(?:was|were|already) here(?: when we (?:came|moved in))?)(?![\w-])/i.exec(line); // prettier-ignore
  if (!found) return undefined;
  const back = (years: number) => `${Number(today.slice(0, 4)) - years}`;
  return { start: { text: found[1]!, span: { from: `${back(30)}-01-01`, to: `${back(3)}-12-31` } }, from: found.index, to: found.index + found[0].length }; // prettier-ignore
}

/** "self-sown, came up 20 April" is one start, an event and a day apart too. */
function joined(starts: readonly LineStart[]): LineStart[] {
  const out: LineStart[] = [];
  for (const s of starts) {
    const open = out.find((o) => (!o.span && !o.problem && o.event && (!s.event || s.event === o.event)) || (!o.event && !s.span && s.event)); // prettier-ignore
    if (open) Object.assign(open, { ...s, event: open.event ?? s.event, text: `${open.text} ${s.text}` });
    else out.push({ ...s });
  }
  return out;
}
