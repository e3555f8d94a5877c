import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays, daysBetween } from "../calendar";
import { yieldSpread } from "../life";
import { asTheCatalogueSays, leafOffer, settingRate } from ".";

const today = "2026-08-10";
const courgette = catalogue().find((c) => c.id === "courgette")!;
const kale = catalogue().find((c) => c.id === "kale_leaf")!;
/** Three plants in steady bearing: so many pieces a day. */
const A_DAY = 1.3;
const expected = (after: string | null, to: string) => (after ? A_DAY * daysBetween(after, to) : 0);
const picks = (pieces: number, gaps = [12, 9, 6, 3]) => gaps.map((ago) => ({ pickedOn: addDays(today, -ago), pieces, tookAll: true })); // prettier-ignore
const rate = (pieces: number, counts: { countedOn: string; what: "ready"; number: number }[] = []) =>
  settingRate(asTheCatalogueSays(courgette), { picks: picks(pieces), counts }, expected, today);

test("without picks it bears as the catalogue says", () =>
  expect(settingRate(asTheCatalogueSays(courgette), { picks: [] }, expected, today)).toEqual({
    factor: 1,
    logSpread: yieldSpread(courgette),
    seen: 0,
  }));

test("picks above the expected raise the rate, below lower it, never out of reason", () => {
  expect(rate(12).factor).toBeGreaterThan(1.2);
  expect(rate(1).factor).toBeLessThan(0.9);
  expect(rate(0).factor).toBeLessThan(rate(1).factor);
  expect(rate(5000).factor).toBe(5);
  expect(rate(4).seen).toBe(3);
});

test("a count since the last pick teaches like a pick", () => {
  const counted = rate(4, [{ countedOn: today, what: "ready", number: 20 }]);
  expect(counted.factor).toBeGreaterThan(rate(4).factor);
  expect(counted.seen).toBe(4);
});

test("the update is gamma and Poisson: more of the same evidence, nearer to it", () => {
  const many = settingRate(
    asTheCatalogueSays(courgette),
    { picks: picks(12, [24, 21, 18, 15, 12, 9, 6, 3]) },
    expected,
    today,
  );
  expect(many.factor).toBeGreaterThan(rate(12).factor);
  expect(many.logSpread).toBeLessThan(rate(12).logSpread);
  expect(rate(12).logSpread).toBeLessThan(yieldSpread(courgette));
});

test("leaves: what was counted less those that must stay; an old count is none", () => {
  const counts = (number: number, ago = 0) => ({ counts: [{ countedOn: addDays(today, -ago), what: "leaves" as const, number }] }); // prettier-ignore
  expect(leafOffer(kale, counts(12), today)).toEqual({ counted: 12, mustStay: 4, mayComeOff: 8 });
  expect(leafOffer(kale, counts(2), today)?.mayComeOff).toBe(0);
  expect(leafOffer(kale, counts(12, 9), today)).toBeUndefined();
  expect(leafOffer(courgette, counts(12), today)).toBeUndefined();
});
