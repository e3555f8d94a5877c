import type { BrowserContext, Page } from "@playwright/test";
import { expect, test } from "./gardener";

const panelOf = (page: Page) => page.getByRole("region", { name: "Log a pick" });

/** Logs a count without signal: it is kept on the device. */
async function logKept(page: Page, count: string, button: string | RegExp = /^Picked, all/): Promise<void> {
  await panelOf(page)
    .getByRole("textbox", { name: /^How many / })
    .fill(count);
  await panelOf(page).getByRole("button", { name: button }).click();
  await expect(panelOf(page).getByText(/waits for signal/).first()).toBeVisible(); // prettier-ignore
}

/** Every entry that leaves the device, by its number, however often. */
function sentFrom(context: BrowserContext): string[] {
  const sent: string[] = [];
  context.on("request", (request) => {
    if (!request.url().endsWith("/entries")) return;
    const { entries } = request.postDataJSON() as { entries: { id: string }[] };
    sent.push(...entries.map((e) => e.id));
  });
  return sent;
}

/** Walks on to a stop that is counted. */
async function toCountedStop(page: Page): Promise<string> {
  for (let stop = 0; stop < 12; stop++) {
    if (await panelOf(page).getByRole("textbox", { name: /^How many / }).isVisible()) break; // prettier-ignore
    await page.getByRole("button", { name: "Next →" }).click();
  }
  return (await page.getByRole("heading", { level: 1 }).textContent()) ?? "";
}

test("refused after “Next”: it stays until it is put right where it stands, over a reload too; its stop is not done", async ({
  page,
  demo,
  context,
}) => {
  await page.goto(demo.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText("All saved")).toBeVisible();
  const crop = await toCountedStop(page);
  await context.setOffline(true);
  // Only the garden's machine knows its day.
  await panelOf(page).getByText("Weight, crate, where it goes").click();
  await panelOf(page).getByLabel("Picked on").fill("2027-06-01");
  await logKept(page, "3");
  await page.getByRole("button", { name: "Next →" }).click();
  await expect(page.getByRole("heading", { level: 1 })).not.toHaveText(crop);
  await context.setOffline(false);
  const refusal = page.getByText(/could not be saved: That day is still to come\./);
  await expect(refusal).toBeVisible({ timeout: 20_000 });
  await page.reload();
  await expect(refusal).toBeVisible();
  await page.getByRole("button", { name: "Put it right" }).click();
  await page.getByLabel("Picked on").first().fill("2026-09-19"); // prettier-ignore
  await page.getByRole("button", { name: "Send it again" }).click();
  await expect(refusal).toHaveCount(0);
  await expect(page.getByText("All saved")).toBeVisible();
  await page.goto(`${demo.url}/ledger`);
  const today = page.locator("tbody tr", { hasText: "Sat 19 Sep" });
  await expect(today).toHaveCount(1);
  await expect(today).toContainText(/\D3sound/);
});

test("an entry that cannot be read is set aside, told, and can be taken out as a file; the rest arrives", async ({
  page,
  demo,
  context,
}) => {
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  await context.setOffline(true);
  await logKept(page, "4");
  await page.evaluate(async () => {
    const opened = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open("akmedon-device");
      request.onsuccess = () => resolve(request.result);
    });
    const tx = opened.transaction("entries", "readwrite");
    tx.objectStore("entries").put({ id: "from tomorrow", entry: { kind: "moon dance" } });
    await new Promise((resolve) => (tx.oncomplete = resolve));
    opened.close();
  });
  await context.setOffline(false);
  const aside = page.getByText(/cannot be read by this version. It is kept aside; the others went on/).first();
  await expect(aside).toBeVisible({ timeout: 20_000 });
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Take it out as a file" }).first().click(),
  ]);
  expect(download.suggestedFilename()).toBe("akmedon-kept-aside.json");
  const kept = await (await download.createReadStream()).toArray();
  expect(JSON.parse(Buffer.concat(kept as Buffer[]).toString())).toEqual([{ id: "from tomorrow", entry: { kind: "moon dance" } }]); // prettier-ignore
  await page.goto(`${demo.url}/ledger`);
  await expect(page.locator("tbody tr", { hasText: "Sat 19 Sep" })).toHaveCount(1);
});

test("two tabs with entries waiting send each once", async ({ page, demo, context }) => {
  const other = await context.newPage();
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  await other.goto(`${demo.url}/check/kale-curly`, { waitUntil: "networkidle" });
  await context.setOffline(true);
  for (const tab of [page, other])
    for (const count of ["1", "2"]) {
      await logKept(tab, count, "Left the small ones");
      await panelOf(tab).getByRole("button", { name: "Log more" }).click();
    }
  const sent = sentFrom(context);
  await context.setOffline(false);
  for (const tab of [page, other])
    await expect(tab.getByText(/kept on this device/)).toHaveCount(0, { timeout: 30_000 });
  expect(new Set(sent).size).toBe(4);
  expect(sent).toHaveLength(4);
  await page.goto(`${demo.url}/ledger`);
  await expect(page.locator("tbody tr", { hasText: "Sat 19 Sep" })).toHaveCount(4);
});

test("a round over midnight: what was picked before it and after it has its own day, though all of it is sent in the morning", async ({
  page,
  household,
  context,
}) => {
  // Half past seven in the evening in London.
  await household.stop();
  household.env.AKMEDON_TEST_NOW = "2026-08-19T18:30:00.000Z";
  await household.start();
  await page.clock.setFixedTime(new Date("2026-08-19T18:31:00Z"));
  await page.goto(household.url);
  await page.getByLabel("The garden’s name").fill("Night garden");
  await page.getByText("Coordinates, time zone, height above the sea").click();
  await page.getByLabel("Latitude").fill("52");
  await page.getByLabel("Longitude").fill("0");
  await page.getByLabel("Time zone").fill("Europe/London");
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page).toHaveURL(/beds/);
  await page.getByLabel("Name", { exact: true }).fill("Long bed");
  await page.getByRole("button", { name: "Add the bed" }).click();
  for (const line of ["4 courgette, sown 10 May", "6 cucumber, planted 20 May"]) {
    await page.getByLabel("Add a planting to Long bed").fill(line);
    await page.getByRole("button", { name: "Read it" }).click();
    await page.getByRole("button", { name: "Add it" }).click();
    await expect(page.getByText(/Added:/).first()).toBeVisible();
  }
  await page.goto(household.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText("1 of 2")).toBeVisible();
  await context.setOffline(true);
  const pickHere = async (at: string) => {
    await page.clock.setFixedTime(new Date(at));
    await logKept(page, "2");
  };
  await pickHere("2026-08-19T22:40:00Z");
  await page.getByRole("button", { name: "Next →" }).click();
  // Ten past midnight.
  await pickHere("2026-08-19T23:10:00Z");
  await page.getByRole("button", { name: "Finish the round" }).click();
  await household.stop();
  household.env.AKMEDON_TEST_NOW = "2026-08-20T06:00:00.000Z";
  await household.start();
  await page.clock.setFixedTime(new Date("2026-08-20T06:00:00Z"));
  await context.setOffline(false);
  await expect(page.getByText(/kept on this device/)).toHaveCount(0, { timeout: 30_000 });
  await page.goto(`${household.url}/ledger`);
  await expect(page.locator("tbody tr", { hasText: "Wed 19 Aug" })).toHaveCount(1);
  await expect(page.locator("tbody tr", { hasText: "Thu 20 Aug" })).toHaveCount(1);
  await page.goto(household.url);
  await expect(page.getByRole("link", { name: /On with the round/ })).toHaveCount(0);
});
