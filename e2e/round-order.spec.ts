import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

/** Beds of the walk that is shown, as it goes. */
const bedsOf = (page: Page) =>
  page.getByRole("main").locator("ol > li strong:first-child").evaluateAll((all) => all.map((el) => el.textContent ?? "")); // prettier-ignore

test("the walk is put in order by dragging and by keys, is walked so, and shared between two", async ({
  page,
  demo,
}, info) => {
  await page.goto(`${demo.url}/round`);
  await expect(page.getByText(/^Set out (now|about)/)).toBeVisible();
  const before = await bedsOf(page);
  expect(before.length).toBeGreaterThan(2);

  await page.getByRole("button", { name: "Change the order" }).click();
  const handles = page.getByRole("button", { name: /^Move / });
  await expect(handles).toHaveCount(before.length);
  // The last bed, by pointer, to the top.
  const [from, to] = [(await handles.last().boundingBox())!, (await handles.first().boundingBox())!];
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + 20, to.y + 4, { steps: 12 });
  await page.mouse.up();
  const dragged = [before.at(-1)!, ...before.slice(0, -1)];
  await expect.poll(() => bedsOf(page)).toEqual(dragged);
  await expect(page.getByText("In the order that you put it.")).toBeVisible();
  // And one place back by keys.
  await handles.first().focus();
  await page.keyboard.press("Space");
  await expect(page.getByText(/is taken up|comes at place 1/)).toBeAttached();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByText(/comes at place 2/)).toBeAttached();
  await page.keyboard.press("Space");
  const put = [dragged[1]!, dragged[0]!, ...dragged.slice(2)];
  await expect.poll(() => bedsOf(page)).toEqual(put);
  await page.getByRole("button", { name: "Done with the order" }).click();
  await expect.poll(() => bedsOf(page)).toEqual(put);
  await page.reload();
  expect(await bedsOf(page)).toEqual(put);
  await page.getByRole("button", { name: "Back to my own order" }).click();
  await expect.poll(() => bedsOf(page)).toEqual(before);

  // For two: the same beds on two stretches.
  await page.getByRole("button", { name: "Share it between two" }).click();
  await expect(page.getByRole("heading", { name: /^One of you · \d+ min$/ })).toBeVisible();
  expect((await bedsOf(page)).sort()).toEqual([...before].sort());

  await page.getByRole("button", { name: /^Start the round/ }).click();
  const whole = (await page.getByText(/^1 of \d+/).first().innerText()).match(/of (\d+)/)![1]!; // prettier-ignore
  const stretches = page.getByRole("group", { name: "Who walks what" }).getByRole("button");
  await expect(stretches).toHaveCount(3);
  const counts: number[] = [];
  for (const n of [1, 2]) {
    await stretches.nth(n).click();
    await expect(stretches.nth(n)).toHaveAttribute("aria-pressed", "true");
    counts.push(
      Number(
        (
          await page
            .getByText(/^\d+ of \d+/)
            .first()
            .innerText()
        ).match(/of (\d+)/)![1],
      ),
    );
  }
  expect(counts[0]! + counts[1]!).toBe(Number(whole));
  // The device remembers its stretch while the round is out.
  await page.reload();
  await expect(stretches.nth(2)).toHaveAttribute("aria-pressed", "true");
  if (info.project.name === "phone") {
    const box = (await stretches.first().boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(48);
  }
});
