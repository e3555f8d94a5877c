import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { lookAhead, planDays, type GardenState } from "~/core/garden";
import type { Loser } from "~/core/planner";
import { sayCount } from "../words";
import type { Planned } from "../planned";
import { gardenSentences, unfitSentences } from "./garden";

const today = "2026-08-20";
const quick = { seed: 1, relaxIterations: 40, boundSplits: 0, repairIterations: 60, cycles: 1 };

/** A peach tree, onions and carrots; day 4 may bring a storm. */
function garden(storm: { windKmh: number; rainMm: number }): GardenState {
  const planting = {
    variety: "",
    plants: 1,
    packet: null,
    picks: [],
    schoolOption: null,
    counts: [],
    forSeed: false,
    bedNeededOn: null,
    treatments: [],
    bedId: "b",
    seasonId: "",
    startStanding: "told" as const,
    startDoubtDays: 0,
    seasonCrop: "main" as const,
    growingYear: null,
    lengthM: null,
    leavesWet: false,
  };
  const look = (cueId: string, readingId: string) => [{ cueId, readingId, takenOn: today }];
  return {
    today,
    usual: null,
    latitude: 50,
    longitude: 0,
    beds: [{ id: "b", name: "South bed", kind: "open", position: 0 }],
    plantings: [
      {
        ...planting,
        id: "peach",
        cropId: "peach",
        startEvent: "blossom",
        startedOn: "2026-04-10",
        looks: look("slight_give", "slight"),
      },
      {
        ...planting,
        id: "bolted",
        cropId: "carrot",
        plants: 30,
        startEvent: "sown",
        startedOn: "2026-05-20",
        looks: look("bolting", "stalk"),
      },
      {
        ...planting,
        id: "unseen",
        cropId: "beetroot",
        plants: 30,
        startEvent: "sown",
        startedOn: "2026-06-01",
        looks: [],
      },
    ],
    observed: [],
    forecast: Array.from({ length: 10 }, (_, n) => ({
      day: addDays(today, n),
      minC: 12,
      maxC: 22,
      rainMm: 0,
      windKmh: 15,
      ...(n === 4 ? storm : {}),
    })),
    minutesByWeekday: [30, 30, 30, 30, 30, 30, 30].map((evening) => ({ morning: 0, midday: 0, evening })),
    timeZone: "UTC",
    hours: [],
    forecastError: null,
    actMarks: [],
    covers: [],
    exceptions: [],
    busy: [],
    helpers: [],
    trips: [],
    varieties: [],
    schools: [],
    firstPicks: [],
    seasonYields: [],
    now: null,
  };
}

function plannedOf(state: GardenState, units: "metric" | "us" = "metric"): Planned {
  const outlook = lookAhead(state, catalogue());
  return { today, outlook, plan: planDays(outlook, quick), near: {}, moveCosts: {}, units };
}

const sentencesOf = (state: GardenState) => gardenSentences(plannedOf(state));

test("what is ready stands under at its best, what is over or unseen and due under about to turn", () => {
  const { best, turning } = sentencesOf(garden({ windKmh: 15, rainMm: 0 }));
  expect(best.map((s) => s.plantingId)).toEqual(["peach"]);
  expect(turning.map((s) => s.plantingId).sort()).toEqual(["bolted", "unseen"]);
  expect(turning.find((s) => s.plantingId === "bolted")!.urgent).toBe(true);
  expect(turning.find((s) => s.plantingId === "unseen")!.urgent).toBe(false);
});

test("a gale is told with its odds, what it would cost and what comes in before", () => {
  const { threatened } = sentencesOf(garden({ windKmh: 95, rainMm: 0 }));
  expect(threatened).toHaveLength(1);
  expect(threatened[0]!.lead).toBe("Storm likely Monday");
  expect(threatened[0]!.text).toMatch(
    /^Gusts about 95 km\/h \(over 9 in 10 to pass 60 km\/h\)\. Unpicked it would take about .* peach\. The plan brings it all in/,
  );
});

test("a soaking is told apart from a gale; fair weather threatens nothing", () => {
  expect(sentencesOf(garden({ windKmh: 15, rainMm: 40 })).threatened[0]!.text).toMatch(/^Rain about 40 mm \(/);
  expect(sentencesOf(garden({ windKmh: 15, rainMm: 0 })).threatened).toEqual([]);
});

test("what does not fit says what is lost, in the household's units, and what would save it", () => {
  const loser = { id: "bolted", lost: 1.3, saver: { help: "minutes" as const, day: 2, extraMinutes: 20, gain: 1 } };
  const lost = (units: "metric" | "us", of: Loser) => unfitSentences(plannedOf(garden({ windKmh: 15, rainMm: 0 }), units), [of])[0]!.text; // prettier-ignore
  expect(lost("metric", loser)).toBe(
    "About 1 kg worth is lost for want of time. 20 more minutes Saturday would save it.",
  );
  expect(lost("us", { ...loser, saver: null })).toBe(
    "About 2 lb worth is lost for want of time. No single day’s extra hour would save it.",
  );
});

test("small numbers are words, larger ones figures", () =>
  expect([0, 1, 5, 9, 10, 40].map(sayCount)).toEqual(["no", "one", "five", "nine", "10", "40"]));
