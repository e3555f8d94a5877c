import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { expect, test } from "./gardener";

test("every screen runs under the policy: no script but ours, nothing that the browser refuses", async ({
  page,
  demo,
}) => {
  const refused: string[] = [];
  page.on("console", (m) => m.type() === "error" && refused.push(m.text()));
  page.on("pageerror", (e) => refused.push(e.message));
  for (const path of [
    "/",
    "/round",
    "/beds",
    "/check/tomato-red",
    "/sky?day=2026-09-22",
    "/ledger",
    "/notes",
    "/notes/carrot",
  ]) {
    const answer = await page.goto(demo.url + path, { waitUntil: "networkidle" });
    expect(answer!.headers()["content-security-policy"]).toMatch(/script-src 'self' 'nonce-[^']{20,}'/);
    expect(answer!.headers()).toMatchObject({ "x-content-type-options": "nosniff", "x-frame-options": "DENY" });
  }
  await page.getByRole("link", { name: "Round" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
  expect(refused).toEqual([]);
});

test("a page of another site can neither write into the garden nor read it", async ({ page, demo }) => {
  const attack = `<form method="post" action="${demo.url}/demo/step"><input name="days" value="9"><button>Win a spade</button></form>
    <script>window.tried = Promise.all([
      fetch("${demo.url}/entries", { method: "POST", body: '{"entries":[]}' }),
      fetch("${demo.url}/ledger.csv"),
      fetch("${demo.url}/calendar.ics"),
    ].map((p) => p.then((r) => r.text(), () => "kept out")));</script>`;
  const other = createServer((_, response) => response.setHeader("Content-Type", "text/html").end(attack));
  await new Promise<void>((ready) => other.listen(0, "127.0.0.1", ready));
  try {
    await page.goto(`http://127.0.0.1:${(other.address() as AddressInfo).port}/`);
    expect(await page.evaluate("window.tried")).toEqual(["kept out", "kept out", "kept out"]);
    await page.getByRole("button", { name: "Win a spade" }).click();
    await expect(page.getByText("Another site may not ask the garden for anything.")).toBeVisible();
    await page.goto(demo.url);
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Saturday, 19 September");
  } finally {
    other.close();
  }
});

test.describe("before its scripts have come", () => {
  test.use({ javaScriptEnabled: false });
  test("a form of the app itself is taken", async ({ page, demo }) => {
    await page.goto(demo.url);
    await page.getByRole("button", { name: "Next day" }).click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Sunday, 20 September");
  });
});
