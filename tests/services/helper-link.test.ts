import { beforeEach, describe, expect, test } from "vitest";
import { addDays } from "~/core/calendar";
import { entriesOfDevice } from "~/db/entries/entries.server";
import { setDemoDay, theGarden, type GardenRow } from "~/db/garden/garden.server";
import { allTrips, deleteTrip, insertHelper, updateTrip } from "~/db/sky/hands.server";
import { openLooks } from "~/db/looks/looks.server";
import type { Db } from "~/db/client.server";
import { endLink, helperCookie, helperIn, helperLinkOf, helperLinksOpen, makeHelperLink } from "~/services/access/helper-links.server"; // prettier-ignore
import { setPassphrase } from "~/services/access/passphrase.server";
import { HelperAct, helpPage, logAsHelper } from "~/services/ahead/helper-logs.server";
import { wasShown } from "~/services/ahead/helper-shown.server";
import { linePage } from "~/services/ledger/line-page.server";
import { demoGarden, send } from "./garden-fixture";

const NOW = new Date("2026-09-19T05:00:00Z");
let db: Db;
const garden = (): GardenRow => theGarden(db)!;
beforeEach(async () => {
  ({ db } = demoGarden());
  insertHelper(db, { id: "neighbour", name: "Neighbour", minutes: 60, everyDays: 2, cropIds: [], skills: ["knife"] });
  await setPassphrase(db, "beans up the shed wall", NOW);
});
const trip = () => allTrips(db)[0]!;
function made() {
  const link = makeHelperLink(db, garden(), { name: "Neighbour", from: trip().fromDay }, NOW);
  if (link.status !== "made") throw new Error(link.sentence);
  return { ...link, row: helperLinkOf(db, garden(), link.token)! };
}
const number = () => crypto.randomUUID();
const act = (fields: Record<string, string>) => HelperAct.parse({ entryId: number(), ...fields });

describe("a link", () => {
  test("opens with what it carries, until the last day away; the day after it is over", () => {
    const { token, untilDay } = made();
    expect(untilDay).toBe(trip().toDay);
    setDemoDay(db, untilDay);
    expect(helperLinkOf(db, garden(), token)?.name).toBe("Neighbour");
    setDemoDay(db, addDays(untilDay, 1));
    expect(helperLinkOf(db, garden(), token)).toBeUndefined();
    expect(helperLinksOpen(db, garden().demoDay!)).toEqual([]);
  });
  test("the phone that opened it is in while it opens; ended, it is out at once; the file alone opens nothing", async () => {
    const { token, row } = made();
    const cookie = (await helperCookie(db, token)).split(";")[0]!;
    expect((await helperIn(db, garden(), cookie))?.id).toBe(row.id);
    const hash = db.$client.prepare("select token_hash from helper_link").pluck().get() as string;
    expect(helperLinkOf(db, garden(), hash)).toBeUndefined();
    expect(endLink(db, row.id, NOW)).toBe(true);
    expect(await helperIn(db, garden(), cookie)).toBeUndefined();
    expect(endLink(db, row.id, NOW)).toBe(false);
  });
  test("goes with its trip: longer or shorter with it, and taken out with it", () => {
    const { token } = made();
    const { id, toDay } = trip();
    const opensOn = (day: string) => (setDemoDay(db, day), helperLinkOf(db, garden(), token) !== undefined);
    updateTrip(db, id, { toDay: addDays(toDay, -2) });
    expect([opensOn(addDays(toDay, -2)), opensOn(addDays(toDay, -1))]).toEqual([true, false]);
    updateTrip(db, id, { fromDay: addDays(trip().fromDay, 1), toDay: addDays(toDay, 2) });
    expect([opensOn(addDays(toDay, 2)), opensOn(addDays(toDay, 3))]).toEqual([true, false]);
    setDemoDay(db, "2026-09-19");
    expect(helpPage(db, garden(), helperLinkOf(db, garden(), token)!).sheet?.from).toBe(trip().fromDay);
    deleteTrip(db, id);
    expect(helperLinkOf(db, garden(), token)).toBeUndefined();
  });
  test("a new passphrase ends it, as it puts every phone out", async () => {
    const { token } = made();
    await setPassphrase(db, "another four words here", NOW);
    expect(helperLinkOf(db, garden(), token)).toBeUndefined();
  });
  test("is made for a trip that is noted only", () => {
    expect(makeHelperLink(db, garden(), { name: "N", from: "2026-01-01" }, NOW)).toMatchObject({ status: "refused" });
  });
});

