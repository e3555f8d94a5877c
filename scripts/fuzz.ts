import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { request as httpRequest } from "node:http";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { seeded } from "~/core/statistics";
import { answerOf, type AnswerOf } from "./answer-of";
import { ended, gardenEnv, runningGarden } from "./running-garden";
import { letAllIn, sharedAt, SharedDoor, type LetIn } from "./shared-garden";

/**
 * Sends the demo's server what nobody should: mutated fields, bodies, files, other sites' Origin and Host, oversize,
 * endless rules; then, with the garden shared, the same by the door that the network reaches: as a helper with a link,
 * as a phone that is in, and as nobody. It sends to this machine only, a bounded number, and ends by itself.
 *
 * FUZZ_REQUESTS: how many mutated forms (default 600); FUZZ_SEED: which (default 1).
 */
const COUNT = Math.min(5000, Number(process.env.FUZZ_REQUESTS ?? 600));
const SEED = Number(process.env.FUZZ_SEED ?? 1);
const PORT = 4186;
/** An answer that waits for a new plan of the demo's garden has taken 1 to 3.5 s on a busy machine of two cores. */
const HANG_MS = 5000;
const WAIT_MS = 20_000;
const HOME = `http://127.0.0.1:${PORT}`;

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-fuzz-"));
/** The file that is watched: the demo's, then another for the door, since by then the first is no garden to be helped in. */
let file = path.join(folder, "demo.sqlite");
const env = gardenEnv(file, PORT);
function planted(at: string): void {
  const made = spawnSync("npx", ["tsx", "scripts/demo.ts"], { env: { ...env, AKMEDON_GARDEN: at }, encoding: "utf8" });
  if (made.status !== 0) throw new Error(made.stderr);
}
planted(file);
const server = spawn("node", ["build/node/start.js"], { env, stdio: ["ignore", "ignore", "inherit"] });
const random = seeded(SEED);
const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

type Fields = Record<string, string>;
interface Target {
  path: string;
  fields: Fields;
}

