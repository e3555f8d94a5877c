import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import type { Limit, Verdict } from "~/core/readiness";
import { apartSentence, ofTheRest } from "./apart";
import { conflictSentence, verdictSentence } from "./verdict";

/** A Thursday. */
const today = "2026-08-20";
const cropOf = (id: string) => catalogue().find((c) => c.id === id)!;
type Because = Verdict["because"];

function say(kind: Verdict["kind"], because: Because, more: Partial<Verdict> & { crop?: string } = {}): string {
  const { crop = "carrot", ...verdict } = more;
  const whole: Verdict = { kind, because, probability: 0.8, takeBy: addDays(today, 3), lookAgain: addDays(today, 2), apart: [], said: [], ...verdict }; // prettier-ignore
  return verdictSentence(whole, { crop: cropOf(crop), today, units: "metric" });
}

const frost: Limit = { by: "threat", threat: { kind: "frost", lastDayBefore: addDays(today, 2), odds: 0.8, loss: 0.9 } as Extract<Limit, { by: "threat" }>["threat"] }; // prettier-ignore
const plain = { share: null, limit: null, thin: false, holds: false };
const rest: Verdict = { kind: "leave", because: { why: "not yet" }, probability: 0.8, takeBy: null, lookAgain: addDays(today, 2), apart: [], said: [] }; // prettier-ignore