describe("what a helper says", () => {
  test("of what is listed is written down once, by their name, and can be taken back", async () => {
    const { row } = made();
    const listed = helpPage(db, garden(), row).sheet!.beds[0]!.plantings[0]!;
    const picked = act({ intent: "picked", plantingId: listed.plantingId, count: "5" });
    expect(await logAsHelper(db, garden(), row, picked)).toBeUndefined();
    expect(await logAsHelper(db, garden(), row, picked)).toBeUndefined();
    const { done } = helpPage(db, garden(), row);
    expect(done.map((d) => d.words)).toEqual(["Picked: 5."]);
    expect(entriesOfDevice(db, `helper ${row.id}`)).toHaveLength(1);
    expect(linePage(db, garden(), done[0]!.entryId)).toMatchObject({ line: { person: "Neighbour", pieces: 5 }, people: ["Neighbour"] }); // prettier-ignore
    expect(
      await logAsHelper(db, garden(), row, act({ intent: "take back", target: done[0]!.entryId })),
    ).toBeUndefined();
    expect(helpPage(db, garden(), row).done).toEqual([]);
    // Taken back twice, as a phone with a bad line does, it is taken back.
    const twice = act({ intent: "take back", target: "none" });
    expect(await logAsHelper(db, garden(), row, { ...twice, entryId: entriesOfDevice(db, `helper ${row.id}`).at(-1)!.id })).toBeUndefined(); // prettier-ignore
  });
  test("of what was on the list they hold, though the plan has moved on meanwhile; the day after that list is none", async () => {
    const { row } = made();
    const listed = () => helpPage(db, garden(), row).sheet!.beds.flatMap((b) => b.plantings.map((p) => p.plantingId));
    const plantingId = "corn-second";
    expect(listed()).toContain(plantingId);
    send(db, { kind: "pick", plantingId, outcome: "picked", count: "30", tookAll: true });
    expect(listed()).not.toContain(plantingId);
    const pick = () => logAsHelper(db, garden(), row, act({ intent: "picked", plantingId, count: "2" }));
    expect(await pick()).toBeUndefined();
    const onList = (day: string, other = plantingId) => wasShown(row.id, day, { plantingId: other });
    expect([onList("2026-09-19"), onList("2026-09-20"), onList("2026-09-19", "onion-red")]).toEqual([
      true,
      false,
      false,
    ]);
  });
  test("of how it looks is a look of the planting, as the household would take it", async () => {
    const { row } = made();
    const listed = helpPage(db, garden(), row).sheet!.beds.flatMap((b) => b.plantings).find((p) => p.tell.length > 0)!; // prettier-ignore
    const [cue] = listed.tell;
    const fields = { plantingId: listed.plantingId, cueId: cue!.cueId, readingId: cue!.readings[0]!.id };
    expect(await logAsHelper(db, garden(), row, act({ intent: "looked", ...fields }))).toBeUndefined();
    expect(openLooks(db).filter((l) => l.cueId === fields.cueId && l.readingId === fields.readingId).map((l) => l.takenOn)).toContain("2026-09-19"); // prettier-ignore
  });
  test("is asked of the sheet as it stands that day: half-way through the trip what is over is no longer asked for", () => {
    const { row } = made();
    const visits = (day: string) => (setDemoDay(db, day), helpPage(db, garden(), row).sheet!.visits.map((v) => v.day));
    const before = visits(trip().fromDay);
    const after = visits(addDays(trip().fromDay, 3));
    expect(after.length).toBeLessThan(before.length);
    expect(after.every((day) => day >= addDays(trip().fromDay, 3))).toBe(true);
  });
  test("of anything else is refused and changes nothing: another planting, another cue, somebody else's entry", async () => {
    const { row } = made();
    const sheet = helpPage(db, garden(), row).sheet!;
    const [listed, other] = [sheet.beds[0]!.plantings[0]!, sheet.leave[0]!.plantingIds[0]!];
    const before = db.$client.serialize();
    for (const said of [
      act({ intent: "picked", plantingId: other, count: "5" }),
      act({ intent: "nothing ready", plantingId: "no such planting" }),
      act({ intent: "looked", plantingId: listed.plantingId, cueId: "another", readingId: "x" }),
      act({ intent: "looked", plantingId: other, cueId: listed.tell[0]?.cueId ?? "c", readingId: listed.tell[0]?.readings[0]?.id ?? "r" }), // prettier-ignore
      act({ intent: "take back", target: "tomato-red-2026-09-16" }),
    ])
      expect(await logAsHelper(db, garden(), row, said)).toEqual({
        sentence: "That is not on your list. Leave it as it is.",
      });
    expect(db.$client.serialize().equals(before)).toBe(true);
  });
  test("with an amount that cannot be read is told in a sentence, and nothing is written", async () => {
    const { row } = made();
    const { plantingId } = helpPage(db, garden(), row).sheet!.beds[0]!.plantings[0]!;
    expect(
      (await logAsHelper(db, garden(), row, act({ intent: "picked", plantingId, weight: "a bucket" })))?.sentence,
    ).toMatch(/“bucket” is not a unit known here/);
    expect(entriesOfDevice(db, `helper ${row.id}`)).toEqual([]);
  });
});
