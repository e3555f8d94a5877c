import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween, type IsoDay } from "~/core/calendar";
import { cropLife, grownYear, standingStart, type YearPlace } from "~/core/life";
import { monthlyNormals } from "~/core/weather";
import { CLIMATES, HANDBOOK_YEAR, type HandbookCell } from "../tests/reference/handbook-year";

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

export type YearCell = ReturnType<typeof yearCells>[number];

/** Each cell of the handbook's table beside the model's life of the crop, and how far it lies outside, days or times. */
export function yearCells() {
  return HANDBOOK_YEAR.map(cellOf);
}

function cellOf(cell: HandbookCell) {
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
}
