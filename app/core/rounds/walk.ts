import { cautionOf, type Crop } from "../crops";

/** Something to do at a planting on the walk. */
export interface Errand {
  plantingId: string;
  crop: Crop;
  variety: string;
  bedId: string;
  bedName: string;
  bedPosition: number;
  doing: "pick" | "look";
  minutes: number;
  pieces: number;
  grams: number;
}

/** One bed on the walk, with what is done there in order. */
export interface Stop {
  bedId: string;
  bedName: string;
  /** first: while it is cool and leaves may be wet; later: what must not be touched wet. */
  part: "first" | "later";
  errands: Errand[];
}

export interface Walk {
  stops: Stop[];
  minutes: number;
  grams: number;
  kit: string[];
  containers: { label: string }[];
  cautions: string[];
  /** True when the walk was split because leaves are likely wet at the start. */
  splitForWetLeaves: boolean;
}

/** Order within a stop: flowers and leaves while cool, then heads, soft fruit and pods, then what needs a fork. */
const GROUP_ORDER: Crop["group"][] = [
  "flower",
  "herb",
  "leaf",
  "head",
  "stem",
  "berry",
  "pod",
  "fruit",
  "ear",
  "tree fruit",
  "extra",
  "root",
  "bulb",
  "tuber",
  "seed",
];

/**
 * Orders the errands of one day along the footpath. With wet leaves the crops that pass disease on when
 * touched wet come in a second pass, once dry; otherwise each bed is called at once.
 *
 * @param leavesAreWet - rain or dew likely at the start of the round
 * @param roundMinutes - kit, start and putting away
 * @param bedMinutes - of calling at a bed
 */
export function walkOf(
  errands: readonly Errand[],
  leavesAreWet: boolean,
  roundMinutes: number,
  bedMinutes: number,
): Walk {
  const waits = (e: Errand) => leavesAreWet && e.crop.handsOffWhenWet.value;
  const split = errands.some(waits) && errands.some((e) => !waits(e));
  const stops: Stop[] = [];
  const ordered = [...errands].sort(
    (a, b) =>
      (split ? Number(waits(a)) - Number(waits(b)) : 0) ||
      a.bedPosition - b.bedPosition ||
      GROUP_ORDER.indexOf(a.crop.group) - GROUP_ORDER.indexOf(b.crop.group) ||
      a.crop.name.localeCompare(b.crop.name),
  );
  for (const errand of ordered) {
    const part = split && waits(errand) ? "later" : "first";
    const last = stops.at(-1);
    if (last && last.bedId === errand.bedId && last.part === part) last.errands.push(errand);
    else stops.push({ bedId: errand.bedId, bedName: errand.bedName, part, errands: [errand] });
  }
  const picks = errands.filter((e) => e.doing === "pick");
  const unique = (list: string[]) => [...new Set(list)];
  const minutes =
    errands.reduce((sum, e) => sum + e.minutes, 0) + stops.length * bedMinutes + (stops.length ? roundMinutes : 0);
  return {
    stops,
    minutes,
    grams: picks.reduce((sum, e) => sum + e.grams, 0),
    kit: unique([
      ...picks.flatMap((e) => e.crop.pick.kit),
      ...(stops.length ? ["labels and a fade-proof pen", "drinking water"] : []),
    ]),
    containers: unique(picks.map((e) => (e.variety ? `${e.crop.name}, ${e.variety}` : e.crop.name))).map((label) => ({
      label,
    })),
    cautions: unique(picks.flatMap((e) => cautionOf(e.crop) ?? [])),
    splitForWetLeaves: split,
  };
}
