import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";

function core(verb: string, input: string) {
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
    const { code, out } = core(verb, input);
    expect(code).toBe(0);
    const trim = (got: unknown, like: unknown): unknown =>
      Array.isArray(like) ? (got as unknown[]).slice(0, like.length).map((g, i) => trim(g, like[i]))
      : typeof like === "object" && like !== null ? Object.fromEntries(Object.entries(like).map(([k, v]) => [k, trim((got as Record<string, unknown>)[k], v)]))
      : got; // prettier-ignore
    expect(trim(JSON.parse(out), wanted)).toEqual(wanted);
  });
});

describe("bad input: exit 2 and one JSON object on standard error", () => {
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
    const { code, out, err } = core(verb, input);
    expect(code).toBe(2);
    expect(out).toBe("");
    const { error } = JSON.parse(err) as { error: { path: string; message: string } };
    expect(error.path).toBe(path);
    expect(error.message).toMatch(words);
  });
});
