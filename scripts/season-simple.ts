import { weekday } from "~/core/calendar";
import type { SeasonGarden } from "./season-garden";
import { SeasonWalk, usualCue, type SeasonBrought } from "./season-walk";

const SATURDAY = 5;
/** Somebody without help begins to look at a crop when its packet says, or when it has been picked before. */
const LOOKS_FROM = 0.9;

type Calls = (walk: SeasonWalk, last: (number | undefined)[]) => number[];

/** Those that may have something: by the packet's earlier day, beds in walking order. */
function grownOf(walk: SeasonWalk): number[] {
  const { plantings } = walk.garden;
  return [...plantings.keys()]
    .filter((n) => walk.ageOf(n) >= LOOKS_FROM * plantings[n]!.packet.low && !walk.isOver(n))
    .sort((a, b) => plantings[a]!.bed - plantings[b]!.bed);
}

/** From where the last round had to stop, so that no bed is always the last. */
function goingOn(walk: SeasonWalk, last: (number | undefined)[]): number[] {
  const all = grownOf(walk);
  const oldest = [...all].sort((a, b) => (last[a] ?? -1) - (last[b] ?? -1))[0];
  const at = oldest === undefined ? 0 : all.indexOf(oldest);
  return [...all.slice(at), ...all.slice(0, at)];
}

/** How overdue it is by the interval of its crop, or by its packet, against how long it keeps. */
function urgency(walk: SeasonWalk, last: (number | undefined)[], n: number): number {
  const { crop, packet } = walk.garden.plantings[n]!;
  const before = last[n];
  const due = before === undefined || crop.mode === "once" ? packet.low : walk.ageOf(n) - (walk.at - before) + (crop.again?.low ?? 3); // prettier-ignore
  return (walk.ageOf(n) - due) / Math.max(1, crop.windowDays.value);
}

const POLICIES: Record<string, { days: (walk: SeasonWalk) => boolean; calls: Calls; looks: boolean }> = {
  "every Saturday": { days: (w) => weekday(w.today) === SATURDAY, calls: goingOn, looks: true },
  "every second day": { days: (w) => w.at % 2 === 0, calls: goingOn, looks: true },
  "when the packet says": {
    days: () => true,
    looks: false,
    calls: (walk, last) =>
      [...walk.garden.plantings.keys()]
        .filter((n) => {
          const { crop, packet } = walk.garden.plantings[n]!;
          if (walk.isOver(n)) return false;
          const before = last[n];
          if (crop.mode === "once") return walk.ageOf(n) >= (packet.low + packet.high) / 2;
          return walk.ageOf(n) >= packet.low && (before === undefined || walk.at - before >= (crop.again?.low ?? 3));
        })
        .sort((a, b) => urgency(walk, last, b) - urgency(walk, last, a)),
  },
  "greedy by urgency": {
    days: () => true,
    looks: true,
    calls: (walk, last) => grownOf(walk).filter((n) => urgency(walk, last, n) >= 0).sort((a, b) => urgency(walk, last, b) - urgency(walk, last, a)), // prettier-ignore
  },
};
export const SIMPLE = Object.keys(POLICIES);

/** Walks a season by a rule of thumb: what reads ready is taken, in the order of the rule, until the time is out. */
export function walkSimply(garden: SeasonGarden, name: string): SeasonBrought {
  const { days, calls, looks } = POLICIES[name]!;
  const walk = new SeasonWalk(garden);
  /** Day of the season on which a planting was last called at. */
  const last: (number | undefined)[] = garden.plantings.map(() => undefined);
  const looked: (number | undefined)[] = garden.plantings.map(() => undefined);
  for (let at = 0; at < garden.days.length; at++) {
    walk.dawn(at);
    if (days(walk))
      for (const n of calls(walk, last)) {
        const stand = walk.stands[n]!;
        if (stand.asOne && looks) {
          // What read green a moment ago is left for two days.
          if (looked[n] !== undefined && at - looked[n] < 2) continue;
          const reading = walk.look(n, usualCue(garden.plantings[n]!));
          if (!reading) break;
          looked[n] = at;
          if (name !== "greedy by urgency") last[n] = at;
          if (!["ready", "past", "now"].includes(reading.means)) continue;
        }
        if (!stand.asOne && walk.seen(n) < 1) {
          // Coming for nothing costs a glance all the same.
          if (!walk.glance(n)) break;
          last[n] = at;
          continue;
        }
        if (!walk.take(n)) break;
        last[n] = at;
      }
    walk.dusk();
  }
  return walk.brought();
}
