import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { coreAnswer } from "../scripts/core-answer";

/** As it is called from outside; a start takes seconds, so that most is asked without one. */
function coreProcess(verb: string, input: string) {
  const run = spawnSync(process.execPath, ["--import", "tsx", "scripts/core.ts", verb], {
    input,
    encoding: "utf8",
    maxBuffer: 64 * 1024 * 1024,
  });
  return { code: run.status, out: run.stdout, err: run.stderr.split("\n").filter((l) => l.startsWith("{")).join("") }; // prettier-ignore
}

const page = readFileSync("docs/core-json.md", "utf8");
/** Examples in pairs of input and output; the verb that takes nothing has the output only. */
const sections = page
  .split(/^## /m)
  .slice(1)
  .flatMap((section) => {
    const blocks = [...section.matchAll(/```json\n([\s\S]*?)```/g)].map((m) => m[1] ?? "");
    const verb = section.split("\n")[0] ?? "";
    if (blocks.length === 1) return [{ verb, input: "", wanted: JSON.parse(blocks[0]!) as object }];
    return blocks.flatMap((input, i) => (i % 2 === 0 ? [{ verb, input, wanted: JSON.parse(blocks[i + 1]!) as object }] : [])); // prettier-ignore
  });

describe("the examples of docs/core-json.md are true", () => {
  test("there is one of each verb", () =>
    expect([...new Set(sections.map((s) => s.verb))].sort()).toEqual([
      "crops",
      "forecast",
      "judge",
      "plan",
      "read-lines",
      "solve",
      "year",
    ]));
  test.each(sections.map((s) => [s.verb, s] as const))("%s", (verb, { input, wanted }) => {
    const answered = coreAnswer(verb, () => input);
    const trim = (got: unknown, like: unknown): unknown =>
      Array.isArray(like) ? (got as unknown[]).slice(0, like.length).map((g, i) => trim(g, like[i]))
      : typeof like === "object" && like !== null ? Object.fromEntries(Object.entries(like).map(([k, v]) => [k, trim((got as Record<string, unknown>)[k], v)]))
      : got; // prettier-ignore
    expect(trim(JSON.parse(JSON.stringify("answer" in answered && answered.answer)), wanted)).toEqual(wanted);
  });
  test("called from outside it says the same: one JSON document, exit 0", () => {
    const { input } = sections.find((s) => s.verb === "judge")!;
    const { code, out, err } = coreProcess("judge", input);
    expect([code, err]).toEqual([0, ""]);
    expect({ answer: JSON.parse(out) as object }).toEqual(JSON.parse(JSON.stringify(coreAnswer("judge", () => input))));
  });
});

describe("bad input: one JSON object that says where and what; exit 2, on standard error", () => {
  const good = JSON.parse(sections.find((s) => s.verb === "judge")!.input) as Record<string, unknown>;
  test.each<[string, string, string, string, RegExp]>([
    ["no JSON", "judge", "{", "", /not JSON/],
    ["an unknown verb", "guess", "{}", "", /one of crops, judge, forecast, plan, solve, year, read-lines/],
    ["a day that does not exist", "judge", JSON.stringify({ ...good, today: "2026-02-30" }), "today", /not a day/],
    ["an unknown crop", "judge", JSON.stringify({ ...good, crop: "tulip" }), "", /no crop “tulip”/],
    [
      "an unknown reading",
      "judge",
      JSON.stringify({ ...good, looks: [{ cueId: "silk_colour", readingId: "pink", takenOn: "2026-08-10" }] }),
      "",
      /no reading “pink”/,
    ],
    ["a year of eleven months", "year", JSON.stringify({ latitude: 52, from: "2026-01-01", months: Array.from({ length: 11 }, () => [1, 9]) }), "months", /12|items|elements/], // prettier-ignore
    ["a year of an unknown crop", "year", JSON.stringify({ latitude: 52, from: "2026-01-01", crops: ["tulip"] }), "", /no crop “tulip”/], // prettier-ignore
    [
      "lines that are no list",
      "read-lines",
      JSON.stringify({ today: "2026-09-19", lines: "6 kale" }),
      "lines",
      /array/,
    ],
    ["a problem of too few minutes", "solve", JSON.stringify({ days: ["2026-09-22", "2026-09-23"], minutesFree: [10], roundMinutes: 1, roundCost: 0, bedMinutes: 0, bedCost: 0, tasks: [] }), "", /minutesFree/], // prettier-ignore
    ["a garden without beds", "plan", JSON.stringify({ today: "2026-09-19" }), "latitude", /expected number/],
  ])("%s", (_, verb, input, path, words) => {
    expect(coreAnswer(verb, () => input)).toEqual({ error: { path, message: expect.stringMatching(words) as string } }); // prettier-ignore
  });
  test("called from outside", () => {
    const { code, out, err } = coreProcess("guess", "{}");
    expect([code, out]).toEqual([2, ""]);
    expect(JSON.parse(err)).toEqual(coreAnswer("guess", () => "{}"));
  });
});
