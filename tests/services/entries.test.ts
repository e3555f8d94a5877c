import fc from "fast-check";
import { expect, test, vi } from "vitest";
import type { EntryBody } from "~/core/entries";
import { endOf, openSeasonOf, seasonsOf } from "~/db/beds/seasons.server";
import type { Db } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { errandsOf, openRound, roundById } from "~/db/round/rounds.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { addBed } from "~/services/beds/beds.server";
import { undoNextCrop } from "~/services/beds/seasons.server";
import { checkPage } from "~/services/check/check-page.server";
import { takeEntries } from "~/services/entries/take-entries.server";
import { knownDays } from "./entry-state";
import { allLines, pickLines } from "./ledger-read";
import { plant, refusal, send, smallGarden } from "./garden-fixture";

const AT = "2026-08-20T07:00:00.000Z";
const pick = (of: Partial<Extract<EntryBody, { kind: "pick" }>> = {}): EntryBody => ({ kind: "pick", plantingId: "courgette", outcome: "picked", tookAll: false, count: "3", ...of }); // prettier-ignore
const look = (readingId: string): EntryBody => ({ kind: "look", plantingId: "carrot", cueId: "shoulder_width", readingId }); // prettier-ignore
const enveloped = (body: EntryBody, id: string = crypto.randomUUID(), sequence = 1) => ({ ...body, id, device: "phone", sequence, at: AT }); // prettier-ignore

test("a batch is answered entry by entry: one unknown, one half, one good; the good one is there", () => {
  const { db } = smallGarden();
  const good = enveloped(pick());
  const outcome = takeEntries(db, {
    entries: [
      { ...enveloped(pick()), kind: "moon dance" },
      enveloped(pick({ count: "-3" })),
      good,
      "rubbish",
      null,
      { id: 7 },
      enveloped(pick(), "no uuid"),
    ],
  });
  if (outcome.status !== "answered") throw new Error(outcome.status);
  expect(outcome.answers.map((a) => a.status)).toEqual(["refused", "refused", "applied", "refused", "refused", "refused", "refused"]); // prettier-ignore
  expect(outcome.answers[0]).toMatchObject({ sentence: "This kind of entry is not known here." });
  expect(outcome.answers[1]).toMatchObject({ fields: { count: expect.stringMatching(/below zero/) as string } });
  expect(allLines(db).map((l) => l.id)).toEqual([good.id]);
});

test("what is no batch, or too long a one, is said to be", () => {
  const { db } = smallGarden();
  expect(takeEntries(db, [])).toEqual({ status: "no batch" });
  expect(takeEntries(db, { entries: Array.from({ length: 201 }, () => enveloped(pick())) })).toEqual({ status: "no batch" }); // prettier-ignore
});

test("a fault of ours is “not now”: nothing half-written stays, and the entry goes through later", () => {
  const { db } = smallGarden();
  const quiet = vi.spyOn(console, "error").mockImplementation(() => undefined);
  db.$client.exec("create trigger fault before insert on movement begin select raise(abort, 'disk trouble'); end");
  const id = crypto.randomUUID();
  expect(send(db, pick(), { id }).status).toBe("not now");
  expect(quiet).toHaveBeenCalled();
  expect(["pick", "lot", "entry"].map((t) => db.$client.prepare(`select count(*) as n from ${t}`).get())).toEqual([{ n: 0 }, { n: 0 }, { n: 0 }]); // prettier-ignore
  db.$client.exec("drop trigger fault");
  expect(send(db, pick(), { id }).status).toBe("applied");
  quiet.mockRestore();
});

test("a weighing waits for its lot", () => {
  const { db } = smallGarden();
  const id = crypto.randomUUID();
  const weighing: EntryBody = { kind: "weighing", lotId: id, weight: "640 g" };
  const weighed = { id: crypto.randomUUID(), at: "2026-08-20T07:30:00.000Z" };
  expect(send(db, weighing, weighed).status).toBe("not now");
  send(db, pick(), { id, at: AT });
  expect(send(db, weighing, weighed).status).toBe("applied");
  expect(pickLines(db, id)[0]).toMatchObject({ grams: 640, pieces: 3, estimated: false });
});