/** Forms as the pages send them. */
const TARGETS: Target[] = [
  { path: "/beds?index", fields: { intent: "add bed", name: "New bed", kind: "open" } },
  { path: "/beds", fields: { intent: "edit bed", bedId: "long-bed", name: "Long bed", kind: "raised" } },
  { path: "/beds", fields: { intent: "move bed", bedId: "long-bed", step: "up" } },
  { path: "/beds", fields: { intent: "remove bed", bedId: "none" } },
  { path: "/beds", fields: { intent: "read lines", bedId: "long-bed", text: "12 leeks sown 3 May\n4 courgettes" } },
  { path: "/beds", fields: { intent: "add lines", bedId: "long-bed", rows: '[{"text":"12 leeks sown 3 May 2026"}]' } },
  { path: "/beds", fields: { intent: "take back", bedId: "long-bed", added: '{"plantings":[],"beds":[]}' } },
  { path: "/beds", fields: { intent: "reopen", plantingId: "pea-spring" } },
  { path: "/plantings/tomato-red", fields: { intent: "save", cropId: "tomato_large", variety: "red", plants: "4", rowLength: "", bedId: "sun-wall", startEvent: "planted", startedOn: "2026-05-28", packetLow: "", packetHigh: "", schoolOption: "", bedNeededOn: "" } }, // prettier-ignore
  { path: "/plantings/tomato-red", fields: { intent: "log treatment", product: "soap", treatedOn: "2026-09-18", intervalDays: "3" } }, // prettier-ignore
  { path: "/plantings/kale-curly", fields: { intent: "withdraw treatment", treatmentId: "none" } },
  { path: "/ledger", fields: { intent: "add container", name: "Bucket", tare: "400 g" } },
  { path: "/ledger", fields: { intent: "remove container", id: "basket" } },
  { path: "/ledger/tomato-red-2026-09-16", fields: { intent: "save", on: "2026-09-16", weight: "1 kg", count: "" } },
  { path: "/ledger/tomato-red-2026-09-16", fields: { intent: "change lot", what: "eaten", lotId: "none", on: "2026-09-18", amount: "1 kg" } }, // prettier-ignore
  { path: "/sky", fields: { intent: "save trip", name: "Away", from: "2026-09-21", to: "2026-09-22", leaveAt: "", backAt: "10:00" } }, // prettier-ignore
  { path: "/sky", fields: { intent: "set day", day: "2026-09-21", slot: "evening", minutes: "30" } },
  { path: "/sky", fields: { intent: "forget day", day: "2026-09-21" } },
  { path: "/sky", fields: { intent: "cover", bedId: "low-bed", evening: "2026-09-23", cover: "fleece" } },
  { path: "/sky", fields: { intent: "save helper", name: "Sam", minutes: "30", everyDays: "2", cropIds: "courgette" } },
  { path: "/sky", fields: { intent: "note weather", day: "2026-09-18", low: "9", high: "18", rain: "0", gust: "" } },
  { path: "/sky", fields: { intent: "feed", kind: "station", mode: "address", url: "http://127.0.0.1:9/none" } },
  { path: "/sky", fields: { intent: "stand-in mode", mode: "well" } },
  { path: "/?index", fields: { intent: "move", plantingId: "courgette-striped", from: "2026-09-21", day: "2026-09-22", slot: "" } }, // prettier-ignore
  { path: "/?index", fields: { intent: "rule out", plantingId: "bean-green", day: "2026-09-22" } },
  { path: "/?index", fields: { intent: "leave free", plantingId: "bean-green", day: "2026-09-22" } },
  { path: "/?index", fields: { intent: "keep", suppositions: '[{"what":"minutes","day":"2026-09-22","minutes":20}]' } },
  { path: "/round", fields: { intent: "put in order", stops: "gate-bed first\nlong-bed first" } },
  { path: "/round", fields: { intent: "order by itself" } },
  { path: "/?index", fields: { intent: "undo" } },
  { path: "/?index", fields: { intent: "redo" } },
  { path: "/notes", fields: { like: "carrot", name: "Moon carrot" } },
  { path: "/notes/carrot", fields: { intent: "set value", path: "windowDays.value", value: "9" } },
  { path: "/notes/carrot", fields: { intent: "keep variety", name: "Early one", ripeColour: "", sizeLow: "", sizeHigh: "", packetLow: "60", packetHigh: "75" } }, // prettier-ignore
  { path: "/notes/carrot", fields: { intent: "choose school", schoolId: "none", optionId: "none" } },
  { path: "/demo/step", fields: { days: "1", back: "/sky" } },
  { path: "/login", fields: { passphrase: "four words or five", device: "Phone" } },
  { path: "/phones", fields: { intent: "describe", id: "x", name: "Kitchen phone", person: "Rosa" } },
  { path: "/setup", fields: { name: "Other", latitude: "50", longitude: "0", timeZone: "Europe/London", unitSystem: "metric" } }, // prettier-ignore
];

const HOSTILE = ["", " ", "__proto__", "constructor", "toString", "0", "-1", "1e309", "NaN", "9".repeat(40), "x".repeat(5000), "0000-01-01", "0026-05-01", "9999-12-31", "2026-02-30", "2026-13-45", "<script>alert(1)</script>", "'; drop table pick; --", "../../../etc/passwd", "\u0000", "\uD800", "🥕".repeat(200), "null", "[]", "{}", '{"__proto__":{"a":1}}', "[".repeat(9000), "25:99", "-00:00", "=1+1", "٣", "Infinity", "1,5", "1.200,5 kg", "javascript:alert(1)", "//other.example", "/\\other.example", "http://[::1"]; // prettier-ignore

interface Sent {
  method?: string;
  path: string;
  headers?: Record<string, string>;
  body?: string | Buffer;
}
interface Answered extends AnswerOf {
  ms: number;
}

/** Where it is sent: this machine's own address, or the network's door. */
let door: SharedDoor | undefined;

