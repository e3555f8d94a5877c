import { beforeEach, expect, test } from "vitest";
import { addDays, daysBetween } from "~/core/calendar";
import { actsDue, lookTaskId, looksAsked, plannedPicks } from "~/core/garden";
import { checkPlan } from "~/core/planner";
import { putActMark } from "~/db/beds/act-marks.server";
import { helper } from "~/db/schema/index.server";
import { theGarden } from "~/db/garden/garden.server";
import { calendarFeed } from "~/services/feed/calendar-feed.server";
import { todayOf } from "~/services/garden/clock.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { jobsAhead, jobsMarked, markJobs, unmarkJobs } from "~/services/horizon/jobs.server";
import { roundPage } from "~/services/round/round-page.server";
import { chooseSchool } from "~/services/notes/field-notes.server";
import { coverBed } from "~/services/sky/covers.server";
import { paperPlan } from "~/views/ahead/paper-plan";
import { feedEvents } from "~/views/feed/feed-events";
import { comesTo } from "~/views/round/planned-walk";
import { gathered } from "~/views/sentences/acts-due";
import { saveTrip } from "~/services/sky/trips.server";
import { demoGarden, plant, send, smallGarden, type GardenOfTest } from "./garden-fixture";

const rowOf = ({ db }: GardenOfTest) => theGarden(db)!;
const planOf = ({ db }: GardenOfTest) => plannedGarden(db, theGarden(db)!);
const jobsOf = (made: GardenOfTest) => ({
  due: jobsAhead(planOf(made)),
  marked: jobsMarked(planOf(made)),
});
const act = (made: GardenOfTest, as: "job done" | "job left out" | "job due again", lines: string) => {
  const keys = lines.split("\n");
  return as === "job due again" ? unmarkJobs(made.db, rowOf(made), keys) : markJobs(made.db, rowOf(made), keys, as === "job left out"); // prettier-ignore
};

let made: GardenOfTest;
beforeEach(() => {
  made = demoGarden();
});

const dueOf = ({ outlook, plan }: ReturnType<typeof planOf>, marks: Parameters<typeof actsDue>[2] = []) => actsDue(outlook, plan, marks); // prettier-ignore

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
  const job = jobsOf(made).due.find((j) => j.isToday && !j.isLook)!;
  expect(act(made, "job done", job.keys[0]!)).toMatchObject({ status: "noted", sentence: `Done: ${job.lead}` });
  expect(planOf(made).plan).toBe(before.plan);
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

/** A small garden with sweet potatoes that are seen to be ready, the vines cut before the lift or not. */
function sweetPotatoes(plants: number, option?: string) {
  const small = smallGarden();
  const [bed] = planOf(small).outlook.plantings.map((p) => p.bed);
  const { db } = small;
  plant(db, bed!.id, { id: "sweet", cropId: "sweet_potato_root", plants, cameBy: "planted" }, addDays(todayOf(rowOf(small)), -125)); // prettier-ignore
  send(db, { kind: "look", plantingId: "sweet", cueId: "dig_one", readingId: "as_thick_as_a_fist" });
  if (option) chooseSchool(db, "sweet_potato_root", "sweet_potato_vines", option);
  return small;
}

test("the plan has vines cut some days before the lift, on a day with hands, and its minutes are that day's", () => {
  const garden = sweetPotatoes(6);
  const { outlook, plan } = planOf(garden);
  const cut = dueOf(planOf(garden)).find((a) => a.act === "cut the vines")!;
  const lift = plannedPicks(
    outlook.plantings.find((x) => x.planting.id === "sweet")!,
    plan.picks,
  )[0]!.day;
  expect(cut).toMatchObject({ before: outlook.days[lift], minutes: 3 + 6 });
  expect(daysBetween(cut.day, outlook.days[lift]!)).toBe(3);
  const row = horizonPage(garden.db, rowOf(garden))
    .beds.flatMap((b) => b.plantings)
    .find((x) => x.id === "sweet")!;
  expect(row.handles[0]!.why.join(" ")).toContain("Three days after you cut the vines, ");
  expect(row.marks).toContainEqual({ day: outlook.days.indexOf(cut.day), kind: "job", words: expect.stringMatching(/^Cut the vines, /) }); // prettier-ignore
  expect(outlook.minutesFree[outlook.days.indexOf(cut.day)]).toBeGreaterThan(cut.minutes);
  const minutesOn = (ways: typeof plan.ways) => {
    const check = checkPlan(outlook.problem, plan.rounds, ways);
    if (check.status !== "allowed") throw new Error(check.reasons.join());
    return check.minutesUsed.reduce((a, b) => a + b, 0);
  };
  expect(minutesOn(plan.ways) - minutesOn({})).toBeGreaterThanOrEqual(cut.minutes - 1e-6);
  expect(checkPlan(outlook.problem, plan.rounds, {})).toMatchObject({ status: "allowed" });
});

test("vines are not cut where the household goes another way, or where it would not pay", () => {
  const isCut = (garden: GardenOfTest) => dueOf(planOf(garden)).some((a) => a.act === "cut the vines");
  expect(isCut(sweetPotatoes(6, "before"))).toBe(true);
  expect(isCut(sweetPotatoes(6, "same"))).toBe(false);
});

test("a helper cuts no vines: they are cut before the household goes, or once it is back", () => {
  const garden = sweetPotatoes(6);
  const today = todayOf(rowOf(garden));
  saveTrip(garden.db, { id: "", name: "Away", from: today, to: addDays(today, 5), leaveAt: null, backAt: null });
  garden.db.insert(helper).values({ id: "h", name: "Mara", minutes: 60, everyDays: 1, cropIds: [], skills: [] }).run();
  const { outlook } = planOf(garden);
  const away = outlook.days.filter((_, n) => outlook.away[n]);
  expect(away.length).toBe(6);
  expect(outlook.minutesFree[1]).toBeGreaterThan(0);
  const ways = outlook.problem.tasks.find((t) => t.id === "sweet")!.ways ?? [];
  expect(ways.length).toBeGreaterThan(0);
  for (const way of ways) for (const { day } of way.acts) expect(away).not.toContain(outlook.problem.days[day]);
});

