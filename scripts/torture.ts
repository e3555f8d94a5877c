import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { chunk } from "es-toolkit";
import { EntryAnswers, type EntryBody } from "~/core/entries";
import { seeded } from "~/core/statistics";
import { openGarden } from "~/db/client.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { ended, runningGarden } from "./running-garden";
import { letAllIn, sharedAt, SharedDoor, type LetIn } from "./shared-garden";

/**
 * Ends the server with SIGKILL at random moments while several devices send entries, in batches, out of order and
 * again when no answer came, one of them by the network's door, while a helper logs what is on the list by a link, and
 * while others read all there is: `npm run torture [-- --rounds 200 --seed 1]`. After
 * each kill the file is checked whole; in the end every acknowledged entry has to be there, once, and what is kept
 * summed has to be the sum. Then the same on a disk that is full, and with a file that may only be read (both need the
 * right to mount; without it they are said to be left out). Sends to this machine only, and stops by itself.
 */
const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const ROUNDS = option("rounds", 200);
const uniform = seeded(option("seed", 1));
const PORT = option("port", 4290);
const URL = `http://127.0.0.1:${PORT}`;
const SHARED = sharedAt(PORT + 1);
const DEVICES = 3;
const PLANTINGS = ["courgette-striped", "bean-climbing", "tomato-red", "kale-curly", "beet-red", "carrot-main"];
/** Long enough for a batch, each entry of which is on the disk before the next. */
const MOST_MS_ALIVE = 2500;

const whole = (below: number) => Math.floor(uniform() * below);
const one = <T>(of: readonly T[]): T => of[whole(of.length)]!;

type Sent = EntryBody & { id: string; device: string; sequence: number; at: string };

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-torture-"));

/** A garden's file, and what devices know of it. */
interface Garden {
  file: string;
  acknowledged: Map<string, Sent>;
  unanswered: Sent[][];
  picks: string[];
  refusals: Map<string, string>;
  /** Why entries had to wait, as the garden said. */
  whys: Set<string>;
  /** By the door that the network reaches: the last of the devices, and a helper. */
  door?: { at: SharedDoor; letIn: LetIn } | undefined;
}

function gardenAt(file: string): Garden {
  const made = openGarden(file);
  plantDemoGarden(made);
  made.$client.close();
  return { file, acknowledged: new Map(), unanswered: Array.from({ length: DEVICES }, () => []), picks: [], refusals: new Map(), whys: new Set() }; // prettier-ignore
}
const sequence = new Array<number>(DEVICES).fill(0);

/** Something a gardener does: mostly picks, some looks, counts, notes, weighings and second thoughts. */
function act(picks: readonly string[]): EntryBody {
  const plantingId = one(PLANTINGS);
  const dice = uniform();
  // What is written names itself, so that the same thing under two numbers is seen as well.
  const note = `line ${crypto.randomUUID()}`;
  if (dice < 0.55) return { kind: "pick", plantingId, outcome: "picked", tookAll: false, count: String(1 + whole(20)), note }; // prettier-ignore
  if (dice < 0.65) return { kind: "pick", plantingId: "bean-climbing", outcome: "picked", tookAll: false, weight: `${100 + whole(900)} g`, note }; // prettier-ignore
  if (dice < 0.75) return { kind: "count", plantingId, what: "ready", number: String(whole(30)) };
  if (dice < 0.83) return { kind: "note", plantingId, text: note };
  if (dice < 0.9 && picks.length > 0) return { kind: "take back", target: one(picks), putBack: uniform() < 0.5 };
  if (dice < 0.95 && picks.length > 0) return { kind: "weighing", lotId: one(picks), weight: `${50 + whole(900)} g` };
  return { kind: "pass by", roundId: `round ${whole(20)}`, plantingId, done: uniform() < 0.7 };
}

function nextEntry({ picks }: Garden, device: number): Sent {
  const body = act(picks);
  const id = crypto.randomUUID();
  if (body.kind === "pick") picks.push(id);
  return { ...body, id, device: `device ${device}`, sequence: ++sequence[device]!, at: new Date(Date.UTC(2026, 8, 19, 9) + sequence[device]! * 1000).toISOString() }; // prettier-ignore
}

/** What a device sends: what had no answer, something new, sometimes what was acknowledged before; in any order. */
function nextBatch(garden: Garden, device: number): Sent[] {
  const { acknowledged, unanswered } = garden;
  const again = unanswered[device]!.splice(0, 20);
  // Nobody picks on for hours without an answer: what waits goes first.
  const fresh = Array.from({ length: unanswered[device]!.length < 40 ? 1 + whole(12) : 0 }, () =>
    nextEntry(garden, device),
  );
  const old = acknowledged.size > 0 && uniform() < 0.3 ? [one([...acknowledged.values()])] : [];
  return [...again, ...fresh, ...old].sort(() => uniform() - 0.5);
}

