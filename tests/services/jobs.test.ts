import { beforeEach, expect, test } from "vitest";
import { addDays, daysBetween } from "~/core/calendar";
import { actsDue, plannedPicks, type ActDue, type GardenOutlook } from "~/core/garden";
import { theGarden } from "~/db/garden/garden.server";
import { calendarFeed } from "~/services/feed/calendar-feed.server";
import { todayOf } from "~/services/garden/clock.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { PlanAct, actOnPlan } from "~/services/horizon/act-on-plan.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { jobsAhead, jobsMarked } from "~/services/horizon/jobs.server";
import { roundPage } from "~/services/round/round-page.server";
import { coverBed } from "~/services/sky/covers.server";
import { gathered } from "~/views/sentences/acts-due";
import { demoGarden, plant, send, smallGarden, type GardenOfTest } from "./garden-fixture";

const rowOf = ({ db }: GardenOfTest) => theGarden(db)!;
const planOf = ({ db }: GardenOfTest) => plannedGarden(db, theGarden(db)!);
const jobsOf = (made: GardenOfTest) => ({
  due: jobsAhead(made.db, planOf(made)),
  marked: jobsMarked(made.db, planOf(made)),
});
const act = (made: GardenOfTest, intent: string, key: string) => actOnPlan(made.db, rowOf(made), PlanAct.parse({ intent, keys: key })); // prettier-ignore

let made: GardenOfTest;
beforeEach(() => {
  made = demoGarden();
});

const dueOf = ({ outlook, plan }: ReturnType<typeof planOf>, marks: Parameters<typeof actsDue>[2] = []) => actsDue(outlook, plan.picks, marks); // prettier-ignore

test("watering stops fourteen days before the planned lift (common practice), today where that day is over", () => {
  const planned = planOf(made);
  const stops = dueOf(planned).filter((a) => a.act === "stop watering");
  expect(stops.length).toBeGreaterThan(0);
  for (const { plantingId, day, before, why } of stops) {
    const p = planned.outlook.plantings.find((x) => x.planting.id === plantingId)!;
    const pick = plannedPicks(p, planned.plan.picks)[0];
    const lift = pick ? planned.outlook.days[pick.day]! : p.judgement.window.opens.p50!;
    expect(before).toBe(lift);
    expect(day).toBe([addDays(lift, -14), planned.today].sort().at(-1));
    expect(why).toMatch(/skins|bulbs/);
  }
});

test("a job done is not due again, can be taken back the same day, and the plan stands for it", () => {
  const before = planOf(made);
  const job = jobsOf(made).due.find((j) => j.isToday)!;
  expect(act(made, "job done", job.keys[0]!)).toMatchObject({ status: "noted", sentence: `Done: ${job.lead}` });
  expect(planOf(made)).toBe(before);
  expect(jobsOf(made).due.map((j) => j.keys[0])).not.toContain(job.keys[0]!);
  expect(jobsOf(made).marked).toMatchObject([{ keys: job.keys, isSkipped: false }]);
  expect(act(made, "job done", job.keys[0]!)).toMatchObject({
    status: "refused",
    sentence: "That is not due any more.",
  });
  expect(act(made, "job due again", job.keys[0]!).status).toBe("noted");
  expect(jobsOf(made).due.map((j) => j.keys[0])).toContain(job.keys[0]!);
  expect(act(made, "job due again", job.keys[0]!).status).toBe("refused");
  expect(act(made, "job left out", job.keys[0]!)).toMatchObject({ sentence: `Left out: ${job.lead}` });
  expect(jobsOf(made).marked).toMatchObject([{ isSkipped: true }]);
  expect(act(made, "job done", "nothing such").status).toBe("refused");
});

test("eggs that were seen are looked for every other day, until a look finds none", () => {
  const { db } = made;
  const today = todayOf(rowOf(made));
  const look = (readingId: string, day: string) => send(db, { kind: "look", plantingId: "courgette-striped", cueId: "pest_eggs", readingId }, { at: `${day}T08:00:00Z` }); // prettier-ignore
  const hunt = (marks: Parameters<typeof actsDue>[2] = []) =>
    dueOf(planOf(made), marks).find((a) => a.act === "look for eggs");
  expect(hunt()).toBeUndefined();
  expect(look("eggs_in_rows_or_clusters", today).status).toBe("applied");
  expect(hunt()).toMatchObject({ plantingId: "courgette-striped", day: addDays(today, 2), everyDays: 2 });
  const { key } = hunt()!;
  // Done earlier than it was due: it counts from there.
  expect(hunt([{ key, day: addDays(today, 1), isSkipped: false }])!.day).toBe(addDays(today, 3));
  expect(look("none", today).status).toBe("applied");
  expect(hunt()).toBeUndefined();
});

