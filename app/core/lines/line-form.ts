import type { StartEvent } from "../crops";

const FORMS = "sets?|crowns?|bare[- ]?roots?(?:ed)?(?: trees?| canes?| plants?)?|slips?|seeds?|seedlings?|cuttings?|plugs?(?: plants?)?|starts?|transplants?|divisions?|tubers?|bulbs?|cloves?|runners?|corms?|pots?|nursery(?: plants?| pots?)?|grafts?|rooted cuttings?|layers?|offsets?|cell packs?|modules?|pads?|canes?|potted plants?|shop plants?|bought plants?|plants?|eyes?|chitted (?:tubers?|seed)|seed potatoes|tops?"; // prettier-ignore
const FROM = new RegExp(String.raw`(?:^|[\s,|(])(?:from|as|grown from|raised from)\s+(?:a\s+|my own\s+|own\s+|bought\s+|saved\s+|small\s+)?(${FORMS})(?![\w-])`, "i"); // prettier-ignore
const ALONE = /(?:^|[\s,|(])(bare[- ]?root(?:ed)?|pot[- ]grown|grafted|rooted cuttings|plug plants|container[- ]grown|own root)(?![\w-])/i; // prettier-ignore

/** Words of plants that are set, beside a number or the crop: they stay where they are. */
const TOLD_SO = /\b(?:sets|crowns|slips|tubers|cloves|plugs|canes|bulbs|corms|transplants|starts|runners|seedlings)\b/i;

/** Takes what the planting came as out of a line: "from sets", "bare root". What came so was planted, seed was sown. */
export function takeForm(line: string): { form: string | null; event: StartEvent | undefined; rest: string } {
  const found = FROM.exec(line) ?? ALONE.exec(line);
  if (!found) return { form: null, event: TOLD_SO.test(line) ? "planted" : undefined, rest: line };
  const form = found[1]!.toLowerCase();
  return {
    form,
    event: /^seeds?$/.test(form) ? "sown" : "planted",
    rest: `${line.slice(0, found.index)} | ${line.slice(found.index + found[0].length)}`,
  };
}