const SENT = { method: "POST", path: "/entries", timeoutMs: 10_000 } as const;

/** What was answered to a batch, by the door that the device uses. */
async function answerTo(door: Garden["door"], device: number, batch: Sent[]): Promise<unknown> {
  const body = JSON.stringify({ entries: batch });
  const headers = { "Content-Type": "application/json" };
  if (door && device === DEVICES - 1)
    return JSON.parse((await door.at.ask({ ...SENT, headers: { ...headers, Cookie: door.letIn.phone }, body })).text);
  const response = await fetch(URL + SENT.path, { method: "POST", headers, body, signal: AbortSignal.timeout(SENT.timeoutMs) }); // prettier-ignore
  return response.json();
}

async function send(
  { door, acknowledged, unanswered, refusals, whys }: Garden,
  device: number,
  batch: Sent[],
): Promise<void> {
  // prettier-ignore
  try {
    const { answers } = EntryAnswers.parse(await answerTo(door, device, batch));
    for (const answer of answers) {
      const entry = batch.find((e) => e.id === answer.id)!;
      if (answer.status === "applied") acknowledged.set(entry.id, entry);
      else if (answer.status === "not now") {
        unanswered[device]!.push(entry);
        if (answer.why) whys.add(answer.why);
      }
      else refusals.set(entry.id, answer.sentence);
    }
  } catch {
    unanswered[device]!.push(...batch.filter((e) => !acknowledged.has(e.id)));
  }
}
/** What a helper has said and had no answer to: it is said again under its own number until there is one. */
let unheard: Sent | undefined;
let heard = 0;

/** Something on the list that none of the others picks, so that it stays there. */
const listedForHelper = ({ listed }: LetIn) => listed.find((p) => !PLANTINGS.includes(p.plantingId))!.plantingId;

/** A helper logs a pick of what is on the list, by a form of their own page. */
async function helpOut({ door, acknowledged, refusals }: Garden): Promise<void> {
  if (!door) return;
  const said = (unheard ??= { id: crypto.randomUUID(), device: "helper", sequence: 0, at: "2026-09-19T06:00:00Z", kind: "pick", plantingId: listedForHelper(door.letIn), outcome: "picked", count: String(1 + whole(20)) } as Sent); // prettier-ignore
  const { plantingId, count } = said as { plantingId: string; count: string };
  const body = new URLSearchParams({ intent: "picked", entryId: said.id, plantingId, count, weight: "" }).toString();
  const headers = { "Content-Type": "application/x-www-form-urlencoded", Cookie: door.letIn.helper };
  const { status, text } = await door.at.ask({ path: "/help.data", headers, body, timeoutMs: 10_000 });
  if (status === 200) acknowledged.set(said.id, said);
  else if (status >= 400 && status < 500) refusals.set(said.id, text.slice(0, 120));
  else return;
  unheard = undefined;
  heard++;
}

/** What is wrong with a file: its own integrity and its foreign keys. */
function faults(of: string): string[] {
  const db = new Database(of);
  const integrity = db.pragma("integrity_check", { simple: true });
  const orphans = (db.pragma("foreign_key_check") as unknown[]).length;
  db.close();
  return [...(integrity === "ok" ? [] : [`integrity: ${String(integrity)}`]), ...(orphans ? [`${orphans} rows without their parent`] : [])]; // prettier-ignore
}

/** A consistent copy taken while the server writes. */
async function copyMidWrite(file: string, round: number): Promise<string[]> {
  const to = path.join(folder, `copy-${round}.sqlite`);
  const db = new Database(file, { readonly: true });
  await db.backup(to);
  db.close();
  const found = faults(to);
  rmSync(to, { force: true });
  return found.map((f) => `copy: ${f}`);
}

/** What is heavy: every page, all lines in another order, the export; asked for again and again until it is told to stop. */
async function readAll(until: () => boolean): Promise<number> {
  let pages = 0;
  while (!until())
    await Promise.all(
      ["/", "/ledger?sort=grams&order=up", "/ledger.csv", "/sky", "/round"].map((at) => {
        pages++;
        // Most are cut off by the kill.
        return fetch(URL + at, { signal: AbortSignal.timeout(10_000) }).then((page) => page.arrayBuffer()).catch(() => undefined); // prettier-ignore
      }),
    );
  return pages;
}

