import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { judgeAnswer } from "~/views/edge";

const crops = catalogue();
const TODAY = "2026-08-10";
const ask = (crop: string, more: object = {}) =>
  judgeAnswer({ crop, today: TODAY, latitude: 48, startedOn: "2026-05-20", plants: 12, growingYear: 5, ...more }, crops); // prettier-ignore
const read = (...looks: [string, string, object?][]) =>
  looks.map(([cueId, readingId, more]) => ({ cueId, readingId, takenOn: TODAY, ...more }));
const days = (n: number, minC: number, maxC: number) =>
  Array.from({ length: n }, (_, k) => ({ day: addDays(TODAY, k), minC, maxC, rainMm: 0, windKmh: 5 }));
const startOf = (crop: (typeof crops)[0], age: number) => addDays(TODAY, -Math.round(age * ((crop.packet.low + crop.packet.high) / 2))); // prettier-ignore

/** Verdict, how-to and waiting speak with one voice, whatever was read of whatever crop. */
describe("each reading of each crop", () => {
  const readings = crops.flatMap((crop) =>
    crop.cues.filter((cue) => !cue.auto).flatMap((cue) => cue.readings.map((reading) => ({ crop, cue, reading }))),
  );

  test("is answered in whole sentences that say the same thing", () => {
    const wrong: string[] = [];
    for (const { crop, cue, reading } of readings) {
      const { verdict, how, waiting } = ask(crop.id, { startedOn: startOf(crop, 1), looks: read([cue.id, reading.id]) }); // prettier-ignore
      const said = verdict.sentence;
      const fault = (words: string) => wrong.push(`${crop.id} ${cue.id} ${reading.id}: ${words} · ${said} · ${how} · ${waiting}`); // prettier-ignore
      if (/undefined|null|NaN|  |\.\.|:\s*\./.test(`${said} ${how} ${waiting}`) || /: \w+\.$/.test(said)) fault("a broken sentence"); // prettier-ignore
      if (!/[.?]$/.test(said) || !/^[A-Z“]/.test(said)) fault("no sentence");
      if (said.length > 480) fault("a lecture");
      const waits = ["leave", "look again", "look now", "wait dry", "hold"].includes(verdict.kind);
      if (waits !== how.startsWith("When it is ready")) fault("how-to of another verdict");
      if (verdict.takeBy === TODAY && verdict.kind !== "take some" && /Best until|stand for months/.test(waiting))
        fault("it waits and does not");
      if (waits && /^Best until|Left on, it/.test(waiting)) fault("waiting of what is taken");
      if (reading.advice && reading.means === "none" && verdict.kind !== "unfit" && !said.toLowerCase().includes(reading.advice.toLowerCase())) fault("its advice is not spoken"); // prettier-ignore
    }
    expect(wrong).toEqual([]);
  }, 120_000);

  test("that asks for an act says where it goes: out, or into the kitchen first", () => {
    const silent = readings.filter(({ reading: r }) => r.means === "unfit" && !/bin|compost|take it off|pull|throw|keep only|cut/.test(r.advice ?? "")); // prettier-ignore
    expect(silent.map(({ crop, cue }) => `${crop.id} ${cue.id}`)).toEqual([]);
  });
});

describe("what is known by dates alone", () => {
  test("keeps giving: nobody is told that it is going over, the gardener is asked when it was last picked", () => {
    for (const crop of crops.filter((c) => c.mode === "repeat" && !c.perennial)) {
      const { verdict } = ask(crop.id, { startedOn: startOf(crop, 1.35) });
      expect(verdict.sentence, crop.id).not.toMatch(/going over|past its best/i);
      if (verdict.because.why === "by its dates" && verdict.because.askPicked)
        expect(verdict.sentence).toMatch(/Picked already\? Log when last/);
    }
    expect(ask("bean_bush", { startedOn: "2026-05-20" }).verdict.sentence).toMatch(/should be bearing. Picked already/);
    const picked = [{ pickedOn: "2026-08-07", pieces: 20, tookAll: true }];
    expect(ask("bean_bush", { startedOn: "2026-05-20", picks: picked }).verdict.sentence).not.toMatch(/Picked already/);
  });

  test("hidden in the ground or the husk: one is dug or opened first", () => {
    const { verdict, parts } = ask("potato_early", { startedOn: startOf(crops.find((c) => c.id === "potato_early")!, 1.1) }); // prettier-ignore
    expect(verdict.sentence).toMatch(/Dig one first, and then decide/);
    expect(parts[0]).toMatchObject({ act: "open one", share: 1 });
  });

  test("a vague start asks for a look where a sure one calls it over", () => {
    const lettuce = { startedOn: "2026-05-10" };
    const sure = ask("lettuce_heading", lettuce).window;
    const vague = ask("lettuce_heading", { ...lettuce, startDoubtDays: 20 }).window;
    const width = (w: typeof sure) => Date.parse(w.opens.p90 ?? "2027-01-01") - Date.parse(w.opens.p10 ?? TODAY);
    expect(width(vague)).toBeGreaterThan(width(sure));
  });
});

