import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { GardenState, lookAhead } from "~/core/garden";
import type { PlanProblem } from "~/core/planner";
import { normalDraw, seeded } from "~/core/statistics";

const crops = catalogue().filter((c) => !["hens_eggs", "sugar_cane"].includes(c.id) && !c.perennial);
const BEDS_OF = 4;

/**
 * Planning problems of gardens such as the demo's: plantings near their packet's days in late summer, judged by the core,
 * with seeded weather, looks at some of them, minutes by weekday and a trip.
 */
export function gardenInstance(seed: number, plantings: number): PlanProblem {
  const random = seeded(seed * 7919 + plantings);
  const below = (n: number) => Math.floor(random() * n);
  const today = addDays("2026-08-15", below(50));
  const beds = Math.max(2, Math.ceil(plantings / BEDS_OF));
  const chill = 3 * random();
  const weather = (day: string) => {
    const mean = 15 - chill + 2.5 * normalDraw(random);
    return {
      day,
      minC: mean - 5,
      maxC: mean + 6,
      rainMm: random() < 0.3 ? 6 * random() : 0,
      windKmh: 10 + 20 * random(),
    };
  };
  const scale = plantings / 30;
  const away = 3 + below(8);
  const state = GardenState.parse({
    today,
    latitude: 50,
    longitude: 0,
    beds: Array.from({ length: beds }, (_, b) => ({ id: `b${b}`, name: `Bed ${b + 1}`, kind: "open", position: b })),
    plantings: Array.from({ length: plantings }, (_, n) => {
      const crop = crops[below(crops.length)]!;
      const cue = crop.cues[below(crop.cues.length)];
      const reading = cue?.readings[below(cue.readings.length)];
      return {
        id: `p${n}`,
        bedId: `b${below(beds)}`,
        cropId: crop.id,
        variety: "",
        plants: 2 + below(30),
        startEvent: crop.packet.from,
        startedOn: addDays(today, -Math.round((0.85 + 0.4 * random()) * crop.packet.high)),
        packet: null,
        schoolOption: null,
        picks: [],
        looks: cue && reading && random() < 0.3 ? [{ cueId: cue.id, readingId: reading.id, takenOn: today }] : [],
      };
    }),
    observed: Array.from({ length: 40 }, (_, k) => weather(addDays(today, k - 40))),
    forecast: Array.from({ length: 10 }, (_, k) => weather(addDays(today, k))),
    minutesByWeekday: [20, 15, 25, 15, 20, 60, 40].map((m) => Math.round(m * scale * (0.6 + 0.8 * random()))),
    trips:
      random() < 0.6 ? [{ name: "away", from: addDays(today, away), to: addDays(today, away + 1 + below(4)) }] : [],
  });
  return lookAhead(state, catalogue()).problem;
}
