import type { IsoDay } from "~/core/calendar";
import type { BedKind } from "~/core/hazards";

/** One planting of the demo, past or growing. */
export interface DemoPlanting {
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

/** The beds of the demo in walking order, with what grows in them. */
export const BEDS: { name: string; kind: BedKind; plantings: DemoPlanting[] }[] = [
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
