import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import type { Stage, StageOdds } from "../readiness";
import { roughNormals, skyTrack } from "../weather";
import { onceOffer, repeatOffer, ripening, stageWorth } from ".";

const today = "2026-08-10";
const crop = (id: string) => catalogue().find((c) => c.id === id)!;
const sound = (days: number, share = 1) => new Float64Array(days).fill(share);

/** Stage odds that are sure of one stage on each day. */
function sure(stageOn: (n: number) => Stage): StageOdds {
  const row = (stage: Stage) => Float64Array.from({ length: 80 }, (_, n) => (stageOn(n) === stage ? 1 : 0));
  return {
    from: today,
    odds: {
      "not yet": row("not yet"),
      close: row("close"),
      prime: row("prime"),
      slipping: row("slipping"),
      gone: row("gone"),
    },
  };
}

test("at its peak a crop lifted once is worth its whole weight; early and past, the catalogue's share", () => {
  const beet = crop("beetroot");
  const whole = (30 * beet.pieceGrams.value * beet.worthPerKg.value) / 1000;
  const worth = (stage: Stage) =>
    onceOffer(
      beet,
      sure(() => stage),
      30,
      sound(14),
      today,
    ).worth[0]!;
  expect(worth("prime")).toBeCloseTo(whole, 9);
  expect(worth("close")).toBeCloseTo(whole * beet.worthEarly.value, 9);
  expect(worth("gone")).toBeCloseTo(whole * beet.worthPast.value, 9);
  expect(worth("slipping")).toBeLessThan(worth("prime"));
});

test("what the weather takes is taken off worth and pieces alike", () => {
  const half = onceOffer(
    crop("peach"),
    sure(() => "prime"),
    40,
    sound(14, 0.5),
    today,
  );
  expect(half.pieces[3]).toBe(20);
  expect(half.worth[3]).toBeCloseTo(
    onceOffer(
      crop("peach"),
      sure(() => "prime"),
      40,
      sound(14),
      today,
    ).worth[3]! / 2,
    9,
  );
});

test("what ripens after the horizon is worth leaving; what is over goes on losing", () => {
  const later = onceOffer(
    crop("carrot"),
    sure((n) => (n < 20 ? "not yet" : "prime")),
    60,
    sound(14),
    today,
  );
  expect(later.leftWorth).toBeGreaterThan(3 * later.worth[13]!);
  const over = onceOffer(
    crop("carrot"),
    sure(() => "gone"),
    60,
    sound(14),
    today,
  );
  expect(over.worth[10]!).toBeLessThan(over.worth[0]!);
  expect(over.leftWorth).toBeLessThan(over.worth[13]!);
});

test("shares of worth rise to the peak and fall from it, for every crop", () => {
  for (const c of catalogue()) {
    const w = stageWorth(c);
    expect(w["not yet"] <= w.close && w.close <= w.prime && w.prime >= w.slipping && w.slipping >= w.gone, c.id).toBe(
      true,
    );
  }
});

const normals = roughNormals(50);
const track = skyTrack([], [], normals, addDays(today, -40), today, addDays(today, 30));
/** In full bearing since the middle of July. */
const offerOf = (
  id: string,
  plants: number,
  since: string | null,
  begun = 1,
  kept: { sound?: Float64Array; bears?: Float64Array } = {},
) =>
  repeatOffer(
    crop(id),
    track,
    ripening(crop(id), track, {
      pieces: plants * crop(id).piecesPerPlant.value,
      firstPickOn: since ? "2026-07-15" : null,
      begun: (at) => (at >= 10 ? begun : 0),
      extraC: 0,
      horizon: 14,
    }),
    { since, sound: sound(14), bears: sound(14), ...kept, primeDays: crop(id).windowDays.value },
  );

/** 1 up to a day, a share from the next one on. */
const fallsAfter = (day: number, share: number) => Float64Array.from({ length: 14 }, (_, n) => (n <= day ? 1 : share));