/** One request, with any headers at all; an answer that does not come within bounds is a hang. */
function ask({ method = "POST", path: at, headers = {}, body }: Sent): Promise<Answered> {
  const start = performance.now();
  if (door) {
    const length = body !== undefined && !("Transfer-Encoding" in headers) ? { "Content-Length": String(Buffer.byteLength(body)) } : {}; // prettier-ignore
    return door.ask({ method, path: at, headers: { ...length, ...headers }, ...(body === undefined ? {} : { body }), timeoutMs: WAIT_MS }).then((answer) => ({ ...answer, ms: performance.now() - start })); // prettier-ignore
  }
  const bytes = body === undefined ? undefined : Buffer.from(body);
  const length = bytes && !("Content-Length" in headers) && !("Transfer-Encoding" in headers) ? { "Content-Length": String(bytes.length) } : {}; // prettier-ignore
  const sent = httpRequest({ host: "127.0.0.1", port: PORT, path: at, method, headers: { Origin: HOME, ...length, ...headers }, timeout: WAIT_MS }); // prettier-ignore
  return answerOf(sent, bytes).then((answer) => ({ ...answer, ms: performance.now() - start }));
}

const FORM = "application/x-www-form-urlencoded";
type Pairs = [string, string][];
const encoded = (fields: Pairs) => new URLSearchParams(fields).toString();
const multipart = (fields: Pairs, upload?: { name: string; content: Buffer | string }) => {
  const edge = "edge0123456789";
  const parts = fields.map(([name, value]) => Buffer.from(`--${edge}\r\nContent-Disposition: form-data; name="${name.replace(/["\r\n]/g, "_")}"\r\n\r\n${value}\r\n`)); // prettier-ignore
  if (upload) parts.push(Buffer.from(`--${edge}\r\nContent-Disposition: form-data; name="file"; filename="${upload.name}"\r\nContent-Type: application/octet-stream\r\n\r\n`), Buffer.from(upload.content), Buffer.from("\r\n")); // prettier-ignore
  return {
    type: `multipart/form-data; boundary=${edge}`,
    body: Buffer.concat([...parts, Buffer.from(`--${edge}--\r\n`)]),
  };
};

/** A form with one to three of its fields, its address or its body spoilt. */
function mutated({ path: at, fields }: Target): Sent {
  const spoilt = new Map(Object.entries(fields));
  for (let n = 0; n < 1 + Math.floor(random() * 3); n++) {
    const name = any(Object.keys(fields));
    if (random() < 0.25) spoilt.delete(name);
    else if (random() < 0.15) spoilt.set(any(["__proto__", "constructor", "extra"]), any(HOSTILE));
    else if (name !== "intent" || random() < 0.3) spoilt.set(name, any(HOSTILE));
  }
  const where = random() < 0.1 ? at.replace(/\/[^/?]*$/, `/${encodeURIComponent(any(HOSTILE).slice(0, 60).replace(/[\uD800-\uDFFF]/g, "?"))}`) : at; // prettier-ignore
  const address = random() < 0.2 && !where.includes("?") ? `${where}.data` : where;
  const way = random();
  if (way < 0.6) return { path: address, headers: { "Content-Type": FORM }, body: encoded([...spoilt]) };
  if (way < 0.75) { const { type, body } = multipart([...spoilt]); return { path: address, headers: { "Content-Type": type }, body }; } // prettier-ignore
  if (way < 0.8) { const { type, body } = multipart([...spoilt]); return { path: address, headers: { "Content-Type": type }, body: body.subarray(0, Math.floor(body.length / 2)) }; } // prettier-ignore
  if (way < 0.85)
    return {
      path: address,
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(Object.fromEntries(spoilt)),
    };
  if (way < 0.9) return { path: address, headers: { "Content-Type": "text/plain" }, body: any(HOSTILE) };
  if (way < 0.95) return { path: address, body: "" };
  return { path: address, headers: { "Content-Type": "multipart/form-data" }, body: encoded([...spoilt]) };
}

/** Where a phone is on the walk, spoilt. */
const mutatedHere = (): Sent => ({ path: "/here", headers: { "Content-Type": "application/json" }, body: JSON.stringify(any<unknown>([{ device: "fuzz", plantingId: any(HOSTILE) }, { device: any<unknown>([...HOSTILE, null, 7, {}]), plantingId: "tomato-red" }, any(HOSTILE), null, [], { device: "fuzz", plantingId: null }])) }); // prettier-ignore

