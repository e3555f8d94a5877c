import { yearCells } from "./year-cells";
import { yearConflicts } from "./year-walk";

/**
 * Each crop's life in four climates against the handbook table, and a year walked day by day on twelve made-up gardens.
 * Usage: tsx scripts/bench-year.ts [cells]. Last line: one JSON object.
 */
const cells = yearCells();
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