describe("bed, visit, return and growth", () => {
  const carrots = { startedOn: "2026-05-01", looks: read(["shoulder_width", "20_35"]) };

  test("a bed wanted beyond the horizon is no deadline, one wanted sooner is", () => {
    expect(ask("carrot", { ...carrots, bedNeededOn: "2026-10-20" }).verdict.sentence).not.toMatch(/bed is needed/);
    const soon = ask("carrot", { ...carrots, bedNeededOn: "2026-08-13" });
    expect(soon.verdict.sentence).toMatch(/bed is needed/);
    expect(soon.waiting).toBe("What is still on goes when the bed is cleared.");
    expect(soon.how).not.toMatch(/Leave the small/);
  });

  test("who comes in ten days takes the small ones too", () => {
    const looks = read(["length", "150_250"]);
    expect(ask("courgette", { looks, nextVisitOn: "2026-08-20" }).verdict.sentence).toMatch(/small ones too/);
    expect(ask("courgette", { looks }).verdict.sentence).not.toMatch(/small ones too/);
  });

  test("before a killing frost all but the smallest comes in, and no how-to says to leave the green", () => {
    const cold = [...days(2, 6, 15), ...days(5, -4, 9).map((d, n) => ({ ...d, day: addDays(TODAY, n + 2) }))];
    const { verdict, how, waiting } = ask("tomato_large", { startEvent: "planted", startedOn: "2026-04-20", forecast: cold, looks: read(["colour_stage", "green"]) }); // prettier-ignore
    expect(verdict.sentence).toMatch(/all but the smallest/);
    expect(how).not.toMatch(/Leave hard green/);
    expect(waiting).toMatch(/left on after that is lost/);
  });

  test("today's hazard is today's", () => {
    const hot = days(6, 22, 38);
    const { verdict } = ask("peach", { startEvent: "blossom", startedOn: "2026-04-10", forecast: hot, looks: read(["slight_give", "slight"], ["background_colour", "yellow"]) }); // prettier-ignore
    expect(verdict.sentence).not.toMatch(/before tomorrow’s heat/);
  });

  test("in a December that brings no more warmth what is nearly there is taken, or holds; in summer it waits", () => {
    const frost = Array.from({ length: 14 }, (_, n) => ({ day: addDays("2026-12-05", n), minC: -1, maxC: 3, rainMm: 0, windKmh: 5 })); // prettier-ignore
    const winter = judgeAnswer({ crop: "turnip", today: "2026-12-05", latitude: 48, startedOn: "2026-09-10", plants: 12, forecast: frost, looks: [{ cueId: "crown_width", readingId: crops.find((c) => c.id === "turnip")!.cues.find((c) => c.id === "crown_width")!.readings.find((r) => r.means === "nearly")!.id, takenOn: "2026-12-05" }] }, crops); // prettier-ignore
    expect(winter.verdict.because.why).toBe("growth ended");
    expect(winter.verdict.sentence).toMatch(/gains nothing|holds in the ground/);
  });

  test("what has not grown for a week gains nothing by standing", () => {
    const kohlrabi = crops.find((c) => c.id === "kohlrabi")!;
    const looks = read(["no_longer_grows", "unchanged_for_a_week"]);
    expect(ask("kohlrabi", { startedOn: startOf(kohlrabi, 0.95), looks }).verdict.sentence).toMatch(/gains nothing by standing/); // prettier-ignore
  });
});

test("why? says of a flag that it settled the matter, not that it made no odds", () => {
  const { evidence, verdict } = ask("onion_bulb", { startEvent: "planted", startedOn: "2026-04-01", plants: 1, looks: read(["flower_stalk", "stalk"], ["growth_stopped", "stopped"]) }); // prettier-ignore
  expect(verdict.kind).toBe("take today");
  expect(evidence[0]).toMatchObject({ decides: true });
});

/** What gardeners go by, kind by kind, and crops that it fits: common practice. */
test.each<[string, string[], string]>([
  ["damage that is unfit to eat", ["courgette", "fig", "blueberry", "tomato_cherry", "watermelon"], "unfit"],
  ["an opened or tasted piece", ["watermelon", "strawberry", "sweet_potato_root", "ginger", "carrot"], "sample"],
  ["growth that has stopped", ["cabbage", "kohlrabi", "winter_squash", "leek"], "no_longer_grows|no_growth"],
  ["crowding", ["carrot", "parsnip", "lettuce_cca"], "crowding"],
  ["the middle of a leaf crop", ["lettuce_cca", "spinach", "celery"], "centre"],
  ["leaf or shoot size of herbs", ["basil", "cilantro", "lemon_balm", "oregano"], "height|length|pairs"],
  ["stem length of cut flowers", ["dahlia", "zinnia", "cosmos"], "stem_length"],
  ["pod length", ["bean_pole", "bean_runner", "pea_mangetout"], "pod_length"],
  ["fruit size", ["melon_netted", "pumpkin", "aubergine"], "fruit_|size_type"],
  ["bulb size of garlics", ["garlic_softneck", "garlic_hardneck", "garlic_elephant"], "bulb_width"],
  ["the tip of an ear", ["sweetcorn"], "ear_tip"],
  ["a root stuck in dry soil", ["carrot", "parsnip", "leek"], "root_lets_go"],
  ["eggs of pests", ["kale_leaf", "cabbage", "pumpkin"], "pest_eggs"],
  ["ripe ones left hidden", ["bean_pole", "raspberry_summer", "courgette"], "hidden_left"],
  ["side buds", ["dahlia", "cosmos"], "side_buds"],
  ["age of crowns", ["asparagus", "rhubarb"], "crown_age|clump_age"],
  ["clean new leaves above spoiled ones", ["kale_leaf", "chard"], "clean_new_leaves"],
])("%s can be told", (_, ids, cue) => {
  for (const id of ids) {
    const { cues } = crops.find((c) => c.id === id)!;
    const has = cues.some((c) => (cue === "unfit" ? c.readings.some((r) => r.means === "unfit") : cue === "sample" ? c.kind === "sample" : new RegExp(cue).test(c.id))); // prettier-ignore
    expect(has, id).toBe(true);
  }
});
