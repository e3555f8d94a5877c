import { expect, test } from "./gardener";

test("what no page knows is refused in a sentence, and changes nothing", async ({ request, readDemo }) => {
  const before = await (await request.get(`${readDemo.url}/ledger.csv`)).text();
  for (const path of [
    "/beds",
    "/sky",
    "/ledger",
    "/ledger/tomato-red-2026-09-16",
    "/plantings/tomato-red",
    "/notes/carrot",
    "/round",
  ]) {
    const answer = await request.post(readDemo.url + path, { form: { intent: "dance" } });
    expect(answer.status(), path).toBe(400);
    expect(await answer.text(), path).toContain("That is not something");
    expect((await request.post(readDemo.url + path, { data: "no form" })).status(), path).toBe(400);
  }
  for (const path of ["/", "/check/tomato-red", "/picks", "/looks"])
    expect((await request.post(readDemo.url + path, { form: { intent: "dance" } })).status(), path).toBeGreaterThanOrEqual(404); // prettier-ignore
  expect(await (await request.get(`${readDemo.url}/ledger.csv`)).text()).toBe(before);
});

test("pages of what is not there say so", async ({ page, readDemo }) => {
  for (const path of ["/check/nobody", "/plantings/nobody", "/ledger/nothing", "/notes/moonflower"]) {
    const answer = await page.goto(readDemo.url + path);
    expect(answer?.status(), path).toBe(404);
    await expect(page.locator("body")).toContainText(/no longer there|not in the ledger|no such crop|Nothing grows/i);
  }
});
