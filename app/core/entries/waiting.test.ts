import { expect, test } from "vitest";
import { Entry, type EntryBody } from "./entry";
import { isFinishedHere, jobsWaiting, looksWaiting, roundWaiting, stopsWaiting } from "./waiting";

let sequence = 0;
/** An entry as a device writes it down. */
const entry = (body: EntryBody) => Entry.parse({ ...body, id: crypto.randomUUID(), device: "phone", sequence: ++sequence, at: "2026-09-19T07:00:00Z" }); // prettier-ignore
const pick = (plantingId: string, roundId = "r") => entry({ kind: "pick", plantingId, roundId, outcome: "picked", count: "3" }); // prettier-ignore
const back = (target: string, putBack = false) => entry({ kind: "take back", target, putBack });
const pass = (plantingId: string, done: boolean) => entry({ kind: "pass by", roundId: "r", plantingId, done });

test("a pick that waits closes its stop of its own round, until it is taken back", () => {
  const first = pick("kale");
  expect(stopsWaiting([first, pick("leek", "another")], ["r"])).toEqual(new Map([["kale", { isDone: true, pickId: first.id }]])); // prettier-ignore
  expect(stopsWaiting([first, back(first.id)], ["r"]).get("kale")).toEqual({ isDone: false, pickId: null });
  expect(stopsWaiting([first, back(first.id), back(first.id, true)], ["r"]).get("kale")).toEqual({ isDone: true, pickId: first.id }); // prettier-ignore
  // A pick that the garden has already is taken back by its number: which planting it was of is not known here.
  expect(stopsWaiting([back("long since sent")], ["r"]).size).toBe(0);
});

test("passing by closes a stop and opens it; the last word holds", () => {
  expect(stopsWaiting([pass("kale", true)], ["r"]).get("kale")).toEqual({ isDone: true, pickId: null });
  expect(stopsWaiting([pass("kale", true), pass("kale", false)], ["r"]).get("kale")!.isDone).toBe(false);
});

test("a round started here is out until it is finished here; of two the later", () => {
  const start = (roundId: string) => entry({ kind: "start round", roundId });
  const finish = entry({ kind: "finish round", roundId: "a" });
  expect(roundWaiting([])).toBeNull();
  expect(roundWaiting([start("a")])).toBe("a");
  expect(roundWaiting([start("a"), finish])).toBeNull();
  expect(roundWaiting([start("a"), finish, start("b")])).toBe("b");
  expect([isFinishedHere([start("a"), finish], ["a"]), isFinishedHere([start("a")], ["a"])]).toEqual([true, false]);
});

test("of what was seen of one cue the last answer waits; shares stand side by side", () => {
  const look = (cueId: string, readingId: string, share?: number) => entry({ kind: "look", plantingId: "carrot", cueId, readingId, ...(share === undefined ? {} : { share }) }); // prettier-ignore
  const told = looksWaiting([look("width", "thin"), look("colour", "deep"), look("width", "thick"), look("size", "big", 0.5), look("size", "small", 0.5)], "carrot"); // prettier-ignore
  expect(told.map((l) => [l.cueId, l.readingId])).toEqual([["colour", "deep"], ["width", "thick"], ["size", "big"], ["size", "small"]]); // prettier-ignore
  expect(looksWaiting([look("width", "thin")], "kale")).toEqual([]);
});

test("what was said of jobs last, by job", () => {
  const mark = (keys: string[], as: "done" | "left out" | "due again") => entry({ kind: "mark jobs", keys, as });
  expect([...jobsWaiting([mark(["a", "b"], "done"), mark(["b"], "due again")])]).toEqual([["a", "done"], ["b", "due again"]]); // prettier-ignore
});
