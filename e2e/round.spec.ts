import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

const FROST_EVENING = 4; // Wednesday 23, counted from Saturday 19

/** Day indexes on which a bed's row of a crop carries planned picks. */
async function plannedDays(page: Page, bed: string, crop: string): Promise<number[]> {
  const days = ["Sa 19", "Su 20", "Mo 21", "Tu 22", "We 23", "Th 24", "Fr 25"];
  const labels = await page
    .locator(`section[aria-label="${bed}"] button`)
    .evaluateAll((all) => all.map((b) => b.getAttribute("aria-label") ?? ""));
  return labels.filter((l) => l.startsWith(`${crop},`)).map((l) => days.findIndex((d) => l.includes(d)));
}

test("look, judge, plan, walk, pick, log: from the first look to the ledger, and still there after a restart", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Saturday, 19 September");

  // Open a bed, then one of its plantings.
  await page.getByRole("link", { name: "Low bed", exact: true }).click();
  await expect(page).toHaveURL(/beds#low-bed/);
  await page.getByRole("link", { name: /French bean, climbing/ }).click();
  const verdict = page.getByTestId("verdict");

  // Two cues: the verdict changes and explains itself; a second answer to one takes the place of the first.
  await page.getByRole("button", { name: /a matchstick/ }).click();
  await expect(verdict).not.toContainText(/^Ready/);
  await page.getByRole("button", { name: /a pencil/ }).click();
  await expect(verdict).toContainText(/^Ready/);
  const more = page.getByText(/More to look for/);
  if (await more.isVisible()) await more.click();
  await page.getByRole("button", { name: "smooth" }).click();
  await page.getByText("Why?").click();
  await expect(page.getByText(/How thick are most pods\? “6–9 mm”, today: towards ready/)).toBeVisible();
  await expect(page.getByText(/Do seeds show through the pod\? “smooth”/)).toBeVisible();

  // The plan takes the frost-tender beans before Wednesday night, and says why.
  await page.goto(demo.url);
  const days = await plannedDays(page, "Low bed", "French bean");
  expect(days.length).toBeGreaterThan(0);
  expect(days.every((d) => d >= 0 && d <= FROST_EVENING)).toBe(true);
  await page.locator('section[aria-label="Low bed"] button[aria-label^="French bean,"]').last().click();
  await expect(page.getByText(/^Why /)).toBeVisible();
  await expect(page.getByText(/A day (earlier|later):/).first()).toBeVisible();
  await page.keyboard.press("Escape");

  // The round: one weighed gross with a tare, one counted, one with nothing ready.
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/1 of \d+/)).toBeVisible();
  const done = { weighed: "", counted: "", nothing: "" };
  for (let stop = 0; stop < 12 && !(done.weighed && done.counted && done.nothing); stop++) {
    const crop = (await page.getByRole("heading", { level: 1 }).textContent()) ?? "";
    const panel = page.getByRole("region", { name: "Log a pick" });
    const counts = await panel.getByRole("textbox", { name: /^How many / }).isVisible();
    if (!counts && !done.weighed) {
      await panel.getByRole("textbox", { name: "How much it weighs" }).fill("900 g");
      await panel.getByText("Weight, crate, where it goes").click();
      await panel.getByLabel("Weighed in").selectOption("basket");
      await panel.getByRole("button", { name: "Left the small ones" }).click();
      await expect(panel.getByText(/The empty container weighs more than the whole/)).toBeVisible();
      await expect(panel.getByRole("textbox", { name: "How much it weighs" })).toHaveValue("900 g");
      await panel.getByRole("textbox", { name: "How much it weighs" }).fill("3.2 kg");
      await panel.getByRole("button", { name: "Left the small ones" }).click();
      done.weighed = crop;
    } else if (counts && !done.counted) {
      await panel.getByRole("textbox", { name: /^How many / }).fill("5");
      await panel.getByRole("button", { name: "One more" }).click();
      await panel.getByRole("button", { name: /^Picked, all/ }).click();
      done.counted = crop;
    } else if (!done.nothing) {
      await panel.getByRole("button", { name: "Nothing ready" }).click();
      done.nothing = crop;
    } else {
      // Passing by goes on to the next stop by itself.
      const stop = await page.getByText(/^\d+ of \d+/).textContent();
      await page.getByRole("button", { name: "Pass by" }).click();
      await expect(page.getByText(stop ?? "")).toHaveCount(0);
      continue;
    }
    await expect(page.getByText(/in the ledger|✓ Done/).first()).toBeVisible();
    await page.getByRole("button", { name: "Next →" }).click();
  }
  await expect(page.getByText("All saved")).toBeVisible();
  await page.getByRole("button", { name: /Finish/ }).click();

  // The ledger has all three; a reload and a restart of the server leave them there.
  const stands = async () => {
    const today = page.locator("tbody tr", { hasText: "Sat 19 Sep" });
    await expect(today).toHaveCount(3);
    await expect(today.filter({ hasText: done.weighed }).filter({ hasText: "2.16 kg (gross 3.2 kg)" })).toHaveCount(1);
    await expect(today.filter({ hasText: done.counted }).filter({ hasText: "6" }).first()).toBeVisible();
    await expect(today.filter({ hasText: "nothing ready" })).toHaveCount(1);
  };
  await expect(page).toHaveURL(/ledger/);
  await stands();
  await page.reload();
  await stands();
  await demo.stop();
  await demo.start();
  await page.goto(`${demo.url}/ledger`);
  await stands();
});

