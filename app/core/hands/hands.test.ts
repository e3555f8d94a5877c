import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { HandsRules, handsOn, helperMay, shareWithin, skillsFor, type Helper } from ".";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const rules = (change: Partial<HandsRules> = {}): HandsRules => ({
  minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 40, midday: 60, evening: 30 })),
  exceptions: [],
  busy: [],
  trips: [],
  helpers: [],
  ...change,
});
const helper: Helper = { name: "Neighbour", minutes: 25, everyDays: 2, cropIds: ["courgette"], skills: ["knife"] };

test("a day has its weekday's minutes; its own minutes go before them, slot by slot", () => {
  expect(handsOn(rules(), "2026-09-19").minutes).toBe(130);
  const own = handsOn(rules({ exceptions: [{ day: "2026-09-19", slot: "midday", minutes: 5 }] }), "2026-09-19");
  expect(own.slots).toEqual({ morning: 40, midday: 5, evening: 30 });
  expect(
    handsOn(rules({ exceptions: [{ day: "2026-09-19", slot: "midday", minutes: 5 }] }), "2026-09-20").minutes,
  ).toBe(130);
});

test("minutes without a part of the day are the evening's, dark or not", () => {
  const parsed = HandsRules.parse({
    minutesByWeekday: [20, 20, 20, 20, 20, 60, { morning: 5, midday: 0, evening: 5 }],
    trips: [],
  });
  expect(parsed.minutesByWeekday[5]).toEqual({ morning: 0, midday: 0, evening: 60, anyTime: true });
  expect(handsOn(parsed, "2026-09-19").anyTime).toBe(true);
  expect(handsOn(parsed, "2026-09-20").slots).toEqual({ morning: 5, midday: 0, evening: 5 });
  expect(handsOn(parsed, "2026-09-20").anyTime).toBe(false);
});

test("a trip takes the hours from leaving to coming back, and whole days between", () => {
  const away = rules({
    trips: [{ name: "Coast", from: "2026-09-26", to: "2026-09-28", leaveAt: "13:00", backAt: "17:30" }],
  });
  // 13:00 is halfway through midday; half past five leaves 3.5 of the evening's 5 hours.
  expect(handsOn(away, "2026-09-26")).toMatchObject({ away: false, slots: { morning: 40, midday: 30, evening: 0 } });
  expect(handsOn(away, "2026-09-27")).toMatchObject({ away: true, minutes: 0, trip: "Coast", because: ["Coast"] });
  expect(handsOn(away, "2026-09-28")).toMatchObject({ away: false, slots: { morning: 0, midday: 0, evening: 21 } });
  expect(handsOn(away, "2026-09-29").minutes).toBe(130);
  const early = rules({
    trips: [{ name: "Dawn", from: "2026-09-26", to: "2026-09-26", leaveAt: "05:00", backAt: null }],
  });
  expect(handsOn(early, "2026-09-26").away).toBe(true);
});

test("busy times take their share of a slot, over midnight and over days too", () => {
  const busy = rules({ busy: [{ name: "Choir", from: "2026-09-19T17:00", to: "2026-09-19T19:30" }] });
  expect(handsOn(busy, "2026-09-19")).toMatchObject({
    slots: { morning: 40, midday: 60, evening: 15 },
    because: ["Choir"],
  });
  const night = rules({ busy: [{ name: "Night shift", from: "2026-09-19T20:00", to: "2026-09-20T08:00" }] });
  expect(handsOn(night, "2026-09-19").slots.evening).toBe(24);
  expect(handsOn(night, "2026-09-20").slots.morning).toBe(20);
  expect(handsOn(night, "2026-09-21").because).toEqual([]);
  const twice = rules({ busy: [...busy.busy, { name: "Late", from: "2026-09-19T16:00", to: "2026-09-19T21:00" }] });
  expect(handsOn(twice, "2026-09-19").slots.evening).toBe(0);
});

test("a helper stands in on days away only, every so many days", () => {
  const away = rules({ trips: [{ name: "Coast", from: "2026-09-26", to: "2026-09-29" }], helpers: [helper] });
  expect(["26", "27", "28", "29", "30"].map((d) => handsOn(away, `2026-09-${d}`).helper?.name ?? null)).toEqual(["Neighbour", null, "Neighbour", null, null]); // prettier-ignore
  expect(handsOn(away, "2026-09-26").minutes).toBe(25);
});

test("a helper picks what is on the list and what the skills allow", () => {
  expect(skillsFor(crop("carrot"))).toContain("digging");
  expect(skillsFor(crop("peach"))).toContain("ladder");
  expect(skillsFor(crop("chilli"))).toContain("chillies");
  expect(helperMay(helper, crop("courgette"))).toBe(true);
  expect(helperMay(helper, crop("tomato_large"))).toBe(false);
  expect(helperMay({ ...helper, skills: [] }, crop("courgette"))).toBe(!skillsFor(crop("courgette")).includes("knife"));
  expect(helperMay({ ...helper, cropIds: [], skills: [] }, crop("carrot"))).toBe(false);
});

test.each([
  [{ from: "2026-09-28", to: "2026-09-26" }, /ends before it starts/],
  [{ from: "2026-09-26", to: "2026-09-26", leaveAt: "15:00", backAt: "09:00" }, /back before you leave/],
  [{ from: "2026-09-26", to: "2026-09-27", leaveAt: "25:00" }, /14:30/],
])("a trip that cannot be is refused in a sentence: %o", (trip, words) => {
  const parsed = HandsRules.safeParse({ minutesByWeekday: [0, 0, 0, 0, 0, 0, 0], trips: [{ name: "x", ...trip }] });
  expect(parsed.error?.issues[0]?.message).toMatch(words);
});

test("shares of a slot add up over the day", () => {
  expect(shareWithin("midday", 0, 1440)).toBe(1);
  expect(shareWithin("morning", 0, 420) + shareWithin("morning", 420, 1440)).toBeCloseTo(1, 9);
  expect(shareWithin("evening", 0, 600)).toBe(0);
});