test("hail spoils what hangs on the plant, and what comes after is sound; a frost sets the plant back as well", () => {
  const fair = offerOf("courgette", 4, today);
  const hail = offerOf("courgette", 4, today, 1, { sound: fallsAfter(4, 0.5) });
  const frost = offerOf("courgette", 4, today, 1, { sound: fallsAfter(4, 0.5), bears: fallsAfter(4, 0.5) });
  // Picked on the evening before, nothing is lost; picked on the day after, half of what hung on it.
  expect(hail.pieces[0]![4]).toBeCloseTo(fair.pieces[0]![4]!, 9);
  expect(hail.pieces[0]![5]).toBeCloseTo(0.5 * fair.pieces[0]![4]! + (fair.pieces[0]![5]! - fair.pieces[0]![4]!), 9);
  // After a pick just ahead of it, hail leaves all that comes, and a frost half of it.
  expect(hail.pieces[5]![9]).toBeCloseTo(fair.pieces[5]![9]!, 9);
  expect(frost.pieces[5]![9]).toBeCloseTo(0.5 * fair.pieces[5]![9]!, 9);
  expect(frost.clear).toEqual(fair.clear);
  expect(fair.clear).toEqual(fair.worth[0]);
});

test("a plant that the frost kills bears nothing after it", () => {
  const dead = offerOf("courgette", 4, today, 1, { sound: fallsAfter(4, 0), bears: fallsAfter(4, 0) });
  expect(dead.pieces[0]![5]).toBe(0);
  expect(dead.pieces[5]!.slice(5)).toEqual(new Array(9).fill(0));
});

test("twice the plants give twice the crop", () => {
  const one = offerOf("courgette", 2, today);
  const two = offerOf("courgette", 4, today);
  expect(two.pieces[0]![5]).toBeCloseTo(2 * one.pieces[0]![5]!, 9);
  expect(two.worth[3]![7]).toBeCloseTo(2 * one.worth[3]![7]!, 9);
});

test("pieces of two picks add up to those of one late one; their worth is more", () => {
  const bean = offerOf("bean_bush", 20, today);
  expect(bean.pieces[0]![3]! + bean.pieces[4]![9]!).toBeCloseTo(bean.pieces[0]![9]!, 9);
  expect(bean.worth[0]![3]! + bean.worth[4]![9]!).toBeGreaterThan(bean.worth[0]![9]!);
});

test("left too long a courgette's round is worth less than a prompt one, and suppresses the plant", () => {
  const courgette = offerOf("courgette", 3, today);
  const perDay = (t: number) => courgette.worth[0]![t]! / (t + 1);
  expect(perDay(13)).toBeLessThan(0.7 * perDay(1));
});

test("before it bears there is nothing to pick, and a chance of bearing counts as such", () => {
  expect(offerOf("courgette", 3, null, 0).pieces[0]![5]).toBe(0);
  expect(offerOf("courgette", 3, null, 0.5).pieces[0]![5]).toBeCloseTo(
    offerOf("courgette", 3, null).pieces[0]![5]! / 2,
    9,
  );
});

test("what keeps giving comes to an end, and what has long gone over is no longer there", () => {
  const pea = (firstPickOn: string) =>
    ripening(crop("pea_shelling"), track, { pieces: 10, firstPickOn, begun: () => 1, extraC: 0, horizon: 14 });
  const sum = (r: ReturnType<typeof pea>) => r.born.slice(-14).reduce((a, b) => a + b, 0);
  expect(sum(pea("2026-06-15"))).toBeLessThan(0.05 * sum(pea("2026-08-08")));
  expect(pea("2026-06-15").ended.at(-1)!).toBeGreaterThan(0.98);
  const left = offerOf("raspberry_summer", 3, null);
  expect(left.pieces[0]![0]!).toBeLessThan(left.pieces[0]![0]! + left.pieces[1]![9]!);
});

test("a crop taken in passes ripens as a whole, once: no more than its pieces, most in the middle of its span", () => {
  const currant = crop("currant_red");
  const long = skyTrack([], [], roughNormals(50), "2026-05-01", "2026-07-10", "2026-10-30");
  const r = ripening(currant, long, { pieces: 100, firstPickOn: "2026-07-01", begun: () => 1, extraC: 0, horizon: 60 });
  const total = r.born.reduce((a, b) => a + b, 0);
  expect(total).toBeGreaterThan(80);
  expect(total).toBeLessThanOrEqual(101);
  const most = r.born.indexOf(Math.max(...r.born));
  expect(most).toBeGreaterThan(r.born.findIndex((n) => n > 0.2));
});

test("a backlog since the last pick counts from its day, not from today", () =>
  expect(offerOf("bean_bush", 20, addDays(today, -4)).pieces[0]![0]!).toBeGreaterThan(
    3 * offerOf("bean_bush", 20, today).pieces[0]![0]!,
  ));
