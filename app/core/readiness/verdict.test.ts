import { describe, expect, test } from "vitest";
import { HORIZON, judged, saw, type Situation } from "../../../tests/judged";
import type { Look } from ".";

/** Garden situations and the verdict a good gardener would give: facts of the trade, common practice. */
describe("verdicts", () => {
  const today = "2026-08-10";
  test.each<[string, Situation, string, RegExp]>([
    [
      "a courgette a hand and a half long",
      { crop: "courgette", started: "2026-05-20", today, looks: saw(today, ["length", "150_250"]) },
      "ready",
      /^Ready/,
    ],
    [
      "a courgette longer than a forearm stops the plant",
      { crop: "courgette", started: "2026-05-20", today, looks: saw(today, ["length", "over_300"]) },
      "clear",
      /goes on cropping/,
    ],
    [
      "a fruitlet narrowing from the tip was not pollinated",
      {
        crop: "courgette",
        started: "2026-05-20",
        today,
        looks: saw(today, ["length", "under_80"], ["tip_shape", "narrowing"]),
      },
      "take today",
      /not pollinated/,
    ],
    [
      "beans with bumps are over and told to come off",
      { crop: "bean_bush", started: "2026-06-05", today, looks: saw(today, ["seed_outline", "clear"]) },
      "clear",
      /Take it off/,
    ],
    [
      "thin bean pods wait",
      { crop: "bean_bush", started: "2026-06-20", today, looks: saw(today, ["pod_thickness", "under_4"]) },
      "leave",
      /^Leave it/,
    ],
    [
      "a tomato wholly green waits",
      { crop: "tomato_large", started: "2026-05-25", today, looks: saw(today, ["colour_stage", "green"]) },
      "leave",
      /^Leave it/,
    ],
    [
      "a pink tomato may come in",
      { crop: "tomato_large", started: "2026-05-25", today, looks: saw(today, ["colour_stage", "pink"]) },
      "ready",
      /^Ready/,
    ],
    [
      "a rotten tomato is not eaten",
      {
        crop: "tomato_large",
        started: "2026-05-25",
        today,
        looks: saw(today, ["colour_stage", "red"], ["split_skin", "rotten"]),
      },
      "unfit",
      /Do not eat/,
    ],
    [
      "an onion bed half flopped",
      { crop: "onion_bulb", started: "2026-04-20", today, looks: saw(today, ["neck_fall", "50_100"]) },
      "ready",
      /^Ready/,
    ],
    [
      "an onion with a flower stalk comes out now, the rest upright or not",
      {
        crop: "onion_bulb",
        started: "2026-04-20",
        today,
        looks: saw(today, ["neck_fall", "under_10"], ["flower_stalk", "stalk"]),
      },
      "take today",
      /use it first/,
    ],
    [
      "carrots weeks past their date are lifted though small",
      { crop: "carrot", started: "2026-03-20", today },
      "take today",
      /whatever the size/,
    ],
    [
      "a carrot run to seed is past",
      { crop: "carrot", started: "2026-05-20", today, looks: saw(today, ["bolting", "stalk"]) },
      "past",
      /woody/,
    ],
    [
      "a melon that pops off leaving a dish",
      { crop: "melon_netted", started: "2026-05-10", today, looks: saw(today, ["stem_slip", "slips"]) },
      "ready",
      /^Ready/,
    ],
    [
      "a melon all green that holds",
      {
        crop: "melon_netted",
        started: "2026-05-20",
        today,
        looks: saw(today, ["stem_slip", "holds"], ["skin_colour", "green"]),
      },
      "leave",
      /^Leave it/,
    ],
    [
      "sweetcorn with clear juice waits",
      { crop: "sweetcorn", started: "2026-05-25", today, looks: saw(today, ["kernel_juice", "clear"]) },
      "leave",
      /^Leave it/,
    ],
    [
      "sweetcorn, brown silks, milky",
      {
        crop: "sweetcorn",
        started: "2026-05-20",
        today,
        looks: saw(today, ["silk_colour", "brown"], ["kernel_juice", "milky"]),
      },
      "ready",
      /^Ready/,
    ],
    [
      "raiders in the corn",
      {
        crop: "sweetcorn",
        started: "2026-05-20",
        today,
        looks: saw(today, ["silk_colour", "brown"], ["raid_signs", "any"]),
      },
      "take today",
      /raiders/,
    ],
    [
      "kale down to four leaves keeps them",
      {
        crop: "kale_leaf",
        started: "2026-05-20",
        today,
        looks: saw(today, ["leaf_length", "150_300"], ["leaves_kept", "3_5"]),
      },
      "leave",
      /must stay/,
    ],
    [
      "a peach with yellow ground colour that pops off",
      {
        crop: "peach",
        started: "2026-04-10",
        today,
        looks: saw(today, ["background_colour", "yellow"], ["detach", "pops"]),
      },
      "ready",
      /^Ready/,
    ],
    [
      "potato tops all green are left",
      { crop: "potato_maincrop", started: "2026-04-20", today, looks: saw(today, ["tops_dying", "green"]) },
      "leave",
      /^Leave it/,
    ],
    [
      "potatoes sprouting again come out",
      { crop: "potato_maincrop", started: "2026-03-25", today, looks: saw(today, ["tops_dying", "regrowing"]) },
      "past",
      /./,
    ],
    [
      "never looked at, due by its dates: go and look",
      { crop: "beetroot", started: "2026-06-01", today },
      "look now",
      /^Look today/,
    ],
  ])("%s", (_, situation, kind, words) => {
    const { verdict } = judged(situation);
    expect([verdict.kind, verdict.sentence]).toEqual([kind, expect.stringMatching(words)]);
  });

  test("nearly ready beans before a killing frost are taken early, on a day with free hands", () => {
    const free = [true, true, false, true, ...new Array<boolean>(10).fill(true)];
    const { verdict } = judged({
      crop: "bean_bush",
      started: "2026-06-20",
      today,
      looks: saw(today, ["pod_thickness", "4_5"]),
      threat: { kind: "frost", after: 2 },
      free,
    });
    expect(verdict).toMatchObject({ kind: "take early", takeBy: "2026-08-11" });
    expect(verdict.sentence).toMatch(/frost \(8 in 10\)|frost \(9 in 10\)/);
  });

  test("ready with a trip ahead: by the day before leaving", () => {
    const free = Array.from({ length: HORIZON }, (_, n) => n < 3 || n > 12);
    const { verdict } = judged({
      crop: "onion_bulb",
      started: "2026-04-25",
      today,
      looks: saw(today, ["neck_fall", "50_100"]),
      free,
    });
    expect(verdict).toMatchObject({ kind: "ready", takeBy: "2026-08-12" });
    expect(verdict.sentence).toContain("before you are away");
  });

  test("green tomatoes finish indoors, so the salvage says so", () => {
    const { verdict } = judged({
      crop: "tomato_large",
      started: "2026-05-25",
      today,
      looks: saw(today, ["colour_stage", "breaker"]),
      threat: { kind: "frost", after: 1 },
    });
    expect(verdict.sentence).toContain("finishes indoors");
  });

  test("what is seen beats the packet, however far off the dates are", () => {
    const { verdict, odds } = judged({
      crop: "courgette",
      started: "2026-03-01",
      today: "2026-09-10",
      looks: saw("2026-09-10", ["length", "150_250"]),
    });
    expect(verdict.kind).toBe("ready");
    expect(odds.gone).toBeLessThan(0.1);
  });

  test("two telling cues that disagree are shown, not averaged away", () => {
    const looks = saw(today, ["silk_colour", "brown"], ["kernel_juice", "clear"]);
    expect(judged({ crop: "sweetcorn", started: "2026-05-25", today, looks }).conflict).toMatch(
      /clear juice.*brown, dry/,
    );
    expect(judged({ crop: "sweetcorn", started: "2026-05-25", today, looks: looks.slice(0, 1) }).conflict).toBeNull();
  });

  test("a household that wants tomatoes vine-ripe waits longer than one that takes them turning", () => {
    const at = (school: string) =>
      judged({
        crop: "tomato_large",
        started: "2026-05-25",
        today,
        school: ["tomato_colour", school],
        looks: saw(today, ["colour_stage", "turning"]),
      }).window.opens.p50!;
    expect(at("vine") > at("turning")).toBe(true);
  });

  test("a full pick starts the clock of a keep-giving crop again, and earlier looks fall silent", () => {
    const looks: Look[] = [{ cueId: "length", readingId: "over_300", takenOn: "2026-08-05" }];
    const after = judged({
      crop: "courgette",
      started: "2026-05-20",
      today: "2026-08-06",
      looks,
      lastFullPick: "2026-08-05",
    });
    expect(after.evidence).toEqual([]);
    expect(after.odds.gone).toBeLessThan(0.05);
  });

  test("an unknown cue or reading is the caller's mistake", () => {
    expect(() =>
      judged({ crop: "carrot", started: "2026-05-20", today, looks: saw(today, ["colour_stage", "red"]) }),
    ).toThrow(RangeError);
    expect(() =>
      judged({ crop: "carrot", started: "2026-05-20", today, looks: saw(today, ["shoulder_width", "huge"]) }),
    ).toThrow(/no reading/);
  });
});
