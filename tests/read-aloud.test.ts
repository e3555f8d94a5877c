import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import { allPlantings } from "~/db/beds/plantings.server";
import { theGarden } from "~/db/garden/garden.server";
import { bedsPage } from "~/services/beds/beds-page.server";
import { checkPage } from "~/services/check/check-page.server";
import { stepDemoClock } from "~/services/garden/clock.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { cropPage } from "~/services/notes/notes-page.server";
import { roundPage } from "~/services/round/round-page.server";
import { skyPage } from "~/services/sky/sky-page.server";
import { judgeAnswer } from "~/views/edge";
import { demoGarden } from "./services/garden-fixture";

/** What nobody says to a neighbour over the fence; the words before it may name the place. */
const UNSPOKEN: Record<string, RegExp> = {
  "one of many":
    /(?<![\d.,–/] ?)\b1 (?:days|weeks|minutes|rounds|plantings|pieces|pods|leaves|months|years|seasons|hours|plants|heads|stems|ears|fruits|picks|counts)\b/,
  "many of one":
    /\b(?:[2-9]|[1-9]\d+) (?:day|week|minute|round|planting|piece|pod|month|year|season|hour|plant|root|head|stem|ear|pick|count)\b(?![-’])/,
  "the wrong article": /\ba (?!one|uni|use|eu|usual|once)[aeiou]\w*|\b[Aa]n (?!hour|honest|heir)[^aeiouAEIOU\d“8 ]\w*/,
  "a word twice": /\b(?!that\b|had\b)([A-Za-z]+) \1\b/,
  "an amount of nothing": /(?<![\d.,])0 (?:g|kg|oz|lb|pieces|minutes|min|plants)\b/,
  "a hole": /undefined|null|NaN|Infinity|\[object| ,| \.(?!\d)|\.\.|;\.|:\.|,,|,\.| {2}|\(\)|[{}]/,
  "the machine’s words":
    /\b(?:probabilit|posterior|threshold|percentile|algorithm|optimal|solver|parameter|likelihood)\w*/i,
  "a number nobody needs": /\d+\.\d{3,}(?!\))/,
  "a typewriter’s mark": /\w'\w|"/,
  "a range of one": /\bbetween ([\w ]+) and \1\b|(?<![\d.:])(\d+) to \2(?![\d.:])/,
};
/** A sentence longer than this is lost on the way to the bed, in words. */
const BREATH = 46;
const NAMES = [
  "id",
  "path",
  "standing",
  "source",
  "name",
  "observed",
  "at",
  "clock",
  "title",
  "unit",
  "variety",
  "bed",
];

function textsOf(value: unknown, key = ""): string[] {
  if (NAMES.includes(key)) return [];
  if (typeof value === "string") return /\s/.test(value.trim()) ? [value] : [];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => textsOf(v, Array.isArray(value) ? key : k));
}

function faults(where: string, page: unknown): string[] {
  return textsOf(page).flatMap((text) => {
    const law = Object.keys(UNSPOKEN).find((name) => UNSPOKEN[name]!.test(text));
    const long = text.split(/(?<=[.?!;]) /).some((sentence) => sentence.split(" ").length > BREATH);
    return law || long ? [`${where}: ${law ?? "out of breath"}: ${text}`] : [];
  });
}

test("what a verdict, its how-to and its waiting say of every crop can be said over the fence", () => {
  const crops = catalogue();
  const today = "2026-08-10";
  const wrong = crops.flatMap((crop) =>
    crop.cues
      .filter((c) => !c.auto)
      .flatMap((cue) =>
        // One reading of each cue, another one in each crop; one-voice.test.ts asks all of them for other things.
        cue.readings
          .filter((_, n) => n === crop.name.length % cue.readings.length)
          .flatMap((reading) =>
            [undefined, 0.3].flatMap((share) => {
              const startedOn = addDays(
                today,
                -Math.round(((crop.packet.low + crop.packet.high) / 2) * (share ? 0.9 : 1.2)),
              );
              const looks = [{ cueId: cue.id, readingId: reading.id, takenOn: today, ...(share ? { share } : {}) }];
              const { verdict, how, waiting, parts } = judgeAnswer({ crop: crop.id, today, latitude: 48, startedOn, plants: 12, growingYear: 5, looks }, crops); // prettier-ignore
              return faults(`${crop.id} ${cue.id} ${reading.id}`, [verdict.sentence, how, waiting, parts]);
            }),
          ),
      ),
  );
  expect(wrong).toEqual([]);
});

test.each(["metric", "us"] as const)("so can every crop’s field notes: %s", (units) => {
  const { db } = demoGarden(units);
  expect(catalogue().flatMap((c) => faults(c.id, cropPage(db, c.id, units)))).toEqual([]);
});

test.each(["metric", "us"] as const)("and every page of the demo’s garden through autumn: %s", (units) => {
  const { db } = demoGarden(units);
  const wrong = [0, 1, 2, 3, 4, 5].flatMap((step) => {
    const garden = theGarden(db)!;
    const pages = { horizon: horizonPage(db, garden), round: roundPage(db, garden), beds: bedsPage(db, garden), sky: skyPage(db, garden, null) }; // prettier-ignore
    const checks = step % 3 === 0 ? allPlantings(db).map((p) => [p.id, checkPage(db, garden, p.id)] as const) : [];
    const found = [...Object.entries(pages), ...checks].flatMap(([where, page]) => faults(`${garden.demoDay} ${where}`, page)); // prettier-ignore
    stepDemoClock(db, 7);
    return found;
  });
  expect([...new Set(wrong)]).toEqual([]);
});

test("the laws catch what they are for", () => {
  for (const said of [
    "1 pieces",
    "3 planting wait",
    "a egg",
    "take take it",
    "about 0 g",
    "Take it: .",
    "12.0761 mm",
    "between Monday and Monday",
  ])
    // prettier-ignore
    expect(faults("", [`Said ${said} here`]), said).toHaveLength(1);
  expect(faults("", ["Take the two that bolted, leave the rest. Look again Saturday."])).toEqual([]);
});
