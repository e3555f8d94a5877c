import { daysBetween, type IsoDay } from "../calendar";
import { minutesFor } from "./pick-effort";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { PlantingOutlook } from "./planting-outlook";
import type { TaskPart } from "./planting-offer";
import { isForKitchen, kitchenAhead, rackFor, racksFree, type HouseholdLimits } from "./household-limits";

/** How much a planting matters to the household, against its weight on the scales: our judgement. */
const MATTERS_TIMES = { little: 0.5, usual: 1, much: 2 } as const;
/** What is picked beyond what the household eats is worth this share of the rest: our judgement. */
const SURPLUS = 0.2;

/** How much of a pick is taken, and how much it is then worth, as shares of the whole pick. */
interface Share {
  pieces: number;
  worth: number;
}

/** The outlook as the household wants it: what it eats, what kitchen and racks hold, and how much it matters. */
export function asTheHouseholdWants(
  p: PlantingOutlook,
  limits: HouseholdLimits,
  days: readonly IsoDay[],
): PlantingOutlook {
  const { crop } = p;
  const { matters = "usual", eatsGrams = null } = p.planting.wishes ?? {};
  const eats = eatsGrams !== null && crop.mode === "repeat" ? eatsGrams / crop.pieceGrams.value : null;
  const kitchen = limits.kitchenKg !== null && isForKitchen(crop) ? limits.kitchenKg : null;
  const room = kitchen === null ? [] : roomAlone(limits, days);
  const racks = crop.life.cure ? racksFree(limits, days) : undefined;
  if (eats === null && kitchen === null && !racks && matters === "usual") return p;
  const parts = p.parts
    .flatMap((part) => inGoes(p, part, kitchen, racks && Math.max(...racks)))
    .map((part) => {
      const eaten = eats === null || !part.task.repeat ? part : cut(p, part, eatenOf(p, eats, days[0]!));
      const cooked = kitchen === null ? eaten : cut(p, eaten, (n, _, t) => both(fit(room[t]!, kilograms(p, n))));
      const cured = racks && !part.task.repeat ? onRacks(p, cooked, Math.max(...racks)) : cooked;
      const { task } = cured;
      return {
        ...cured,
        task: {
          ...task,
          ...weighed(task, MATTERS_TIMES[matters]),
          ...(kitchen !== null && { kitchen: cured.pieces.map((row) => row.map((n) => kilograms(p, n))) }),
        },
      };
    });
  const main = parts.find(({ task }) => task.id === p.planting.id && task.repeat);
  return { ...p, parts, ...(main && { takes: main.pieces[0]! }) };
}

/** What a pick of each day may bring to the kitchen while nothing else comes, kg: what can wait in the fridge besides. */
function roomAlone(limits: HouseholdLimits, days: readonly IsoDay[]): number[] {
  const { kitchenFree, fridge } = kitchenAhead(limits, days)!;
  let waits = fridge.taken;
  return kitchenFree.map((kg) => {
    const room = kg + fridge.holds - waits;
    waits = Math.max(0, waits - kg);
    return room;
  });
}

const kilograms = ({ crop }: PlantingOutlook, pieces: number) => (pieces * crop.pieceGrams.value) / 1000;
const fit = (room: number, wanted: number) => (wanted > room ? room / wanted : 1);
const both = (share: number): Share => ({ pieces: share, worth: share });

/** What the household eats of a pick until the next one; what hinders the plant when it is left is taken all the same. */
function eatenOf({ crop, planting }: PlantingOutlook, aWeek: number, today: IsoDay) {
  const last = planting.picks.map((m) => m.pickedOn).sort().at(-1); // prettier-ignore
  const before = last ? daysBetween(last, today) : (crop.again?.high ?? 3);
  return (pieces: number, row: number, t: number): Share => {
    const since = row > 0 ? t - (row - 1) : t + before;
    const share = fit((aWeek * Math.max(1, since)) / 7, pieces);
    return crop.suppressesWhenLeft.value === "yes" ? { pieces: 1, worth: share + SURPLUS * (1 - share) } : both(share);
  };
}

/** Goes that a part is split into, at most. */
const MOST_GOES = 6;

/** What is taken once, in as many goes as kitchen or racks ask for. */
function inGoes(p: PlantingOutlook, part: TaskPart, kitchen: number | null, racks: number | undefined): TaskPart[] {
  const { task } = part;
  const most = Math.max(...part.pieces[0]!);
  const wanted = Math.max(kitchen ? kilograms(p, most) / kitchen : 0, racks ? rackFor(p.crop, most) / racks : 0);
  if (task.repeat || wanted <= 1) return [part];
  const goes = Math.min(MOST_GOES, Math.ceil(wanted));
  const one = cut(p, part, () => both(1 / goes), 0);
  const endWorth = task.endWorth.map((w) => w / goes);
  return Array.from({ length: goes }, (_, k) => ({ ...one, task: { ...one.task, endWorth, id: k === 0 ? task.id : `${task.id}#go${k + 1}` } })); // prettier-ignore
}

/** What is lifted at once, as much of it as all the racks hold. */
function onRacks(p: PlantingOutlook, part: TaskPart, racks: number): TaskPart {
  const area = rackFor(p.crop, Math.max(...part.pieces[0]!));
  if (area <= 0) return part;
  const share = fit(racks, area);
  const fits = cut(p, part, () => both(share));
  return { ...fits, task: { ...fits.task, curing: { area: area * share, days: Math.ceil(p.crop.life.cure!.high) } } };
}

/**
 * A part with each pick cut down: its pieces, its minutes, its worth.
 *
 * @param leftTimes - what is not taken of something that comes once counts as standing so much
 */
function cut(
  { crop }: PlantingOutlook,
  part: TaskPart,
  shareOf: (pieces: number, row: number, t: number) => Share,
  leftTimes = 1,
): TaskPart {
  // prettier-ignore
  const { task } = part;
  const last = part.pieces[0]!.length - 1;
  const shares = part.pieces.map((r, row) => r.map((n, t) => shareOf(n, row, t)));
  const pieces = part.pieces.map((r, row) => r.map((n, t) => n * shares[row]![t]!.pieces));
  const effort = (n: number) => EFFORT_PER_MINUTE * minutesFor(crop, n);
  return {
    pieces,
    task: {
      ...task,
      worth: task.worth.map((r, row) =>
        r.map((w, t) => {
          const share = shares[row]![t]!.worth;
          const left = task.repeat ? 0 : leftTimes * (1 - share) * task.endWorth[0]!;
          return (w + effort(part.pieces[row]![t]!)) * share - effort(pieces[row]![t]!) + left;
        }),
      ),
      minutes: task.minutes.map((r, row) =>
        r.map((m, t) => (m === null || pieces[row]![t]! < 0.05 ? null : minutesFor(crop, pieces[row]![t]!))),
      ),
      // What is left when the horizon ends is eaten, cooked and laid out no faster than what is picked.
      endWorth: task.repeat ? task.endWorth.map((w, row) => w * (shares[row]?.[last]?.worth ?? 1)) : task.endWorth,
    },
  };
}

/** Worths weighed against other plantings'; the effort stays what it is. */
function weighed(
  { worth, minutes, endWorth }: TaskPart["task"],
  times: number,
): Pick<TaskPart["task"], "worth" | "endWorth"> {
  // prettier-ignore
  return {
    worth: worth.map((r, row) => r.map((w, t) => w * times + (times - 1) * EFFORT_PER_MINUTE * (minutes[row]![t] ?? 0))), // prettier-ignore
    endWorth: endWorth.map((w) => w * times),
  };
}
