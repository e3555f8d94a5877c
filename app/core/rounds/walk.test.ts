import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { sharedByTwo, startTime, walkOf, type Errand, type WalkJob } from ".";

const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const errand = (id: string, cropId: string, bedPosition: number, grams = 1000, minutes = 5): Errand => ({ plantingId: id, crop: crop(cropId), variety: "", bedId: `b${bedPosition}`, bedName: `Bed ${bedPosition}`, bedPosition, doing: "pick", minutes, pieces: 10, grams }); // prettier-ignore
const job = (bedPosition: number, minutes = 8): WalkJob => ({ keys: [`job ${bedPosition}`], bedId: `b${bedPosition}`, bedName: `Bed ${bedPosition}`, bedPosition, words: "Cut the tops", minutes }); // prettier-ignore
const terms = { leavesAreWet: false, isWarm: false, roundMinutes: 6, bedMinutes: 1.5 };
const ERRANDS = [errand("squash", "winter_squash", 0, 9000), errand("beet", "beetroot", 1), errand("lettuce", "lambs_lettuce", 2), errand("carrot", "carrot", 2)]; // prettier-ignore
const orderOf = (walk: ReturnType<typeof walkOf>) => walk.stops.map((s) => [s.bedPosition, s.why]);

test("along the path; where it is warm what wilts comes first, and what is heavy last (common practice)", () => {
  expect(orderOf(walkOf(ERRANDS.slice(1), terms))).toEqual([[1, "path"], [2, "path"]]); // prettier-ignore
  expect(orderOf(walkOf(ERRANDS, terms))).toEqual([[1, "path"], [2, "path"], [0, "heavy"]]); // prettier-ignore
  expect(orderOf(walkOf(ERRANDS, { ...terms, isWarm: true }))).toEqual([[2, "cool"], [1, "path"], [0, "heavy"]]); // prettier-ignore
  // What all beds share is no reason.
  expect(orderOf(walkOf([ERRANDS[2]!], { ...terms, isWarm: true }))).toEqual([[2, "path"]]);
});

test("the household's order holds, and what it does not name comes behind", () => {
  const [first, second, third] = walkOf(ERRANDS, terms).stops.map((s) => s.key);
  const put = walkOf(ERRANDS, terms, [], [third!, "gone first", first!]);
  expect(put.stops.map((s) => s.key)).toEqual([third, first, second]);
  expect(put.stops.map((s) => s.why)).toEqual(["asked", "asked", "path"]);
});

test("a job is done where the walk stands anyway, or calls at its bed; its minutes are the walk's", () => {
  const bare = walkOf(ERRANDS, terms);
  const along = walkOf(ERRANDS, terms, [job(1)]);
  expect(along.stops.map((s) => s.key)).toEqual(bare.stops.map((s) => s.key));
  expect(along.minutes).toBe(bare.minutes + 8);
  const apart = walkOf(ERRANDS, terms, [job(5)]);
  expect(apart.stops.find((s) => s.bedPosition === 5)).toMatchObject({ errands: [], minutes: 8 });
  expect(apart.minutes).toBe(bare.minutes + 8);
});

test("each variety has a container of its own, with all that is expected of it", () => {
  const twice = [errand("a", "carrot", 0, 400), errand("b", "carrot", 3, 600), errand("c", "beetroot", 3, 500)];
  expect(walkOf(twice, terms).containers.map((c) => [c.crop.id, c.grams])).toEqual([["carrot", 1000], ["beetroot", 500]]); // prettier-ignore
});

test("shared by two, whatever the beds: nothing twice, nothing left, never at one bed, and no other cut is fairer", () => {
  const garden = fc.array(fc.record({ at: fc.nat(8), minutes: fc.integer({ min: 1, max: 40 }) }), { minLength: 1, maxLength: 12 }); // prettier-ignore
  fc.assert(
    fc.property(garden, (of) => {
      const walk = walkOf(of.map(({ at, minutes }, n) => errand(`p${n}`, "beetroot", at, 500, minutes)), terms); // prettier-ignore
      const halves = sharedByTwo(walk, 6);
      const places = [...new Set(of.map((e) => e.at))].sort((a, b) => a - b);
      if (places.length < 2) {
        expect(halves).toBeNull();
        return;
      }
      const [a, b] = halves!;
      expect([...a.stops, ...b.stops].map((s) => s.key).sort()).toEqual(walk.stops.map((s) => s.key).sort());
      expect(Math.max(...a.stops.map((s) => s.bedPosition))).toBeLessThan(
        Math.min(...b.stops.map((s) => s.bedPosition)),
      );
      expect(a.minutes + b.minutes).toBeCloseTo(walk.minutes + 6, 6);
      const minutesTo = (cut: number) => walk.stops.filter((s) => s.bedPosition < cut).reduce((sum, s) => sum + s.minutes, 6); // prettier-ignore
      for (const cut of places.slice(1)) {
        const first = minutesTo(cut);
        expect(Math.max(a.minutes, b.minutes)).toBeLessThanOrEqual(Math.max(first, walk.minutes + 6 - first) + 1e-9);
      }
    }),
    { numRuns: 200 },
  );
});

