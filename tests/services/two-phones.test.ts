import { expect, test } from "vitest";
import type { EntryBody } from "~/core/entries";
import { revisionOf } from "~/db/revision.server";
import { openRound, roundById } from "~/db/round/rounds.server";
import { twinsAsked } from "~/services/ledger/twins.server";
import { whoIsWhere } from "~/services/round/presence.server";
import { roundPage, walkPage } from "~/services/round/round-page.server";
import { demoGarden, send, smallGarden, type GardenOfTest } from "./garden-fixture";
import { allLines } from "./ledger-read";

const pick = (plantingId: string, of: Partial<Extract<EntryBody, { kind: "pick" }>> = {}): EntryBody => ({ kind: "pick", plantingId, outcome: "picked", tookAll: false, count: "3", ...of }); // prettier-ignore
const at = (clock: string) => `2026-08-20T${clock}:00.000Z`;
const id = () => crypto.randomUUID();
const standing = ({ db }: GardenOfTest) => allLines(db).filter((l) => l.withdrawnAt === null).length;

test("one planting picked by two phones within minutes: both are in the ledger, and it is asked", () => {
  const own = smallGarden();
  const { db, garden } = own;
  const [one, two] = [id(), id()];
  send(db, pick("courgette"), { id: one, device: "mara", at: at("07:10") });
  send(db, pick("courgette", { count: "4" }), { id: two, device: "ben", at: at("07:14") });
  expect(standing(own)).toBe(2);
  expect(twinsAsked(db, garden)).toEqual([
    {
      what: "Courgette, Long bed",
      picks: [
        { id: one, words: "3, at 08:10", keeps: "3 at 08:10" },
        { id: two, words: "4, at 08:14", keeps: "4 at 08:14" },
      ],
      isAlike: false,
    },
  ]);
  // Two pickings: never asked again, and nothing is dropped.
  send(db, { kind: "both count", picks: [two, one] }, { at: at("07:20") });
  expect(twinsAsked(db, garden)).toEqual([]);
  expect(standing(own)).toBe(2);
});

test("one picking written down twice: one is taken back, and what is put back is asked about again", () => {
  const own = smallGarden();
  const { db, garden } = own;
  const [one, two] = [id(), id()];
  send(db, pick("courgette"), { id: one, device: "mara", at: at("07:10") });
  send(db, pick("courgette"), { id: two, device: "ben", at: at("07:10") });
  expect(twinsAsked(db, garden)[0]!.isAlike).toBe(true);
  send(db, { kind: "take back", target: two }, { at: at("07:20") });
  expect([twinsAsked(db, garden), standing(own)]).toEqual([[], 1]);
  send(db, { kind: "take back", target: two, putBack: true }, { at: at("07:25") });
  expect(twinsAsked(db, garden)).toHaveLength(1);
});

test("the answer may come before the picks, and nothing ready is no twin", () => {
  const { db, garden } = smallGarden();
  const [one, two] = [id(), id()];
  send(db, { kind: "both count", picks: [one, two] }, { at: at("07:20") });
  send(db, pick("courgette"), { id: one, device: "mara", at: at("07:10") });
  send(db, pick("courgette"), { id: two, device: "ben", at: at("07:14") });
  send(db, pick("carrot", { outcome: "nothing ready" }), { device: "mara", at: at("07:15") });
  send(db, pick("carrot", { outcome: "nothing ready" }), { device: "ben", at: at("07:15") });
  expect(twinsAsked(db, garden)).toEqual([]);
});

/** Two phones that each began a round without hearing of the other, as their entries come in. */
function twoRounds(order: (mara: EntryBody[], ben: EntryBody[]) => [string, EntryBody][]) {
  const own = demoGarden();
  const { db, garden } = own;
  const [first, second, third] = walkPage(db, garden).errands.map((e) => e.id);
  const mara: EntryBody[] = [{ kind: "start round", roundId: "m" }, pick(first!, { roundId: "m" })];
  const ben: EntryBody[] = [{ kind: "start round", roundId: "b" }, pick(second!, { roundId: "b" }), { kind: "pass by", roundId: "b", plantingId: third!, done: true }]; // prettier-ignore
  for (const [device, body] of order(mara, ben)) send(db, body, { device });
  return { ...own, ids: [first, second, third] };
}
const of = (device: string) => (body: EntryBody): [string, EntryBody] => [device, body]; // prettier-ignore

