import { spawn, type ChildProcess } from "node:child_process";
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { EntryAnswers, type EntryBody } from "~/core/entries";
import { seeded } from "~/core/statistics";
import { openGarden } from "~/db/client.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";

/**
 * Ends the server with SIGKILL at random moments while several devices send entries, in batches, out of order and
 * again when no answer came: `npm run torture [-- --rounds 200 --seed 1]`. After each kill the file is checked whole;
 * in the end every acknowledged entry has to be there, once. Sends to this machine only, and stops by itself.
 */
const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const ROUNDS = option("rounds", 200);
const uniform = seeded(option("seed", 1));
const PORT = option("port", 4290);
const URL = `http://127.0.0.1:${PORT}`;
const DEVICES = 3;
const PLANTINGS = ["courgette-striped", "bean-climbing", "tomato-red", "kale-curly", "beet-red", "carrot-main"];
const MOST_MS_ALIVE = 900;

const whole = (below: number) => Math.floor(uniform() * below);
const one = <T>(of: readonly T[]): T => of[whole(of.length)]!;

type Sent = EntryBody & { id: string; device: string; sequence: number; at: string };

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-torture-"));
const file = path.join(folder, "garden.sqlite");
const made = openGarden(file);
plantDemoGarden(made);
made.$client.close();

const acknowledged = new Map<string, Sent>();
const unanswered: Sent[][] = Array.from({ length: DEVICES }, () => []);
const picks: string[] = [];
const sequence = new Array<number>(DEVICES).fill(0);

/** Something a gardener does: mostly picks, some looks, counts, notes, weighings and second thoughts. */
function act(): EntryBody {
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

function nextEntry(device: number): Sent {
  const body = act();
  const id = crypto.randomUUID();
  if (body.kind === "pick") picks.push(id);
  return { ...body, id, device: `device ${device}`, sequence: ++sequence[device]!, at: new Date(Date.UTC(2026, 8, 19, 9) + sequence[device]! * 1000).toISOString() }; // prettier-ignore
}

/** What a device sends: what had no answer, something new, sometimes what was acknowledged before; in any order. */
function nextBatch(device: number): Sent[] {
  const again = unanswered[device]!.splice(0, 20);
  // Nobody picks on for hours without an answer: what waits goes first.
  const fresh = Array.from({ length: unanswered[device]!.length < 40 ? 1 + whole(12) : 0 }, () => nextEntry(device));
  const old = acknowledged.size > 0 && uniform() < 0.3 ? [one([...acknowledged.values()])] : [];
  return [...again, ...fresh, ...old].sort(() => uniform() - 0.5);
}

async function send(device: number, batch: Sent[]): Promise<void> {
  try {
    const response = await fetch(`${URL}/entries`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ entries: batch }),
      signal: AbortSignal.timeout(10_000),
    });
    const { answers } = EntryAnswers.parse(await response.json());
    for (const answer of answers) {
      const entry = batch.find((e) => e.id === answer.id)!;
      if (answer.status === "applied") acknowledged.set(entry.id, entry);
      else if (answer.status === "not now") unanswered[device]!.push(entry);
      else refusals.set(entry.id, answer.sentence);
    }
  } catch {
    unanswered[device]!.push(...batch.filter((e) => !acknowledged.has(e.id)));
  }
}
const refusals = new Map<string, string>();

async function started(): Promise<ChildProcess> {
  const server = spawn("node", ["--import", "tsx", "server/start.ts"], {
    env: {
      ...process.env,
      NODE_ENV: "production",
      HOST: "127.0.0.1",
      PORT: String(PORT),
      AKMEDON_GARDEN: file,
      AKMEDON_DEMO: "1",
    },
    stdio: "ignore",
  });
  for (let tries = 0; tries < 400; tries++) {
    if (await fetch(`${URL}/icon.svg`).then((r) => r.ok, () => false)) return server; // prettier-ignore
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  server.kill("SIGKILL");
  throw new Error("the server did not start within twenty seconds");
}

const killed = (server: ChildProcess) =>
  new Promise<void>((resolve) => {
    server.once("exit", () => resolve());
    server.kill("SIGKILL");
  });

/** What is wrong with a file: its own integrity and its foreign keys. */
function faults(of: string): string[] {
  const db = new Database(of);
  const integrity = db.pragma("integrity_check", { simple: true });
  const orphans = (db.pragma("foreign_key_check") as unknown[]).length;
  db.close();
  return [...(integrity === "ok" ? [] : [`integrity: ${String(integrity)}`]), ...(orphans ? [`${orphans} rows without their parent`] : [])]; // prettier-ignore
}

/** A consistent copy taken while the server writes. */
async function copyMidWrite(round: number): Promise<string[]> {
  const to = path.join(folder, `copy-${round}.sqlite`);
  const db = new Database(file, { readonly: true });
  await db.backup(to);
  db.close();
  const found = faults(to);
  rmSync(to, { force: true });
  return found.map((f) => `copy: ${f}`);
}

if (!existsSync("build/server/index.js")) throw new Error("Build first: npm run build");
const broken: string[] = [];
let kills = 0;
let copies = 0;
for (let round = 0; round < ROUNDS; round++) {
  const server = await started();
  const until = Date.now() + whole(MOST_MS_ALIVE);
  const devices = Array.from({ length: DEVICES }, async (_, device) => {
    while (Date.now() < until + 300) await send(device, nextBatch(device)).then(() => new Promise((r) => setTimeout(r, whole(20)))); // prettier-ignore
  });
  if (round % 5 === 0) {
    broken.push(...(await copyMidWrite(round)));
    copies++;
  }
  await new Promise((resolve) => setTimeout(resolve, Math.max(0, until - Date.now())));
  await killed(server);
  kills++;
  await Promise.all(devices);
  broken.push(...faults(file));
  if (round % 20 === 19) console.log(`${kills} kills, ${acknowledged.size} acknowledged, ${broken.length} faults`);
}
// The last word: what had no answer is sent once more, so that it, too, is there once.
const server = await started();
for (let device = 0; device < DEVICES; device++)
  while (unanswered[device]!.length > 0) {
    const before = unanswered[device]!.length;
    await send(device, unanswered[device]!.splice(0, 100));
    if (unanswered[device]!.length >= before) break;
  }
await killed(server);

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
rmSync(folder, { recursive: true, force: true });
for (const fault of broken.slice(0, 10)) console.error(fault);
console.log(`refused: ${[...new Set(refusals.values())].join(" · ") || "none"}`);
console.log(JSON.stringify({ bench: "torture", kills, acknowledged: acknowledged.size, lost, doubled, faults: broken.length, copies, refused: refusals.size })); // prettier-ignore
process.exit(lost + doubled + broken.length === 0 ? 0 : 1);
