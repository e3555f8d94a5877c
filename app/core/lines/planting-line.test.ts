import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { readPlantingLine } from ".";

const read = (line: string) => readPlantingLine(catalogue(), line, "2026-09-19");

test.each([
  [
    "6 courgette, sown 3 May, bed 4",
    { plants: 6, crop: "courgette", variety: "", startEvent: "sown", startedOn: "2026-05-03", bedName: "bed 4" },
  ],
  [
    "6 Courgettes striped, sown 3rd May",
    {
      plants: 6,
      crop: "courgette",
      variety: "striped",
      startEvent: "sown",
      startedOn: "2026-05-03",
      bedName: undefined,
    },
  ],
  [
    "9 french bean purple, sown on 2026-07-08, in Long bed",
    { plants: 9, crop: "bean_purple", variety: "french", startedOn: "2026-07-08", bedName: "Long bed" },
  ],
  [
    "5x tomato, transplanted 25 May; Sun wall",
    { plants: 5, crop: "tomato_large", startEvent: "planted", startedOn: "2026-05-25", bedName: "Sun wall" },
  ],
  ["peach, blossom April 10", { plants: 1, crop: "peach", startEvent: "blossom", startedOn: "2026-04-10" }],
  ["3 m of carrots, sown 3 May", { plants: 1, lengthM: 3, crop: "carrot", startEvent: "sown" }],
  ["2,5 metres carrot nantes, sown 3 May", { lengthM: 2.5, crop: "carrot", variety: "nantes" }],
  ["10ft row of peas, sown 3 May", { lengthM: 3.05, crop: "pea_shelling" }],
  ["12 plants of kale, planted 1 Nov", { plants: 12, crop: "kale_leaf", startedOn: "2025-11-01" }],
])("“%s” is understood", (line, wanted) => {
  const got = read(line);
  if (got.status !== "understood") throw new Error(got.sentence);
  expect({ ...got, crop: got.crop.id }).toMatchObject(wanted);
});

test.each([
  ["", /Type what grows/],
  ["6 gladioli, sown 3 May", /No crop called “gladioli”.*field notes/],
  ["6 carot, sown 3 May", /Did you mean carrot\?/],
  ["0 carrot, sown 3 May", /not a number of plants/],
  ["-4 carrot, sown 3 May", /not a number of plants/],
  ["900 m carrot, sown 3 May", /between 10 cm and 500 m/],
  ["2.5 carrot, sown 3 May", /not a number of plants/],
  ["6 carrot", /Say when it started/],
  ["6 carrot, sown 31 June", /“31 June” is not a day/],
  ["6 carrot, sown 29 Feb", /not a day/],
  ["6 carrot, sown yesterdayish", /not a day/],
  ["6 carrot, sown 2027-01-01", /after today/],
  ["6 carrot, sown 3 May, bed 1, bed 2", /“bed 2” was not understood/],
  ["asdf qwer zxcv", /No crop called/],
])("“%s” is answered with a sentence", (line, words) => {
  const got = read(line);
  if (got.status !== "not understood") throw new Error("not understood");
  expect(got.sentence).toMatch(words);
});