test("a cover that is noted goes on in the evening and comes off the next day, also once that evening is over", () => {
  const { db } = made;
  const today = todayOf(rowOf(made));
  const [bed] = planOf(made).outlook.plantings.map((p) => p.bed);
  const ofBed = () => dueOf(planOf(made)).filter((a) => a.plantingId === null);
  coverBed(db, { bedId: bed!.id, evening: today, cover: "fleece" });
  expect(ofBed().map((a) => [a.act, a.day])).toEqual([["cover", today], ["take the cover off", addDays(today, 1)]]); // prettier-ignore
  coverBed(db, { bedId: bed!.id, evening: today, cover: "none" });
  coverBed(db, { bedId: bed!.id, evening: addDays(today, -1), cover: "fleece" });
  expect(ofBed().map((a) => [a.act, a.day])).toEqual([["take the cover off", today]]);
});

test("before a trip the last day at home has the search under the leaves, of what bears", () => {
  const { outlook } = planOf(made);
  const hunts = dueOf(planOf(made)).filter((a) => a.act === "search under the leaves");
  expect(hunts.length).toBeGreaterThan(0);
  for (const h of hunts) {
    const p = outlook.plantings.find((x) => x.planting.id === h.plantingId)!;
    expect(p.crop.suppressesWhenLeft.value).toBe("yes");
    expect(h.day < outlook.trips[0]!.from).toBe(true);
    expect(h.before).toBe(outlook.trips[0]!.from);
  }
});

test("vines are cut before the lift only where the household goes that way", () => {
  const small = smallGarden();
  const [bed] = planOf(small).outlook.plantings.map((p) => p.bed);
  plant(small.db, bed!.id, { id: "sweet", cropId: "sweet_potato_root", plants: 6, cameBy: "planted" }, addDays(todayOf(rowOf(small)), -118)); // prettier-ignore
  const { outlook, plan } = planOf(small);
  const p = outlook.plantings.find((x) => x.planting.id === "sweet")!;
  const cutIn = (ways: Record<string, string>): ActDue | undefined => {
    const other: GardenOutlook = { ...outlook, plantings: [{ ...p, ways, judgement: { ...p.judgement, window: { ...p.judgement.window, opens: { ...p.judgement.window.opens, p50: addDays(outlook.today, 9) } } } }] }; // prettier-ignore
    return actsDue(other, { ...plan.picks, sweet: [] }, []).find((a) => a.act === "cut the vines");
  };
  expect(cutIn({})!.day).toBe(addDays(outlook.today, 6));
  expect(cutIn({ sweet_potato_vines: "before" })!.day).toBe(addDays(outlook.today, 6));
  expect(cutIn({ sweet_potato_vines: "same" })).toBeUndefined();
});

test("jobs are on the Horizon, on the round and in the calendar, with the same words", async () => {
  const { due: each } = jobsOf(made);
  const due = gathered(each);
  expect(due.length).toBeLessThan(each.length);
  expect(due.flatMap((j) => j.keys).sort()).toEqual(each.flatMap((j) => j.keys).sort());
  expect(horizonPage(made.db, rowOf(made)).jobs.due).toEqual(due);
  expect(roundPage(made.db, rowOf(made)).jobs).toEqual(each.filter((j) => j.isToday));
  const feed = (await calendarFeed(made.db, rowOf(made))).replace(/\r\n[ \t]/g, "");
  for (const job of due.filter((j) => j.plantingId)) {
    expect(feed).toContain(job.lead.replace(/[,;]/g, "\\$&"));
    expect(daysBetween(todayOf(rowOf(made)), job.day)).toBeLessThan(14);
  }
});

test("jobs told as one are ticked as one, all of them or none", () => {
  const job = gathered(jobsOf(made).due).find((j) => j.keys.length > 1)!;
  expect(act(made, "job done", [...job.keys, "not there"].join("\n")).status).toBe("refused");
  expect(jobsOf(made).marked).toEqual([]);
  expect(act(made, "job done", job.keys.join("\n"))).toMatchObject({ sentence: `Done: ${job.lead}` });
  expect(jobsOf(made).marked).toMatchObject([{ keys: job.keys }]);
});