/** Every reason a verdict can have, with what is said of it; a reason that is not here does not compile. */
const SAID: Record<Because["why"], [string, string][]> = {
  unfit: [[say("unfit", { why: "unfit", advice: null }), "Do not eat it: take it off and bin it."]],
  treated: [
    [
      say("hold", { why: "treated", ban: { product: "soap", treatedOn: today, intervalDays: 1, until: addDays(today, 1) } }), // prettier-ignore
      "Do not pick before tomorrow: treated with soap today, 1 day by its label.",
    ],
  ],
  "for seed": [
    [say("seed", { why: "for seed", advice: null }), "Leave it for seed until it is dry."],
    [say("seed", { why: "for seed", advice: "Pods rattle." }), "Leave it for seed: pods rattle."],
  ],
  "seen now": [[say("take today", { why: "seen now", advice: "It splits." }), "Take it today: it splits."]],
  "picked enough": [
    [
      say("stop", { why: "picked enough", weeks: 8, because: "cutting longer starves the crown" }),
      "Stop for this year: picked for 8 weeks, and cutting longer starves the crown.",
    ],
  ],
  "too young": [
    [
      say("stop", { why: "too young", growingYear: 2, firstCropYear: 3 }),
      "Leave it to grow: this is its second year, its first crop comes in the third.",
    ],
  ],
  overdue: [
    [
      say("take today", { why: "overdue", daysPast: 20, because: "it turns woody" }),
      "Take it, whatever the size: 20 growing days past its packet date, and it turns woody.",
    ],
  ],
  "by its dates": [
    [
      say("look now", { why: "by its dates", over: false, openFirst: true, askPicked: false }),
      "Look today. By its dates it should be ready. Dig one first, and then decide on the rest.",
    ],
    [
      say("look now", { why: "by its dates", over: false, openFirst: false, askPicked: true }, { crop: "bean_bush" }),
      "Look today. By its dates it should be bearing. Picked already? Log when last.",
    ],
    [
      say("look now", { why: "by its dates", over: true, openFirst: false, askPicked: false }),
      "Look today. By its dates it may be going over.",
    ],
  ],
  "may be over": [
    [
      say("look now", { why: "may be over", ends: "spent", picked: false }, { crop: "bean_bush" }),
      "Is it over? It has borne as long as such plants do. If pods come, look at one; if it was picked before, log when last.", // prettier-ignore
    ],
  ],
  "all picked": [
    [
      say("look now", { why: "all picked" }, { crop: "sweetcorn" }),
      "Is that all? As many ears were picked as it had. If some still stand, look at one; if not, say that all of it was taken.", // prettier-ignore
    ],
  ],
  "looks disagree": [[say("settle", { why: "looks disagree" }), "Open one before you pick: two looks disagree."]],
  "ripe, perhaps over": [
    [say("take today", { why: "ripe, perhaps over" }), "Ready, and perhaps going over. Take it today."],
  ],
  past: [
    [
      say("past", { why: "past", advice: null, keepsCropping: true }),
      "Past its best. Take it off, so that the plant goes on cropping.",
    ],
    [
      say("past", { why: "past", advice: null, keepsCropping: false }),
      "Past its best. Take it today and use it first.",
    ],
    [say("past", { why: "past", advice: "Shell them.", keepsCropping: false }), "Past its best: shell them."],
  ],
  "watered down": [
    [
      say("wait dry", { why: "watered down", because: "rain has watered it down" }),
      "Wait for dry days: rain has watered it down. Take one to taste Saturday.",
    ],
  ],
  "lift in the dry": [
    [
      say("wait dry", { why: "lift in the dry", dryDays: 3 }),
      "Ready. Wait for dry days: lift it Saturday, 3 dry days follow.",
    ],
  ],
  ready: [
    [say("ready", { why: "ready", ...plain }, { crop: "bean_bush" }), "Ready. Take it by Sunday."],
    [
      say("ready", { why: "ready", ...plain, share: 0.5, limit: frost }, { crop: "bean_bush" }),
      "Ready, about half of them. Take those by Sunday, before Saturday night’s frost (8 in 10).",
    ],
    [
      say("ready", { why: "ready", ...plain, limit: { by: "away", backOn: null } }, { crop: "bean_bush" }),
      "Ready. Take it by Sunday, before you are away. Take the small ones too.",
    ],
    [
      say("ready", { why: "ready", ...plain, holds: true }),
      "Ready. Dig what a meal needs; the rest holds in the ground.",
    ],
  ],
  "would be lost": [
    [
      say("take early", { why: "would be lost", from: "green", limit: frost }, { crop: "bean_bush" }),
      "Take all but the smallest, by Sunday, before Saturday night’s frost (8 in 10).",
    ],
  ],
  "seen early": [
    [say("look again", { why: "seen early", advice: "It is thin." }), "Leave it: it is thin. Look again Saturday."],
  ],
  "seen inside": [
    [
      say("look again", { why: "seen inside", state: "nearly", advice: "Pale inside." }),
      "Nearly: pale inside. Look again Saturday.",
    ],
    [say("past", { why: "seen inside", state: "past", advice: "Brown inside." }), "Past its best: brown inside."],
  ],
  "holds on": [
    [
      say("look again", { why: "holds on", advice: "It does not let go." }),
      "Leave it, it holds on: it does not let go. Try again Saturday.",
    ],
  ],
  "some ready": [
    [
      say("take some", { why: "some ready", share: 0.33, later: [] }, { crop: "bean_bush" }),
      "Take the ripe ones today, about a third of them. Leave the rest. Look again Saturday.",
    ],
    [
      say("take some", { why: "some ready", share: 0.33, later: [] }),
      "Take the biggest today, about a third of them. Leave the rest. Look again Saturday.",
    ],
  ],
  "leaves wet": [
    [
      say("wait dry", { why: "leaves wet", rest: { ...rest, kind: "take today", takeBy: today, because: { why: "ready", ...plain } } }, { crop: "bean_bush" }), // prettier-ignore
      "Wait until the leaves are dry: wet hands carry disease. Ready. Take it today.",
    ],
  ],
  "some apart": [
    [
      say("take some", { why: "some apart", rest }, { apart: [{ means: "past", share: 0.1, pieces: 2, reading: "a stalk", advice: null }] }), // prettier-ignore
      "Take the two with “a stalk” today and use them first. Leave the rest. Look again Saturday.",
    ],
  ],
  "growth ended": [
    [
      say("ready", { why: "growth ended", limit: null, holds: true }),
      "It has grown as far as it will: hardly any warmth is ahead. Dig what a meal needs; the rest holds in the ground.",
    ],
    [
      say("ready", { why: "growth ended", limit: null, holds: false }, { crop: "pumpkin" }),
      "It has grown as far as it will: hardly any warmth is ahead. Take it by Sunday: it gains nothing by standing.",
    ],
  ],
  nearly: [
    [say("look again", { why: "nearly", thin: false }), "Nearly. Look again Saturday."],
    [
      say("look again", { why: "nearly", thin: true }),
      "Nearly. Look again Saturday. Take the biggest, it gives the rest room.",
    ],
  ],
  "not yet": [[say("leave", { why: "not yet" }), "Leave it. Look again Saturday."]],
  curing: [
    [
      say("cure on", { why: "curing", advice: "Necks are green.", until: null, due: false, then: "use first" }),
      "Cure it on: necks are green. Look again Saturday. Then keep it apart and use it first.",
    ],
    [
      say("cure on", { why: "curing", advice: null, until: addDays(today, 5), due: false, then: "store" }),
      "Cure it on. About Tuesday it should be cured.",
    ],
  ],
  keeps: [
    [
      say("store", { why: "keeps", until: addDays(today, 30) }),
      `Store it: ${cropOf("carrot").after.store}. Best used by Sat 19 Sep.`,
    ],
  ],
  "will not keep": [
    [say("use first", { why: "will not keep", advice: "The neck is thick." }), "Use it first: the neck is thick."],
  ],
  "kept long": [
    [say("use first", { why: "kept long", days: 90 }), "Use it first: it has been kept for 90 days. Look it over before you eat it."], // prettier-ignore
  ],
};

