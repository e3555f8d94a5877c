import type { IsoDay } from "~/core/calendar";
import { waysChosen, type Crop } from "~/core/crops";
import type { Judgement, Limit, Verdict } from "~/core/readiness";
import { capital, inTenths, lower, sayDay } from "../words";

type Ways = Readonly<Record<string, string>>;

const tidy = (text: string) => text.replace(/\.$/, "");
const sentences = (parts: readonly (string | false | undefined)[]) =>
  parts
    .filter((part): part is string => Boolean(part))
    .map((part) => `${capital(tidy(part))}.`)
    .join(" ");

/** A text of clauses without those that hold one of some words. */
function without(text: string, drops: readonly string[]): string {
  if (!drops.some((d) => text.includes(d))) return text;
  return text
    .split(/(?<=[;,.:])\s+/)
    .filter((clause) => !drops.some((d) => clause.includes(d)))
    .join(" ")
    .replace(/[;,:.]$/, "");
}

const WAITS: readonly Verdict["kind"][] = ["leave", "look again", "look now", "wait dry", "hold", "settle"];
/** Of what comes off whatever its stage, nothing is told to stay. */
const PATIENCE = /\b(leave|let (it|them)|as long as possible|a ripe one|until|wait)\b/i;
const FORBIDS = /^(pick (hard|by size|all)|cut (before|in bud)|wait)|slips/i;

/** The verdict of what is not told apart. */
const mainOf = ({ because, ...verdict }: Verdict): Verdict =>
  because.why === "some apart" || because.why === "leaves wet" ? because.rest : { because, ...verdict };

/** Everything comes off: it would be lost, or the bed is wanted. */
function stripsAll({ because }: Verdict): boolean {
  if (because.why === "would be lost") return because.from === "green" || because.limit.by === "bed";
  return because.why === "ready" && because.limit?.by === "bed";
}

/** How it is taken as the verdict has it, in the household's ways where they differ. */
export function howToTake(crop: Crop, ways: Ways, verdict: Verdict): string {
  const main = mainOf(verdict);
  const { kind } = main;
  if (kind === "store" || kind === "cure on" || kind === "use first") return sentences(afterPick(crop, ways));
  if (kind === "unfit") return "Take it off by itself, and keep it and the blade out of the basket.";
  if (kind === "stop") return "Leave all of it on the plant.";
  if (kind === "seed") return sentences([crop.seedSaving?.text ?? "Leave it on until it is dry"]);
  const chosen = waysChosen(crop, ways);
  const drops = chosen.flatMap((o) => o.drops);
  const all = stripsAll(main);
  const how = without(crop.pick.how, drops);
  const stays = all ? "" : without(crop.pick.stays, drops);
  const text = sentences([
    all ? clauses(how, (c) => !PATIENCE.test(c)) : how,
    ...chosen.map((o) => o.advice),
    stays && !stays.startsWith("nothing") && `Leave ${stays}`,
  ]);
  return WAITS.includes(kind) && verdict.kind !== "take some" ? `When it is ready: ${text}` : text;
}

const clauses = (text: string, keep: (clause: string) => boolean) => text.split(/;\s+/).filter(keep).join("; ");

/** What is not done, in the household's ways; empty where nothing of it holds. */
export function notToDo(crop: Crop, ways: Ways, verdict: Verdict): string {
  const main = mainOf(verdict);
  const drops = waysChosen(crop, ways).flatMap((o) => o.drops);
  const all = stripsAll(main) || main.kind === "take early";
  const not = without(crop.pick.not, drops)
    .split(/,\s+/)
    .filter((c) => !(all && FORBIDS.test(c)))
    .join(", ");
  return not && `Do not ${not}.`;
}

/** What follows the pick, and how it keeps, in the household's ways. */
export function afterPick(crop: Crop, ways: Ways): string[] {
  const chosen = waysChosen(crop, ways);
  const drops = chosen.flatMap((o) => o.drops);
  return [without(crop.after.text, drops), ...chosen.flatMap((o) => o.after ?? []), crop.after.store].filter(Boolean);
}

export const afterSentence = (crop: Crop, ways: Ways): string => sentences(afterPick(crop, ways));

/** What happens if it waits, as the verdict has it. */
export function waitingSentence(
  crop: Crop,
  { verdict, window, standsStill }: Pick<Judgement, "verdict" | "window" | "standsStill">,
  today: IsoDay,
): string {
  const main = mainOf(verdict);
  const { kind, because } = main;
  const { past } = crop.life;
  switch (kind) {
    case "unfit":
    case "hold":
    case "seed":
    case "stop":
    case "cure on":
    case "store":
    case "use first":
      return "";
    case "past":
    case "clear":
      return `Left on, it ${past.becomes} within ${past.low} to ${past.high} days.`;
  }
  if ("limit" in because && because.limit) return afterLimit(because.limit, crop);
  if (standsStill) return "Hardly any warmth ahead: it neither ripens nor ages, and holds where it stands.";
  if (WAITS.includes(kind)) return onceReady(crop, window.opens.p50, today);
  const closes = window.closes.p50;
  const until = kind === "ready" && closes && closes > today ? `Best until about ${sayDay(closes, today)}. ` : "";
  // What comes off today is not told how long it might stand.
  const costs = kind === "ready" ? crop.waiting.text : clauses(crop.waiting.text, (c) => !/\b(stands?|holds?|keeps) for\b/.test(c)); // prettier-ignore
  return `${until}${capital(costs)}.`;
}

function onceReady({ waiting }: Crop, opens: IsoDay | null, today: IsoDay): string {
  const from = opens && opens > today ? `Ready from about ${sayDay(opens, today)}. ` : "";
  return `${from}${waiting.text.startsWith("Left") ? waiting.text : `Once it is ready: ${lower(waiting.text)}`}.`;
}

/** What ends the waiting says what becomes of the rest. */
function afterLimit(limit: Limit, { waiting }: Crop): string {
  switch (limit.by) {
    case "threat":
    case "heat":
      return `What is left on after that is lost, ${inTenths(limit.threat.loss)}.`;
    case "away":
    case "hands":
      return `Nobody is there to pick it after that. ${waiting.text}.`;
    case "bed":
      return "What is still on goes when the bed is cleared.";
  }
}