/** Entries of a device, spoilt. */
function mutatedEntries(): Sent {
  const entry: Record<string, unknown> = { id: crypto.randomUUID(), device: "fuzz", sequence: 1, at: "2026-09-19T06:00:00Z", ...any<Record<string, unknown>>([{ kind: "pick", plantingId: "tomato-red", outcome: "picked", weight: "1 kg" }, { kind: "look", plantingId: "carrot-main", cueId: "shoulder_width", readingId: "20_35" }, { kind: "count", plantingId: "tomato-red", number: "4" }, { kind: "note", plantingId: "tomato-red", text: "hm" }, { kind: "mark jobs", keys: ["stop_watering_bulbs onion-red/1"], as: "done" }, { kind: "both count", picks: [crypto.randomUUID(), crypto.randomUUID()] }, { kind: "start round", roundId: "fuzz" }]) }; // prettier-ignore
  for (let n = 0; n < 1 + Math.floor(random() * 2); n++) entry[any(Object.keys(entry))] = any<unknown>([...HOSTILE, null, 7, {}, [], true, { a: { a: {} } }]); // prettier-ignore
  const body = random() < 0.8 ? JSON.stringify({ entries: [entry] }) : any(["", "[", "null", "7", '{"entries":{}}', JSON.stringify({ entries: Array(500).fill(entry) }), "[".repeat(20_000)]); // prettier-ignore
  return { path: "/entries", headers: { "Content-Type": "application/json" }, body };
}

