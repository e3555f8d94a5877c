import { addDays, type IsoDay } from "~/core/calendar";
import { catalogue } from "~/catalogue/catalogue.server";
import type { BedKind } from "~/core/hazards";
import { isCounted } from "~/core/garden";
import { seeded } from "~/core/statistics";
import type { Db } from "~/db/client.server";
import { bed, container, garden, look, pick, planting, round, trip, variety, weekdayMinutes } from "~/db/schema.server";
import { refreshDemoWeather } from "./demo-weather.server";

/** The demo begins on this Saturday, in a made-up village. */
export const DEMO_DAY: IsoDay = "2026-09-19";

interface DemoPlanting {
  id: string;
  crop: string;
  variety: string;
  plants: number;
  start: ["sown" | "planted" | "blossom", IsoDay];
  packet?: [number, number];
  /** Rounds of the last two weeks that took from it: every n days, the last one n days ago. */
  every?: number;
  last?: number;
  /** Day it was picked first, before the rounds below. */
  first?: IsoDay;
  /** Cue, reading, day, and the size in mm where it was measured. */
  looks?: [string, string, IsoDay, number?][];
}

const BEDS: { name: string; kind: BedKind; plantings: DemoPlanting[] }[] = [
  {
    name: "Gate bed",
    kind: "raised",
    plantings: [
      {
        id: "kale-curly",
        crop: "kale_leaf",
        variety: "curly",
        plants: 8,
        start: ["planted", "2026-06-20"],
        first: "2026-08-15",
        every: 8,
        last: 8,
      },
      { id: "kale-flat", crop: "kale_leaf", variety: "flat, frilled", plants: 6, start: ["planted", "2026-07-28"] },
      {
        id: "beet-red",
        crop: "beetroot",
        variety: "red",
        plants: 30,
        start: ["sown", "2026-06-28"],
        looks: [["root_width", "43_67", "2026-09-17"]],
      },
      { id: "beet-golden", crop: "beetroot", variety: "golden", plants: 24, start: ["sown", "2026-07-24"] },
      { id: "carrot-main", crop: "carrot", variety: "main row", plants: 120, start: ["sown", "2026-07-08"] },
    ],
  },
  {
    name: "Long bed",
    kind: "raised",
    plantings: [
      {
        id: "courgette-striped",
        crop: "courgette",
        variety: "striped",
        plants: 3,
        start: ["sown", "2026-05-10"],
        first: "2026-06-27",
        every: 2,
        last: 2,
      },
      {
        id: "courgette-pale",
        crop: "courgette",
        variety: "pale",
        plants: 2,
        start: ["sown", "2026-07-29"],
        looks: [
          ["length", "under_80", "2026-09-16", 70],
          ["length", "80_149", "2026-09-18", 110],
        ],
      },
      {
        id: "bean-green",
        crop: "bean_bush",
        variety: "green, second sowing",
        plants: 30,
        start: ["sown", "2026-07-08"],
        first: "2026-08-29",
        every: 3,
        last: 3,
      },
      {
        id: "bean-purple",
        crop: "bean_bush",
        variety: "purple, last sowing",
        plants: 24,
        start: ["sown", "2026-08-02"],
      },
    ],
  },
  {
    name: "Sun wall",
    kind: "wall",
    plantings: [
      {
        id: "tomato-red",
        crop: "tomato_large",
        variety: "red, ribbed",
        plants: 5,
        start: ["planted", "2026-05-25"],
        first: "2026-07-30",
        every: 3,
        last: 3,
      },
      {
        id: "tomato-yellow",
        crop: "tomato_large",
        variety: "yellow when ripe",
        plants: 3,
        start: ["planted", "2026-06-10"],
        first: "2026-08-17",
        every: 4,
        last: 4,
      },
      {
        id: "melon-wall",
        crop: "melon_netted",
        variety: "small",
        plants: 2,
        start: ["sown", "2026-06-24"],
        looks: [["stalk_crack", "starts", "2026-09-17"]],
      },
    ],
  },
  {
    name: "Tunnel",
    kind: "tunnel",
    plantings: [
      {
        id: "cucumber-long",
        crop: "cucumber_slicing",
        variety: "long",
        plants: 4,
        start: ["sown", "2026-05-01"],
        first: "2026-06-06",
        every: 2,
        last: 2,
      },
      { id: "cucumber-late", crop: "cucumber_slicing", variety: "late", plants: 3, start: ["sown", "2026-07-25"] },
      {
        id: "tomato-beef",
        crop: "tomato_large",
        variety: "beefsteak",
        plants: 4,
        start: ["planted", "2026-05-12"],
        first: "2026-07-06",
        every: 3,
        last: 1,
      },
      {
        id: "melon-tunnel",
        crop: "melon_netted",
        variety: "large",
        plants: 3,
        start: ["sown", "2026-07-03"],
        looks: [["skin_colour", "golden", "2026-09-18"]],
      },
    ],
  },
  {
    name: "Shed pots",
    kind: "container",
    plantings: [
      {
        id: "tomato-bush",
        crop: "tomato_large",
        variety: "bush, plum",
        plants: 3,
        start: ["planted", "2026-06-15"],
        first: "2026-08-28",
        every: 4,
        last: 2,
      },
      { id: "bean-dwarf", crop: "bean_bush", variety: "dwarf, in tubs", plants: 12, start: ["sown", "2026-07-24"] },
      { id: "kale-young", crop: "kale_leaf", variety: "young plants", plants: 5, start: ["planted", "2026-08-25"] },
    ],
  },
  {
    name: "Low bed",
    kind: "low",
    plantings: [
      {
        id: "courgette-late",
        crop: "courgette",
        variety: "late, dark",
        plants: 2,
        start: ["sown", "2026-07-18"],
        first: "2026-09-04",
        every: 3,
        last: 3,
      },
      {
        id: "bean-climbing",
        crop: "bean_bush",
        variety: "climbing, on canes",
        plants: 20,
        start: ["sown", "2026-06-15"],
        first: "2026-08-09",
        every: 3,
        last: 3,
      },
      { id: "potato-white", crop: "potato_maincrop", variety: "white", plants: 10, start: ["planted", "2026-05-12"] },
    ],
  },
  {
    name: "Corn patch",
    kind: "open",
    plantings: [
      { id: "corn-first", crop: "sweetcorn", variety: "first block", plants: 16, start: ["sown", "2026-06-20"] },
      {
        id: "corn-second",
        crop: "sweetcorn",
        variety: "second block",
        plants: 20,
        start: ["sown", "2026-07-02"],
        looks: [["silk_colour", "brown", "2026-09-18"]],
      },
      { id: "corn-third", crop: "sweetcorn", variety: "third block", plants: 16, start: ["sown", "2026-07-14"] },
    ],
  },
  {
    name: "Root patch",
    kind: "open",
    plantings: [
      {
        id: "onion-red",
        crop: "onion_bulb",
        variety: "red",
        plants: 60,
        start: ["planted", "2026-05-25"],
        looks: [["neck_fall", "10_49", "2026-09-16"]],
      },
      {
        id: "onion-brown",
        crop: "onion_bulb",
        variety: "brown, late sets",
        plants: 40,
        start: ["planted", "2026-06-14"],
      },
      { id: "potato-red", crop: "potato_maincrop", variety: "red", plants: 12, start: ["planted", "2026-06-04"] },
      { id: "carrot-old", crop: "carrot", variety: "early row, forgotten", plants: 40, start: ["sown", "2026-05-24"] },
      { id: "carrot-late", crop: "carrot", variety: "late row", plants: 150, start: ["sown", "2026-08-01"] },
      { id: "beet-late", crop: "beetroot", variety: "late", plants: 40, start: ["sown", "2026-08-20"] },
    ],
  },
  {
    name: "Old peach",
    kind: "tree",
    plantings: [
      {
        id: "peach-late",
        crop: "peach",
        variety: "late, white-fleshed",
        plants: 1,
        start: ["blossom", "2026-04-26"],
        packet: [142, 154],
        looks: [["background_colour", "trace", "2026-09-18"]],
      },
    ],
  },
];

