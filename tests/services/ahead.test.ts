import { beforeAll, describe, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { planDifference, planSum, plannedPicks } from "~/core/garden";
import { setDemoDay, theGarden } from "~/db/garden/garden.server";
import { allTrips, deleteTrip, insertHelper } from "~/db/sky/hands.server";
import { awayPage, backPage, frostPage, helperPage } from "~/services/ahead/ahead-pages.server";
import { handsOffered } from "~/services/ahead/hands-offered.server";
import { supposedFor } from "~/services/garden/supposed-change.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { editDays } from "~/services/horizon/edit-plan.server";
import { keepSupposed } from "~/services/horizon/what-if.server";
import type { DayTaken } from "~/views/ahead/taken";
import { sayRoughly } from "~/views/words";
import { demoGarden, type GardenOfTest } from "./garden-fixture";

const rowOf = ({ db }: GardenOfTest) => theGarden(db)!;
const planOf = ({ db }: GardenOfTest) => plannedGarden(db, theGarden(db)!);
/** Planting and day of every pick on a sheet. */
const picksOn = (days: readonly DayTaken[]) =>
  days.flatMap((d) => d.takes.map((t) => `${t.plantingId} ${d.day}`)).sort();
/** The same of the plan, on some of its days. */
const plannedOn = (made: GardenOfTest, isOn: (n: number) => boolean) => {
  const { outlook, plan } = planOf(made);
  return outlook.plantings.flatMap((p) => plannedPicks(p, plan.picks).filter((pick) => isOn(pick.day)).map((pick) => `${p.planting.id} ${outlook.days[pick.day]}`)).sort(); // prettier-ignore
};
const allIds = (made: GardenOfTest) =>
  planOf(made)
    .outlook.plantings.map((p) => p.planting.id)
    .sort();

describe("before the frost", () => {
  let made: GardenOfTest;
  beforeAll(() => {
    made = demoGarden();
  });

  test("the sheet takes what the plan takes, day by day, and leaves no planting unsaid", () => {
    const sheet = frostPage(made.db, rowOf(made))!;
    const n = planOf(made).outlook.days.indexOf(sheet.evening);
    expect(picksOn(sheet.takes)).toEqual(plannedOn(made, (day) => day <= n));
    const said = [...sheet.takes.flatMap((d) => d.takes), ...sheet.lost, ...sheet.waits].map((p) => p.plantingId);
    expect([...new Set(said)].sort()).toEqual(allIds(made));
    expect(sheet.lead).toMatch(/frost/i);
    // It says no more than the odds.
    for (const { because } of sheet.takes.flatMap((d) => d.takes)) expect(because ?? "").not.toMatch(/would take|will take/);
  });

  test("what stays out gives a reason with its limit, and no reason is the same for kale and for what a frost kills", () => {
    const sheet = frostPage(made.db, rowOf(made))!;
    for (const line of sheet.waits) expect(line.why).toMatch(/^(Stands down to|Cold does not|About|Not likely)/);
    const { outlook } = planOf(made);
    for (const { plantingId, why } of sheet.waits) {
      const { damageC } = outlook.plantings.find((p) => p.planting.id === plantingId)!.crop.cold ?? {};
      if (why.startsWith("Stands")) expect(damageC).toBeLessThanOrEqual(-2);
    }
  });

  test("covers that help say by how much, and when they come off again", () => {
    const sheet = frostPage(made.db, rowOf(made))!;
    expect(sheet.helps.filter((a) => a.cover).length).toBeGreaterThan(0);
    expect(sheet.off).toMatch(/off by mid-morning/);
  });

  test("a pick that is ruled out until the frost is told as lost, not left unsaid", () => {
    const other = demoGarden();
    const before = frostPage(other.db, rowOf(other))!;
    const n = planOf(other).outlook.days.indexOf(before.evening);
    const dear = before.takes.flatMap((d) => d.takes).find((t) => t.because?.startsWith("The frost may take it: "))!;
    const days = planOf(other).outlook.days.slice(0, n + 1);
    for (const day of days) editDays(other.db, rowOf(other), [{ plantingId: dear.plantingId, day, to: "not", slot: null }]);
    const after = frostPage(other.db, rowOf(other), before.evening)!;
    expect(after.takes.flatMap((d) => d.takes).map((t) => t.plantingId)).not.toContain(dear.plantingId);
    expect(after.lost.map((l) => l.plantingId)).toContain(dear.plantingId);
  });

  test("another night can be asked for; a night that is not ahead gives the first", () => {
    const sheet = frostPage(made.db, rowOf(made))!;
    expect(sheet.nights.length).toBeGreaterThan(1);
    const second = sheet.nights[1]!.evening;
    expect(frostPage(made.db, rowOf(made), second)!.evening).toBe(second);
    expect(frostPage(made.db, rowOf(made), "1999-01-01")!.evening).toBe(sheet.evening);
  });

  test("every “brings” is what the plan then has: kept, its worth is up by what was said, to the rounding", { timeout: 120_000 }, async () => {
    const sheet = frostPage(made.db, rowOf(made))!;
    const told = await handsOffered(made.db, rowOf(made), "frost", sheet.evening);
    expect(told.offers.length).toBeGreaterThan(0);
    for (const offer of told.offers.slice(0, 3)) {
      const other = demoGarden();
      const stands = planOf(other);
      const { before, after } = await supposedFor(other.db, rowOf(other), stands, offer.suppositions);
      if (after.status !== "supposed") throw new Error(after.why);
      expect(keepSupposed(other.db, rowOf(other), offer.suppositions).status).toBe("noted");
      const kept = planOf(other);
      const difference = planDifference(before, planSum(kept.outlook, kept.plan));
      const gain = difference.worth - Math.min(after.without - before.worth, Math.max(0, difference.worth));
      expect(offer.brings).toContain(`better by as much as ${sayRoughly(gain * 1000, "metric")} of courgettes`);
      if (difference.grams >= 50) expect(offer.brings).toContain(`brings in ${sayRoughly(difference.grams, "metric")} more`);
    }
  });
}); // prettier-ignore

describe("before going away", () => {
  let made: GardenOfTest;
  beforeAll(() => {
    made = demoGarden();
  });
  const trip = () => allTrips(made.db)[0]!;

  test("the sheet takes what the plan takes before the trip, and says of every other planting how it will be found", () => {
    const sheet = awayPage(made.db, rowOf(made))!;
    const { outlook } = planOf(made);
    const isAway = (n: number) => outlook.days[n]! >= trip().fromDay;
    expect(picksOn(sheet.takes)).toEqual(plannedOn(made, (n) => !isAway(n)));
    const said = [...sheet.takes.flatMap((d) => d.takes), ...sheet.waits].map((p) => p.plantingId);
    expect([...new Set(said)].sort()).toEqual(allIds(made));
    expect(sheet.helper.visits).toBe(0);
  });

  test("what the days away are said to cost is the plan without the trip, asked for by taking it away", { timeout: 60_000 }, async () => {
    const told = await handsOffered(made.db, rowOf(made), "trip", trip().fromDay);
    const stands = planOf(made);
    const { after } = await supposedFor(made.db, rowOf(made), stands, [{ what: "stay", trip: trip().fromDay }]);
    const other = demoGarden();
    planOf(other);
    deleteTrip(other.db, trip().id);
    const home = planOf(other);
    const sum = planSum(home.outlook, home.plan);
    if (after.status !== "supposed") throw new Error(after.why);
    expect(after.sum).toEqual(sum);
    expect(told.cost).toContain(`as much as ${sayRoughly((sum.worth - after.without) * 1000, "metric")} of courgettes`);
  });

  test("a helper’s visits are the plan’s, and the sheet lists only what the helper may pick", () => {
    insertHelper(made.db, { id: "h", name: "Mara", minutes: 45, everyDays: 2, cropIds: [], skills: ["knife"] });
    const away = awayPage(made.db, rowOf(made))!;
    const sheet = helperPage(made.db, rowOf(made))!;
    expect(away.helper).toMatchObject({ who: "Mara", visits: 2 });
    const listed = sheet.beds.flatMap((b) => b.plantings);
    expect(listed.length).toBeGreaterThan(0);
    expect(listed.map((p) => p.plantingId).sort()).toEqual([...new Set(away.helper.takes.flatMap((d) => d.takes).map((t) => t.plantingId))].sort());
    const { outlook } = planOf(made);
    for (const { plantingId, tell, how, put } of listed) {
      const { crop } = outlook.plantings.find((p) => p.planting.id === plantingId)!;
      expect(`${crop.pick.tool} ${crop.pick.kit.join(" ")}`).not.toMatch(/fork|spade/);
      expect(tell.length).toBeGreaterThan(0);
      expect(how).not.toBe("");
      expect(put).not.toBe("");
    }
    const left = sheet.leave.flatMap((l) => l.plantingIds);
    expect([...left, ...listed.map((p) => p.plantingId)].sort()).toEqual(allIds(made));
  });
}); // prettier-ignore

describe("back again", () => {
  test("nobody is back who was not away; ten days later it says what comes off, in order, and what the weather was", () => {
    const made = demoGarden();
    expect(backPage(made.db, rowOf(made))).toBeNull();
    const { toDay } = allTrips(made.db)[0]!;
    setDemoDay(made.db, addDays(toDay, 1));
    const sheet = backPage(made.db, rowOf(made))!;
    const order = ["take off first", "strip", "take", "look", "keep"];
    const acts = sheet.groups.map((g) => order.indexOf(g.act));
    expect(acts).toEqual([...acts].sort((a, b) => a - b));
    expect(sheet.groups.flatMap((g) => g.plantings.map((p) => p.plantingId)).sort()).toEqual(allIds(made));
    expect(sheet.away).toMatch(/5 days away/);
    expect(sheet.meanwhile).toMatch(/Meanwhile|no record/);
    setDemoDay(made.db, addDays(toDay, 6));
    expect(backPage(made.db, rowOf(made))).toBeNull();
  });
});
