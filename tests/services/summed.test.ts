import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { CONDITIONS, FATES, MOVEMENT_KINDS, harvestOf } from "~/core/ledger";
import { insertLot, insertMovements } from "~/db/ledger/lots.server";
import { insertPick, openPicks, pickedBySeason, updatePick } from "~/db/ledger/picks.server";
import { insertSeason } from "~/db/beds/seasons.server";
import { lot, movement, pick } from "~/db/schema/index.server";
import { revisionOfSource } from "~/db/revision.server";
import { observedDays, saveObserved } from "~/db/sky/weather.server";
import { LedgerQuery, ledgerPage } from "~/services/ledger/ledger-page.server";
import { ledgerCsv } from "~/services/ledger/ledger-export.server";
import { totalsOf } from "~/services/ledger/ledger-totals.server";
import { allBeds } from "~/db/beds/beds.server";
import type { Db } from "~/db/client.server";
import { plant, send, smallGarden } from "./garden-fixture";
import { allLines } from "./ledger-read";

const SEASONS = ["courgette/1", "carrot/1", "courgette/2"];
const SPOILT = (m: { condition: string; fate: string }) => m.condition === "spoilt" || m.fate === "compost" || m.fate === "discard"; // prettier-ignore
/** Grams to the thousandth, so that sums in another order are the same. */
const amount = fc.option(fc.integer({ min: -5000, max: 9000 }));

const act = fc.oneof(
  { weight: 3, arbitrary: fc.record({ do: fc.constant("pick" as const), season: fc.nat(2), day: fc.nat(500), outcome: fc.constantFrom("picked" as const, "picked" as const, "nothing ready" as const) }) }, // prettier-ignore
  { weight: 4, arbitrary: fc.record({ do: fc.constant("move" as const), which: fc.nat(), kind: fc.constantFrom(...MOVEMENT_KINDS), grams: amount, pieces: amount, estimated: fc.boolean(), fate: fc.constantFrom(...FATES), condition: fc.constantFrom(...CONDITIONS) }) }, // prettier-ignore
  fc.record({ do: fc.constant("lot" as const), which: fc.nat() }),
  fc.record({ do: fc.constant("change" as const), which: fc.nat(), season: fc.nat(2), day: fc.nat(500), withdrawn: fc.boolean(), outcome: fc.constantFrom("picked" as const, "nothing ready" as const) }), // prettier-ignore
  fc.record({ do: fc.constant("unmove" as const), which: fc.nat() }),
);

/** What the sums are to be, added up from all that was ever written. */
function addedUp(db: Db) {
  const picks = db.select().from(pick).all();
  const of = (id: string) => db.select().from(lot).all().filter((l) => l.pickId === id).flatMap((l) => harvestOf(db.select().from(movement).all().filter((m) => m.lotId === l.id))); // prettier-ignore
  const totals = new Map<string, number[]>();
  const seasons = new Map<string, { firstOn: string; lastOn: string; picks: number; pieces: number; gramsOnly: number }>(); // prettier-ignore
  for (const p of picks.filter((p) => p.outcome === "picked" && p.withdrawnAt === null)) {
    const moved = of(p.id);
    const sum = (ms: typeof moved, f: "grams" | "pieces") => ms.reduce((s, m) => s + (m[f] ?? 0), 0);
    const [spoilt, sound] = [moved.filter(SPOILT), moved.filter((m) => !SPOILT(m))];
    const add = [sum(sound.filter((m) => !m.estimated), "grams"), sum(sound.filter((m) => m.estimated), "grams"), sum(sound, "pieces"), sum(spoilt, "grams"), sum(spoilt, "pieces")]; // prettier-ignore
    const year = p.pickedOn.slice(0, 4);
    totals.set(
      year,
      (totals.get(year) ?? [0, 0, 0, 0, 0]).map((t, n) => t + add[n]!),
    );
    const s = seasons.get(p.seasonId) ?? { firstOn: p.pickedOn, lastOn: p.pickedOn, picks: 0, pieces: 0, gramsOnly: 0 };
    seasons.set(p.seasonId, {
      firstOn: p.pickedOn < s.firstOn ? p.pickedOn : s.firstOn,
      lastOn: p.pickedOn > s.lastOn ? p.pickedOn : s.lastOn,
      picks: s.picks + 1,
      pieces: s.pieces + sum(moved, "pieces"),
      gramsOnly: s.gramsOnly + sum(moved.filter((m) => m.pieces === null), "grams"), // prettier-ignore
    });
  }
  return { totals, seasons };
}

