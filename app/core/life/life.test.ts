import { expect, test } from "vitest";
import { catalogue, catalogueData } from "~/catalogue/catalogue.server";
import { dayLength, dayOfLight } from "../calendar";
import { unsaidOf } from "../crops";
import { monthlyNormals, roughNormals } from "../weather";
import { bearingOf, cropCalendar, cropLife, doubtRange, heatNeed, kindOf, yearShare, yieldExpected } from ".";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const normals = roughNormals(52);
const place = { normals, latitude: 52 };
const of = { startDoubtDays: 0, seasonCrop: "main" as const, packet: null };
const need = (
  id: string,
  startEvent: "sown" | "planted",
  startedOn: string,
  packet: { low: number; high: number } | null = null,
) => heatNeed(crop(id), { ...of, startEvent, startedOn, packet }, normals, 52)!;

test("what a planting needs does not hang on the month it was started in", () => {
  const [spring, summer] = ["2026-04-10", "2026-07-10"].map((day) => need("lettuce_heading", "sown", day));
  expect(spring).toMatchObject({ low: summer!.low, high: summer!.high });
});

test("sown and planted are told apart by the days in the nursery", () => {
  const [sown, planted] = [need("courgette", "sown", "2026-05-20"), need("courgette", "planted", "2026-05-20")];
  expect(planted.low).toBeLessThan(sown.low);
  expect(planted.low).toBeGreaterThanOrEqual(0.4 * sown.low);
  // A tomato's packet counts from planting out: what is sown waits for that day.
  expect(need("tomato_large", "sown", "2026-03-20").countsFrom).toBe("2026-05-15");
  expect(need("tomato_large", "planted", "2026-05-15").countsFrom).toBe("2026-05-15");
});

test("a packet of more days asks for more heat, in proportion", () => {
  const usual = need("carrot", "sown", "2026-04-20");
  const slow = need("carrot", "sown", "2026-04-20", { low: 2 * crop("carrot").packet.low, high: 2 * crop("carrot").packet.high }); // prettier-ignore
  expect(slow.low / usual.low).toBeCloseTo(2, 6);
});

test("a doubtful start widens the need both ways", () => {
  const sure = need("beetroot", "sown", "2026-05-01");
  const vague = heatNeed(crop("beetroot"), { ...of, startEvent: "sown", startedOn: "2026-05-01", startDoubtDays: 10 }, normals, 52)!; // prettier-ignore
  expect(vague.low).toBeLessThan(sure.low);
  expect(vague.high).toBeGreaterThan(sure.high);
});

test("bulbs count from the day that is long enough, planted in autumn or in spring", () => {
  const [autumn, spring] = ["2025-10-15", "2026-03-05"].map(
    (day) => need("garlic_softneck", "planted", day).countsFrom,
  );
  expect(autumn).toBe(spring);
  expect(autumn! > "2026-03-15" && autumn! < "2026-04-10").toBe(true);
  // Planted once the days are long, it counts from its own day.
  expect(need("garlic_softneck", "planted", "2026-04-20").countsFrom).toBe("2026-04-20");
});

test("the kind is told by the season of the start", () => {
  const kind = (id: string, startEvent: "sown" | "planted", startedOn: string) => kindOf(crop(id), { startEvent, startedOn }, normals)?.id; // prettier-ignore
  expect(kind("bean_broad", "sown", "2026-03-01")).toBe("spring");
  expect(kind("bean_broad", "sown", "2025-11-01")).toBe("overwintered");
  expect(kind("cauliflower", "planted", "2026-04-20")).toBe("spring");
  expect(kind("spinach", "sown", "2026-08-20")).toBe("autumn");
  expect(kindOf(crop("peach"), { startEvent: "blossom", startedOn: "2026-04-10" }, normals)).toBeUndefined();
});

test("daylight: twelve hours at the equinox, 16½ at 52° in June, midsummer night beyond the circle (from memory of almanacs)", () => {
  expect(dayLength("2026-03-20", 52)).toBeGreaterThan(12);
  expect(dayLength("2026-03-20", 52)).toBeLessThan(12.4);
  expect(dayLength("2026-06-21", 52)).toBeGreaterThan(16.3);
  expect(dayLength("2026-06-21", 52)).toBeLessThan(16.9);
  expect(dayLength("2026-06-21", -52)).toBeLessThan(8.2);
  expect([dayLength("2026-06-21", 80), dayLength("2026-12-21", 80), dayLength("2026-12-21", -80)]).toEqual([24, 0, 24]);
  expect(dayOfLight("2026-01-01", 18, 20)).toBeUndefined();
});

