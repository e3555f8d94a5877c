import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { GardenState, byDay, lookAhead, payingActs, type PayingAct } from "~/core/garden";
import type { BedKind } from "~/core/hazards";
import { solvePlan } from "~/core/planner";
import { actSentences } from "./paying-acts";

const today = "2026-09-14";
const quick = { seed: 1, relaxIterations: 30, boundSplits: 0, repairIterations: 300, cycles: 1 };

/** Courgettes that bear, and a night that may freeze so many days ahead. */
function gardenOf(nightAhead: number, bed: { name: string; kind: BedKind } = { name: "Long bed", kind: "raised" }) {
  return GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", ...bed, position: 0 }],
    plantings: [{ id: "courgettes", bedId: "bed", cropId: "courgette", variety: "", plants: 6, startEvent: "sown", startedOn: "2026-05-20", packet: null, looks: [], picks: [3, 6, 9].map((n) => ({ pickedOn: addDays(today, -n), pieces: 12, tookAll: true })), schoolOption: null }], // prettier-ignore
    observed: [],
    forecast: Array.from({ length: 10 }, (_, n) => ({ day: addDays(today, n), minC: n === nightAhead ? 0 : 10, maxC: 18, rainMm: 0, windKmh: 8 })), // prettier-ignore
    minutesByWeekday: Array.from({ length: 7 }, () => 60),
    trips: [],
  });
}

function told(...asked: Parameters<typeof gardenOf>) {
  const outlook = lookAhead(gardenOf(...asked), catalogue());
  const plan = solvePlan(outlook.problem, quick);
  const protections = outlook.plantings.flatMap((p) => p.protections ?? []);
  const acts = payingActs({ problem: outlook.problem, plan, protections }, quick);
  return actSentences(
    { today, outlook, plan: byDay(plan, outlook.rounds), near: {}, moveCosts: {}, units: "metric" },
    acts,
  );
}

test("a cover that pays is told with its bed, its night, its minutes and what it saves", () => {
  const [sentence] = told(3);
  expect(sentence).toMatchObject({ lead: "Cover Long bed", plantingId: null, urgent: false });
  expect(sentence!.text).toMatch(
    /^Light fleece over courgette Wednesday night, about 3 minutes: saves about [\d.,]+ (g|kg) worth\. Note it under Sky & away once it lies\.$/,
  );
});

test("a night that is near is urgent", () => expect(told(1)[0]!.urgent).toBe(true));

test("pots that pay to be brought in are told so", () => {
  const [sentence] = told(3, { name: "Shed pots", kind: "container" });
  expect(sentence!.lead).toBe("Bring in Shed pots");
  expect(sentence!.text).toMatch(/^Courgette Wednesday night, about 3 minutes: saves about [\d.,]+ (g|kg) worth\. Note it under Sky & away once they are in\.$/); // prettier-ignore
});

test("nets, shade and green ones are told with when, how long, and what becomes of them", () => {
  const says = (act: Partial<PayingAct>) => {
    const garden = gardenOf(3);
    const outlook = lookAhead(garden, catalogue());
    const plan = byDay(solvePlan(outlook.problem, quick), outlook.rounds);
    const paying: PayingAct = { way: "netted", bedId: "bed", days: [addDays(today, 1)], minutes: 3, gain: 0.5, plantingIds: ["courgettes"], ...act }; // prettier-ignore
    const [told] = actSentences({ today, outlook, plan, near: {}, moveCosts: {}, units: "metric" }, [paying]);
    return `${told!.lead}. ${told!.text}`;
  };
  expect(says({})).toMatch(/^Net Long bed\. Fine net on hoops over courgette before tomorrow brings hail, about 3 minutes: saves about [\d.,]+ (g|kg) worth\. Note it under Sky & away once it stands\.$/); // prettier-ignore
  expect(says({ way: "shaded" })).toMatch(
    /^Shade Long bed\. Shade cloth over courgette from tomorrow while the heat lasts, /,
  );
  expect(says({ way: "stripped", minutes: 0.2 })).toMatch(/^Pick green\. Courgette in the long bed: the full-grown green ones too, tomorrow before the frost, about 1 minute: .* They ripen indoors\.$/); // prettier-ignore
});