test("vines once cut are lifted from then on as they were to be; left out, the plan waits for nothing", () => {
  const garden = sweetPotatoes(6);
  const { key, day } = dueOf(planOf(garden)).find((a) => a.act === "cut the vines")!;
  const liftOf = () => planOf(garden).plan.picks.sweet;
  const before = liftOf();
  putActMark(garden.db, { key, day: todayOf(rowOf(garden)), isSkipped: true, madeAt: "" });
  expect(dueOf(planOf(garden)).some((a) => a.act === "cut the vines")).toBe(false);
  expect(planOf(garden).outlook.problem.tasks.find((t) => t.id === "sweet")!.ways).toBeUndefined();
  expect(act(garden, "job due again", key).status).toBe("noted");
  expect(liftOf()).toEqual(before);
  expect(dueOf(planOf(garden)).find((a) => a.key === key)!.day).toBe(day);
  const today = todayOf(rowOf(garden));
  putActMark(garden.db, { key, day: today, isSkipped: false, madeAt: "" });
  // Cut today: it is worth lifting three days on.
  const { worth } = planOf(garden).outlook.problem.tasks.find((t) => t.id === "sweet")!;
  expect(worth[0]![0]!).toBeLessThan(worth[0]![5]!);
  expect(jobsOf(garden).marked.map((j) => j.keys)).toEqual([[key]]);
});

test("what is due beside picking takes its minutes from the day, marked done or not; left out, it gives them back", () => {
  const { outlook } = planOf(made);
  const hunt = dueOf(planOf(made)).find((a) => a.act === "search under the leaves")!;
  const n = outlook.days.indexOf(hunt.day);
  const free = () => planOf(made).outlook.rounds.filter((r) => r.day === n).reduce((sum, r) => sum + r.minutes, 0); // prettier-ignore
  const [had, before] = [outlook.minutesFree[n]!, free()];
  const ofDay = dueOf(planOf(made)).filter((a) => a.day === hunt.day && a.act !== "cut the tops");
  expect(ofDay.length).toBeGreaterThan(1);
  expect(before).toBeGreaterThan(had / 2);
  expect(had - before).toBeCloseTo(
    ofDay.reduce((sum, a) => sum + a.minutes, 0),
    6,
  );
  putActMark(made.db, { key: hunt.key, day: hunt.day, isSkipped: true, madeAt: "" });
  expect(free() - before).toBeCloseTo(hunt.minutes, 6);
});

test("jobs are on the Horizon, on the round and in the calendar, with the same words", async () => {
  const { due: each } = jobsOf(made);
  const due = gathered(each);
  expect(due.length).toBeLessThan(each.length);
  expect(due.flatMap((j) => j.keys).sort()).toEqual(each.flatMap((j) => j.keys).sort());
  expect(horizonPage(made.db, rowOf(made)).jobs.due).toEqual(gathered(each.filter((j) => !j.isLook || j.isToday)));
  expect(roundPage(made.db, rowOf(made)).jobs).toEqual(each.filter((j) => j.isToday));
  const feed = (await calendarFeed(made.db, rowOf(made))).replace(/\r\n[ \t]/g, "");
  for (const job of due.filter((j) => j.plantingId && !j.isLook)) {
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

test("a look is ticked or left out like any job: it is asked for again only later, and can be taken back", () => {
  const looks = () => jobsOf(made).due.filter((job) => job.isLook);
  const first = looks().find((job) => job.isToday)!;
  for (const intent of ["job done", "job left out"] as const) {
    expect(act(made, intent, first.keys[0]!).status).toBe("noted");
    const again = looks().find((job) => job.keys[0] === first.keys[0]);
    expect(again === undefined || again.day > todayOf(rowOf(made))).toBe(true);
    const { outlook, plan, today } = planOf(made);
    expect(looksAsked(outlook.plantings, outlook.actMarks, today).map((p) => p.planting.id)).not.toContain(first.plantingId); // prettier-ignore
    expect(plan.picks[lookTaskId(first.plantingId!)] ?? []).not.toContain(0);
    expect(jobsOf(made).marked).toMatchObject([{ keys: first.keys, isSkipped: intent === "job left out" }]);
    expect(act(made, "job due again", first.keys[0]!).status).toBe("noted");
    expect(looks().find((job) => job.keys[0] === first.keys[0])).toEqual(first);
  }
});

test("a look is told once a day: on the round that comes to it, else as a job; paper and calendar say the same", () => {
  const planned = planOf(made);
  const row = rowOf(made);
  const looks = jobsOf(made).due.filter((job) => job.isLook);
  const alone = looks.filter((job) => !comesTo(planned, job.day, job.plantingId));
  expect(alone.length).toBeGreaterThan(0);
  const paper = paperPlan(planned, row);
  for (const job of looks) {
    const name = job.lead.slice("Look again: ".length);
    const said = paper.days.find((d) => d.day === job.day)?.beside.some((words) => words.startsWith("Look again") && words.includes(name)) ?? false; // prettier-ignore
    expect([name, said]).toEqual([name, alone.includes(job)]);
  }
  const events = feedEvents(planned, row, [], jobsAhead(planned)).filter((event) => event.uid.startsWith("look-"));
  expect(events.map((event) => event.uid).sort()).toEqual([...new Set(alone.map((job) => `look-${job.day}`))].sort());
});