const clock = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));
const day = { part: [clock("05:00"), clock("12:00")] as const, usual: clock("07:30"), minutes: 40, light: [clock("06:10"), clock("19:40")] as const, now: null, dry: null, hotFrom: null, thunderFrom: null }; // prettier-ignore
const start = (change: Partial<Parameters<typeof startTime>[0]>) => startTime({ ...day, ...change });

test("a round sets out at its usual hour, later for dry leaves, sooner for heat, thunder and the dark", () => {
  expect(start({})).toMatchObject({ from: clock("07:30"), to: clock("08:10"), because: null, over: 0 });
  expect(start({ dry: { from: clock("09:00"), after: 12 } })).toMatchObject({ from: clock("08:50"), because: "dry leaves" }); // prettier-ignore
  // Dry before one comes to them: nothing waits.
  expect(start({ dry: { from: clock("07:40"), after: 12 } })).toMatchObject({ from: clock("07:30"), because: null });
  expect(start({ light: [clock("07:50"), clock("16:30")] })).toMatchObject({ from: clock("07:50"), because: "first light" }); // prettier-ignore
  expect(start({ hotFrom: clock("08:00") })).toMatchObject({ from: clock("07:20"), to: clock("08:00"), because: "heat", before: { what: "heat", at: clock("08:00") }, over: 0 }); // prettier-ignore
  expect(start({ thunderFrom: clock("07:00"), hotFrom: clock("11:00") })).toMatchObject({ because: "thunder", from: clock("06:20") }); // prettier-ignore
  const evening = { part: [clock("17:00"), clock("21:00")] as const, usual: clock("17:30") };
  expect(start({ ...evening, light: [clock("07:40"), clock("17:50")] })).toMatchObject({ from: clock("17:10"), because: "dark" }); // prettier-ignore
});

test("what is over already moves nothing; what cannot be had in time is told in minutes", () => {
  expect(start({ now: clock("09:12") })).toMatchObject({ from: clock("09:12"), because: "now" });
  expect(start({ now: clock("09:12"), thunderFrom: clock("08:00") })).toMatchObject({ because: "now", before: null });
  expect(start({ now: clock("09:12"), thunderFrom: clock("09:30") })).toMatchObject({ from: clock("09:12"), over: 22 });
  // Rather wet than in thunder.
  expect(start({ dry: { from: clock("09:00"), after: 0 }, thunderFrom: clock("09:00") })).toMatchObject({ from: clock("08:20"), over: 0 }); // prettier-ignore
});

test("whatever the day, it never begins before it can, and never ends before it begins", () => {
  const minute = fc.integer({ min: 0, max: 1439 });
  const maybe = fc.option(minute, { nil: null });
  const days = fc.record({ usual: minute, minutes: fc.integer({ min: 5, max: 300 }), dawn: fc.integer({ min: 180, max: 600 }), now: maybe, dryFrom: maybe, after: fc.nat(60), hotFrom: maybe, thunderFrom: maybe }); // prettier-ignore
  fc.assert(
    fc.property(days, ({ usual, minutes, dawn, now, dryFrom, after, hotFrom, thunderFrom }) => {
      const light = [dawn, dawn + 600] as const;
      const so = start({ usual, minutes, light, now, dry: dryFrom === null ? null : { from: dryFrom, after }, hotFrom, thunderFrom }); // prettier-ignore
      expect(so.from).toBeGreaterThanOrEqual(Math.max(day.part[0], light[0], now ?? 0));
      expect(so.to - so.from).toBe(minutes);
      expect(so.over).toBeGreaterThanOrEqual(0);
      if (so.before && so.over === 0) expect(so.to).toBeLessThanOrEqual(so.before.at);
    }),
    { numRuns: 500 },
  );
});