test("taken back before it came: the pick arrives and counts for nothing; put back it counts", () => {
  const { db } = smallGarden();
  const id = crypto.randomUUID();
  send(db, { kind: "take back", target: id }, { at: "2026-08-20T07:10:00.000Z" });
  send(db, pick(), { id, at: AT });
  expect(allLines(db)[0]!.withdrawnAt).not.toBeNull();
  // An earlier second thought that comes late changes nothing.
  send(db, { kind: "take back", target: id, putBack: true }, { at: "2026-08-20T07:05:00.000Z" });
  expect(allLines(db)[0]!.withdrawnAt).not.toBeNull();
  send(db, { kind: "take back", target: id, putBack: true }, { at: "2026-08-20T07:20:00.000Z" });
  expect(allLines(db)[0]!.withdrawnAt).toBeNull();
});

test("what is said anew and not taken back says so", () => {
  const { db } = smallGarden();
  const id = crypto.randomUUID();
  send(db, look("12_19"), { id });
  expect(refusal(send(db, { kind: "take back", target: id })).sentence).toMatch(/said anew/);
});

test("an older answer to a cue does not overwrite the newer one of that day", () => {
  const { db, garden } = smallGarden();
  send(db, look("12_19"), { at: "2026-08-20T07:30:00.000Z" });
  send(db, look("lt_12"), { at: "2026-08-20T07:00:00.000Z" });
  const carrot = gardenState(db, garden, "2026-08-20").plantings.find((p) => p.id === "carrot")!;
  expect(carrot.looks.map((l) => l.readingId)).toEqual(["12_19"]);
});

test("passed by and ended before the round's start has come: the list comes, what was passed by stays so, it is over", () => {
  const { db } = smallGarden();
  send(db, { kind: "pass by", roundId: "early", plantingId: "courgette" }, { at: AT });
  expect(openRound(db)).toBeUndefined();
  send(db, { kind: "start round", roundId: "early" }, { at: "2026-08-20T06:50:00.000Z" });
  expect(openRound(db)?.id).toBe("early");
  expect(errandsOf(db, "early").find((e) => e.plantingId === "courgette")!.doneAt).toBe(AT);
  send(db, { kind: "finish round", roundId: "late" }, { at: "2026-08-20T07:45:00.000Z" });
  send(db, { kind: "finish round", roundId: "early" }, { at: "2026-08-20T07:40:00.000Z" });
  send(db, { kind: "start round", roundId: "late" }, { at: "2026-08-20T07:41:00.000Z" });
  expect(openRound(db)).toBeUndefined();
  expect(roundById(db, "late")!.finishedAt).toBe("2026-08-20T07:45:00.000Z");
});

test("a device's clock that runs ahead dates nothing tomorrow, and does not win over what follows", () => {
  const { db, garden } = smallGarden();
  send(db, look("lt_12"), { at: "2026-08-23T07:30:00.000Z" });
  vi.setSystemTime(new Date("2026-08-20T09:00:00Z"));
  send(db, look("12_19"), { at: "2026-08-20T08:50:00.000Z" });
  const carrot = gardenState(db, garden, "2026-08-20").plantings.find((p) => p.id === "carrot")!;
  expect(carrot.looks).toEqual([expect.objectContaining({ takenOn: "2026-08-20", readingId: "12_19" })]);
});

test("a device that was away over a year says so, and the day can be set by hand", () => {
  const { db } = smallGarden();
  expect(refusal(send(db, pick(), { at: "2025-06-01T08:00:00.000Z" })).on).toMatch(/done on 2025-06-01. Set the day by hand/); // prettier-ignore
  expect(send(db, pick({ on: "2026-08-18" }), { at: "2025-06-01T08:00:00.000Z" }).status).toBe("applied");
});

test("a round left open overnight: each entry has its own day in the garden's zone, whenever it is sent", () => {
  const { db } = smallGarden();
  send(db, { kind: "start round", roundId: "r" }, { at: "2026-08-19T21:30:00.000Z" });
  // London is an hour ahead of UTC in August: 22:58 UTC is 23:58 on the 19th, 23:02 UTC is the 20th.
  send(db, pick({ roundId: "r" }), { id: "00000000-0000-4000-8000-000000000001", at: "2026-08-19T22:58:00.000Z" });
  send(db, pick({ roundId: "r" }), { id: "00000000-0000-4000-8000-000000000002", at: "2026-08-19T23:02:00.000Z" });
  expect(allLines(db).map((l) => [l.id.at(-1), l.pickedOn]).sort()).toEqual([["1", "2026-08-19"], ["2", "2026-08-20"]]); // prettier-ignore
});