describe("what is kept summed is what would be added up", () => {
  test("whatever is logged, corrected, taken back, moved to another season, split or erased", () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 40 }), (acts) => {
        const { db } = smallGarden();
        insertSeason(db, { id: "courgette/2", plantingId: "courgette", opensOn: "2027-05-01", startEvent: "sown", startedOn: "2027-05-01" }); // prettier-ignore
        const [picks, lots]: [string[], string[]] = [[], []];
        const one = (from: readonly string[], n: number) => from[n % from.length];
        let n = 0;
        for (const a of acts) {
          if (a.do === "pick") {
            const id = `p${n++}`;
            insertPick(db, { id, seasonId: SEASONS[a.season]!, pickedOn: addDays("2026-06-01", a.day), outcome: a.outcome, tookAll: false, loggedAt: "2026-06-01T08:00:00Z" }); // prettier-ignore
            insertLot(db, { id, pickId: id });
            picks.push(id);
            lots.push(id);
          }
          const [ofPick, ofLot] = a.do === "pick" ? [undefined, undefined] : [one(picks, a.which), one(lots, a.which)];
          if (!ofPick || !ofLot) continue;
          if (a.do === "lot") {
            insertLot(db, { id: `l${n}`, pickId: ofPick });
            lots.push(`l${n++}`);
          } else if (a.do === "move") {
            const { kind, grams, pieces, estimated, fate, condition } = a;
            insertMovements(db, [{ lotId: ofLot, kind, day: "2026-06-01", grams, pieces, estimated, fate, condition, otherLotId: null }]); // prettier-ignore
          } else if (a.do === "change") {
            updatePick(db, ofPick, { seasonId: SEASONS[a.season]!, pickedOn: addDays("2026-06-01", a.day), withdrawnAt: a.withdrawn ? "2026-06-02" : null, outcome: a.outcome }); // prettier-ignore
          } else db.$client.prepare("delete from movement where id in (select id from movement where lot_id = ? limit 1)").run(ofLot); // prettier-ignore
        }
        const wanted = addedUp(db);
        const totals = totalsOf(db, "year").map((t) => [t.key, [t.weighedGrams, t.estimatedGrams, t.pieces, t.spoiltGrams, t.spoiltPieces]]); // prettier-ignore
        expect(new Map(totals as [string, number[]][])).toEqual(wanted.totals);
        const seasons = pickedBySeason(db).map(({ season, firstOn, lastOn, picks, pieces, gramsOnly }) => [season.id, { firstOn, lastOn, picks, pieces, gramsOnly }]); // prettier-ignore
        expect(new Map(seasons as [string, never][])).toEqual(wanted.seasons);
        db.$client.close();
      }),
      { numRuns: 40 },
    );
  });

  test("a pick of an open season brings the sums of all its lots", () => {
    const { db } = smallGarden();
    const id = crypto.randomUUID();
    send(db, { kind: "pick", plantingId: "courgette", outcome: "picked", weight: "700 g", count: "3" }, { id });
    insertLot(db, { id: "other", pickId: id });
    insertMovements(db, [{ lotId: "other", kind: "weighed", day: "2026-08-20", grams: 300, pieces: null, estimated: false, fate: "store", condition: "sound", otherLotId: null }]); // prettier-ignore
    expect(openPicks(db).map((p) => [p.grams, p.pieces])).toEqual([[1000, 3]]);
  });

  test("a day of weather that is written, written over or erased is a new record; a read is none", () => {
    const { db } = smallGarden();
    const day = { day: "2026-08-01", minC: 12, maxC: 24, rainMm: 0, windKmh: 10 };
    const numbers = [revisionOfSource(db, "weather")];
    saveObserved(db, [day], "s");
    const first = observedDays(db);
    expect(observedDays(db)).toBe(first);
    numbers.push(revisionOfSource(db, "weather"));
    saveObserved(db, [{ ...day, maxC: 25 }], "s");
    expect(observedDays(db)[0]!.maxC).toBe(25);
    numbers.push(revisionOfSource(db, "weather"));
    db.$client.exec("delete from weather_day");
    expect(observedDays(db)).toEqual([]);
    numbers.push(revisionOfSource(db, "weather"));
    expect(new Set(numbers).size).toBe(4);
  });
});

