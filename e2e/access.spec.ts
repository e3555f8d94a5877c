import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./gardener";

const SCREENS = [
  "/",
  "/round",
  "/check/tomato-red",
  "/beds",
  "/plantings/tomato-red",
  "/sky",
  "/ledger",
  "/ledger/tomato-red-2026-09-16",
  "/check/pea-spring",
  "/notes",
  "/notes/tomato_large",
  "/notes/sheets?crop=carrot",
  "/before/frost",
  "/before/away",
  "/before/helper",
  "/plan",
  "/phones",
];

test("every screen passes the automatic accessibility rules, by day and in the dark", async ({ page, readDemo }) => {
  // A dozen screens, each opened out and read whole twice: minutes on a busy machine.
  test.slow();
  const found: string[] = [];
  for (const path of SCREENS) {
    await page.emulateMedia({ colorScheme: "light" });
    await page.goto(readDemo.url + path, { waitUntil: "networkidle" });
    // What is folded away is read by somebody, too.
    await page.evaluate(() => document.querySelectorAll("details").forEach((d) => (d.open = true)));
    const byDay = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"]).analyze();
    // In the dark only the colours differ, so only their rule is asked again.
    const paper = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
    const white = await paper();
    await page.emulateMedia({ colorScheme: "dark" });
    await expect.poll(paper, path).not.toBe(white);
    // What is half-way from one colour to the other is neither.
    await page.evaluate(() =>
      Promise.all(
        document
          .getAnimations()
          .filter((a) => a instanceof CSSTransition)
          .map((a) => a.finished.catch(() => a)),
      ),
    );
    const inTheDark = await new AxeBuilder({ page }).withRules(["color-contrast"]).analyze();
    for (const [when, { violations }] of [
      ["light", byDay],
      ["dark", inTheDark],
    ] as const)
      // prettier-ignore
      found.push(...violations.flatMap((v) => v.nodes.map((n) => `${path} ${when} ${v.id}: ${n.html.slice(0, 160)}`)));
  }
  expect(found).toEqual([]);
});

test("no screen is wider than its window", async ({ page, readDemo }) => {
  for (const path of SCREENS) {
    await page.goto(readDemo.url + path);
    const [inner, full] = await page.evaluate(() => [window.innerWidth, document.documentElement.scrollWidth]);
    expect(full, path).toBeLessThanOrEqual(inner ?? 0);
  }
});

test(
  "the demo's clock steps: the day, the forecast and the frost follow",
  { tag: "@phone" },
  async ({ page, demo }) => {
    await page.goto(demo.url);
    await expect(page.getByText(/frost likely Wednesday night/i).first()).toBeAttached();
    for (const day of [
      "Sunday, 20 September",
      "Monday, 21 September",
      "Tuesday, 22 September",
      "Wednesday, 23 September",
    ]) {
      await page.getByRole("button", { name: "Next day" }).click();
      await expect(page.getByRole("heading", { level: 1 })).toHaveText(day);
    }
    await expect(page.getByText(/frost likely tonight/i).first()).toBeAttached();
  },
);
