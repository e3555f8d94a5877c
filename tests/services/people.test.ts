import { beforeEach, describe, expect, test } from "vitest";
import { devicesIn } from "~/services/access/devices.server";
import { describeDevice, letIn } from "~/services/access/devices.server";
import { setPassphrase } from "~/services/access/passphrase.server";
import { peopleOf, personAt, personName, pickersToldApart, setPersonHere } from "~/services/access/people.server";
import { takeEntries } from "~/services/entries/take-entries.server";
import { correctPick, CorrectionForm } from "~/services/ledger/correct-pick.server";
import { csvPart, CSV_HEAD } from "~/services/ledger/ledger-csv.server";
import { LedgerQuery, ledgerPage } from "~/services/ledger/ledger-page.server";
import { linePage } from "~/services/ledger/line-page.server";
import { smallGarden, type GardenOfTest } from "./garden-fixture";

const NOW = new Date("2026-08-20T08:00:00Z");
let made: GardenOfTest;
beforeEach(async () => {
  made = smallGarden();
  await setPassphrase(made.db, "beans up the shed wall", NOW);
});
const phone = async (name: string, person: string) => {
  await letIn(made.db, name, person, NOW);
  return { deviceId: devicesIn(made.db).find((d) => d.name === name)!.id };
};
/** A pick that comes by a door. */
function picked(knock: { deviceId: string | null } | undefined): string {
  const id = crypto.randomUUID();
  const entry = { id, device: "d", sequence: 1, at: NOW.toISOString(), kind: "pick", plantingId: "courgette", outcome: "picked", count: "3" }; // prettier-ignore
  expect(takeEntries(made.db, { entries: [entry] }, personAt(made.db, knock))).toMatchObject({ answers: [{ status: "applied" }] }); // prettier-ignore
  return id;
}
const ledger = (q = "") => ledgerPage(made.db, made.garden, LedgerQuery.parse({ q }));

describe("a household of one", () => {
  test("is told nothing of who picked, whether it gave a name or not", async () => {
    picked(undefined);
    expect(ledger()).toMatchObject({ people: [], lines: [{ person: null }] });
    const kitchen = await phone("Kitchen phone", "Rosa");
    setPersonHere(made.db, "Rosa");
    picked(kitchen);
    picked(undefined);
    expect(ledger().people).toEqual([]);
  });
});

describe("two people", () => {
  test("a pick is of the person whose device sent it; at the machine itself of whoever uses it", async () => {
    const [rosa, tom, nobody] = [await phone("Kitchen phone", " Rosa  Lee "), await phone("Old phone", "Tom"), await phone("Tablet", "")]; // prettier-ignore
    setPersonHere(made.db, "Tom");
    const ids = [picked(rosa), picked(tom), picked(nobody), picked(undefined)];
    const by = ids.map((id) => ledger().lines.find((l) => l.id === id)!.person);
    expect(by).toEqual(["Rosa Lee", "Tom", null, "Tom"]);
    expect(peopleOf(made.db)).toEqual(["Rosa Lee", "Tom"]);
    expect(ledger().people).toEqual(["Rosa Lee", "Tom"]);
    expect(ledger("rosa").lines.map((l) => l.id)).toEqual([ids[0]]);
    const rows = csvPart(made.db, null).text.trimEnd().split("\r\n");
    expect(CSV_HEAD.at(-1)).toBe("picked_by");
    expect(rows.map((row) => row.split(",").at(-1)).sort()).toEqual(["", "Rosa Lee", "Tom", "Tom"]);
  });
  test("a device given to another picks for that one from then on; what stands in the ledger stays", async () => {
    const kitchen = await phone("Kitchen phone", "Rosa");
    await phone("Old phone", "Tom");
    const before = picked(kitchen);
    describeDevice(made.db, kitchen.deviceId, { name: "Kitchen phone", person: "Tom" });
    const after = picked(kitchen);
    const of = (id: string) => ledger().lines.find((l) => l.id === id)!.person;
    expect([of(before), of(after)]).toEqual(["Rosa", "Tom"]);
    expect(pickersToldApart(made.db)).toEqual(["Rosa", "Tom"]);
  });
  test("who picked is corrected like all else of a line, and kept where nothing is said of it", async () => {
    const id = picked(await phone("Kitchen phone", "Rosa"));
    const to = { outcome: "picked", count: "3", condition: "sound", fate: "eat now", on: "2026-08-20" };
    correctPick(made.db, id, CorrectionForm.parse(to), "2026-08-20");
    expect(linePage(made.db, made.garden, id)!.line.person).toBe("Rosa");
    correctPick(made.db, id, CorrectionForm.parse({ ...to, person: " Tom " }), "2026-08-20");
    expect(linePage(made.db, made.garden, id)).toMatchObject({ line: { person: "Tom" }, earlier: [{ was: "3 pieces, by Rosa" }, { was: "3 pieces, by Rosa" }] }); // prettier-ignore
    correctPick(made.db, id, CorrectionForm.parse({ ...to, person: "" }), "2026-08-20");
    expect(linePage(made.db, made.garden, id)!.line.person).toBeNull();
  });
});

test.each([["", null], ["   ", null], ["  Rosa \n Lee", "Rosa Lee"], ["x".repeat(90), "x".repeat(40)]])("the name “%s”", (typed, kept) => expect(personName(typed)).toBe(kept)); // prettier-ignore
