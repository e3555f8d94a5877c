import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { normalDaysTo } from "~/core/readiness";
import { roughNormals } from "~/core/weather";
import { judgeAnswer } from "~/views/edge";
import { GOOD_GARDENERS, type GardenerCase } from "./good-gardeners";

const normals = roughNormals(47);

/** The start from which a crop has lived so many of its usual days. */
function startOf({ crop: id, today, age }: GardenerCase["request"]): string {
  const crop = catalogue().find((c) => c.id === id)!;
  const { low, high } = crop.life.heat;
  const { baseC, upperC } = crop.degreeDays;
  let days = Math.round((crop.packet.low + crop.packet.high) / 2);
  for (let n = 0; n < 8; n++) {
    const taken = normalDaysTo(Math.sqrt(low * high) * age, normals, addDays(today, -days), baseC, upperC);
    days = Math.round((days + taken) / 2);
  }
  return addDays(today, -days);
}

function answerTo({ request }: GardenerCase) {
  const { crop, today, looks, more } = request;
  return judgeAnswer(
    {
      today,
      latitude: 47,
      crop,
      startedOn: startOf(request),
      looks: looks.map(([cueId, readingId, detail]) => ({ cueId, readingId, takenOn: today, ...detail })),
      ...more,
    },
    catalogue(),
  );
}
type Answer = ReturnType<typeof answerTo>;

const TAKES = ["take", "take the ripe ones", "take the biggest", "take what a meal needs", "take early", "strip it all", "take and use first"]; // prettier-ignore
const taken = ({ parts }: Answer) => parts.filter((p) => TAKES.includes(p.act)).reduce((sum, p) => sum + p.share, 0);
const left = ({ parts }: Answer) => parts.filter((p) => p.act === "leave").reduce((sum, p) => sum + p.share, 0);
const WAITS = ["leave", "look again", "wait dry", "look now", "settle", "cure on"];

/** Whether an answer leads to the same act. */
const SAME: Record<GardenerCase["did"], (a: Answer) => boolean> = {
  take: (a) => ["ready", "take today"].includes(a.verdict.kind) || taken(a) > 0.5 || (taken(a) > 0.3 && left(a) < 0.7),
  // Of what keeps giving and of leaves the plant stays: what is taken is always a part.
  "take a part": (a) => taken(a) > 0,
  wait: (a) => WAITS.includes(a.verdict.kind) && taken(a) === 0,
  soon: (a) => ["look again", "leave", "wait dry"].includes(a.verdict.kind) && taken(a) === 0,
  save: (a) => taken(a) > 0,
  seed: (a) => a.verdict.kind === "seed",
};

test.each(GOOD_GARDENERS.map((c) => [c.words, c] as const))("%s", (_, c) => {
  const answer = answerTo(c);
  const told = `${answer.verdict.kind}: ${answer.verdict.sentence} ${JSON.stringify(answer.parts.map((p) => [p.act, p.share]))}`;
  expect(SAME[c.did](answer), `${c.did}, but ${told}`).toBe(true);
  if (c.says) expect(`${answer.verdict.sentence} ${answer.parts.map((p) => p.act).join(" ")}`).toMatch(c.says);
});
