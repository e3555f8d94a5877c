import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

const nextDay = async (page: Page) => {
  const stepped = page.waitForResponse((r) => r.url().includes("/demo/step"));
  await page.getByRole("button", { name: "Next day" }).click();
  await stepped;
  await page.waitForLoadState("networkidle");
};
const card = (page: Page, name: RegExp) => page.getByRole("article", { name });

test("a frost and a storm, day by day: cards, bands and verdicts follow", async ({ page, demo }) => {
  const bands = async () => {
    await page.goto(demo.url);
    return (await page.locator("main").innerText()).match(/frost[^\n]*in 10|storm[^\n]*in 10/g) ?? [];
  };
  const verdict = async (id: string) => {
    await page.goto(`${demo.url}/check/${id}`);
    return page.getByTestId("verdict").innerText();
  };
  // Saturday: frost on Wednesday night is called by bed, the storm nine days on as well.
  await page.goto(`${demo.url}/sky`);
  await expect(card(page, /^Hard frost likely Wednesday night$/)).toContainText(
    /in 10 in the low bed, .* in the tunnel/,
  );
  await expect(card(page, /^Storm likely Mon 28 Sep$/)).toContainText(/to pass 60 km\/h/);
  await expect(page.getByTestId("sources")).toContainText("Record up to Fri 18 Sep");
  expect((await bands()).join()).toMatch(/frost.*storm/s);
  await page.goto(`${demo.url}/sky`);
  // The plan goes out as a calendar.
  await expect(page.getByText(`${demo.url}/calendar.ics`)).toBeVisible();
  const saved = page.waitForEvent("download");
  await page.getByRole("link", { name: "Save it as a file" }).click();
  const ics = await readFile(await (await saved).path(), "utf8");
  expect(ics).toMatch(/SUMMARY:Garden round: /);
  for (let n = 0; n < 3; n++) await nextDay(page);
  expect(await verdict("bean-climbing")).toMatch(/by tomorrow, before Wednesday night’s frost/);
  await page.goto(`${demo.url}/sky`);
  await nextDay(page);
  // Wednesday: tonight it is.
  await expect(card(page, /frost likely tonight$/i)).toBeVisible();
  await expect(page.getByTestId("sources")).toContainText("Record up to Tue 22 Sep");
  expect(await verdict("bean-climbing")).toMatch(/today, before tonight’s frost/);
  await page.goto(`${demo.url}/sky`);
  await nextDay(page);
  await nextDay(page);
  // Friday: the frost is on record and no longer a card.
  await expect(page.getByTestId("sources")).toContainText("Record up to Thu 24 Sep");
  await expect(card(page, /tonight$/)).toHaveCount(0);
  await expect(card(page, /^Storm likely Monday$/)).toBeVisible();
  for (let n = 0; n < 3; n++) await nextDay(page);
  // Monday: the gale is here, thunder with it.
  await expect(card(page, /^Storm likely today$/)).toContainText(/gusts about 8\d km\/h/);
  await expect(card(page, /^Thunder likely today$/)).toContainText("wait 30 minutes after the last");
  expect((await bands()).join()).toMatch(/storm/);
  expect(await verdict("peach-late")).toMatch(/before today’s gale/);
  await page.goto(`${demo.url}/sky`);
  await nextDay(page);
  // Tuesday: what the soaking watered down is left to recover.
  await expect(card(page, /^Watery after yesterday’s soaking$/)).toContainText(/melon|peach/i);
  expect(await verdict("peach-late")).toMatch(/^Wait for dry days/);
  expect((await bands()).join()).not.toMatch(/frost/);
});

test("the services fail: the page stands, says what it goes by and how old it is, and catches up", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  await page.getByText("Demo: put the stand-ins out of order").click();
  await page.getByLabel("They work").selectOption("down");
  await page.getByRole("button", { name: "So be it" }).click();
  await expect(page.getByTestId("sources")).toContainText("Forecast service: It answers 503");
  await nextDay(page);
  await expect(page.getByTestId("sources")).toContainText(/Forecast of Sat 19 Sep .* h old/);
  await expect(card(page, /frost likely Wednesday night/i)).toBeVisible();
  await page.getByLabel("They work").selectOption("as usual");
  await page.getByRole("button", { name: "So be it" }).click();
  await expect(page.getByTestId("sources")).toContainText("Forecast of Sun 20 Sep");
  await expect(page.getByTestId("sources")).toContainText("Record up to Sat 19 Sep");
  await expect(page.getByTestId("sources")).not.toContainText("503");
});

