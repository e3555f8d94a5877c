import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "~/core/calendar";
import type { Crop } from "~/core/crops";
import { judgeAnswer } from "~/views/edge";

const crops = catalogue();
const TODAY = "2026-09-10";
const frost = Array.from({ length: 6 }, (_, n) => ({ day: addDays(TODAY, n), minC: n < 3 ? 9 : -3, maxC: 17, rainMm: 0, windKmh: 10 })); // prettier-ignore

/** All that is said of a crop at four ages, in a frost and without one, when it is taken one way. */
function saidBy(crop: Crop, school: string, option: string): string {
  const ages = [0.75, 0.95, 1.1, 1.5];
  return JSON.stringify(
    ages.flatMap((age) =>
      [[], frost].map((forecast) => {
        const startedOn = addDays(TODAY, -Math.round(age * crop.packet.high));
        const input = { crop: crop.id, today: TODAY, latitude: 48, startedOn, plants: 12, growingYear: 5, forecast, schools: { [school]: option } }; // prettier-ignore
        const { verdict, how, waiting, after, parts, shareReady } = judgeAnswer(input, crops);
        return { sentence: verdict.sentence, takeBy: verdict.takeBy, how, waiting, after, parts, shareReady };
      }),
    ),
  );
}

/** Every way that is offered makes a difference, or it would not be a choice. */
describe("each way of each crop changes what is said or planned", () => {
  const schools = crops.flatMap((crop) => crop.schools.map((school) => [crop.id, school.id, crop, school] as const));
  test.each(schools)("%s: %s", (_, __, crop, school) => {
    const said = school.options.map((o) => saidBy(crop, school.id, o.id));
    const alike = school.options.filter((_, n) => said.indexOf(said[n]!) !== n).map((o) => o.id);
    expect(alike).toEqual([]);
  });

  test("the usual way is what is said when nobody has chosen", () => {
    const garlic = crops.find((c) => c.id === "garlic_hardneck")!;
    expect(saidBy(garlic, "scapes", "remove")).toBe(saidBy(garlic, "none of its own", "remove"));
  });

  test("what a way leaves out is in the usual words of a crop it is a question of", () => {
    const words = ({ pick, after }: Crop) => `${pick.how} ${pick.stays} ${pick.not} ${after.text}`;
    const idle = schools.flatMap(([, id, , school]) =>
      school.options.flatMap(
        (o) =>
        o.drops.filter((d) => !crops.some((c) => school.crops.includes(c.id) && words(c).includes(d))).map((d) => `${id} ${o.id}: ${d}`), // prettier-ignore
      ),
    );
    expect([...new Set(idle)]).toEqual([]);
  });
});
