import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { DrizzleQueryError } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { openGarden } from "~/db/client.server";
import { lockDoor } from "~/db/access/door.server";
import { gardenLog, tellLog } from "../../server/garden-log";
import { withoutSecrets } from "../../server/without-secrets";

let folder: string;
beforeEach(() => void (folder = mkdtempSync(path.join(tmpdir(), "akmedon-log-"))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const files = () => readdirSync(folder).filter((name) => name.endsWith(".log"));
const all = () => files().map((name) => readFileSync(path.join(folder, name), "utf8")).join(""); // prettier-ignore

describe("the log", () => {
  test("is turned over, so that what is kept stays within ten megabytes however much is written", async () => {
    // Files that are turned over are called by the time.
    vi.useRealTimers();
    const log = gardenLog(folder);
    const line = `${"x".repeat(1000)} the line`;
    for (let n = 0; n < 14_000; n++) {
      log.write(`${n} ${line}`);
      if (n % 200 === 0) await wait(1);
    }
    await vi.waitFor(() => expect(all().includes("13999 x")).toBe(true), { timeout: 20_000 });
    await vi.waitFor(() => expect(files().length).toBeLessThanOrEqual(5), { timeout: 20_000 });
    expect(files().length).toBeGreaterThan(2);
    expect(files().reduce((sum, name) => sum + statSync(path.join(folder, name)).size, 0)).toBeLessThan(11e6);
    expect(/^0 x/m.test(all())).toBe(false);
  });
  test("where nothing can be written the garden goes on", async () => {
    const log = gardenLog("/proc/no such folder/log");
    log.write("a line");
    await wait(200);
    log.write("another");
  });
});

describe("no secret is written down", () => {
  test.each([
    ["GET /h/Zm9vYmFyYmF6cXV4Zm9vYmFyYmF6cXV4Zm9vYmFyYmE 302", "GET /h/… 302"],
    ["cookie: __Host-akmedon=abc.def; a=1", "cookie: __Host-…; a=1"],
    ["passphrase=four+words&device=x", "passphrase=…&device=x"],
    ["hash $argon2id$v=19$m=19456,p=1,t=2$c2FsdA$aGFzaA here", "hash $argon2… here"],
    ["The garden is at http://127.0.0.1:4160", "The garden is at http://127.0.0.1:4160"],
  ])("%s", (line, written) => expect(withoutSecrets(line)).toBe(written));

  test("an error of the database is told without the values of its statement", () => {
    const db = openGarden(":memory:");
    db.$client.exec("drop table door");
    let told: unknown;
    try {
      lockDoor(db, { passphraseHash: "the hash", cookieSecret: "the secret" }, "2026-08-20T08:00:00Z");
    } catch (error) {
      told = error;
    }
    expect(told).toBeInstanceOf(Error);
    const line = withoutSecrets((told as Error).stack ?? "");
    expect(line).toMatch(/door/);
    for (const error of [told, new DrizzleQueryError("insert into door", ["the secret"], new Error("disk full"))])
      expect(withoutSecrets(String((error as Error).stack))).not.toMatch(/the secret|the hash/);
  });

  test("neither on the way to the system's own journal", async () => {
    const [log, error] = [console.log, console.error];
    const said: string[] = [];
    console.log = (line: string) => void said.push(line);
    console.error = (line: string) => void said.push(line);
    try {
      tellLog(gardenLog(folder));
      console.error(new Error("Failed query: insert into device\nparams: the token, 7"), { at: "/h/Zm9vYmFyYmF6cXV4Zm9v" }); // prettier-ignore
      console.log("up");
    } finally {
      [console.log, console.error] = [log, error];
    }
    expect(said.join("\n")).toMatch(/Failed query: insert into device\nparams: …[^]*up/);
    await vi.waitFor(() => expect(all()).toMatch(/params: …[^]* up\n/));
    for (const text of [said.join("\n"), all()]) expect(text).not.toMatch(/the token|Zm9vYmFy/);
  });
});