test("months become a year: the middle of each is its own, and the year closes", () => {
  const months = Array.from({ length: 12 }, (_, m) => [m, m + 8] as [number, number]);
  const year = monthlyNormals(months);
  expect(year.minC[15]).toBeCloseTo(0, 6);
  expect(year.maxC[75]!).toBeCloseTo(10, 0);
  expect(Math.abs(year.minC[366]! - year.minC[1]!)).toBeLessThan(0.5);
  expect(() => monthlyNormals(months.slice(1))).toThrow(/not twelve/);
});

test("every crop that keeps giving comes to an end, and what it bears comes to its pieces", () => {
  for (const c of catalogue()) {
    const bearing = bearingOf(c);
    if (c.mode === "repeat" || c.mode === "passes") expect(bearing, c.id).toBeDefined();
    if (!bearing) continue;
    expect(bearing.endedBy(4 * bearing.days), c.id).toBeGreaterThan(0.99);
    let sum = 0;
    for (let age = -2 * bearing.days; age < 4 * bearing.days; age++) sum += bearing.rateAt(age);
    expect(sum / bearing.fullDays, c.id).toBeGreaterThan(0.9);
    expect(sum / bearing.fullDays, c.id).toBeLessThan(1.1);
  }
});

test("amounts go with plants, age and doubt", () => {
  const peas = yieldExpected(crop("pea_shelling"), 10, null);
  expect(yieldExpected(crop("pea_shelling"), 20, null).pieces).toBeCloseTo(2 * peas.pieces, 9);
  const { low, high } = doubtRange(peas.pieces, peas.logSpread);
  expect(low * high).toBeCloseTo(peas.pieces ** 2, 6);
  expect(yearShare(crop("peach"), 1)).toBe(0);
  expect(yearShare(crop("peach"), 4)).toBeLessThan(yearShare(crop("peach"), 9));
  expect(yearShare(crop("peach"), null)).toBe(1);
});

test("each crop gives what its range of yields says: the rates and the range are one truth", () => {
  for (const c of catalogue()) {
    const kg = (yieldExpected(c, 1, null).pieces * c.pieceGrams.value) / 1000;
    expect(kg, c.id).toBeGreaterThanOrEqual(0.99 * c.life.yield.low);
    expect(kg, c.id).toBeLessThanOrEqual(1.01 * c.life.yield.high);
  }
});

test("a crop like another says its own numbers or names those it means to share, and always its own life", () => {
  expect(unsaidOf({ id: "a", like: "b", packet: {}, sameAs: ["windowDays", "pieceGrams"] })).toEqual(["piecesPerPlant", "piecesPerMinute", "worthPerKg", "life"]); // prettier-ignore
  expect(unsaidOf({ id: "a" })).toEqual([]);
  const lives = new Set(catalogueData().map((c) => JSON.stringify(c.life)));
  expect(lives.size).toBeGreaterThan(80);
});

test("April peas are over in August; a leek stands till spring and then shoots; tomatoes end with the cold", () => {
  const peas = cropLife(crop("pea_shelling"), place, { event: "sown", on: "2026-04-01" });
  expect(peas.firstPick! > "2026-06-01" && peas.end! < "2026-08-01").toBe(true);
  const leek = cropLife(crop("leek"), place, { event: "planted", on: "2026-06-10" });
  expect(leek.endsBy).toBe("spring");
  expect(leek.end!.slice(0, 4)).toBe("2027");
  const tomato = cropLife(crop("tomato_cherry"), place, { event: "planted", on: "2026-06-01" });
  expect(["cold", "dark"]).toContain(tomato.endsBy);
});

test("a calendar of every crop in any place: starts before picks before ends, or never ready and said so", () => {
  for (const latitude of [60, 35, 5, -37])
    for (const c of catalogue()) {
      const lives = cropCalendar(c, { normals: roughNormals(latitude), latitude }, "2026-01-01");
      for (const life of lives) {
        expect(life.start.on >= "2026-01-01" || c.perennial !== undefined, c.id).toBe(true);
        if (life.firstPick === null) expect(life.endsBy, c.id).not.toBeNull();
        else expect(life.start.on <= life.firstPick && life.firstPick <= life.end!, `${c.id} ${latitude}`).toBe(true);
      }
    }
});
