import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, type IsoDay } from "../calendar";
import { roughNormals } from "../weather";
import { GardenState, hazardsAhead, lookAhead, planDays, plannedPicks } from ".";

const DAYS_BACK = 400;

/** A planting on a day, the usual weather behind it, and a night of so many degrees three days on. */
function before(cropId: string, startedOn: IsoDay, today: IsoDay, nightC: number, more: object = {}) {
  const normals = roughNormals(52);
  const usual = (day: IsoDay, doy: number) => ({ day, minC: normals.minC[doy]!, maxC: normals.maxC[doy]!, rainMm: 0, windKmh: 8 }); // prettier-ignore
  const doyOf = (day: IsoDay) =>
    Math.round((Date.parse(day) - Date.parse(`${day.slice(0, 4)}-01-01`)) / 86_400_000) + 1;
  const days = (from: number, count: number) => Array.from({ length: count }, (_, i) => addDays(today, from + i)).map((d) => usual(d, doyOf(d))); // prettier-ignore
  const forecast = days(0, 7).map((d, n) => (n === 3 ? { ...d, minC: nightC, maxC: Math.max(d.maxC, nightC + 2) } : { ...d, minC: Math.max(d.minC, nightC) })); // prettier-ignore
  const garden = GardenState.parse({
    today,
    latitude: 52,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: [{ id: "one", bedId: "bed", cropId, variety: "", plants: 20, startEvent: "sown", startedOn, packet: null, looks: [], picks: [], schoolOption: null, ...more }], // prettier-ignore
    observed: days(-DAYS_BACK, DAYS_BACK),
    forecast,
    minutesByWeekday: Array.from({ length: 7 }, () => 90),
    exceptions: [],
    busy: [],
    trips: [],
    helpers: [],
  });
  const outlook = lookAhead(garden, catalogue());
  const p = outlook.plantings[0]!;
  const frost = p.survival.threats.filter((t) => t.kind === "frost");
  return { outlook, kind: p.judgement.verdict.kind, frost, picks: plannedPicks(p, planDays(outlook).picks), sound: p.survival.sound }; // prettier-ignore
}

test("garlic at −12 °C in January stands: nothing is lost, nothing is lifted", () => {
  const { kind, frost, picks } = before("garlic_hardneck", "2025-10-15", "2026-01-15", -11.5, {
    startEvent: "planted",
  });
  expect(kind).toBe("leave");
  expect(picks).toEqual([]);
  expect(frost.every((t) => t.act === "leave")).toBe(true);
});

test("garlic at −25 °C is not saved by lifting it either", () => {
  const { frost, picks } = before("garlic_hardneck", "2025-10-15", "2026-01-15", -25, { startEvent: "planted" });
  expect(frost[0]).toMatchObject({ part: "young", act: "leave" });
  expect(picks).toEqual([]);
});

test("potato tops at −1 °C are earthed up, not dug", () => {
  const { frost, picks, kind } = before("potato_maincrop", "2026-04-20", "2026-05-25", -2.5, { startEvent: "planted" });
  expect(frost[0]).toMatchObject({ part: "young", act: "earth up" });
  expect(picks).toEqual([]);
  expect(kind).toBe("leave");
});

test.each([
  ["peach", "2026-04-12", "2026-04-20", -4],
  ["blueberry", "2026-05-01", "2026-05-10", -4],
])("a frost takes the blossom of the %s: it is covered, there is nothing to pick", (id, startedOn, today, nightC) => {
  const { frost, picks } = before(id, startedOn, today, nightC, { startEvent: "blossom", plants: 2, growingYear: 8 });
  expect(frost[0]).toMatchObject({ part: "flower", act: "cover" });
  expect(picks).toEqual([]);
});

test("broad beans: the plant of April bears −4 °C, the pods of June do not, and are picked before it", () => {
  expect(before("bean_broad", "2026-02-20", "2026-04-10", -3.5).frost.filter((t) => t.loss > 0.3)).toEqual([]);
  const pods = before("bean_broad", "2025-11-01", "2026-06-15", -5, {
    looks: [{ cueId: catalogue().find((c) => c.id === "bean_broad")!.cues[0]!.id, readingId: readyReading("bean_broad"), takenOn: "2026-06-15" }], // prettier-ignore
  });
  expect(pods.frost[0]).toMatchObject({ part: "part", act: "pick" });
  expect(pods.picks.some((p) => p.day <= 2)).toBe(true);
});

test("onion sets in April at −4 °C stay in the ground", () => {
  const { frost, picks } = before("onion_bulb", "2026-03-20", "2026-04-15", -4, { startEvent: "planted" });
  expect(frost.filter((t) => t.act === "pick")).toEqual([]);
  expect(picks).toEqual([]);
});

test("sweet potato slips in June are covered from 1 °C on, though the roots are months away", () => {
  const { frost, picks } = before("sweet_potato_root", "2026-06-01", "2026-06-10", 0.5, { startEvent: "planted" });
  expect(frost[0]).toMatchObject({ part: "young", act: "cover" });
  expect(picks).toEqual([]);
});

function readyReading(id: string): string {
  return catalogue().find((c) => c.id === id)!.cues[0]!.readings.find((r) => r.means === "ready")!.id; // prettier-ignore
}

test("the card of a frost over young potatoes says to earth them up, and names no pick", () => {
  const { outlook } = before("potato_maincrop", "2026-04-20", "2026-05-25", -2.5, { startEvent: "planted" });
  const frost = hazardsAhead(outlook, {}).find((h) => h.kind === "frost")!;
  expect(frost.touched.map((t) => t.grams)).toEqual([0]);
  expect(frost.acts.map((a) => a.act)).toContain("earth up");
  expect(frost.acts.map((a) => a.act)).not.toContain("pick");
});
