import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween, type IsoDay } from "~/core/calendar";
import { cropLife, grownYear, standingStart, type YearPlace } from "~/core/life";
import { monthlyNormals } from "~/core/weather";
import { CLIMATES, HANDBOOK_YEAR, type HandbookCell } from "../tests/reference/handbook-year";
import { yearConflicts } from "./year-walk";

/**
 * Each crop's life in four climates against the handbook table, and a year walked day by day on twelve made-up gardens.
 * Usage: tsx scripts/bench-year.ts [cells]. Last line: one JSON object.
 */
const crops = catalogue();
const places = Object.fromEntries(
  Object.entries(CLIMATES).map(([key, c]) => [
    key,
    { normals: monthlyNormals(c.months, c.lowSpreadC), latitude: c.latitude },
  ]),
) as Record<HandbookCell["climate"], YearPlace>;

const YEAR = 2025;
const dayOf = (monthDay: string, year: number): IsoDay => `${year}-${monthDay.slice(0, 2)}-${monthDay.slice(2)}`;

/** The range of days nearest after `after` that the table's months and days mean. */
function rangeAfter({ low, high }: { low: string; high: string }, after: IsoDay): { low: IsoDay; high: IsoDay } {
  let from = dayOf(low, Number(after.slice(0, 4)));
  let to = dayOf(high, Number(after.slice(0, 4)));
  if (to < from) to = dayOf(high, Number(to.slice(0, 4)) + 1);
  if (to < after) [from, to] = [dayOf(low, Number(from.slice(0, 4)) + 1), dayOf(high, Number(to.slice(0, 4)) + 1)];
  return { low: from, high: to };
}

/** Days outside a range; below 0 is early. */
const off = (day: IsoDay | null, { low, high }: { low: IsoDay; high: IsoDay }): number =>
  day === null ? 999 : day < low ? daysBetween(low, day) : day > high ? daysBetween(high, day) : 0;

const cells = HANDBOOK_YEAR.map((cell) => {
  const crop = crops.find((c) => c.id === cell.cropId)!;
  const place = places[cell.climate];
  const on = cell.start ? dayOf(cell.start, YEAR) : standingStart(crop, place, `${YEAR}-06-01`);
  const grown = cell.how === "est" ? grownYear(crop) : null;
  const life = cropLife(crop, place, { event: cell.how === "est" ? "stands" : cell.how, on }, grown);
  const first = rangeAfter(cell.first, addDays(on, 5));
  const end = rangeAfter(cell.end, first.low);
  const kg = Math.sqrt(life.yieldKg.low * life.yieldKg.high);
  const amount = cell.yield.unit === "kg" ? kg : (kg * 1000) / crop.pieceGrams.value;
  const yieldOff = amount < cell.yield.low ? amount / cell.yield.low : amount > cell.yield.high ? amount / cell.yield.high : 1; // prettier-ignore
  return { cell, life, on, first, end, firstOff: off(life.firstPick, first), endOff: off(life.end, end), amount, yieldOff }; // prettier-ignore
});
const share = (test: (c: (typeof cells)[number]) => boolean) => cells.filter(test).length / cells.length;
const badness = (c: (typeof cells)[number]) => Math.abs(c.firstOff) / 20 + Math.abs(c.endOff) / 30 + Math.abs(Math.log(Math.max(0.01, c.yieldOff))) * 2; // prettier-ignore
const worst = [...cells].sort((a, b) => badness(b) - badness(a));
const said = (c: (typeof cells)[number]) =>
  `${c.cell.cropId} ${c.cell.climate} ${c.cell.how} ${c.on.slice(5)}: first ${c.life.firstPick ?? "never"} (${c.firstOff} d), end ${c.life.end ?? "none"} ${c.life.endsBy} (${c.endOff} d), ${c.amount.toPrecision(2)} ${c.cell.yield.unit} (×${c.yieldOff.toFixed(2)})`;

for (const c of process.argv.includes("cells") ? worst.filter((x) => badness(x) > 0) : worst.slice(0, 10))
  console.log(said(c));
const walked = process.argv.includes("cells")
  ? { gardens: 0, days: 0, conflicts: [] as string[], lifts: 0 }
  : yearConflicts();
for (const conflict of walked.conflicts.slice(0, 10)) console.log(conflict);
console.log(
  JSON.stringify({
    bench: "year",
    cells: cells.length,
    firstPickWithin: share((c) => c.firstOff === 0),
    endWithin: share((c) => c.endOff === 0),
    yieldWithin: share((c) => c.yieldOff === 1),
    worst: worst.slice(0, 10).map(said),
    yearGardens: walked.gardens,
    yearDays: walked.days,
    yearConflicts: walked.conflicts.length,
    unripeLifts: walked.lifts,
  }),
);