/** Plantings of this season that are over: what they gave first teaches the forecasts. */
const FINISHED: (DemoPlanting & { bed: string; first: IsoDay; over: IsoDay })[] = [
  {
    id: "pea-spring",
    crop: "pea_shelling",
    variety: "tall, wrinkled",
    plants: 60,
    start: ["sown", "2026-03-25"],
    bed: "Gate bed",
    first: "2026-05-28",
    over: "2026-06-24",
  },
  {
    id: "beet-spring",
    crop: "beetroot",
    variety: "red",
    plants: 30,
    start: ["sown", "2026-04-12"],
    bed: "Gate bed",
    first: "2026-06-06",
    over: "2026-07-10",
  },
  {
    id: "bean-spring",
    crop: "bean_bush",
    variety: "green, first sowing",
    plants: 30,
    start: ["sown", "2026-05-10"],
    bed: "Long bed",
    first: "2026-06-29",
    over: "2026-08-04",
  },
  {
    id: "carrot-spring",
    crop: "carrot",
    variety: "early row",
    plants: 90,
    start: ["sown", "2026-03-28"],
    bed: "Root patch",
    first: "2026-06-08",
    over: "2026-07-20",
  },
];

const CONTAINERS = [
  { id: "basket", name: "Willow basket", tareGrams: 1040 },
  { id: "crate", name: "Heavy crate", tareGrams: 1590 },
  { id: "tray", name: "Light tray", tareGrams: 680 },
];

const MINUTES = [20, 20, 45, 15, 20, 50, 40];
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
    tx.insert(weekdayMinutes).values(MINUTES.map((minutes, weekday) => ({ weekday, minutes }))).run(); // prettier-ignore
    tx.insert(trip)
      .values({ id: "coast", name: "Five days at the coast", fromDay: "2026-09-26", toDay: "2026-09-30" })
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
  refreshDemoWeather(db, DEMO_DAY);
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