/**
 * The last word: what had no answer is sent once more, so that it, too, is there once. What one device takes back may
 * be on another that has not come to it: they go round until nobody gets any further.
 */
async function lastWord(garden: Garden): Promise<void> {
  const waits = () => garden.unanswered.flat().length;
  for (let before = Infinity; waits() > 0 && waits() < before;) {
    before = waits();
    for (let device = 0; device < DEVICES; device++)
      for (const batch of chunk(garden.unanswered[device]!.splice(0), 100)) await send(garden, device, batch);
  }
}

/** Entries that were acknowledged and are not there, or are there twice; sums that are not the sum. */
function accountOf({ file, acknowledged }: Garden): { lost: number; doubled: number; sumsOff: number } {
  const db = new Database(file, { readonly: true });
  const ids = (sql: string) => (db.prepare(sql).all() as { id: string; n: number }[]).map((r) => [r.id, r.n] as const);
  const entries = new Map(ids("select id, count(*) as n from entry group by id"));
  const lots = new Map(ids("select pick_id as id, count(*) as n from lot group by pick_id"));
  const movements = new Map(
    ids("select lot_id as id, count(*) as n from movement where kind = 'picked' group by lot_id"),
  );
  const pieces = new Map(ids("select lot_id as id, pieces as n from movement where kind = 'picked'"));
  const notes = new Map(ids("select id, count(*) as n from note_line group by id"));
  const sameNotes = ids("select text as id, count(*) as n from note_line group by text");
  const samePicks = ids("select note as id, count(*) as n from pick where note like 'line %' group by note");
  const weighings = new Map(ids("select id, count(*) as n from weighing group by id"));
  const summed = new Map(ids("select season_id as id, sum(pieces) as n from season_sum group by season_id"));
  const added =
    ids(`select p.season_id as id, ifnull(sum(m.pieces), 0) as n from pick p left join lot l on l.pick_id = p.id
    left join movement m on m.lot_id = l.id and m.kind in ('picked', 'corrected', 'weighed')
    where p.outcome = 'picked' and p.withdrawn_at is null group by p.season_id`);
  db.close();
  let lost = 0;
  let doubled = 0;
  for (const entry of acknowledged.values()) {
    if (entries.get(entry.id) !== 1) lost++;
    else if (entry.kind === "pick") {
      if (lots.get(entry.id) !== 1) lost++;
      else if (entry.count && pieces.get(entry.id) !== Number(entry.count)) lost++;
      if ((movements.get(entry.id) ?? 0) > 1) doubled++;
    } else if (entry.kind === "note" && notes.get(entry.id) !== 1) lost++;
    else if (entry.kind === "weighing" && weighings.get(entry.id) !== 1) lost++;
  }
  for (const [, n] of [...lots, ...sameNotes, ...samePicks]) if (n > 1) doubled++;
  const sumsOff = added.filter(([id, n]) => (summed.get(id) ?? 0) !== n).length;
  return { lost, doubled, sumsOff };
}

const run = (...command: string[]) => spawnSync(command[0]!, command.slice(1), { stdio: "ignore" }).status === 0;

/** Entries go on coming while the disk is full; then the server is killed; then there is room again. */
async function fullDisk(): Promise<
  { whys: number; waited: number; faults: string[]; lost: number; doubled: number; sumsOff: number } | "left out"
> {
  const small = path.join(folder, "small");
  mkdirSync(small);
  if (!run("mount", "-t", "tmpfs", "-o", "size=7m", "tmpfs", small)) return "left out";
  try {
    const garden = gardenAt(path.join(small, "garden.sqlite"));
    const found: string[] = [];
    const waits = () => garden.unanswered.flat().length;
    for (let life = 0; life < 3; life++) {
      const server = await runningGarden(garden.file, PORT);
      for (let n = 0; n < 4000 && waits() < 60; n++) await send(garden, n % DEVICES, nextBatch(garden, n % DEVICES));
      const page = await fetch(`${URL}/`, { signal: AbortSignal.timeout(20_000) }).then(
        (p) => p.status,
        () => 0,
      );
      if (page !== 200) found.push(`the start page on a full disk: ${page}`);
      await ended(server, "SIGKILL");
      found.push(...faults(garden.file));
    }
    const waited = waits();
    if (!run("mount", "-o", "remount,size=64m", small)) found.push("no room could be made");
    const server = await runningGarden(garden.file, PORT);
    await lastWord(garden);
    await ended(server, "SIGKILL");
    if (waits() > 0) found.push(`${waits()} entries still wait though there is room`);
    return { whys: garden.whys.size, waited, faults: [...found, ...faults(garden.file)], ...accountOf(garden) };
  } finally {
    run("umount", small);
  }
}

