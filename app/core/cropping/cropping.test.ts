import { expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { addDays } from "../calendar";
import type { Stage, StageOdds } from "../readiness";
import { roughNormals, skyTrack } from "../weather";
import { onceOffer, repeatOffer, stageWorth } from ".";

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
const offerOf = (id: string, plants: number, since: string, bearing = 1, restarted = true) =>
  repeatOffer(crop(id), plants, track, since, () => bearing, restarted, sound(14), 0);

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
  expect(offerOf("courgette", 3, today, 0, false).pieces[0]![5]).toBe(0);
  expect(offerOf("courgette", 3, today, 0.5, false).pieces[0]![5]).toBeCloseTo(
    offerOf("courgette", 3, today, 1, false).pieces[0]![5]! / 2,
    9,
  );
});

test("a backlog since the last pick counts from its day, not from today", () =>
  expect(offerOf("bean_bush", 20, addDays(today, -4)).pieces[0]![0]!).toBeGreaterThan(
    3 * offerOf("bean_bush", 20, today).pieces[0]![0]!,
  ));
