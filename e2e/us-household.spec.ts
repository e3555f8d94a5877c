import { expect, test } from "./gardener";
import { measuresOf } from "./read-page";

const SCREENS = ["/", "/round", "/beds", "/sky", "/sky?day=2026-09-22", "/ledger", "/ledger/tomato-red-2026-09-16", "/notes", "/notes/sheets", "/before/frost", "/before/away", "/plan"]; // prettier-ignore

test("every screen and sheet of a US garden, as it is drawn, speaks its units, its clock and its order of days", async ({
  page,
  usDemo,
}) => {
  test.slow();
  const found: string[] = [];
  const read = async (path: string) => {
    await page.goto(usDemo.url + path);
    await page.evaluate(() => document.querySelectorAll("details").forEach((d) => (d.open = true)));
    found.push(...(await measuresOf(page, "metric")).map((t) => `${path}: ${t}`));
  };
  for (const path of SCREENS) await read(path);
  const links = async (start: string) => page.$$eval(`a[href^="${start}"]`, (as) => [...new Set(as.map((a) => a.getAttribute("href")!))]); // prettier-ignore
  await page.goto(`${usDemo.url}/beds`);
  const plantings = await links("/plantings/");
  expect(plantings.length).toBeGreaterThan(15);
  // Each planting says the same at either size: the wide one asks all of them.
  const asked = test.info().project.name === "table" ? plantings : plantings.slice(0, 4);
  for (const path of asked) {
    await read(path);
    await read(path.replace("/plantings/", "/check/"));
  }
  for (const crop of ["tomato_large", "sweet_potato_root", "asparagus", "peach"]) await read(`/notes/${crop}`);
  expect(found).toEqual([]);
});

test("the same walk finds what it looks for in a metric garden", { tag: "@table" }, async ({ page, readDemo }) => {
  await page.goto(`${readDemo.url}/sky?day=2026-09-22`);
  expect(await measuresOf(page, "metric")).not.toEqual([]);
  expect(await measuresOf(page, "us")).toEqual([]);
});