/** A file that may only be read: no entry is acknowledged, and nothing of it changes. */
async function readOnly(): Promise<{ acknowledged: number; faults: string[] } | "left out"> {
  const [there, shown] = [path.join(folder, "there"), path.join(folder, "shown")];
  for (const at of [there, shown]) mkdirSync(at);
  const garden = gardenAt(path.join(there, "garden.sqlite"));
  if (!run("mount", "--bind", there, shown)) return "left out";
  try {
    if (!run("mount", "-o", "remount,ro,bind", shown)) return "left out";
    const server = await runningGarden(path.join(shown, "garden.sqlite"), PORT, "/icon.svg");
    for (let n = 0; n < 6; n++) await send(garden, n % DEVICES, [nextEntry(garden, n % DEVICES)]);
    await ended(server, "SIGKILL");
    return { acknowledged: garden.acknowledged.size, faults: faults(garden.file) };
  } finally {
    run("umount", shown);
  }
}

if (!existsSync("build/server/index.js")) throw new Error("Build first: npm run build");
const garden = gardenAt(path.join(folder, "garden.sqlite"));
garden.door = { at: new SharedDoor(garden.file, PORT + 1), letIn: await letAllIn(garden.file) };
const broken: string[] = [];
let kills = 0;
let copies = 0;
let pages = 0;
// In peace once, as a helper comes by: a plan takes as long as a life below.
const peace = await runningGarden(garden.file, PORT, "/round", SHARED);
for (let tries = 0; tries < 20 && heard === 0; tries++) await helpOut(garden);
await ended(peace, "SIGKILL");
for (let round = 0; round < ROUNDS; round++) {
  // Some are ended as they come up, most once they have opened their file.
  const server = await runningGarden(garden.file, PORT, uniform() < 0.25 ? "/health" : "/ledger.csv", SHARED);
  const until = Date.now() + whole(MOST_MS_ALIVE);
  const reading = readAll(() => Date.now() > until);
  const devices = Array.from({ length: DEVICES }, async (_, device) => {
    while (Date.now() < until + 300) await send(garden, device, nextBatch(garden, device)).then(() => new Promise((r) => setTimeout(r, whole(20)))); // prettier-ignore
  });
  const helping = (async () => {
    while (Date.now() < until + 300) await helpOut(garden).then(() => new Promise((r) => setTimeout(r, 30)));
  })();
  if (round % 5 === 0) {
    broken.push(...(await copyMidWrite(garden.file, round)));
    copies++;
  }
  await new Promise((resolve) => setTimeout(resolve, Math.max(0, until - Date.now())));
  await ended(server, "SIGKILL");
  kills++;
  await Promise.all([...devices, helping]);
  pages += await reading;
  broken.push(...faults(garden.file));
  if (round % 20 === 19) console.log(`${kills} kills, ${garden.acknowledged.size} acknowledged, ${pages} heavy pages asked for, ${broken.length} faults`); // prettier-ignore
}
const server = await runningGarden(garden.file, PORT, "/health", SHARED);
await lastWord(garden);
await helpOut(garden);
await ended(server, "SIGKILL");
garden.door.at.close();
const waiting = garden.unanswered.flat().length;
if (waiting > 0) broken.push(`${waiting} entries had no answer in the end`);
const { lost, doubled, sumsOff } = accountOf(garden);
const [full, only] = [await fullDisk(), await readOnly()];
rmSync(folder, { recursive: true, force: true });
for (const fault of broken.slice(0, 10)) console.error(fault);
console.log(`refused: ${[...new Set(garden.refusals.values())].join(" · ") || "none"}`);
console.log(`full disk: ${JSON.stringify(full)}`);
console.log(`may only be read: ${JSON.stringify(only)}`);
console.log(JSON.stringify({ bench: "torture", kills, acknowledged: garden.acknowledged.size, ofHelper: heard, lost, doubled, sumsOff, faults: broken.length, copies, pages, refused: garden.refusals.size, full: full === "left out" ? full : full.lost + full.doubled + full.sumsOff + full.faults.length, readOnly: only === "left out" ? only : only.acknowledged + only.faults.length })); // prettier-ignore
const bad = lost + doubled + sumsOff + broken.length + (full === "left out" ? 0 : full.lost + full.doubled + full.sumsOff + full.faults.length) + (only === "left out" ? 0 : only.acknowledged + only.faults.length); // prettier-ignore
process.exit(bad === 0 ? 0 : 1);
