import { expect, test } from "vitest";
import { walkInTime } from "~/core/rounds";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { leaveCost } from "~/services/round/leave-costs.server";
import { walkPage } from "~/services/round/round-page.server";
import { demoGarden } from "./garden-fixture";

test("every stop says what it costs to be left, and the cost is what the plan itself reckons for the move", () => {
  const { db, garden } = demoGarden();
  const planned = plannedGarden(db, garden);
  const today = planned.outlook.plantings.filter((p) => plannedToday(p.planting.id) !== undefined);
  function plannedToday(id: string) {
    return planned.moveCosts[id]?.[0];
  }
  expect(today.length).toBeGreaterThan(2);
  for (const p of today) {
    const cost = leaveCost(planned, p)!;
    const others = plannedToday(p.planting.id)!.slice(1).filter((c): c is number => c !== null); // prettier-ignore
    expect(cost.loss).toBeGreaterThanOrEqual(0);
    // Of one part the cheapest other day; more parts cannot cost less.
    if (others.length > 0) expect(cost.loss).toBeGreaterThanOrEqual(Math.max(0, Math.min(...others)) - 1e-9);
    if (cost.until !== null) expect(cost.until).toBeGreaterThan(0);
  }
  for (const { leave, name } of walkPage(db, garden).errands)
    expect(leave.words, name).toMatch(/^(?:keeps until|by .+ at most about .+ worth less|lost if left: about .+ worth|(?:it|the look) can wait$)/); // prettier-ignore
});

test("short of time on the demo's walk: what is left loses least, and the rest fits", () => {
  const { db, garden } = demoGarden();
  const { errands, bedMinutes } = walkPage(db, garden);
  const stops = errands.map(({ id, bed, minutes, leave }) => ({ id, bed, minutes, loss: leave.loss }));
  const all = walkInTime(stops, 600, bedMinutes);
  expect(all.left).toEqual([]);
  const short = walkInTime(stops, 12, bedMinutes);
  expect(short.left.length).toBeGreaterThan(0);
  const lost = (ids: readonly string[]) => stops.filter((s) => ids.includes(s.id)).reduce((sum, s) => sum + s.loss, 0);
  expect(lost(short.left)).toBeLessThan(lost(short.taken));
});
