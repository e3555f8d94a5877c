import type { IsoDay } from "~/core/calendar";
import type { DemoPlanting } from "./demo-plantings";

/** Plantings of this season that are over: what they gave first teaches the forecasts. */
export const FINISHED: (DemoPlanting & { bed: string; first: IsoDay; over: IsoDay })[] = [
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