/** Cabbages, all cut. */
function cutCabbages() {
  const { db, garden } = smallGarden();
  const bed = addBed(db, { name: "Low bed", kind: "open" });
  if (bed.status !== "saved") throw new Error(bed.sentence);
  plant(db, bed.bedId, { id: "cabbage", cropId: "cabbage", plants: 6 }, "2026-04-10");
  const id = crypto.randomUUID();
  expect(send(db, pick({ plantingId: "cabbage", tookAll: true, count: "6" }), { id, at: "2026-08-20T07:00:00.000Z" }).status).toBe("applied"); // prettier-ignore
  return { db, garden, id };
}

/** The page of a planting whose season is over. */
function endedOn(db: Db, id: string) {
  const page = checkPage(db, theGarden(db)!, id);
  if (page?.status !== "ended") throw new Error(`${id} grows`);
  return page.ended;
}

test("all of it: a further crate counts to the same season, undo brings the planting back", () => {
  const { db, id } = cutCabbages();
  expect(endedOn(db, "cabbage")).toMatchObject({ bedFree: false, undo: { pickId: id } });
  expect(endedOn(db, "cabbage").next.map((n) => n.crop)).toContain("regrowth");
  send(db, pick({ plantingId: "cabbage", seasonId: "cabbage/1", count: "2", tookAll: true }));
  expect(allLines(db)).toHaveLength(2);
  expect(endOf(db, "cabbage/1")).toMatchObject({ pickId: id });
  send(db, { kind: "take back", target: id }, { at: "2026-08-20T08:30:00.000Z" });
  expect(openSeasonOf(db, "cabbage")!.id).toBe("cabbage/1");
});

test("all of it, and the stump grows again: a season of its own, with looks and picks of its own; a slip is taken back", () => {
  const { db, garden } = cutCabbages();
  const went = { id: crypto.randomUUID(), at: "2026-08-20T07:20:00.000Z" };
  expect(refusal(send(db, { kind: "next crop", plantingId: "cabbage", crop: "side shoots" })).sentence).toMatch(/does not go on to side shoots/); // prettier-ignore
  expect(send(db, { kind: "next crop", plantingId: "cabbage", crop: "regrowth" }, went).status).toBe("applied");
  expect(openSeasonOf(db, "cabbage")).toMatchObject({ crop: "regrowth", startEvent: "growth", startedOn: "2026-08-20" }); // prettier-ignore
  expect(gardenState(db, garden, "2026-08-21").plantings.find((p) => p.id === "cabbage")!.picks).toEqual([]);
  expect(undoNextCrop(db, "cabbage").status).toBe("applied");
  expect(openSeasonOf(db, "cabbage")).toBeUndefined();
  expect(endOf(db, "cabbage/1")).toMatchObject({ reason: "all taken" });
});

test("a next crop that has been looked at is not taken back from under its looks", () => {
  const { db } = cutCabbages();
  const id = crypto.randomUUID();
  send(db, { kind: "next crop", plantingId: "cabbage", crop: "regrowth" }, { id, at: "2026-08-20T07:20:00.000Z" });
  send(db, pick({ plantingId: "cabbage", count: "2" }), { at: "2026-08-20T07:30:00.000Z" });
  expect(refusal(send(db, { kind: "take back", target: id })).sentence).toMatch(/take that back first/);
  expect(openSeasonOf(db, "cabbage")!.crop).toBe("regrowth");
});

test("an end that was heard of before the next crop was the end of that next crop", () => {
  const { db } = cutCabbages();
  send(db, { kind: "end", plantingId: "cabbage" }, { at: "2026-08-20T07:50:00.000Z" });
  send(db, { kind: "next crop", plantingId: "cabbage", crop: "regrowth" }, { at: "2026-08-20T07:20:00.000Z" });
  expect(openSeasonOf(db, "cabbage")).toBeUndefined();
  expect(seasonsOf(db, "cabbage").map((s) => [s.crop, endOf(db, s.id)?.reason])).toEqual([["main", "next crop"], ["regrowth", "bed free"]]); // prettier-ignore
});