const ics = (...lines: string[]) => ["BEGIN:VCALENDAR", "BEGIN:VEVENT", "UID:x", "SUMMARY:X", ...lines, "END:VEVENT", "END:VCALENDAR"].join("\r\n"); // prettier-ignore
const FILES: [intent: string, name: string, content: string | Buffer][] = [
  ["read calendar", "endless.ics", ics("DTSTART:20260922T170000", "RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31")],
  ["take calendar", "endless.ics", ics("DTSTART:20260922T170000", "RRULE:FREQ=HOURLY;BYMONTH=2;BYMONTHDAY=30")],
  ["read calendar", "year.ics", ics("DTSTART:00000101T000000", "DTEND:99991231T235959")],
  ["read calendar", "half.ics", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n"],
  ["read calendar", "deep.ics", `BEGIN:VCALENDAR\r\n${"BEGIN:A\r\n".repeat(50_000)}END:VCALENDAR`],
  ["weather", "year0.csv", "date,tmin,tmax,rain_mm,wind_kmh\n0000-01-01,3,9,0,10\n0026-01-01,3,9,0,10\n"],
  ["weather", "year9999.csv", "date,tmin,tmax,rain_mm,wind_kmh\n9999-12-31,3,9,0,10\n"],
  ["weather", "utf16.csv", Buffer.from("\ufeffdate,tmin,tmax\n2026-01-01,3,9\n", "utf16le")],
  ["weather", "one.txt", "x"],
  ["weather", "nul.csv", Buffer.alloc(2000)],
  ["weather", "big.csv", `date,tmin,tmax\n${"2020-01-01,3,9\n".repeat(300_000)}`],
  ["weather", "far.json", JSON.stringify({ issuedAt: "9999-01-01T00:00:00Z", days: [{ day: "2026-09-20", minC: 5, maxC: 9 }] })], // prettier-ignore
  ["weather", "proto.json", '{"__proto__":{"days":[]},"days":"x"}'],
  ["weather", "deep.json", `${"[".repeat(100_000)}`],
];

const OTHER_SITES: Record<string, string>[] = [{ Origin: "http://other.example" }, { Origin: "null" }, { Origin: `http://127.0.0.1:${PORT + 1}` }, { Host: "other.example" }, { Host: `rebound.example:${PORT}` }, { "Sec-Fetch-Site": "cross-site" }]; // prettier-ignore

const db = () => new Database(file, { readonly: true });
const OF_FEEDS = /^(weather|forecast|source_revision|sqlite_)/;
/** All that the household wrote, a number for each table; feeds write by themselves and are left out, with the count of what they write. */
function written(): Map<string, string> {
  const open = db();
  const tables = (open.prepare("select name from sqlite_master where type = 'table' order by name").all() as { name: string }[]).filter((t) => !OF_FEEDS.test(t.name)); // prettier-ignore
  const numbers = tables.map(({ name }) => [name, createHash("sha1").update(JSON.stringify(open.prepare(`select * from "${name}"`).raw().all())).digest("hex")] as const); // prettier-ignore
  open.close();
  return new Map(numbers);
}
const changed = (before: Map<string, string>) => [...written()].filter(([name, number]) => before.get(name) !== number).map(([name]) => name); // prettier-ignore

const SCHEMA_WORDS = /Invalid input|expected (string|number|int|object|array|one of|date)|Too (big|small):|ZodError|SQLITE_|SqliteError|at Object\.|node_modules|received (undefined|NaN|null)/; // prettier-ignore
const tally = { requests: 0, errors500: 0, partialWrites: 0, hangs: 0, foreignWrites: 0, schemaWords: 0, openRedirects: 0, deadPages: 0 }; // prettier-ignore
const shown: string[] = [];

function note(kind: keyof typeof tally, sent: Sent, answer: Answered, more = ""): void {
  tally[kind]++;
  if (shown.length < 40) shown.push(`${kind}: ${answer.status} in ${Math.round(answer.ms)} ms, ${sent.method ?? "POST"} ${sent.path} ${JSON.stringify(sent.headers ?? {})} ${String(sent.body ?? "").slice(0, 240)}${more}`); // prettier-ignore
}

async function judged(sent: Sent, foreign = false): Promise<Answered> {
  const before = written();
  const answer = await ask(sent);
  tally.requests++;
  if (answer.status >= 500 && answer.status !== 507) note("errors500", sent, answer);
  if (answer.status === 0 || answer.ms > HANG_MS) note("hangs", sent, answer);
  if (SCHEMA_WORDS.test(answer.text)) note("schemaWords", sent, answer);
  if (answer.location && !/^\/(?![/\\])/.test(answer.location)) note("openRedirects", sent, answer);
  const tables = changed(before);
  const which = ` changed: ${tables.join(", ")}`;
  if (foreign && (tables.length > 0 || answer.status < 400)) note("foreignWrites", sent, answer, which);
  else if (answer.status >= 400 && tables.length > 0) note("partialWrites", sent, answer, which);
  return answer;
}

async function fuzz(): Promise<void> {
  for (let tries = 0; tries < 200 && (await ask({ method: "GET", path: "/icon.svg" })).status !== 200; tries++) await new Promise((r) => setTimeout(r, 100)); // prettier-ignore
  // Compiled and warm, so that what is measured is the request and not the start.
  for (const page of ["/", "/sky", "/beds", "/ledger"]) await ask({ method: "GET", path: page });
  await new Promise((r) => setTimeout(r, 3000));
  for (const [intent, name, content] of FILES) {
    const { type, body } = multipart([["intent", intent]], { name, content });
    await judged({ path: "/sky", headers: { "Content-Type": type }, body });
  }
  for (let n = 0; n < COUNT; n++)
    await judged(random() < 0.25 ? mutatedEntries() : random() < 0.05 ? mutatedHere() : mutated(any(TARGETS)));
  for (const headers of OTHER_SITES)
    for (const target of TARGETS) await judged({ path: target.path, headers: { "Content-Type": FORM, ...headers }, body: encoded(Object.entries(target.fields)) }, true); // prettier-ignore
  for (const [method, headers] of [
    ["POST", { "Content-Length": "100000000" }],
    ["POST", { "Transfer-Encoding": "chunked" }],
    ["TRACE", {}],
    ["PUT", {}],
    ["PROPFIND", {}],
  ] as const)
    // prettier-ignore
    await judged({ method, path: "/entries", headers, body: "x" });
  for (const page of [
    "/",
    "/round",
    "/beds",
    "/sky",
    "/ledger",
    "/ledger.csv",
    "/notes",
    "/notes/carrot",
    "/notes/sheets",
    "/check/tomato-red",
    "/plantings/tomato-red",
    "/before/frost",
    "/before/away?on=2026-02-30",
    "/before/helper?on=__proto__",
    "/back?on=",
    "/hands?before=frost&on=2026-09-23",
    `/what-if?${new URLSearchParams({ if: '[{"what":"colder","degreesC":2}]' })}`,
  ]) {
    // prettier-ignore
    const sent = { method: "GET", path: page };
    const answer = await ask(sent);
    if (answer.status !== 200) note("deadPages", sent, answer);
  }
}

/** The same by the door that the network reaches. */
async function fuzzTheDoor({ phone, helper, listed }: LetIn): Promise<void> {
  const as = (cookie: string, sent: Sent): Sent => ({ ...sent, headers: { ...sent.headers, Cookie: cookie } });
  const { plantingId, cueId, readingId } = listed[0]!;
  const entryId = () => crypto.randomUUID();
  const helps = (): Target[] => [
    { path: "/help", fields: { intent: "picked", entryId: entryId(), plantingId, count: "3", weight: "" } },
    { path: "/help", fields: { intent: "nothing ready", entryId: entryId(), plantingId } },
    { path: "/help", fields: { intent: "looked", entryId: entryId(), plantingId, cueId, readingId } },
    { path: "/help", fields: { intent: "take back", entryId: entryId(), target: entryId() } },
  ];
  const phones: Target[] = [
    { path: "/phones", fields: { intent: "describe", id: "x", name: "Kitchen phone", person: "Rosa" } },
    { path: "/phones", fields: { intent: "here", id: "", person: "Tom" } },
    { path: "/phones", fields: { intent: "drop", id: "x" } },
    { path: "/before/helper", fields: { intent: "make link", name: "Sam", from: "2026-09-26" } },
    { path: "/before/helper", fields: { intent: "end link", id: "x" } },
    { path: "/ledger/tomato-red-2026-09-16", fields: { intent: "save", on: "2026-09-16", weight: "1 kg", count: "", person: "Tom" } }, // prettier-ignore
  ];
  await ask(as(helper, { method: "GET", path: "/help" }));
  for (let n = 0; n < COUNT / 6; n++) await judged(as(helper, mutated(any(helps()))));
  for (let n = 0; n < COUNT / 6; n++) await judged(as(phone, mutated(any(phones))));
  for (let n = 0; n < 30; n++) await judged(mutated({ path: "/login", fields: { passphrase: "x", device: "y", person: "z" } })); // prettier-ignore
  const form = ({ path: at, fields }: Target, headers = {}): Sent => ({ path: at, headers: { "Content-Type": FORM, ...headers }, body: encoded(Object.entries(fields)) }); // prettier-ignore
  // A helper at what is the household's, and anybody at all of it.
  for (const target of [...TARGETS, ...phones]) if (!target.path.startsWith("/login")) for (const cookie of [helper, "a=1"]) await judged(as(cookie, form(target)), true); // prettier-ignore
  await judged(as(helper, { ...mutatedEntries(), path: "/entries" }), true);
  for (const headers of OTHER_SITES) {
    for (const target of helps()) await judged(as(helper, form(target, headers)), true);
    for (const target of phones) await judged(as(phone, form(target, headers)), true);
  }
  for (const link of [
    ...HOSTILE.map((h) => encodeURIComponent(h.slice(0, 60).replace(/[\uD800-\uDFFF]/g, "?"))),
    "A".repeat(43),
  ])
    // prettier-ignore
    for (const at of [`/h/${link}`, `/h/${link}.data`]) await judged({ method: "GET", path: at });
  for (const [cookie, page] of [
    [helper, "/help"],
    [phone, "/phones"],
    [phone, "/before/helper"],
    [phone, "/ledger?q=tom"],
  ] as const) {
    // prettier-ignore
    const sent = as(cookie, { method: "GET", path: page });
    const answer = await ask(sent);
    if (answer.status !== 200) note("deadPages", sent, answer);
  }
}

try {
  await fuzz();
  await ended(server);
  file = path.join(folder, "door.sqlite");
  planted(file);
  const letIn = await letAllIn(file);
  const shared = await runningGarden(file, PORT, "/icon.svg", sharedAt(PORT + 1));
  door = new SharedDoor(file, PORT + 1);
  await fuzzTheDoor(letIn).finally(() => shared.kill());
} finally {
  server.kill();
  door?.close();
  rmSync(folder, { recursive: true, force: true });
}
for (const line of shown) console.log(line);
console.log(JSON.stringify(tally));
const { requests, ...faults } = tally;
process.exit(Object.values(faults).some((n) => n > 0) ? 1 : 0);
