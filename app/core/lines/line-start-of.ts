import type { Crop, StartEvent } from "../crops";
import type { DaySetting, DaySpan } from "./day-setting";
import type { ReadLine } from "./line-reading";
import type { LineStart } from "./line-start";
import { sayDays } from "./line-words";

/** The start that was answered, with the event of the line where the answer has none. */
export function answered(inLine: readonly LineStart[], answer: readonly LineStart[], text: string): LineStart[] {
  const event = inLine.find((s) => s.event)?.event;
  if (answer.length === 0) return [{ event, text, problem: { status: "no such day", text, length: text.length } }];
  const span = answer.some((s) => s.span ?? s.problem) ? undefined : inLine.find((s) => s.span)?.span;
  return answer.map((s) => ({ ...s, event: s.event ?? event, span: s.span ?? span }));
}

interface Started {
  read: Partial<ReadLine>;
  sentence?: string;
}

/** What a line says of the start, and what has to be asked of it. */
export function startOf(
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
  if (crop.perennial || crop.group === "extra") return "planted";
  if (/\bold$/i.test(start.text)) return "sown";
  return crop.nurseryDays ? undefined : crop.packet.from === "planted" ? "planted" : "sown";
}

function problemWords(problem: NonNullable<LineStart["problem"]>, setting: DaySetting): string {
  if (problem.status === "no such day") return `“${problem.text}” is not a day. Write it like ${setting.order === "day first" ? "3 May" : "May 3"} or 2026-05-03.`; // prettier-ignore
  const other = problem.other ? ` Did you mean ${sayDays(problem.other, setting)}?` : "";
  return `“${problem.text}” is after today. A planting is added once it is in the ground.${other}`;
}
