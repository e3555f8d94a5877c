import Papa from "papaparse";
import { expect, test } from "vitest";
import { plannedPicks } from "~/core/garden";
import { theGarden } from "~/db/garden/garden.server";
import { updatePlanting } from "~/db/beds/plantings.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { jobsAhead } from "~/services/horizon/jobs.server";
import { PLAN_HEAD, planCsv } from "~/services/horizon/plan-csv.server";
import { demoGarden } from "./garden-fixture";

type Row = Record<(typeof PLAN_HEAD)[number], string>;
const read = (text: string) => Papa.parse<Row>(text, { header: true, skipEmptyLines: true });

test("the plan as a table has every pick of the plan with its day, and every job", () => {
  const { db } = demoGarden();
  const { outlook, plan } = plannedGarden(db, theGarden(db)!);
  const { data, errors, meta } = read(planCsv(db, theGarden(db)!));
  expect(errors).toEqual([]);
  expect(meta.fields).toEqual([...PLAN_HEAD]);
  const picks = outlook.plantings.flatMap((p) => plannedPicks(p, plan.picks).map((pick) => `${outlook.days[pick.day]} ${p.crop.name} ${p.planting.variety}`)).sort(); // prettier-ignore
  expect(data.filter((r) => r.what === "pick").map((r) => `${r.day} ${r.crop} ${r.variety}`).sort()).toEqual(picks); // prettier-ignore
  expect(data.filter((r) => r.what === "job")).toHaveLength(
    jobsAhead(plannedGarden(db, theGarden(db)!)).filter((j) => outlook.days.includes(j.day)).length,
  );
  const days = data.map((r) => r.day);
  expect(days).toEqual([...days].sort());
  const grams = data.reduce((sum, r) => sum + Number(r.grams || 0), 0);
  const planned = outlook.plantings.reduce((sum, p) => sum + plannedPicks(p, plan.picks).reduce((s, pick) => s + pick.pieces * p.crop.pieceGrams.value, 0), 0); // prettier-ignore
  expect(Math.abs(grams - planned)).toBeLessThan(picks.length);
});

test("a variety that begins as a formula would be one in a spreadsheet: it is text", () => {
  const { db } = demoGarden();
  updatePlanting(db, "tomato-red", { variety: '=HYPERLINK("http://other.example")' });
  const text = planCsv(db, theGarden(db)!);
  expect(text).not.toMatch(/(^|,)"?=HYPERLINK/m);
  expect(read(text).data.some((r) => r.variety.includes("HYPERLINK"))).toBe(true);
});