describe("H4: the ledger would have sent a hundred thousand lines to a page", () => {
  const { db, garden } = smallGarden();
  plant(db, allBeds(db)[0]!.id, { id: "bean", cropId: "bean_bush", plants: 20, variety: "Élan" }, "2026-05-12"); // prettier-ignore
  const ids = ["courgette", "carrot", "bean"];
  for (let n = 0; n < 130; n++) {
    const day = addDays("2026-07-01", n % 50);
    send(db, { kind: "pick", plantingId: ids[n % 3]!, outcome: "picked", weight: `${1000 - n} g`, ...(n === 77 ? { note: "by the Gate, 50% off" } : {}) }, { at: `${day}T08:00:00Z` }); // prettier-ignore
  }
  send(db, { kind: "pick", plantingId: "carrot", outcome: "nothing ready" }, { at: "2026-08-20T09:00:00Z" });
  const page = (asked: object) => ledgerPage(db, garden, LedgerQuery.parse(asked));

  test("it brings a page of them, and all of them once over its pages, in the order of the whole", () => {
    const all = allLines(db).map((l) => l.id);
    const pages = Array.from({ length: page({}).shown.pages }, (_, n) => page({ page: n + 1 }));
    expect(pages.map((p) => p.lines.length)).toEqual([40, 40, 40, 11]);
    expect(pages.flatMap((p) => p.lines.map((l) => l.id))).toEqual(all);
    expect(pages[3]!.shown).toMatchObject({ from: 121, to: 131, count: 131 });
  });

  test.each<[object, (l: { grams: number | null; crop: string }) => string | number | null, 1 | -1]>([
    [{ sort: "grams", order: "down" }, (l) => l.grams ?? -1, -1],
    [{ sort: "grams", order: "up" }, (l) => l.grams ?? -1, 1],
    [{ sort: "crop", order: "up" }, (l) => l.crop, 1],
    [{ sort: "crop", order: "down" }, (l) => l.crop, -1],
  ])("%o puts all lines in that order, not those of a page", (asked, of, way) => {
    const said = [1, 2, 3, 4].flatMap((n) => page({ ...asked, page: n }).lines.map(of));
    expect(said).toEqual([...said].sort((a, b) => way * (a! < b! ? -1 : a! > b! ? 1 : 0)));
    expect(said).toHaveLength(131);
  });

  test.each<[string, number]>([
    ["carrot", 44],
    ["ÉLAN", 43],
    ["long bed", 131],
    ["3 Jul", 9],
    ["2026-07-03", 3],
    ["nothing ready", 1],
    ["50% off", 1],
    ["the gate", 1],
    ["%", 1],
    ["_", 0],
    ["zebra", 0],
  ])("what is sought as it is read is found on every page: %s", (q, count) => {
    expect(page({ q }).shown.count).toBe(count);
  });

  test("a page that is not there is the last one, and what is not understood is nothing said", () => {
    expect(page({ page: "99" }).asked.page).toBe(4);
    expect(page({ page: "-1", sort: "colour", order: "sideways", by: "moon" }).asked).toEqual({ by: "crop", q: "", sort: "day", order: "down", page: 1 }); // prettier-ignore
  });

  test("an export would have held up a pick: another act comes between its parts, and no line is lost or doubled", async () => {
    const big = smallGarden();
    for (let n = 0; n < 1100; n++) send(big.db, { kind: "pick", plantingId: "carrot", outcome: "picked", weight: "10 g" }, { at: `2026-08-20T08:00:00.${String(n % 1000).padStart(3, "0")}Z` }); // prettier-ignore
    const parts: string[] = [];
    for await (const part of ledgerCsv(big.db)) {
      parts.push(part);
      if (parts.length === 2) expect(send(big.db, { kind: "pick", plantingId: "carrot", outcome: "picked", weight: "77 g" }, { at: "2026-08-20T23:00:00Z" }).status).toBe("applied"); // prettier-ignore
    }
    expect(parts.length).toBeGreaterThan(3);
    const lines = parts.join("").trim().split("\r\n").slice(1);
    // What is logged meanwhile may be in it or not.
    expect(lines.filter((l) => l.includes(",10,"))).toHaveLength(1100);
  });
});