test("minutes are dragged, trips are dragged, both by mouse and by the arrow keys, and the plan follows", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  const monday = page.getByRole("slider", { name: "Minutes on Mon 21 Sep" });
  await expect(monday).toHaveAttribute("aria-valuenow", "20");
  await monday.focus();
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowUp");
  await expect(monday).toHaveAttribute("aria-valuenow", "30");
  await page.reload();
  await expect(monday).toHaveAttribute("aria-valuenow", "30");
  const box = (await page.getByRole("slider", { name: "Minutes on Tue 22 Sep" }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 25, { steps: 6 });
  await page.mouse.up();
  await page.waitForLoadState("networkidle");
  const tuesday = Number(
    await page.getByRole("slider", { name: "Minutes on Tue 22 Sep" }).getAttribute("aria-valuenow"),
  );
  expect(tuesday).toBeGreaterThan(40);
  const leave = page.getByRole("slider", { name: "Five days at the coast, first day away" });
  await expect(leave).toHaveAttribute("aria-valuetext", "Sat 26 Sep");
  await leave.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("Sun 27 Sep to Wed 30 Sep 17:30")).toBeVisible();
  await page.goto(demo.url);
  const picks = page.locator("main section button[aria-label$='Why this day?']");
  const days = await picks.evaluateAll((all) => all.map((b) => b.getAttribute("aria-label") ?? ""));
  for (const day of ["Su 27", "Mo 28", "Tu 29"]) expect(days.some((l) => l.includes(day))).toBe(false);
});

test("the hours of a day on demand, with its minutes by part; a bed covered for the night", async ({ page, demo }) => {
  await page.goto(`${demo.url}/sky`);
  await page.getByRole("link", { name: "Hours of Wed 23 Sep" }).click();
  const hours = page.getByRole("region", { name: "Hours of Wed 23 Sep" });
  await expect(hours).toContainText(/Leaves (wet|dry)/);
  // The chart is loaded now, and not before.
  await expect(hours.locator(".recharts-line path").first()).toBeVisible();
  await hours.getByLabel(/Midday/).fill("25");
  await hours.getByRole("button", { name: "Set" }).nth(1).click();
  await expect(page.getByRole("slider", { name: "Minutes on Wed 23 Sep" })).toHaveAttribute("aria-valuenow", "70");
  await hours.getByRole("button", { name: "Back to the usual minutes" }).click();
  await expect(page.getByRole("slider", { name: "Minutes on Wed 23 Sep" })).toHaveAttribute("aria-valuenow", "45");
  const frost = card(page, /frost likely Wednesday night/i);
  await frost.getByRole("button", { name: "We cover it" }).first().click();
  await expect(frost).toContainText("Covered that night in the low bed");
  await frost.getByRole("button", { name: "Not covered after all" }).click();
  await expect(frost).not.toContainText("Covered that night");
});

test("a calendar file is shown, chosen from and taken in; a broken one is refused in a sentence", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  const choose = (text: string) => page.getByLabel("Calendar file").setInputFiles({ name: "ours.ics", mimeType: "text/calendar", buffer: Buffer.from(text) }); // prettier-ignore
  await choose("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1");
  await page.getByRole("button", { name: "Read the calendar" }).click();
  await expect(page.getByRole("alert")).toContainText("breaks off before its end");
  await choose(["BEGIN:VCALENDAR", "BEGIN:VEVENT", "UID:1", "SUMMARY:Fair", "DTSTART;VALUE=DATE:20260921", "DTEND;VALUE=DATE:20260923", "END:VEVENT", "BEGIN:VEVENT", "UID:2", "SUMMARY:Choir", "DTSTART:20260924T160000", "DTEND:20260924T210000", "END:VEVENT", "END:VCALENDAR"].join("\r\n")); // prettier-ignore
  await page.getByRole("button", { name: "Read the calendar" }).click();
  await expect(page.getByLabel("What Fair is")).toHaveValue("trip");
  await expect(page.getByLabel("What Choir is")).toHaveValue("busy");
  await page.getByRole("button", { name: "Take these in" }).click();
  await expect(page.getByText("1 trip and 1 busy time taken in")).toBeVisible();
  await expect(page.getByRole("slider", { name: "Fair, last day away" })).toHaveAttribute(
    "aria-valuetext",
    "Tue 22 Sep",
  );
  await expect(page.getByRole("slider", { name: "Minutes on Thu 24 Sep" })).toHaveAttribute("aria-valuenow", "0");
});

test("a treatment logged at a planting keeps it out of the round until its days are over", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plantings/bean-dwarf`);
  await page.getByLabel("Product").fill("soft soap");
  await page.getByRole("button", { name: "Log the treatment" }).click();
  await expect(page.getByRole("alert").first()).toContainText("Whole days, as on the label");
  await page.getByLabel("Product").fill("soft soap");
  await page.getByLabel("Days before picking").fill("3");
  await page.getByRole("button", { name: "Log the treatment" }).click();
  await expect(page.getByText("Logged: no pick before Tuesday.")).toBeVisible();
  await page.goto(`${demo.url}/check/bean-dwarf`);
  await expect(page.getByTestId("verdict")).toContainText("Do not pick before Tuesday: treated with soft soap today");
  await page.goto(`${demo.url}/round`);
  await expect(page.getByText("French bean, dwarf")).toHaveCount(0);
  await page.goto(`${demo.url}/sky`);
  for (let n = 0; n < 3; n++) await nextDay(page);
  await page.goto(`${demo.url}/check/bean-dwarf`);
  await expect(page.getByTestId("verdict")).not.toContainText("treated");
});
