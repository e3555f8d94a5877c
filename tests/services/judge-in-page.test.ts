import { parse, stringify } from "devalue";
import { expect, test } from "vitest";
import { outlookFrom, withLookNow, type PlantingSheet } from "~/core/garden";
import { theGarden } from "~/db/garden/garden.server";
import { checkPage } from "~/services/check/check-page.server";
import { todayOf } from "~/services/garden/clock.server";
import { sheetOfPlanting } from "~/services/garden/plan-garden.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { verdictNow } from "~/views/check/verdict-now";
import { inUnits } from "~/views/words";
import { demoGarden, send, type GardenOfTest } from "./garden-fixture";

/** As it goes to the page and is read there. */
function sheetOf({ db }: GardenOfTest, plantingId: string): PlantingSheet {
  const sheet = sheetOfPlanting(db, theGarden(db)!, plantingId, { outlooks: { plantings: new Map() } });
  return parse(stringify(sheet)) as PlantingSheet;
}
const headOf = ({ db }: GardenOfTest, plantingId: string) => {
  const page = checkPage(db, theGarden(db)!, plantingId);
  if (page?.status !== "growing") throw new Error("it does not grow");
  const { arc, stage, verdict, urgent, conflict } = page.view;
  return { arc, stage, verdict, urgent, conflict };
};

test("what goes to the page is all that a verdict stands on: every planting of the demo is judged the same from it", () => {
  const made = demoGarden();
  const { outlook } = plannedGarden(made.db, theGarden(made.db)!);
  for (const p of outlook.plantings) {
    const here = outlookFrom(sheetOf(made, p.planting.id));
    expect([p.planting.id, here.judgement.verdict]).toEqual([p.planting.id, p.judgement.verdict]);
    expect([p.planting.id, here.judgement.arc]).toEqual([p.planting.id, p.judgement.arc]);
    expect(here.judgement.odds).toEqual(p.judgement.odds);
  }
});

test("a tap: the page tells at once what the server answers, whatever is tapped, one after the other", () => {
  const made = demoGarden();
  const row = theGarden(made.db)!;
  const { plantings } = plannedGarden(made.db, row).outlook;
  let changed = 0;
  for (const { planting, judgement } of plantings.filter((_, n) => n % 6 === 0)) {
    const [cue] = judgement.nextLooks.map((next) => next.cue);
    if (!cue) continue;
    const before = headOf(made, planting.id);
    let sheet = sheetOf(made, planting.id);
    for (const { id: readingId } of [cue.readings[0]!, cue.readings.at(-1)!]) {
      sheet = withLookNow(sheet, { cueId: cue.id, readingId })!;
      expect(send(made.db, { kind: "look", plantingId: planting.id, cueId: cue.id, readingId }).status).toBe("applied");
      const here = inUnits(verdictNow(outlookFrom(sheet), todayOf(row), row.unitSystem), row.unitSystem);
      expect([planting.id, readingId, here]).toEqual([planting.id, readingId, headOf(made, planting.id)]);
      if (here.verdict !== before.verdict) changed++;
    }
    // Taken back: as it was.
    sheet = withLookNow(sheet, { cueId: cue.id, readingId: null })!;
    expect(verdictNow(outlookFrom(sheet), todayOf(row), row.unitSystem).verdict).toBe(before.verdict);
  }
  expect(changed).toBeGreaterThan(3);
});

test("where the answer hangs on more, the page leaves it to the server: shares, and a pick of the same day", () => {
  const made = demoGarden();
  const today = todayOf(theGarden(made.db)!);
  const sheet = sheetOf(made, "tomato-red");
  const { crop } = outlookFrom(sheet);
  const [cue] = crop.cues;
  const look = { cueId: cue!.id, readingId: cue!.readings[0]!.id };
  expect(withLookNow(sheet, look)).toBeDefined();
  const looks = [{ ...look, takenOn: today, share: 0.3 }];
  expect(withLookNow({ ...sheet, planting: { ...sheet.planting, looks } }, look)).toBeUndefined();
  const picks = [{ pickedOn: today, pieces: 3, tookAll: true }];
  expect(withLookNow({ ...sheet, planting: { ...sheet.planting, picks } }, look)).toBeUndefined();
});
