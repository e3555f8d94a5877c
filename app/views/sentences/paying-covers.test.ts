import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { GardenState, byDay, lookAhead, payingCovers } from "~/core/garden";
import type { BedKind } from "~/core/hazards";
import { solvePlan } from "~/core/planner";
import { coverSentences } from "./paying-covers";

const today = "2026-09-14";
const quick = { seed: 1, relaxIterations: 30, boundSplits: 0, repairIterations: 300, cycles: 1 };

/** Courgettes that bear, and a night that may freeze so many days ahead. */
function told(nightAhead: number, bed: { name: string; kind: BedKind } = { name: "Long bed", kind: "raised" }) {
  const garden = GardenState.parse({
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
  const outlook = lookAhead(garden, catalogue());
  const plan = solvePlan(outlook.problem, quick);
  const protections = outlook.plantings.flatMap((p) => p.protections ?? []);
  const covers = payingCovers({ problem: outlook.problem, plan, protections }, quick);
  return coverSentences({ today, outlook, plan: byDay(plan, outlook.rounds), moveCosts: {}, units: "metric" }, covers);
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
