import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import type { BedOdds, GardenOutlook, HazardAct } from "~/core/garden";
import { actWords } from "./act";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const planting = (id: string, cropId: string) => ({
  planting: { id, variety: "" },
  crop: crop(cropId),
  bed: { id: "low", name: "Low bed" },
});
const outlook = {
  today: "2026-08-20",
  days: ["2026-08-20", "2026-08-21", "2026-08-22"],
  plantings: [planting("t", "tomato_large"), planting("b", "bean_bush"), planting("p", "potato_maincrop")],
} as unknown as GardenOutlook;
const beds = [{ bedId: "low", name: "Low bed", kind: "low" }] as unknown as BedOdds[];
const say = (act: HazardAct, units: "metric" | "us" = "metric") => actWords(act, beds, { outlook, units }).words;
const cover = { act: "cover", bedId: "low", evening: "2026-08-21", nights: 1, cover: "fleece", covered: false, bareOdds: 0.7, underOdds: 0.2 } as const; // prettier-ignore

/** Every act that helps, with what is said of it; one that is not here does not compile. */
const SAID: Record<HazardAct["act"], [string, string][]> = {
  pick: [
    [say({ act: "pick", lastRound: 1, spare: [] }), "The last round before it is tomorrow."],
    [say({ act: "pick", lastRound: null, spare: ["b"] }), "Time to spare? Take French bean too."],
  ],
  "pick green": [
    [say({ act: "pick green", of: ["t"] }), "Tomato: full-grown green ones ripen indoors; leave only the smallest."],
  ],
  "pick cool": [
    [say({ act: "pick cool" }), "Pick leaf and heads first, in the cool of the morning, and get them into the shade."],
  ],
  "dig before": [[say({ act: "dig before" }), "Dig a few meals’ worth before it."]],
  "bring in": [[say({ act: "bring in" }), "Bring the pots in for the night."]],
  "cut vines": [[say({ act: "cut vines" }), "Blackened sweet potato vines: cut them at once, lift within a week."]],
  "earth up": [
    [
      say({ act: "earth up", of: ["p"] }),
      "Earth up potato, or lay fleece over: the tubers are safe, the tops grow again.",
    ],
  ],
  cover: [
    [say(cover), "Fleece in the low bed (about 2 °C): 7 in 10 becomes 2 in 10."],
    [say(cover, "us"), "Fleece in the low bed (about 4 °F): 7 in 10 becomes 2 in 10."],
    [say({ ...cover, covered: true }), "Covered that night in the low bed: 7 in 10 becomes 2 in 10."],
    [say({ ...cover, cover: "indoors" }), "Low bed, for that night: 7 in 10 becomes 2 in 10."],
    [say({ ...cover, cover: "indoors", covered: true }), "Low bed, in for that night: 7 in 10 becomes 2 in 10."],
    [say({ ...cover, cover: "net" }), "Fine net or fleece on hoops over Low bed: it breaks the hail."],
    [say({ ...cover, cover: "net", covered: true }), "Fine net or fleece on hoops over Low bed, as noted: it breaks the hail."], // prettier-ignore
    [say({ ...cover, cover: "shade" }), "Shade cloth over Low bed gains a day or two (our judgement)."],
  ],
  mulch: [[say({ act: "mulch" }), "A thick mulch over the row keeps the ground open longer (our judgement)."]],
  water: [
    [
      say({ act: "water", against: "frost", pots: false }),
      "Water dry soil in the afternoon: damp ground gives warmth back. Covers off by mid-morning.",
    ],
    [say({ act: "water", against: "heat", pots: true }), "Water the evening before; pots up to three times a day."],
    [say({ act: "water", against: "heat", pots: false }), "Water the evening before."],
  ],
  "tie in": [
    [say({ act: "tie in", of: ["t", "b"] }), "Tie in and stake tomato and French bean; lay loose fleece and netting down."], // prettier-ignore
  ],
  lift: [[say({ act: "lift", of: ["p"] }), "Lift what is due while it is dry: potato."]],
  stop: [[say({ act: "stop" }), "No round while it is about: heard is near enough."]],
  wait: [
    [
      say({ act: "wait", of: ["t"], dryDays: 2 }),
      "Tomato will be watery: take ripe ones before, or wait 2 dry days after.",
    ],
  ],
  taste: [[say({ act: "taste" }), "Taste one before you take the rest."]],
  "knife first": [[say({ act: "knife first" }), "Roots and heads cut with a knife may go first."]],
};

describe.each(Object.entries(SAID))("the act “%s”", (_, examples) => {
  test.each(examples)("%s", (said, expected) => expect(said).toBe(expected));
});

test("a cover can be noted for its bed and its night", () =>
  expect(actWords(cover, beds, { outlook, units: "metric" }).cover).toEqual({ bedId: "low", evening: "2026-08-21", nights: 1, cover: "fleece", covered: false })); // prettier-ignore
