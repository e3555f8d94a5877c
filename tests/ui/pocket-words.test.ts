import { expect, test } from "vitest";
import type { KeepOutcome } from "~/core/pocket";
import { pocketWords } from "~/ui/pocket/pocket-words";

const NOW = Date.parse("2026-09-19T08:00:00");
const ago = (minutes: number) => new Date(NOW - minutes * 60_000).toISOString();
const what = { kept: 30, of: 30, at: ago(1), as: "x" };
const words = (outcome: KeepOutcome | null, { served = 1, waits = 0, isFull = false, mayBeThrownAway = false } = {}) => pocketWords({ outcome, isFull, mayBeThrownAway }, ago(served), waits, NOW); // prettier-ignore

test("what is here, how old it is, what waits: three words", () => {
  expect(words({ status: "kept", what })!.short).toEqual(["Kept", "07:59", "all sent"]);
  expect(words({ status: "no signal", what }, { served: 40, waits: 2 })!.short).toEqual(["Kept", "07:20", "2 waiting"]);
  expect(words({ status: "kept", what: { ...what, kept: 12 } })!.short[0]).toBe("Partly kept");
  expect(words({ status: "no signal", what: null })!.short[0]).toBe("Not kept");
});

test("yesterday's garden says its day", () => {
  expect(words({ status: "no signal", what: { ...what, at: ago(1500) } }, { served: 1500 })!.short[1]).toMatch(/18 Sept? 07:00/); // prettier-ignore
});

test("a browser that keeps nothing, and one that was put out, claim nothing", () => {
  expect([words(null), words({ status: "not in" })]).toEqual([null, null]);
});

test("what stands in the way is said before anything is lost", () => {
  const said = (outcome: KeepOutcome, more = {}) => words(outcome, more)!;
  expect(said({ status: "no room", what }).isTrouble).toBe(true);
  expect(said({ status: "no room", what }).long.join(" ")).toMatch(/nearly full/);
  expect(said({ status: "kept", what }, { isFull: true }).isTrouble).toBe(true);
  expect(said({ status: "no signal", what: null }).isTrouble).toBe(true);
  expect(said({ status: "kept", what }, { mayBeThrownAway: true })).toMatchObject({ isTrouble: false });
  expect(said({ status: "kept", what }, { mayBeThrownAway: true }).long.join(" ")).toMatch(/home screen/);
  expect(said({ status: "another build", what }).long.join(" ")).toMatch(/brought up to date: close it/);
  expect(said({ status: "no signal", what }).long.join(" ")).toMatch(/does not answer: you can go on/);
});
