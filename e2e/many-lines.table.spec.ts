import { expect, test } from "./gardener";

const METRIC = ["Long bed:", "6 courgettes, planted 20 May", "row of lettuce, sown 1 Aug", "3 m of carrots Nantes, sown mid April", "6 carot, sown 3 May", "Greenhouse:", "4 Sungold, planted 20 May", "3 horse radish, planted 2019"]; // prettier-ignore
const US = ["Bed 1:", "6 zucchini, planted 5/20/2026", "row of lettuce, sown 8/1", "10 ft of carrots Danvers, sown 4/15", "6 carot, sown 5/3", "Hoop house:", "4 Sungold, planted 5/20", "3 horse radish, planted 2019"]; // prettier-ignore

for (const [town, chip, lines, bed, house, start] of [
  ["Leeds", "Leeds, England, United Kingdom", METRIC, "Long bed", "Greenhouse", "planted 20 May"],
  ["Portland, OR", "Portland, OR, United States", US, "Bed 1", "Hoop house", "planted May 20"],
] as const)
  test(`${town}: a garden from pasted lines, what is asked put right in place, added together and taken back`, async ({
    page,
    household,
  }) => {
    await page.goto(household.url);
    await page.getByLabel("Place", { exact: true }).fill(town);
    await page.getByRole("button", { name: chip }).click();
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page).toHaveURL(/beds/);

    await page.getByLabel("Plantings, a line each").fill(lines.join("\n"));
    await page.getByRole("button", { name: "Read them" }).click();
    const read = page.getByRole("list", { name: "Lines as they were read" });
    await expect(read.getByText(/6 × Courgette/)).toBeVisible();
    await expect(page.getByText(/3 still ask/)).toBeVisible();

    // Asked in place: the crop, the amount, a word that was spelt nearly so; what cannot be is left out.
    await read.getByRole("button", { name: "Lettuce, cut and come again" }).click();
    await expect(read.getByRole("button", { name: "Lettuce, heading" })).toHaveCount(0);
    await read.getByLabel(/^How many, of row of lettuce/).fill("2 m");
    await read.getByLabel(/^How many, of row of lettuce/).press("Enter");
    await expect(page.getByText(/2 still ask/)).toBeVisible();
    await read.getByRole("button", { name: "Carrot", exact: true }).click();
    await expect(page.getByText(/1 still asks/)).toBeVisible();
    await expect(read.getByText(/“horse radish” is a plant of its own/)).toBeVisible();
    await read.getByRole("button", { name: "Leave out 3 horse radish, planted 2019" }).click();
    await page.getByRole("button", { name: "Add all 5" }).click();

    await expect(page.getByText(/Added: 5 plantings and 2 beds/)).toBeVisible();
    await expect(page.getByRole("region", { name: bed }).getByText(start, { exact: false })).toBeVisible();
    await expect(page.getByRole("region", { name: house }).getByRole("link", { name: /4 Tomato.*Sungold/ }).first()).toBeVisible(); // prettier-ignore

    // Taken back as one, typed again, and the horizon says something.
    await page.getByRole("button", { name: "Take it back" }).click();
    await expect(page.getByText("Taken back.")).toBeVisible();
    await expect(page.getByRole("region", { name: bed })).toHaveCount(0);
    await page.getByLabel("Plantings, a line each").fill(lines.slice(0, 2).join("\n"));
    await page.getByRole("button", { name: "Read them" }).click();
    await page.getByRole("button", { name: "Add it" }).click();
    await expect(page.getByText(/Added: 1 planting/)).toBeVisible();
    await page.goto(household.url);
    await expect(page.getByRole("link", { name: /Courgette/ }).first()).toBeVisible();
    await expect(page.getByText(/I do not know about frost/).first()).toBeAttached();
  });