test.each([
  ["one after the other", (m: EntryBody[], b: EntryBody[]) => [...m.map(of("m")), ...b.map(of("b"))]],
  ["the second's picks before its start", (m: EntryBody[], b: EntryBody[]) => [...m.map(of("m")), ...b.slice(1).map(of("b")), of("b")(b[0]!)]], // prettier-ignore
  ["the other way round", (m: EntryBody[], b: EntryBody[]) => [...b.map(of("b")), ...m.map(of("m"))]],
])("two rounds begun apart are one: %s", (_, order) => {
  const { db, garden, ids } = twoRounds(order);
  const page = roundPage(db, garden);
  if (page.status !== "out") throw new Error(page.status);
  expect(page.joined).toHaveLength(1);
  expect(page.errands.filter((e) => e.done).map((e) => e.id)).toEqual(ids);
  expect(page.errands.filter((e) => e.pickId)).toHaveLength(2);
});

test("who joined another's round and is through leaves it out for that one; the last stop done, it is over", () => {
  const { db, garden } = twoRounds((m, b) => [...m.map(of("m")), ...b.map(of("b"))]);
  send(db, { kind: "finish round", roundId: "b" }, { device: "b" });
  expect(openRound(db)?.id).toBe("m");
  const page = roundPage(db, garden);
  if (page.status !== "out") throw new Error(page.status);
  for (const e of page.errands.filter((e) => !e.done)) send(db, { kind: "pass by", roundId: "b", plantingId: e.id, done: true }, { device: "b" }); // prettier-ignore
  send(db, { kind: "finish round", roundId: "b" }, { device: "b" });
  expect(openRound(db)).toBeUndefined();
  expect(roundById(db, "m")!.finishedAt).not.toBeNull();
});

test("a round begun after the other's end is its own; one begun before it, and heard of late, is not", () => {
  const { db } = demoGarden();
  send(db, { kind: "start round", roundId: "m" }, { at: at("07:00") });
  send(db, { kind: "finish round", roundId: "m" }, { at: at("07:40") });
  send(db, { kind: "start round", roundId: "late" }, { at: at("07:30"), device: "b" });
  expect(roundById(db, "late")!.joinedTo).toBe("m");
  expect(openRound(db)).toBeUndefined();
  send(db, { kind: "start round", roundId: "evening" }, { at: at("07:50") });
  expect(openRound(db)?.id).toBe("evening");
});

test("phones on the walk hear where the others are, until they leave or are not heard of", () => {
  const { db } = smallGarden();
  const now = Date.parse("2026-08-20T08:00:00Z");
  expect(whoIsWhere(db, { device: "one", plantingId: "carrot" }, "Mara", now)).toEqual({ others: [], as: revisionOf(db) }); // prettier-ignore
  expect(whoIsWhere(db, { device: "two", plantingId: "courgette" }, null, now).others).toEqual([
    { person: "Mara", plantingId: "carrot", bed: "Long bed", name: "Carrot" },
  ]);
  expect(whoIsWhere(db, { device: "one", plantingId: "carrot" }, "Mara", now + 30_000).others).toHaveLength(1);
  // Forty seconds unheard, or gone.
  expect(whoIsWhere(db, { device: "one", plantingId: "carrot" }, "Mara", now + 41_000).others).toEqual([]);
  whoIsWhere(db, { device: "two", plantingId: "gone" }, null, now + 42_000);
  expect(whoIsWhere(db, { device: "one", plantingId: "carrot" }, "Mara", now + 43_000).others).toEqual([]);
  whoIsWhere(db, { device: "one", plantingId: null }, "Mara", now + 44_000);
  expect(whoIsWhere(db, { device: "two", plantingId: "carrot" }, null, now + 45_000).others).toEqual([]);
});
