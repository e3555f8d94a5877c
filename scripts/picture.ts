import { chromium } from "@playwright/test";
import { CHROMIUM } from "../e2e/chromium";

/** Pictures of running screens: tsx scripts/picture.ts OUTPUT PATH [WIDTHxHEIGHT] [dark] … */
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
for (const flag of flags.filter((f) => f.startsWith("click="))) {
  const name = new RegExp(flag.slice(6));
  await page
    .getByRole("button", { name })
    .or(page.locator("summary", { hasText: name }))
    .first()
    .click();
  await page.waitForTimeout(600);
}
for (const flag of flags.filter((f) => f.startsWith("scroll="))) await page.mouse.wheel(0, Number(flag.slice(7)));
await page.waitForTimeout(300);
await page.screenshot({ path: out, fullPage: flags.includes("full") });
await browser.close();
