import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import {
  counted,
  dayAndMonth,
  inTenths,
  longDay,
  sayAmount,
  sayDay,
  sayLength,
  sayMass,
  sayNight,
  sayPieces,
  sayRain,
  sayStart,
  sayTemperature,
  sayWind,
  shortDay,
  weekdayName,
} from ".";

test("days are said as a gardener says them", () => {
  const today = "2026-09-19";
  expect([0, 1, -1, 3, 6, 7, -5].map((n) => sayDay(addDays(today, n), today))).toEqual(["today", "tomorrow", "yesterday", "Tuesday", "Friday", "Sat 26 Sep", "Mon 14 Sep"]); // prettier-ignore
  expect(sayDay("2027-01-02", today)).toBe("Sat 2 Jan 2027");
  expect(sayNight(today, today)).toBe("tonight");
  expect(sayNight("2026-09-23", today)).toBe("Wednesday night");
  expect(longDay(today)).toBe("Saturday, 19 September");
  expect(shortDay(today, today)).toBe("Sat 19 Sep");
  expect([dayAndMonth("2026-05-10", today), dayAndMonth("2025-11-01", today)]).toEqual(["10 May", "1 Nov 2025"]);
  expect(weekdayName("2026-09-21")).toBe("Monday");
});

test("every date says its year when it is not this one", () => {
  const today = "2026-01-05";
  expect([shortDay("2025-12-31", today), dayAndMonth("2025-12-31", today), dayAndMonth("2026-12-31", today)]).toEqual([
    "Wed 31 Dec 2025",
    "31 Dec 2025",
    "31 Dec",
  ]);
  expect(sayDay("2025-04-15", today)).toBe("Tue 15 Apr 2025");
  expect(sayNight("2027-01-01", today)).toBe("Fri 1 Jan 2027 night");
});

test("a start is said as it is known: told, vague, or by the climate", () => {
  const start = { startEvent: "sown", startedOn: "2026-05-01", startedTo: null, startStanding: "told" } as const;
  expect(sayStart(start, "2026-08-01")).toBe("sown 1 May");
  expect(sayStart({ ...start, startedTo: "2026-05-20" }, "2026-08-01")).toBe("sown between 1 May and 20 May");
  expect(sayStart({ ...start, startEvent: "blossom", startStanding: "worked out" }, "2027-08-01")).toBe(
    "in blossom from about 1 May 2026, by the climate",
  );
});

test.each([[0, "under 1 in 10"], [0.68, "7 in 10"], [0.99, "over 9 in 10"]])("%d is said %s", (odds, words) => expect(inTenths(odds)).toBe(words)); // prettier-ignore

test("amounts, lengths, temperatures, rain and wind as each household says them", () => {
  expect([sayMass(840, "metric"), sayMass(2300, "metric"), sayMass(85_400, "metric")]).toEqual([
    "840 g",
    "2.3 kg",
    "85.4 kg",
  ]);
  expect([sayMass(200, "us"), sayMass(850, "us"), sayMass(907.2, "us")]).toEqual(["7 oz", "1 lb 14 oz", "2 lb"]);
  expect([sayLength(43, "metric"), sayLength(43, "us"), sayLength(152, "us")]).toEqual(["43 mm", "1¾ in", "6 in"]);
  expect([sayTemperature(-1.6, "metric"), sayTemperature(0, "us")]).toEqual(["−2°", "32°"]);
  expect([sayRain(0, "us"), sayRain(12.7, "us"), sayRain(7.72, "metric")]).toEqual(["dry", "0.50 in", "7.7 mm"]);
  expect([sayWind(84, "metric"), sayWind(84, "us")]).toEqual(["84 km/h", "52 mph"]);
});

test("amounts are counted or weighed as the crop is, and never nothing", () => {
  const crop = (id: string) => catalogue().find((c) => c.id === id)!;
  expect(sayPieces(crop("courgette"), 8.7, "metric")).toBe("9 courgettes");
  expect(sayPieces(crop("courgette"), 0.2, "metric")).toBe("1 courgette");
  expect(sayPieces(crop("bean_bush"), 172, "metric")).toBe("850 g");
  expect(sayPieces(crop("kale_leaf"), 12, "us")).toBe("12 leaves");
  expect([counted(1, "piece"), counted(3, "piece")]).toEqual(["1 piece", "3 pieces"]);
  expect(sayAmount({ grams: 840, pieces: 9, estimated: false }, "metric")).toBe("9, 840 g");
  expect(sayAmount({ grams: 2000, pieces: null, estimated: true }, "metric")).toBe("about 2 kg");
});
