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

/** Something to do at a bed beside picking and looking. */
export interface WalkJob {
  /** Of the acts that it is made of. */
  keys: string[];
  bedId: string;
  bedName: string;
  bedPosition: number;
  words: string;
  /** The going there included. */
  minutes: number;
}

/** Why a bed comes when it does: along the path, before it warms up, last for its weight, once its leaves are dry, as the household put it. */
export type StopReason = "path" | "cool" | "heavy" | "dry" | "asked";

/** One bed on the walk, with what is done there in order. */
export interface Stop {
  /** Of the bed and the part. */
  key: string;
  bedId: string;
  bedName: string;
  bedPosition: number;
  /** first: while it is cool and leaves may be wet; later: what must not be touched wet. */
  part: "first" | "later";
  why: StopReason;
  errands: Errand[];
  jobs: WalkJob[];
  /** With calling at the bed. */
  minutes: number;
  grams: number;
}

/** What the walk is made under. */
export interface WalkTerms {
  /** Rain or dew is likely on the leaves at the start. */
  leavesAreWet: boolean;
  /** It is warm, or gets so, while it is walked: what wilts is cut first. */
  isWarm: boolean;
  /** Kit, start and putting away. */
  roundMinutes: number;
  /** Of calling at a bed. */
  bedMinutes: number;
}

export interface Walk {
  stops: Stop[];
  minutes: number;
  grams: number;
  kit: string[];
  /** One for each variety, with what is expected to go into it. */
  containers: { label: string; pieces: number; grams: number; crop: Crop }[];
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

/** Crops that wilt once they are cut: they come first where it is warm. Common practice. */
const WILTS: readonly Crop["group"][] = ["flower", "herb", "leaf"];
/** A bed that brings in so much comes last, so that nobody carries it round: grams, our judgement. */
const HEAVY_GRAMS = 5000;

/** The passes of a walk, one after the other. */
const PASSES: readonly StopReason[] = ["cool", "path", "heavy", "dry"];

/**
 * Orders the errands of one day along the footpath. With wet leaves the crops that pass disease on when touched wet come in
 * a second pass, once dry; where it is warm the beds with what wilts come first, and the heaviest come last.
 *
 * @param jobs - what else is done on the walk; a bed with jobs alone is called at too
 * @param order - keys of stops as the household put them; stops that it does not name keep their place behind them
 */
export function walkOf(
  errands: readonly Errand[],
  { leavesAreWet, isWarm, roundMinutes, bedMinutes }: WalkTerms,
  jobs: readonly WalkJob[] = [],
  order: readonly string[] = [],
): Walk {
  const waits = (e: Errand) => leavesAreWet && e.crop.handsOffWhenWet.value;
  const split = errands.some(waits) && errands.some((e) => !waits(e));
  const stops = new Map<string, Stop>();
  const at = (bed: Pick<Errand, "bedId" | "bedName" | "bedPosition">, part: Stop["part"]): Stop => {
    const key = `${bed.bedId} ${part}`;
    const { bedId, bedName, bedPosition } = bed;
    const stop = stops.get(key) ?? { key, bedId, bedName, bedPosition, part, why: "path" as const, errands: [], jobs: [], minutes: 0, grams: 0 }; // prettier-ignore
    stops.set(key, stop);
    return stop;
  };
  for (const errand of errands) at(errand, split && waits(errand) ? "later" : "first").errands.push(errand);
  for (const job of jobs)
    (stops.get(`${job.bedId} first`) ?? stops.get(`${job.bedId} later`) ?? at(job, "first")).jobs.push(job);
  const all = [...stops.values()].map((stop) => finished(stop, bedMinutes));
  const stopsAsPut = asPut(inPasses(all, isWarm), order);
  const picks = stopsAsPut.flatMap((s) => s.errands).filter((e) => e.doing === "pick");
  const unique = (list: string[]) => [...new Set(list)];
  return {
    stops: stopsAsPut,
    minutes: sumBy(stopsAsPut, (s) => s.minutes) + (stopsAsPut.length > 0 ? roundMinutes : 0),
    grams: sumBy(picks, (e) => e.grams),
    kit: unique([...picks.flatMap((e) => e.crop.pick.kit), ...(errands.length > 0 ? ["labels and a fade-proof pen", "drinking water"] : [])]), // prettier-ignore
    containers: containersFor(picks),
    cautions: unique(picks.flatMap((e) => cautionOf(e.crop) ?? [])),
    splitForWetLeaves: split,
  };
}

const sumBy = <T>(of: readonly T[], value: (x: T) => number) => of.reduce((sum, x) => sum + value(x), 0);

function finished(stop: Stop, bedMinutes: number): Stop {
  const { errands, jobs } = stop;
  const inOrder = [...errands].sort((a, b) => GROUP_ORDER.indexOf(a.crop.group) - GROUP_ORDER.indexOf(b.crop.group) || a.crop.name.localeCompare(b.crop.name)); // prettier-ignore
  const minutes = sumBy(errands, (e) => e.minutes) + sumBy(jobs, (j) => j.minutes) + (errands.length > 0 ? bedMinutes : 0); // prettier-ignore
  return { ...stop, errands: inOrder, minutes, grams: sumBy(errands, (e) => (e.doing === "pick" ? e.grams : 0)) };
}

/** Pass by pass, each along the footpath. A pass that all beds share is no pass. */
function inPasses(stops: readonly Stop[], isWarm: boolean): Stop[] {
  const reason = ({ part, grams, errands }: Stop): StopReason => {
    if (part === "later") return "dry";
    if (isWarm && errands.some((e) => e.doing === "pick" && WILTS.includes(e.crop.group))) return "cool";
    return grams >= HEAVY_GRAMS ? "heavy" : "path";
  };
  const reasons = stops.map(reason);
  const isOne = new Set(reasons).size === 1;
  return stops
    .map((stop, n) => ({ ...stop, why: isOne && reasons[n] !== "dry" ? ("path" as const) : reasons[n]! }))
    .sort((a, b) => PASSES.indexOf(a.why) - PASSES.indexOf(b.why) || a.bedPosition - b.bedPosition);
}

/** Stops in the household's order, as far as it names them. */
function asPut(stops: readonly Stop[], order: readonly string[]): Stop[] {
  const named = order.flatMap((key) => stops.find((s) => s.key === key) ?? []);
  if (named.length === 0) return [...stops];
  return [...named.map((s) => ({ ...s, why: "asked" as const })), ...stops.filter((s) => !order.includes(s.key))];
}

function containersFor(picks: readonly Errand[]): Walk["containers"] {
  const of = new Map<string, Walk["containers"][number]>();
  for (const { crop, variety, pieces, grams } of picks) {
    const label = variety ? `${crop.name}, ${variety}` : crop.name;
    const before = of.get(label) ?? { label, crop, pieces: 0, grams: 0 };
    of.set(label, { ...before, pieces: before.pieces + pieces, grams: before.grams + grams });
  }
  return [...of.values()];
}
