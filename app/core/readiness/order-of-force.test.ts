import { describe, expect, test } from "vitest";
import { judged, saw, type Situation } from "../../../tests/judged";

const TODAY = "2026-08-10";
const HORIZON = 14;
const peach = (looks: [string, string][], more: Partial<Situation> = {}) =>
  judged({ crop: "peach", packetDay: 0, today: TODAY, growingYear: 5, looks: saw(TODAY, ...looks), ...more }).verdict;

const WATERY: [string, string] = ["taste_one", "watery"];
const SWEET: [string, string] = ["taste_one", "sweet"];
const TART: [string, string] = ["taste_one", "tart"];
const SOFT: [string, string] = ["slight_give", "soft"];
const GIVES: [string, string] = ["slight_give", "slight"];
const TUG: [string, string] = ["detach", "tug"];
const YELLOW: [string, string] = ["background_colour", "yellow"];
const GREEN: [string, string] = ["background_colour", "green"];
const BITES: [string, string] = ["animal_bites", "many"];
const MUSH: [string, string] = ["slight_give", "mush"];
const SOAKED = { soakedDaysAgo: 0 };
const STORM = { threat: { kind: "wind" as const, after: 1, loss: 0.8 } };

/** Each row: the stronger beside the weaker, what it comes to, and what the weaker alone would come to. */
describe("the order of force, pair by pair", () => {
  test.each<[string, [string, string][], Partial<Situation>, string, RegExp | null]>([
    ["a watery taste over a soft press", [WATERY, SOFT], {}, "look again", /dry days/],
    ["a tart taste over a yellow ground", [TART, YELLOW], {}, "leave", null],
    ["a sweet taste over a hard tug", [SWEET, TUG, YELLOW], {}, "ready", null],
    ["a tart taste over a soaking", [TART, YELLOW, GIVES], SOAKED, "leave", null],
    ["a soaking over a fruit that gives", [GIVES, YELLOW], SOAKED, "wait dry", /dry/],
    ["a soaking over a hard tug", [GIVES, YELLOW, ["detach", "pops"]], SOAKED, "wait dry", null],
    ["a hard tug over colour", [TUG, YELLOW], {}, "leave", /holds on/],
    ["a hard tug over bites", [TUG, YELLOW, BITES], {}, "leave", /holds on/],
    ["bites over a green ground", [GREEN, BITES], {}, "take today", /relieve the tree/],
    ["past over ready", [MUSH, YELLOW], {}, "past", null],
    ["ready before a storm, by the day before it", [GIVES, YELLOW], STORM, "ready", /before .*gale/],
    ["green before a storm is left: it is of no use", [GREEN, ["slight_give", "hard"]], STORM, "leave", null],
  ])("%s", (_, looks, more, kind, says) => {
    const verdict = peach(looks, more);
    const said = verdict.kind === "take today" && kind === "ready" ? "ready" : verdict.kind;
    expect([said, verdict.sentence]).toEqual([kind, says ? expect.stringMatching(says) : expect.any(String)]);
  });

  test("no free hands is no trip, and is not said to be one", () => {
    const free = Array.from({ length: HORIZON }, (_, n) => n < 1 || n > 6);
    const told = (more: Partial<Situation>) => peach([GIVES, YELLOW], { free, ...more }).sentence;
    expect(told({ noTrip: true })).not.toMatch(/you are away/);
    expect(told({ noTrip: true })).toMatch(/nobody is there/);
    expect(told({})).toMatch(/you are away/);
  });

  test("the end of the outlook is told as no deadline", () => {
    const roots = judged({ crop: "beetroot", packetDay: 0, today: TODAY, looks: saw(TODAY, ["root_width", "43_67"]) });
    expect(roots.verdict.sentence).toMatch(/holds/);
    expect(roots.verdict.sentence).not.toMatch(/by (Mon|Tue|Wed|Thu|Fri|Sat|Sun)/);
  });
});
