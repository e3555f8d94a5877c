import fc from "fast-check";
import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween } from "~/core/calendar";
import { GardenState, lookAhead, plannedPicks, plantingParts } from "~/core/garden";
import { solvePlan } from "~/core/planner";
import { cueScale } from "~/core/readiness";

const crops = catalogue().filter((c) => !["hens_eggs", "sugar_cane"].includes(c.id));
const TODAY = "2026-08-10";
const TAKES = ["take", "take the ripe ones", "take the biggest", "take early", "strip it all", "take and use first"];
const HOLDS = ["leave", "look again", "wait dry", "settle", "hold", "seed", "stop", "unfit"];

/** A look at a cue of the crop, of the whole or of a part. */
const look = fc.record({ cue: fc.nat(20), reading: fc.nat(10), ago: fc.nat(3), share: fc.option(fc.constantFrom(0.1, 0.3, 0.5, 0.8), { nil: undefined }) }); // prettier-ignore
const planting = fc.record({
  crop: fc.constantFrom(...crops),
  age: fc.double({ min: 0.6, max: 1.4, noNaN: true }),
  plants: fc.integer({ min: 1, max: 60 }),
  looks: fc.array(look, { maxLength: 3 }),
});
const garden = fc.record({
  plantings: fc.array(planting, { minLength: 1, maxLength: 3 }),
  minC: fc.integer({ min: -2, max: 16 }),
  rainMm: fc.constantFrom(0, 0, 5, 30),
  trip: fc.option(fc.record({ from: fc.integer({ min: 1, max: 6 }), days: fc.integer({ min: 1, max: 6 }) }), { nil: undefined }), // prettier-ignore
});
type Garden = typeof garden extends fc.Arbitrary<infer T> ? T : never;

function stateOf({ plantings, minC, rainMm, trip }: Garden): GardenState {
  return GardenState.parse({
    today: TODAY,
    latitude: 48,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: plantings.map(({ crop, age, plants, looks }, n) => ({
      id: `p${n}`,
      bedId: "bed",
      cropId: crop.id,
      variety: "",
      plants,
      startEvent: crop.packet.from,
      startedOn: addDays(TODAY, -Math.round(age * crop.packet.high)),
      growingYear: crop.perennial ? 5 : null,
      packet: null,
      schoolOption: null,
      picks: [],
      looks: looks.flatMap(({ cue: c, reading: r, ago, share }) => {
        const cue = crop.cues.filter((q) => !q.auto)[c % crop.cues.filter((q) => !q.auto).length];
        if (!cue) return [];
        return [{ cueId: cue.id, readingId: cue.readings[r % cue.readings.length]!.id, takenOn: addDays(TODAY, -ago), ...(share ? { share } : {}) }]; // prettier-ignore
      }),
    })),
    observed: [],
    forecast: Array.from({ length: 7 }, (_, n) => ({ day: addDays(TODAY, n), minC, maxC: minC + 11, rainMm, windKmh: 10 })), // prettier-ignore
    minutesByWeekday: Array.from({ length: 7 }, () => 600),
    trips: trip ? [{ name: "away", from: addDays(TODAY, trip.from), to: addDays(TODAY, trip.from + trip.days) }] : [],
  });
}

/** Where verdict and plan disagree, each as a sentence. */
function conflicts(g: Garden): string[] {
  const outlook = lookAhead(stateOf(g), catalogue());
  const plan = solvePlan(outlook.problem);
  return outlook.plantings.flatMap((p) => {
    const { verdict } = p.judgement;
    const picks = plannedPicks(p, plan.picks);
    const about = `${p.crop.id} ${verdict.kind} (${verdict.because.why})`;
    const said: string[] = [];
    const again = verdict.lookAgain ? daysBetween(TODAY, verdict.lookAgain) : 0;
    // Thinning takes the biggest of what is nearly ready: a part of its own.
    const thins = verdict.because.why === "nearly" && verdict.because.thin;
    if (HOLDS.includes(verdict.kind) && !thins && picks.some((x) => x.day < again)) said.push(`${about} is held and planned on day ${picks[0]!.day} before ${again}`); // prettier-ignore
    const takes = plantingParts(p, TODAY).filter((part) => TAKES.includes(part.act) && (part.pieces ?? 0) >= 1);
    // Named as not fitting: it has a task that the hands or the weather leave no room for.
    const open = p.parts.some((part) => part.task.minutes.some((row) => row.some((m) => m !== null)));
    if (takes.length > 0 && picks.length === 0 && !open && p.bans.every((b) => b === null)) said.push(`${about} is taken and neither planned nor a task`); // prettier-ignore
    return said;
  });
}