describe.each(Object.entries(SAID))("a verdict because of “%s”", (_, examples) => {
  test.each(examples)("%s", (said, expected) => expect(said).toBe(expected));
});

test("what else the looks advise is said after the verdict", () =>
  expect(say("leave", { why: "not yet" }, { said: ["look daily"] })).toBe(
    "Leave it. Look again Saturday. Look daily.",
  ));

test.each([
  [{ means: "unfit", share: 0.1, pieces: 1, reading: "rotten", advice: null }, "Do not eat the one with “rotten”: take it off and bin it."], // prettier-ignore
  [
    { means: "early", share: 0.5, pieces: null, reading: "green", advice: null },
    "Leave about half of them with “green”.",
  ],
  [{ means: "past", share: 0.2, pieces: 3, reading: "a marrow", advice: null }, "Take off the three with “a marrow”, so that the plant goes on cropping."], // prettier-ignore
  [{ means: "now", share: 0.1, pieces: 1, reading: "split", advice: "Use it tonight." }, "The one with “split”: use it tonight."], // prettier-ignore
] as const)("pieces told apart: $reading", (apart, expected) =>
  expect(apartSentence(apart, cropOf("courgette"))).toBe(expected),
);

test.each([
  ["Leave it. Look again Saturday.", "Leave the rest. Look again Saturday."],
  ["Take it today: it splits.", "Take the rest today: it splits."],
  ["Store it: dark and cool.", "Store the rest: dark and cool."],
  ["Nearly. Look again Saturday.", "The rest: nearly. Look again Saturday."],
])("of what is left, “%s” is “%s”", (whole, left) => expect(ofTheRest(whole)).toBe(left));

test("two looks that disagree are both named, and what settles it", () =>
  expect(
    conflictSentence({ less: "hard", more: "coloured", settled: false } as Parameters<typeof conflictSentence>[0]),
  ).toBe(
    // prettier-ignore
    "Two looks disagree: “hard” speaks for waiting, “coloured” for taking. Open, cut, dig or taste one before you pick the rest.", // prettier-ignore
  ));
