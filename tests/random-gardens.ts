import fc from "fast-check";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween } from "~/core/calendar";
import { GardenState, lookAhead, planDays, plannedPicks, plantingParts } from "~/core/garden";

export const crops = catalogue().filter((c) => !["hens_eggs", "sugar_cane"].includes(c.id));
export const TODAY = "2026-08-10";
const TAKES = ["take", "take the ripe ones", "take the biggest", "take early", "strip it all", "take and use first"];
const HOLDS = [
  "leave",
  "look again",
  "wait dry",
  "settle",
  "hold",
  "seed",
  "stop",
  "unfit",
  "cure on",
  "store",
  "use first",
];

/** A look at a cue of the crop, of the whole or of a part. */
const look = fc.record({ cue: fc.nat(20), reading: fc.nat(10), ago: fc.nat(3), share: fc.option(fc.constantFrom(0.1, 0.3, 0.5, 0.8), { nil: undefined }) }); // prettier-ignore
const planting = fc.record({
  crop: fc.constantFrom(...crops),
  age: fc.double({ min: 0.6, max: 1.4, noNaN: true }),
  plants: fc.integer({ min: 1, max: 60 }),
  looks: fc.array(look, { maxLength: 3 }),
  /** Something came off it today or of late. */
  pick: fc.option(fc.record({ ago: fc.nat(3), pieces: fc.integer({ min: 1, max: 30 }), all: fc.boolean() }), { nil: undefined }), // prettier-ignore
});
/** Gardens of one to three plantings on a summer day, with looks at all or a part of them, cold, rain and trips. */
export const garden = fc.record({
  plantings: fc.array(planting, { minLength: 1, maxLength: 3 }),
  minC: fc.integer({ min: -2, max: 16 }),
  rainMm: fc.constantFrom(0, 0, 5, 30),
  trip: fc.option(fc.record({ from: fc.integer({ min: 1, max: 6 }), days: fc.integer({ min: 1, max: 6 }) }), { nil: undefined }), // prettier-ignore
});
export type Garden = typeof garden extends fc.Arbitrary<infer T> ? T : never;

export function stateOf({ plantings, minC, rainMm, trip }: Garden): GardenState {
  return GardenState.parse({
    today: TODAY,
    latitude: 48,
    longitude: 0,
    beds: [{ id: "bed", name: "bed", kind: "open", position: 0 }],
    plantings: plantings.map(({ crop, age, plants, looks, pick }, n) => ({
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
      picks: pick ? [{ pickedOn: addDays(TODAY, -pick.ago), pieces: pick.pieces, tookAll: pick.all }] : [],
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
export function conflicts(g: Garden): string[] {
  const outlook = lookAhead(stateOf(g), catalogue());
  const plan = planDays(outlook);
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
