import { addDays } from "date-fns";
import { createCookie } from "react-router";
import { beforeEach, describe, expect, test } from "vitest";
import { openGarden, type Db } from "~/db/client.server";
import { theDoor } from "~/db/access/door.server";
import { describeDevice, deviceName, deviceOf, devicesIn, dropDevice, letIn } from "~/services/access/devices.server";
import { faultOf, isPassphrase, setPassphrase } from "~/services/access/passphrase.server";
import { triedFrom, Tries } from "~/services/access/tries.server";

const NOW = new Date("2026-08-20T08:00:00Z");
const WORDS = "beans up the shed wall";
let db: Db;
beforeEach(() => {
  db = openGarden(":memory:");
});
const shown = async (name = "Kitchen phone", person = "") => (await letIn(db, name, person, NOW)).split(";")[0]!;

describe("the passphrase", () => {
  test.each(["", "short", "elevenchars", "aaaaaaaaaaaaaaaa", "abababababababab", "x".repeat(201)])("“%s” will not do", (typed) => expect(faultOf(typed)).toMatch(/passphrase|letters/)); // prettier-ignore
  test("four words will, in any letters", () => {
    for (const typed of [WORDS, "Bohnen über dem Schuppen", "赤いトマトと緑の豆が好き"])
      expect(faultOf(typed)).toBeUndefined();
  });
  test("one that will not do changes nothing", async () => {
    await setPassphrase(db, WORDS, NOW);
    expect((await setPassphrase(db, "short", NOW)).status).toBe("refused");
    expect(await isPassphrase(db, WORDS)).toBe(true);
  });
  test("is known again, written by another keyboard too; another is not, and where none was set nothing is", async () => {
    expect(await isPassphrase(db, "")).toBe(false);
    await setPassphrase(db, "café au jardin", NOW);
    expect(await isPassphrase(db, "  cafe\u0301 au jardin ")).toBe(true);
    for (const typed of ["", "Café au jardin", "café au jardin!", "x".repeat(100_000)]) expect(await isPassphrase(db, typed)).toBe(false); // prettier-ignore
  });
  test("is kept as Argon2id with the costs that OWASP's Password Storage Cheat Sheet asks for, salted, never as typed", async () => {
    await setPassphrase(db, WORDS, NOW);
    const first = theDoor(db)!.passphraseHash;
    expect(first).toMatch(/^\$argon2id\$v=19\$m=19456,p=1,t=2\$/);
    await setPassphrase(db, WORDS, NOW);
    expect(theDoor(db)!.passphraseHash).not.toBe(first);
    expect(JSON.stringify(db.$client.prepare("select * from door").all())).not.toContain("beans");
  });
});

describe("phones", () => {
  beforeEach(async () => void (await setPassphrase(db, WORDS, NOW)));
  test("is in with what it was given, and with nothing else", async () => {
    const cookie = await shown();
    expect((await deviceOf(db, `a=1; ${cookie}`, NOW))?.name).toBe("Kitchen phone");
    expect(await deviceOf(db, null, NOW)).toBeUndefined();
    expect(await deviceOf(db, "__Host-akmedon=x", NOW)).toBeUndefined();
    const [{ tokenHash } = { tokenHash: "" }] = devicesIn(db);
    const { cookieSecret } = theDoor(db)!;
    const signed = (value: unknown, secret: string) => createCookie("__Host-akmedon", { secrets: [secret] }).serialize(value); // prettier-ignore
    // Whoever reads the file has what a token is compared with, and no token.
    expect(await deviceOf(db, await signed(tokenHash, cookieSecret), NOW)).toBeUndefined();
    const token = await createCookie("__Host-akmedon", { secrets: [cookieSecret] }).parse(cookie);
    expect(await deviceOf(db, await signed(token, "another secret"), NOW)).toBeUndefined();
    expect(await deviceOf(db, await signed({ token }, cookieSecret), NOW)).toBeUndefined();
  });
  test("each has its own: one that is dropped is out, the other stays", async () => {
    const [one, two] = [await shown("One"), await shown("Two")];
    const first = devicesIn(db).find((d) => d.name === "One")!;
    expect(describeDevice(db, first.id, { name: "  Old   phone ", person: " " })).toBe(true);
    expect(devicesIn(db).find((d) => d.id === first.id)).toMatchObject({ name: "Old phone", person: null });
    expect(dropDevice(db, first.id, NOW)).toBe(true);
    expect(dropDevice(db, first.id, NOW)).toBe(false);
    expect(describeDevice(db, first.id, { name: "Back", person: "" })).toBe(false);
    expect(await deviceOf(db, one, NOW)).toBeUndefined();
    expect((await deviceOf(db, two, NOW))?.name).toBe("Two");
  });
  test("one that comes by stays in, one unseen for half a year gives the passphrase again", async () => {
    const cookie = await shown();
    for (const day of [100, 200, 300]) expect(await deviceOf(db, cookie, addDays(NOW, day)), `${day}`).toBeDefined();
    expect(await deviceOf(db, cookie, addDays(NOW, 500))).toBeUndefined();
    expect(devicesIn(db)).toEqual([]);
  });
  test("a look at a page writes nothing: a write has the garden worked out anew", async () => {
    const cookie = await shown();
    const writes = () => db.$client.prepare("select total_changes()").pluck().get();
    const before = writes();
    for (let hour = 0; hour < 20; hour++) await deviceOf(db, cookie, new Date(NOW.getTime() + hour * 3_600_000));
    expect(writes()).toBe(before);
  });
  test("a name is what a household would say, never empty or endless", () => {
    expect([deviceName(" \n "), deviceName("a\n b"), deviceName("x".repeat(90)).length]).toEqual([
      "A phone",
      "a b",
      40,
    ]);
  });
});

describe("guessing", () => {
  test("ten tries from an address in a quarter of an hour, others untouched; the right one forgets the slips", async () => {
    const tries = new Tries();
    for (let n = 0; n < 10; n++) expect(await tries.may("10.0.0.9")).toBe(true);
    expect(await tries.may("10.0.0.9")).toBe(false);
    expect(await tries.may("10.0.0.8")).toBe(true);
    await tries.right("10.0.0.9");
    expect(await tries.may("10.0.0.9")).toBe(true);
  });
  test.each([
    ["10.0.0.9", "10.0.0.9"],
    ["::ffff:10.0.0.9", "10.0.0.9"],
    ["fd00:1:2:3:4:5:6:7", "fd00:1:2:3"],
    ["fd00::5", "fd00:0:0:0"],
    ["2001:db8:1:2::", "2001:db8:1:2"],
  ])("%s counts as %s: one phone has many of the newer addresses", (address, as) =>
    expect(triedFrom(address)).toBe(as),
  );
});
