import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { readPlantingLine, type DayOrder } from ".";

const crops = catalogue();
const TODAY = "2026-09-19";
const read = (line: string, order?: DayOrder) => readPlantingLine(crops, line, TODAY, order);

/** Lines as gardeners type them, and what they mean: facts of the trade, common practice. */
describe("the noun that stands last names the crop, what is round it its variety", () => {
  test.each<[string, string, string]>([
    ["9 Blue Lake green beans", "bean_bush", "Blue Lake"],
    ["20 early purple white garlic", "garlic_softneck", "early purple white"],
    ["6 Early Girl tomatoes", "tomato_large", "Early Girl"],
    ["30 Early Italian Purple garlic", "garlic_softneck", "Early Italian Purple"],
    ["40 White Icicle radish", "radish_root", "White Icicle"],
    ["8 white Russian kale", "kale_leaf", "white Russian"],
    ["20 Purple Top turnips", "turnip", "Purple Top"],
    ["6 purple sprouting broccoli", "broccoli_head", "purple sprouting"],
    ["3 yellow courgettes", "courgette", "yellow"],
    ["12 Yellow Finn potatoes", "potato_maincrop", "Yellow Finn"],
    ["4 Roma tomatoes", "tomato_large", "Roma"],
    ["4 slicing tomatoes", "tomato_large", "slicing"],
    ["2 slicing cucumbers", "cucumber_slicing", ""],
    ["nine purple beans", "bean_purple", ""],
    ["purple beans x9", "bean_purple", ""],
    ["two courgettes", "courgette", ""],
    ["a dozen leeks", "leek", ""],
    ["half a dozen chard", "chard", ""],
    ["6 ruby red chard", "chard", "ruby red"],
    ["60 Candy onions", "onion_bulb", "Candy"],
    ["27 Yukon Gold potatoes", "potato_maincrop", "Yukon Gold"],
    ["10 new potatoes", "potato_early", ""],
    ["5 Brandywine tomatoes", "tomato_large", "Brandywine"],
    ["3 Black Cherry tomatoes", "tomato_cherry", "Black"],
    ["4 Black Beauty eggplant", "aubergine", "Black Beauty"],
    ["6 Red Russian kale", "kale_leaf", "Red Russian"],
    ["40 Hurst Green Shaft peas", "pea_shelling", "Hurst Green Shaft"],
    ["40 English peas", "pea_shelling", "English"],
    ["8 sweet peas", "sweet_pea_flower", ""],
    ["30 sugar snap peas", "pea_sugar_snap", ""],
    ["4 summer cauliflowers", "cauliflower", "summer"],
    ["5 red cabbage", "cabbage", "red"],
    ["3 green peppers", "pepper_sweet", "green"],
    ["2 butternut squash", "winter_squash", "butternut"],
    ["2 butternut", "winter_squash", "butternut"],
    ["2 acorn squash", "winter_squash", "acorn"],
    ["4 delicata squash", "winter_squash", "delicata"],
    ["3 pattypan", "patty_pan", ""],
    ["10 autumn fruiting raspberries", "raspberry_autumn", ""],
    ["10 raspberry canes", "raspberry_summer", ""],
    ["12 sweet potato slips", "sweet_potato_root", ""],
    ["24 garlic cloves", "garlic_softneck", ""],
    ["10 asparagus crowns", "asparagus", ""],
    ["6 tomato plants", "tomato_large", ""],
    ["12 climbing French beans", "bean_pole", ""],
    ["12 French bean climbing", "bean_pole", "French"],
    ["20 rattlesnake pole beans", "bean_pole", "rattlesnake"],
    ["3 romaine lettuce", "lettuce_heading", ""],
    ["60 red onion sets", "onion_bulb", "red"],
    ["12 sweet corn", "sweetcorn", ""],
  ])("“%s”", (words, crop, variety) => {
    const got = read(`${words}, planted 3 May`);
    if (got.status !== "understood") throw new Error(got.sentence);
    expect([got.crop.id, got.variety]).toEqual([crop, variety]);
  });

  test.each([
    ["6 lettuce", /may be .*lettuce.* or /],
    ["2 yellow squash", /may be “.*squash.*courgette|zucchini|summer squash/],
    ["1 lemon tree", /No crop called “lemon tree”/],
    ["4 sweet Williams", /No crop called/],
    ["3 okra", /No crop called/],
    ["carrots Mokum", /How many\? .*3 m of carrots Mokum/],
    ["row of carrots", /How long is the row/],
  ])("“%s” is asked or refused, never guessed", (words, sentence) => {
    const got = read(`${words}, planted 3 May`);
    expect(got).toMatchObject({ status: "not understood", sentence: expect.stringMatching(sentence) as string });
  });

  test("every name of every crop is found, or asked for where two have it", () => {
    for (const crop of crops)
      for (const name of [crop.name, ...crop.alsoCalled]) {
        const got = read(`4 ${name.replace(/,/g, "")}, planted 3 May`);
        if (got.status === "understood") expect([crop.id, ...shared(name)], name).toContain(got.crop.id);
        else expect(got.sentence, name).toMatch(/may be/);
      }
  });
});

/** Other crops that a name may end in: "sweet potato leaf" is none of them, "scarlet runner" stands by itself. */
const shared = (name: string) => crops.filter((c) => c.alsoCalled.includes(name)).map((c) => c.id);

describe("days as they are typed", () => {
  test.each<[string, string | undefined, string | undefined]>([
    ["6/1/2026", "2026-01-06", "2026-06-01"],
    ["5/20/2026", "2026-05-20", "2026-05-20"],
    ["6/1", "2026-01-06", "2026-06-01"],
    ["May 20, 2026", "2026-05-20", "2026-05-20"],
    ["Oct 21 2025", "2025-10-21", "2025-10-21"],
    ["3rd of May", undefined, undefined],
    ["9 weeks ago", "2026-07-18", "2026-07-18"],
    ["80 days old", "2026-07-01", "2026-07-01"],
    ["two weeks ago", "2026-09-05", "2026-09-05"],
    ["yesterday", "2026-09-18", "2026-09-18"],
    ["1.5.2026", "2026-05-01", "2026-05-01"],
    ["Sept 1", "2026-09-01", "2026-09-01"],
    ["31/31/2026", undefined, undefined],
  ])("“%s” by day first %s, by month first %s", (words, dayFirst, monthFirst) => {
    const day = (order: DayOrder) => {
      const got = read(`6 carrots, sown ${words}`, order);
      return got.status === "understood" ? got.startedOn : undefined;
    };
    expect([day("day first"), day("month first")]).toEqual([dayFirst, monthFirst]);
  });

  test("no comma is needed before how it started", () => {
    expect(read("20 french beans purple sown 10 may")).toMatchObject({ status: "understood", startedOn: "2026-05-10" });
    expect(read("6 kale planted 2 June, Long bed")).toMatchObject({ status: "understood", bedName: "Long bed" });
  });
});