test("what a verdict takes is planned or stands as a task, what it holds is not planned, in 500 gardens", () => {
  fc.assert(
    fc.property(garden, (g) => {
      expect(conflicts(g)).toEqual([]);
    }),
    { numRuns: 500, seed: 7 },
  );
}, 240_000);

const neutral = crops.flatMap((crop) => crop.cues.flatMap((cue) => cue.readings.filter((r) => r.means === "none" && !cueScale(cue)?.readingIds.includes(r.id)).map((r) => ({ crop, look: { cueId: cue.id, readingId: r.id, takenOn: TODAY } })))); // prettier-ignore
const judgedOf = (g: Garden, extra: object[] = []) => {
  const state = stateOf(g);
  state.plantings[0]!.looks.push(...(extra as (typeof state.plantings)[0]["looks"]));
  return lookAhead(state, catalogue()).plantings[0]!.judgement;
};
const one = (crop: (typeof crops)[0], age: number): Garden => ({ plantings: [{ crop, age, plants: 12, looks: [] }], minC: 12, rainMm: 0, trip: undefined }); // prettier-ignore

test("a look that says nothing changes no verdict", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...neutral),
      fc.double({ min: 0.5, max: 1.6, noNaN: true }),
      ({ crop, look: seen }, age) => {
        // prettier-ignore
        const { kind, because, takeBy, lookAgain } = judgedOf(one(crop, age)).verdict;
        expect(judgedOf(one(crop, age), [seen]).verdict).toMatchObject({ kind, because, takeBy, lookAgain });
      },
    ),
    { numRuns: 80, seed: 3 },
  );
}, 120_000);

const flagged = crops.flatMap((crop) => crop.cues.flatMap((cue) => cue.readings.filter((r) => r.of === "piece" && r.means !== "none").map((r) => ({ crop, look: { cueId: cue.id, readingId: r.id, takenOn: TODAY } })))); // prettier-ignore

test("a flag on a share changes that share only: the rest is as it was without it", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...flagged),
      fc.constantFrom(0.05, 0.2, 0.5),
      fc.double({ min: 0.6, max: 1.3, noNaN: true }),
      ({ crop, look: seen }, share, age) => {
        // prettier-ignore
        const before = judgedOf(one(crop, age)).verdict;
        const { verdict } = judgedOf(one(crop, age), [{ ...seen, share }]);
        const rest = verdict.because.why === "some apart" ? verdict.because.rest : verdict;
        expect(verdict.apart).toMatchObject([{ share }]);
        expect(rest.kind).toBe(before.kind);
        expect(rest.because).toEqual(before.because);
      },
    ),
    { numRuns: 60, seed: 5 },
  );
}, 120_000);

test("a riper part never lowers what is taken", () => {
  const peaches = crops.find((c) => c.id === "peach")!;
  const taken = (ripe: number) => {
    const looks = [{ cueId: "slight_give", readingId: "hard", takenOn: TODAY, share: 1 - ripe }];
    if (ripe > 0) looks.push({ cueId: "slight_give", readingId: "slight", takenOn: TODAY, share: ripe });
    return judgedOf(one(peaches, 1), looks).shareReady;
  };
  const shares = [0.05, 0.2, 0.4, 0.6, 0.8, 0.94].map(taken);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
});