test("an end told by hand stands whatever becomes of the pick that ended it first", () => {
  const { db, id } = cutCabbages();
  send(db, { kind: "end", plantingId: "cabbage" }, { at: "2026-08-20T07:50:00.000Z" });
  send(db, { kind: "take back", target: id }, { at: "2026-08-20T07:51:00.000Z" });
  send(db, { kind: "take back", target: id, putBack: true }, { at: "2026-08-20T07:52:00.000Z" });
  expect(db.$client.prepare("select reason from season_end where withdrawn_at is null").all()).toEqual([{ reason: "bed free" }]); // prettier-ignore
});

const PICKS = Array.from({ length: 6 }, (_, i) => `00000000-0000-4000-8000-00000000000${i}`);
/** What two devices may do to two plantings, and to each other's picks. */
const doing: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.record({ kind: fc.constant("look" as const), plantingId: fc.constant("carrot"), cueId: fc.constant("shoulder_width"), readingId: fc.constantFrom("lt_12", "12_19", null) }), // prettier-ignore
  fc.record({ kind: fc.constant("count" as const), plantingId: fc.constant("courgette"), what: fc.constant("ready" as const), number: fc.nat(30).map(String) }), // prettier-ignore
  fc.record({ kind: fc.constant("weighing" as const), lotId: fc.constantFrom(...PICKS), weight: fc.integer({ min: 100, max: 900 }).map((g) => `${g} g`), label: fc.constantFrom("A", "B") }), // prettier-ignore
  fc.record({ kind: fc.constant("take back" as const), target: fc.constantFrom(...PICKS), putBack: fc.boolean() }),
  fc.record({ kind: fc.constant("pass by" as const), roundId: fc.constant("r"), plantingId: fc.constantFrom("carrot", "courgette"), done: fc.boolean() }), // prettier-ignore
  fc.record({ kind: fc.constant("finish round" as const), roundId: fc.constant("r") }),
  fc.record({ kind: fc.constant("end" as const), plantingId: fc.constant("courgette"), bedFree: fc.boolean() }),
  fc.record({ kind: fc.constant("note" as const), plantingId: fc.constant("carrot"), text: fc.constantFrom("thin", "slugs") }), // prettier-ignore
);

test("entries in any order, each sent once or more, leave the same garden", () => {
  fc.assert(
    fc.property(fc.array(doing, { minLength: 2, maxLength: 14 }), fc.infiniteStream(fc.nat()), (bodies, dice) => {
      const draw = () => dice.next().value as number;
      const picks = PICKS.map((id, i) => ({ id, body: pick(i < 3 ? { plantingId: "carrot", count: String(i + 1), tookAll: i === 2 } : { count: String(i) }) })); // prettier-ignore
      const done =
        [...picks, ...bodies.map((body, i) => ({ id: `00000000-0000-4000-9000-0000000000${String(i).padStart(2, "0")}`, body }))] // prettier-ignore
          .map((e, i) => ({ ...e, at: new Date(Date.parse("2026-08-19T22:40:00Z") + i * 150_000).toISOString() }));
      const inOrder = smallGarden();
      for (const { body, ...about } of done) send(inOrder.db, body, about);

      const mixed = smallGarden();
      let waiting = done.flatMap((e) => (draw() % 3 === 0 ? [e, e] : [e]));
      for (let i = waiting.length - 1; i > 0; i--) {
        const j = draw() % (i + 1);
        [waiting[i], waiting[j]] = [waiting[j]!, waiting[i]!];
      }
      // What is “not now” is sent again, as a device does.
      for (let round = 0; round < 3 && waiting.length > 0; round++)
        waiting = waiting.filter(({ body, ...about }) => send(mixed.db, body, about).status === "not now");
      expect(waiting).toEqual([]);
      expect(knownDays(mixed)).toEqual(knownDays(inOrder));
      expect(mixed.db.$client.pragma("foreign_key_check")).toEqual([]);
    }),
    { numRuns: 60, seed: 8 },
  );
});