test(
  "without signal the walk goes on: what is logged waits on the phone and goes out later, once",
  { tag: "@phone" },
  async ({ page, demo, context }) => {
    await page.goto(demo.url);
    await page.getByRole("button", { name: /^Start .*round/ }).click();
    await expect(page.getByText("All saved")).toBeVisible();
    await context.setOffline(true);
    await page.getByRole("button", { name: "Nothing ready" }).click();
    await expect(page.getByText(/kept on this phone, waits for signal/)).toBeVisible();
    await page.getByRole("button", { name: "Next →" }).click();
    await expect(page.getByText(/^2 of/)).toBeVisible();
    await expect(page.getByText(/1 kept on this device, waits for signal/).first()).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText("All saved")).toBeVisible({ timeout: 20_000 });
    await page.goto(`${demo.url}/ledger`);
    await expect(page.locator("tbody tr", { hasText: "Sat 19 Sep" })).toHaveCount(1);
  },
);

test(
  "what is logged and undone without signal stays undone once the signal is back",
  { tag: "@phone" },
  async ({ page, demo, context }) => {
    await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
    const panel = page.getByRole("region", { name: "Log a pick" });
    await context.setOffline(true);
    await panel.getByRole("button", { name: /^Picked, all/ }).click();
    await expect(panel.getByText(/waits for signal/).first()).toBeVisible();
    await panel.getByRole("button", { name: "Undo" }).click();
    await expect(panel.getByText(/2 kept on this device/)).toBeVisible();
    await context.setOffline(false);
    await expect(panel.getByText(/kept on this device/)).toHaveCount(0, { timeout: 20_000 });
    await page.goto(`${demo.url}/ledger`);
    const today = page.locator("tbody tr", { hasText: "Sat 19 Sep" });
    await expect(today).toHaveCount(1);
    await expect(today).toHaveCSS("text-decoration-line", "line-through");
  },
);

test(
  "a pick taken back leaves the totals, a correction keeps what was said before",
  { tag: "@phone" },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/check/courgette-striped`);
    const panel = page.getByRole("region", { name: "Log a pick" });
    await panel.getByRole("textbox", { name: /^How many / }).fill("9");
    await panel.getByRole("button", { name: /^Picked, all/ }).click();
    await expect(panel.getByText(/in the ledger/)).toBeVisible();
    await panel.getByRole("button", { name: "Undo" }).click();
    await panel.getByRole("textbox", { name: /^How many / }).fill("8");
    await panel.getByRole("button", { name: /^Picked, all/ }).click();
    await expect(panel.getByText(/in the ledger/)).toBeVisible();
    await page.goto(`${demo.url}/ledger`);
    await page
      .locator("tbody tr", { hasText: "Sat 19 Sep" })
      .filter({ hasText: "8" })
      .first()
      .getByRole("link", { name: /Correct/ })
      .click();
    await page.getByLabel("Pieces").fill("-4");
    await page.getByRole("button", { name: "Save the correction" }).click();
    await expect(page.getByText("A count cannot be below zero.")).toBeVisible();
    await expect(page.getByLabel("Pieces")).toHaveValue("-4");
    await page.getByLabel("Pieces").fill("7");
    await page.getByRole("button", { name: "Save the correction" }).click();
    await expect(page).toHaveURL(/ledger$/);
    await page
      .locator("tbody tr", { hasText: "Sat 19 Sep" })
      .filter({ hasText: "7" })
      .first()
      .getByRole("link", { name: /Correct/ })
      .click();
    await expect(page.getByText("8 pieces (until")).toBeVisible();
  },
);

test(
  "the same entry sent ten times at once is written once; a refused one leaves no trace",
  { tag: "@phone" },
  async ({ request, demo }) => {
    const entry = {
      kind: "pick",
      id: "7f1a1f0e-4c1b-4a57-9d43-0f5a3a1c9d10",
      device: "test",
      sequence: 1,
      at: "2026-09-19T09:00:00Z",
      plantingId: "courgette-striped",
      outcome: "picked",
      tookAll: true,
      count: "9",
    };
    const sendAll = (entries: object[]) => request.post(`${demo.url}/entries`, { data: { entries } });
    const answers = await Promise.all(Array.from({ length: 10 }, () => sendAll([entry])));
    for (const answer of answers)
      expect(await answer.json()).toEqual({ answers: [{ id: entry.id, status: "applied" }] });
    const refused = await sendAll([{ ...entry, id: "7f1a1f0e-4c1b-4a57-9d43-0f5a3a1c9d11", count: "-2" }]);
    expect(await refused.json()).toMatchObject({
      answers: [{ status: "refused", fields: { count: "A count cannot be below zero." } }],
    });
    const csv = await (await request.get(`${demo.url}/ledger.csv`)).text();
    expect(csv.split("\r\n").filter((line) => line.startsWith("2026-09-19"))).toHaveLength(1);
    expect((await request.post(`${demo.url}/entries`, { data: "rubbish" })).status()).toBe(400);
    expect((await request.post(`${demo.url}/entries`, { data: { entries: "none" } })).status()).toBe(400);
  },
);
