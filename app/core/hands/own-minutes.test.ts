import { expect, test } from "vitest";
import { HandsRules, handsOn, ownMinutes, withOwnMinutes } from ".";

const rules = (change: object = {}) =>
  HandsRules.parse({
    minutesByWeekday: Array.from({ length: 7 }, () => ({ morning: 20, midday: 0, evening: 40 })),
    trips: [],
    ...change,
  });
const DAY = "2026-09-22";

test("more minutes of a day are shared out as the day’s are, a part of it alone where one is named", () => {
  const all = withOwnMinutes(rules(), DAY, ownMinutes(rules(), DAY, "all", 90));
  expect(handsOn(all, DAY).slots).toEqual({ morning: 30, midday: 0, evening: 60 });
  const morning = withOwnMinutes(rules(), DAY, ownMinutes(rules(), DAY, "morning", 50));
  expect(handsOn(morning, DAY).slots).toEqual({ morning: 50, midday: 0, evening: 40 });
  expect(handsOn(morning, "2026-09-23").minutes).toBe(60);
});

test("as many as usual need none of their own; a day that had none gets them in the evening", () => {
  expect(ownMinutes(rules(), DAY, "all", 60)).toEqual({});
  const away = rules({ trips: [{ name: "coast", from: DAY, to: DAY }] });
  expect(ownMinutes(away, DAY, "all", 30)).toEqual({ evening: 30 });
});

test("an hour’s help on a day on which a helper comes anyway would have been lost: it comes on top", () => {
  const trip = { name: "coast", from: DAY, to: "2026-09-24" };
  const helped = rules({ trips: [trip], helpers: [{ name: "Mara", minutes: 45, everyDays: 2, cropIds: [], skills: [] }] }); // prettier-ignore
  expect(handsOn(helped, DAY).slots.morning).toBe(45);
  const more = withOwnMinutes(helped, DAY, ownMinutes(helped, DAY, "morning", 45 + 60));
  expect(handsOn(more, DAY)).toMatchObject({ slots: { morning: 105 }, away: true, helper: { name: "Mara" } });
});
