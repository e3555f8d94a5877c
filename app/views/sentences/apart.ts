import type { Crop } from "~/core/crops";
import type { Apart } from "~/core/readiness";
import { capital, lower, sayCount, shareInWords } from "../words";

const FEW = 9;

/** "the one", "the two", "a third of them". */
function subject({ pieces, share }: Apart): string {
  if (pieces === null || pieces > FEW) return `${shareInWords(share)} of them`;
  return pieces === 1 ? "the one" : `the ${sayCount(pieces)}`;
}

/** What is done about pieces that are told apart: "Do not eat the one with “rotten”: …", "The two with “a stalk or bud”: it is bolting …". */
export function apartSentence(apart: Apart, crop: Crop): string {
  const which = `${subject(apart)} with “${apart.reading}”`;
  const advice = apart.advice && sayAdvice(apart.advice);
  if (apart.means === "unfit") return `Do not eat ${which}: ${advice ?? "take it off and bin it"}.`;
  if (advice) return `${capital(which)}: ${advice}.`;
  if (apart.means === "early") return `Leave ${which}.`;
  const goesOn = apart.means === "past" && crop.mode === "repeat";
  return goesOn ? `Take off ${which}, so that the plant goes on cropping.` : `Take ${which} today and use ${apart.pieces === 1 ? "it" : "them"} first.`; // prettier-ignore
}

/** An advice in the middle of a sentence. */
export const sayAdvice = (advice: string): string => lower(advice.replace(/\.$/, ""));

/** The sentence of a planting said of what is left of it: "Leave it." becomes "Leave the rest." */
export function ofTheRest(sentence: string): string {
  const said = sentence
    .replace(/^(Leave|Take) it\b/, "$1 the rest")
    .replace(/^Cure it on\b/, "Cure the rest on")
    .replace(/^Store it\b/, "Store the rest")
    .replace(/^Use it first\b/, "Use the rest first")
    .replace(/^Do not eat it\b/, "Do not eat the rest")
    .replace(/^Do not pick\b/, "Do not pick the rest");
  return said === sentence ? `The rest: ${sentence.charAt(0).toLowerCase()}${sentence.slice(1)}` : said;
}
