import { chromium } from "@playwright/test";
import { CHROMIUM } from "../e2e/chromium";

/** Pictures of running screens: tsx scripts/picture.ts OUTPUT PATH [WIDTHxHEIGHT] [dark] [click=NAME] [drag=PLANTING:DAYS] … */
const [out = "picture.png", path = "/", size = "1280x800", ...flags] = process.argv.slice(2);
const [width = 1280, height = 800] = size.split("x").map(Number);
const base = process.env.AKMEDON_URL ?? "http://127.0.0.1:4160";
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({
  viewport: { width, height },
  colorScheme: flags.includes("dark") ? "dark" : "light",
  hasTouch: width < 600,
});
page.on("console", (m) => m.type() === "error" && console.error("console:", m.text()));
page.on("pageerror", (e) => console.error("page:", e.message));
await page.goto(base + path, { waitUntil: "networkidle" });
// What the worker says under the garden’s name is part of the picture.
await page
  .locator("header summary")
  .waitFor({ timeout: 30_000 })
  .catch(() => undefined);
for (const flag of flags.filter((f) => f.startsWith("click="))) {
  const name = new RegExp(flag.slice(6));
  await page
    .getByRole("button", { name })
    .or(page.locator("summary", { hasText: name }))
    .first()
    .click();
  await page.waitForTimeout(600);
}
for (const flag of flags.filter((f) => f.startsWith("drag="))) {
  const [plantingId, columns] = flag.slice(5).split(":");
  await page.waitForTimeout(2500);
  const handle = page.locator(`[data-row="${plantingId}"] .pick`).first();
  await handle.evaluate((el) => el.scrollIntoView({ block: "center" }));
  const at = (await handle.boundingBox())!;
  const row = (await page.locator(`[data-ridge="${plantingId}"]`).boundingBox())!;
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + (Number(columns) * row.width) / 14, y, { steps: 6 });
  await page.locator("[data-settled]").waitFor();
}
for (const flag of flags.filter((f) => f.startsWith("scroll="))) await page.mouse.wheel(0, Number(flag.slice(7)));
await page.waitForTimeout(300);
await page.screenshot({ path: out, fullPage: flags.includes("full") });
await browser.close();
