import { expect, test, vi } from "vitest";
import { lookAhead, type KeptOutlooks } from "~/core/garden";
import type { Db } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { errandsOf } from "~/db/round/rounds.server";
import { removePlanting } from "~/services/beds/edit-planting.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { cropsOf } from "~/services/garden/household-crops.server";
import { plannedGarden } from "~/services/garden/planned-garden.server";
import { settleSeasons } from "~/services/garden/settle-seasons.server";
import { setWeek } from "~/services/sky/free-minutes.server";
import { horizonPage } from "~/services/horizon/horizon-page.server";
import { roundPage } from "~/services/round/round-page.server";
import { demoGarden, send, smallGarden } from "./garden-fixture";

/** The same minutes every day of the week. */
const everyDay = (db: Db, morning: number, evening: number) =>
  setWeek(db, { minutes: Array.from({ length: 7 }, () => [morning, 0, evening]).flat() });

test("a garden looked ahead is plain data: it crosses to a worker and comes back the same", () => {
  const { db, garden } = demoGarden();
  const planned = plannedGarden(db, garden);
  expect(structuredClone(planned)).toEqual(planned);
});

test("the outlook of a planting is kept while its inputs stand, and is what a fresh look would say", () => {
  const { db, garden } = demoGarden();
  settleSeasons(db, garden);
  const kept: KeptOutlooks = { plantings: new Map() };
  const ahead = () => lookAhead(gardenState(db, garden, "2026-09-19"), cropsOf(db), undefined, kept);
  const before = ahead();
  const again = ahead();
  expect(again.plantings.every((p, n) => p === before.plantings[n])).toBe(true);

  // A look at one planting: that one is worked out anew, and only that one.
  send(db, { kind: "look", plantingId: "beet-red", cueId: "root_width", readingId: "43_67" });
  const looked = ahead();
  const anew = looked.plantings.filter((p, n) => p !== before.plantings[n]).map((p) => p.planting.id);
  expect(anew).toEqual(["beet-red"]);

  // A first pick teaches its crop: all of that crop are worked out anew, and no other.
  send(db, { kind: "pick", plantingId: "kale-curly", outcome: "picked", tookAll: false, count: "5" });
  const taught = ahead();
  const of = (id: string) => taught.plantings.find((p) => p.planting.id === id)!.crop.id;
  expect(new Set(taught.plantings.filter((p, n) => p !== looked.plantings[n]).map((p) => p.crop.id))).toEqual(new Set([of("kale-curly")])); // prettier-ignore

  // Less time: every day's terms change, and with them what can be planned.
  everyDay(db, 0, 5);
  expect(ahead()).toEqual(lookAhead(gardenState(db, garden, "2026-09-19"), cropsOf(db)));
});

test("a minute later nothing is worked out again; when a slot has gone by its minutes are gone", () => {
  vi.setSystemTime(new Date("2026-08-20T04:30:00Z"));
  const { db, garden } = smallGarden();
  everyDay(db, 20, 30);
  const early = plannedGarden(db, garden).outlook;
  vi.setSystemTime(new Date("2026-08-20T04:31:00Z"));
  const minuteLater = plannedGarden(db, garden).outlook;
  expect(minuteLater.plantings.every((p, n) => p === early.plantings[n])).toBe(true);
  expect(minuteLater.terms).toBe(early.terms);
  expect(early.minutesFree[0]).toBe(50);
  // 10:30 in London: the morning is over.
  vi.setSystemTime(new Date("2026-08-20T09:30:00Z"));
  expect(plannedGarden(db, garden).outlook.minutesFree.slice(0, 2)).toEqual([30, 50]);
  vi.setSystemTime(new Date("2026-08-20T20:30:00Z"));
  expect(plannedGarden(db, garden).outlook.minutesFree[0]).toBe(0);
});

test("the minutes of a finished round are used; a round that is out uses none yet", () => {
  vi.setSystemTime(new Date("2026-08-20T16:00:00Z"));
  const { db, garden } = smallGarden();
  everyDay(db, 0, 60);
  const free = () => plannedGarden(db, garden).outlook.minutesFree[0];
  send(db, { kind: "start round", roundId: "r" }, { at: "2026-08-20T16:00:00.000Z" });
  send(db, { kind: "pick", plantingId: "courgette", outcome: "picked", tookAll: true, count: "4", roundId: "r" }, { at: "2026-08-20T16:10:00.000Z" }); // prettier-ignore
  vi.setSystemTime(new Date("2026-08-20T16:25:00Z"));
  expect(free()).toBe(60);
  send(db, { kind: "finish round", roundId: "r" }, { at: "2026-08-20T16:25:00.000Z" });
  expect(free()).toBe(35);
  vi.setSystemTime(new Date("2026-08-21T16:25:00Z"));
  expect(free()).toBe(60);
});

test("a round left open overnight and ended in the morning used what its errands take, not a night", () => {
  vi.setSystemTime(new Date("2026-08-20T05:00:00Z"));
  const { db, garden } = smallGarden();
  everyDay(db, 0, 60);
  send(db, { kind: "start round", roundId: "r" }, { at: "2026-08-19T19:00:00.000Z" });
  send(db, { kind: "pick", plantingId: "courgette", outcome: "picked", tookAll: true, count: "4", roundId: "r" }, { at: "2026-08-19T19:05:00.000Z" }); // prettier-ignore
  send(db, { kind: "finish round", roundId: "r" }, { at: "2026-08-20T05:00:00.000Z" });
  const used = gardenState(db, garden, "2026-08-20").now!.used;
  expect(used.reduce((sum, u) => sum + u.minutes, 0)).toBeLessThan(30);
});

test("a planting that was once on a round can be removed when nothing was picked of it, and the round walks on", () => {
  const { db, garden } = smallGarden();
  send(db, { kind: "start round", roundId: "r" });
  const listed = errandsOf(db, "r").map((e) => e.plantingId);
  expect(listed).toContain("courgette");
  expect(removePlanting(db, "courgette")).toEqual({ status: "removed" });
  expect(errandsOf(db, "r").map((e) => e.plantingId)).toEqual(listed.filter((id) => id !== "courgette"));
  expect(roundPage(db, garden)).toBeDefined();
  expect(horizonPage(db, theGarden(db)!)).toBeDefined();
});
