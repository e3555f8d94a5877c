import { NOW } from "./garden-server";
import { expect, test } from "./gardener";

test("a new household: place, beds, plantings in a line, weather from a file, a trip; wrong input answered and kept", async ({
  page,
  household,
}) => {
  await page.goto(household.url);
  await expect(page).toHaveURL(/setup/);
  await page.getByLabel("The garden’s name").fill("Back garden");
  await page.getByText("Coordinates, time zone, height above the sea").click();
  await page.getByLabel("Height above the sea").fill("a hill");
  await page.getByLabel("Latitude").fill("95");
  await page.getByLabel("Longitude").fill("-122.3");
  await page.getByLabel("Time zone").fill("America/Los_Angeles");
  await page.getByRole("button", { name: "Begin" }).click();
  await expect(page.getByText("A latitude lies between −90 and 90 degrees.").first()).toBeVisible();
  await expect(page.getByText(/Write the height like 120 m/)).toBeVisible();
  await expect(page.getByLabel("The garden’s name")).toHaveValue("Back garden");
  await page.getByLabel("Height above the sea").fill("");
  await page.getByLabel("Latitude").fill("47.6");
  await page.getByRole("button", { name: "Begin" }).click();

  // Beds and a planting line.
  await expect(page).toHaveURL(/beds/);
  await page.getByRole("button", { name: "Add the bed" }).click();
  await expect(page.getByText("Give the bed a name you would say aloud.")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill("Long bed");
  await page.getByRole("button", { name: "Add the bed" }).click();
  const line = page.getByLabel("Add a planting to Long bed");
  await line.fill("6 tulips, sown 3 May");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(/No crop called “tulips”/)).toBeVisible();
  await expect(line).toHaveValue("6 tulips, sown 3 May");
  await line.fill("6 kale curly, planted 31 June");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(/“31 June” is not a day/)).toBeVisible();
  await line.fill("6 kale curly, planted 3 May");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(/6 × Kale, curly, planted 3 May/)).toBeVisible();
  await page.getByRole("button", { name: "Add it" }).click();
  await expect(page.getByRole("link", { name: /6 Kale, curly/ })).toBeVisible();

  // Weather: rubbish refused, a real file asked about its wind, then taken in.
  await page.goto(`${household.url}/sky`);
  const file = page.getByLabel("Weather file");
  await file.setInputFiles({ name: "rubbish.csv", mimeType: "text/csv", buffer: Buffer.from("x!%&\n".repeat(10_000)) });
  await page.getByRole("button", { name: "Read the file" }).click();
  await expect(page.getByText(/only one column/)).toBeVisible();
  await file.setInputFiles("node_modules/vega-datasets/data/seattle-weather.csv");
  await page.getByRole("button", { name: "Read the file" }).click();
  await expect(page.getByText("1461 days found.", { exact: false })).toBeVisible();
  await page.getByLabel("Wind is in").selectOption("m/s");
  await page.getByRole("button", { name: "Take it in with these units" }).click();
  await expect(page.getByText(/1461 days of record and 0 of forecast taken in/)).toBeVisible();
  await expect(page.getByText(/Usual weather from 4 years on record/)).toBeVisible();

  // A trip the wrong way round, then a good one; minutes below zero.
  await page.getByLabel("Trip", { exact: true }).fill("Coast");
  const day = (ahead: number) => new Date(Date.parse(NOW) + ahead * 86_400_000).toISOString().slice(0, 10);
  await page.getByLabel("First day away", { exact: true }).fill(day(9));
  await page.getByLabel("Last day away", { exact: true }).fill(day(5));
  await page.getByRole("button", { name: "Add the trip" }).click();
  await expect(page.getByText("The trip ends before it starts.")).toBeVisible();
  await expect(page.getByLabel("Trip", { exact: true })).toHaveValue("Coast");
  await page.getByLabel("Last day away", { exact: true }).fill(day(11));
  await page.getByRole("button", { name: "Add the trip" }).click();
  await expect(page.getByText(/Coast noted/)).toBeVisible();
  await page.getByLabel("Wed, evening").fill("-10");
  await page.getByRole("button", { name: "Save the week" }).click();
  await expect(page.getByText("Minutes cannot be below zero.")).toBeVisible();

  // The horizon of the new garden.
  await page.goto(household.url);
  await expect(page.getByRole("link", { name: /Kale/ }).first()).toBeVisible();
  await expect(page.getByText("Demo", { exact: true })).toHaveCount(0);
});

test("pages that are not there say so and lead back", async ({ page, demo }) => {
  for (const path of ["/nowhere", "/check/nobody", "/ledger/nothing", "/plantings/none"]) {
    const response = await page.goto(demo.url + path);
    expect(response?.status(), path).toBe(404);
    await expect(page.getByRole("link", { name: "Back to the horizon" })).toBeVisible();
  }
});
