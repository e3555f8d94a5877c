import { addDays, type IsoDay } from "~/core/calendar";
import { catalogue } from "~/catalogue/catalogue.server";
import { isCounted } from "~/core/garden";
import { SLOTS } from "~/core/hands";
import { seeded } from "~/core/statistics";
import type { Db } from "~/db/client.server";
import { bed, container, garden, look, pick, planting, round, slotMinutes, trip, variety } from "~/db/schema.server";
import { theGarden } from "./clock.server";
import { BEDS, FINISHED, type DemoPlanting } from "./demo-plantings";
import { plantDemoWeather } from "./demo-weather.server";

/** The demo begins on this Saturday, in a made-up village. */
export const DEMO_DAY: IsoDay = "2026-09-19";

const CONTAINERS = [
  { id: "basket", name: "Willow basket", tareGrams: 1040 },
  { id: "crate", name: "Heavy crate", tareGrams: 1590 },
  { id: "tray", name: "Light tray", tareGrams: 680 },
];

/** Minutes of the week, morning, midday and evening, Monday first. */
const MINUTES = [
  [0, 0, 20],
  [0, 0, 20],
  [15, 0, 30],
  [0, 0, 15],
  [0, 0, 20],
  [30, 0, 20],
  [20, 20, 0],
] as const;
const LEDGER_DAYS = 14;

/** Fills an empty file with the demo's garden, its ledger of two weeks, its trip and its weather. */
export function plantDemoGarden(db: Db): void {
  const at = (day: IsoDay, hour = 8) => `${day}T${String(hour).padStart(2, "0")}:00:00.000Z`;
  db.transaction((tx) => {
    tx.insert(garden)
      .values({
        id: 1,
        name: "Hollin Garth",
        latitude: 52.4,
        longitude: -0.6,
        timeZone: "Europe/London",
        unitSystem: "metric",
        demoDay: DEMO_DAY,
      })
      .run();
    tx.insert(container).values(CONTAINERS).run();
    tx.insert(slotMinutes)
      .values(MINUTES.flatMap((day, weekday) => SLOTS.map((slot, k) => ({ weekday, slot, minutes: day[k]! }))))
      .run();
    tx.insert(trip)
      .values({
        id: "coast",
        name: "Five days at the coast",
        fromDay: "2026-09-26",
        toDay: "2026-09-30",
        backAt: "17:30",
      })
      .run();
    BEDS.forEach(({ name, kind, plantings }, position) => {
      const bedId = name.toLowerCase().replace(/\s+/g, "-");
      tx.insert(bed).values({ id: bedId, name, kind, position }).run();
      for (const p of plantings) {
        tx.insert(planting)
          .values({
            id: p.id,
            bedId,
            cropId: p.crop,
            variety: p.variety,
            plants: p.plants,
            startEvent: p.start[0],
            startedOn: p.start[1],
            packetLow: p.packet?.[0] ?? null,
            packetHigh: p.packet?.[1] ?? null,
          })
          .run();
        for (const [cueId, readingId, takenOn, measuredMm] of p.looks ?? [])
          tx.insert(look)
            .values({
              id: `${p.id}-${cueId}-${takenOn}`,
              plantingId: p.id,
              cueId,
              readingId,
              takenOn,
              takenAt: at(takenOn),
              measuredMm: measuredMm ?? null,
            })
            .run();
        if (p.first) tx.insert(pick).values(firstPick(p, p.first)).run(); // prettier-ignore
      }
    });
    for (const p of FINISHED) {
      tx.insert(planting)
        .values({
          id: p.id,
          bedId: p.bed.toLowerCase().replace(/\s+/g, "-"),
          cropId: p.crop,
          variety: p.variety,
          plants: p.plants,
          startEvent: p.start[0],
          startedOn: p.start[1],
          finishedOn: p.over,
        })
        .run();
      tx.insert(pick).values(firstPick(p, p.first)).run();
    }
    tx.insert(variety)
      .values({ id: "tomato-yellow", cropId: "tomato_large", name: "yellow when ripe", ripeColour: "yellow" })
      .run();
    const uniform = seeded(7);
    for (let ago = LEDGER_DAYS; ago >= 1; ago--) {
      const day = addDays(DEMO_DAY, -ago);
      const due = BEDS.flatMap((b) => b.plantings).filter(
        (p) => p.every && ago >= (p.last ?? 1) && (ago - (p.last ?? 1)) % p.every === 0,
      );
      if (due.length === 0) continue;
      const roundId = `round-${day}`;
      tx.insert(round)
        .values({ id: roundId, day, startedAt: at(day, 17), finishedAt: at(day, 18) })
        .run();
      for (const p of due) {
        const crop = catalogue().find((c) => c.id === p.crop)!;
        const share = 0.55 + 0.5 * uniform();
        const pieces = Math.max(1, Math.round(p.plants * crop.piecesPerPlant.value * p.every! * share * 0.55));
        const grams = Math.round((pieces * crop.pieceGrams.value * (0.9 + 0.2 * uniform())) / 5) * 5;
        const nothing = p.id === "tomato-yellow" && ago > 10;
        const weighed = crop.id !== "courgette" && crop.id !== "cucumber_slicing" && crop.id !== "kale_leaf";
        tx.insert(pick)
          .values({
            id: `${p.id}-${day}`,
            plantingId: p.id,
            roundId,
            pickedOn: day,
            outcome: nothing ? "nothing ready" : "picked",
            tookAll: true,
            grams: nothing ? null : weighed ? grams : null,
            pieces: nothing || weighed ? null : pieces,
            estimated: !nothing && weighed && uniform() < 0.2,
            fate: grams > 900 ? "share" : "eat now",
            loggedAt: at(day, 18),
          })
          .run();
      }
    }
  });
  plantDemoWeather(db, theGarden(db)!, DEMO_DAY);
}

/** The first handful of a planting, in the ledger long before the rounds of the last two weeks. */
function firstPick(p: DemoPlanting, day: IsoDay): typeof pick.$inferInsert {
  const crop = catalogue().find((c) => c.id === p.crop)!;
  const pieces = Math.max(1, Math.round(p.plants * Math.min(1, crop.piecesPerPlant.value) * 0.6));
  return {
    id: `${p.id}-first`,
    plantingId: p.id,
    pickedOn: day,
    outcome: "picked",
    tookAll: false,
    ...(isCounted(crop) ? { pieces } : { grams: Math.max(10, Math.round((pieces * crop.pieceGrams.value) / 10) * 10) }),
    note: "first ones",
    loggedAt: `${day}T18:00:00.000Z`,
  };
}
