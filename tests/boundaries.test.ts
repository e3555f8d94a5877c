import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";

const CORE = path.resolve("app/core");
/** What the core may import besides itself: small pure libraries. */
const ALLOWED = ["chrono-node", "fastest-levenshtein", "ml-matrix", "zod", "date-fns", "@date-fns/tz", "suncalc"];

function filesOf(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? filesOf(path.join(folder, entry.name)) : [path.join(folder, entry.name)],
  );
}

const sources = filesOf(CORE).filter((file) => file.endsWith(".ts") && !file.endsWith(".test.ts"));

/** Imports of a file that the core may not make. */
function forbidden(text: string): string[] {
  const statements = text.matchAll(
    /^(?:import|export)\b[^"'=(:;]*?from\s+["']([^"']+)["']|^import\s+["']([^"']+)["']/gm,
  );
  const calls = text.matchAll(/\b(?:import|require)\s*\(\s*["']([^"']+)["']/g);
  const imports = [...statements, ...calls].map((m) => m[1] ?? m[2] ?? "");
  return imports.filter((name) => !name.startsWith(".") && !ALLOWED.includes(name));
}

test.each(sources.map((file) => [path.relative(CORE, file), file]))(
  "core/%s knows no screen, table, file or clock",
  (_, file) => {
    const text = readFileSync(file, "utf8");
    expect(forbidden(text)).toEqual([]);
    expect(text).not.toMatch(/Math\.random|Date\.now|new Date\(\)|process\./);
    for (const [, up] of text.matchAll(/from\s+["'](\.[^"']+)["']/g))
      expect(path.resolve(path.dirname(file), up ?? "").startsWith(CORE)).toBe(true);
  },
);

test("the check itself catches a forbidden import", () => {
  expect(forbidden('import { useState } from "react";\nimport fs from "node:fs";')).toEqual(["react", "node:fs"]);
  expect(forbidden('const fs = await import("node:fs");\nexport { x } from "drizzle-orm";')).toEqual([
    "drizzle-orm",
    "node:fs",
  ]);
});

/** What each floor of the house may import besides itself. */
const FLOORS: Record<string, readonly string[]> = {
  core: [],
  ports: ["core"],
  views: ["core"],
  ui: ["views", "core"],
  catalogue: ["core"],
  adapters: ["ports", "core"],
  db: ["core"],
  services: ["db", "views", "core", "adapters", "ports", "catalogue"],
  workers: ["views", "core"],
  routes: ["ui", "services", "views", "core"],
};
/** Packages that belong to one floor only. */
const OWN_PACKAGES: [RegExp, string][] = [
  [/^(drizzle-orm|better-sqlite3)/, "db"],
  [/^(@chakra-ui|@emotion|recharts|lucide-react|idb|@tanstack|comlink|@use-gesture|react-hotkeys-hook)/, "ui"],
  [/^(ical\.js|p-retry)$/, "adapters"],
];

const APP = path.resolve("app");
const modules = filesOf(APP).filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file));
const floorOf = (file: string) => path.relative(APP, file).split(path.sep)[0]!;

/** The modules and packages that a file imports, types too; generated route types are nobody's. */
function importsOf(file: string): string[] {
  const text = readFileSync(file, "utf8");
  const names = [...text.matchAll(/(?:from\s+|import\s+|import\()["']([^"']+)["']/g)].map((m) => m[1]!);
  return names.filter((name) => !name.includes("+types/"));
}

/** The file behind an import, if it is one of ours. */
function resolved(file: string, name: string): string | undefined {
  if (!name.startsWith("~/") && !name.startsWith(".")) return undefined;
  const at = name.startsWith("~/") ? path.join(APP, name.slice(2)) : path.resolve(path.dirname(file), name);
  return [`${at}.ts`, `${at}.tsx`, path.join(at, "index.ts"), path.join(at, "index.server.ts")].find((f) => modules.includes(f)); // prettier-ignore
}

/** Imports that go up the stairs, or to a package of another floor. */
function wrongWays(file: string): string[] {
  const floor = floorOf(file);
  const may = FLOORS[floor];
  if (!may) return [];
  return importsOf(file).filter((name) => {
    const there = resolved(file, name);
    if (!there) return OWN_PACKAGES.some(([pattern, owner]) => pattern.test(name) && owner !== floor);
    if (there.includes(`${path.sep}schema${path.sep}`)) return floor !== "db";
    return floorOf(there) !== floor && !may.includes(floorOf(there));
  });
}

test.each(Object.keys(FLOORS).filter((floor) => floor !== "core"))("%s imports only what lies below it", (floor) => {
  const wrong = modules
    .filter((file) => floorOf(file) === floor)
    .flatMap((file) => wrongWays(file).map((name) => `${path.relative(APP, file)} → ${name}`));
  expect(wrong).toEqual([]);
});

test("every folder of the app is a floor, so that none is left out of the rules", () => {
  const folders = readdirSync(APP, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  expect(folders.map((entry) => entry.name).filter((name) => !FLOORS[name])).toEqual([]);
});

test("only db/ knows the tables: nobody else imports the schema, drizzle or the driver", () => {
  const knows = modules.filter((file) => floorOf(file) !== "db" && /drizzle-orm|better-sqlite3|db\/schema/.test(importsOf(file).join(" "))); // prettier-ignore
  expect(knows.map((file) => path.relative(APP, file))).toEqual([]);
});

test("views are pure: no clock, no chance, no files, no screen", () => {
  for (const file of modules.filter((f) => floorOf(f) === "views"))
    expect(readFileSync(file, "utf8"), file).not.toMatch(
      /Math\.random|Date\.now|new Date\(\)|process\.|from "(node:|react)/,
    );
});

test("no module reaches itself through others, by values or by types", () => {
  const graph = new Map(modules.map((file) => [file, importsOf(file).flatMap((name) => resolved(file, name) ?? [])]));
  const state = new Map<string, "open" | "done">();
  const circles: string[] = [];
  const walk = (file: string, trail: string[]) => {
    if (state.get(file) === "done") return;
    if (state.get(file) === "open") {
      circles.push([...trail.slice(trail.indexOf(file)), file].map((f) => path.relative(APP, f)).join(" → "));
      return;
    }
    state.set(file, "open");
    for (const next of graph.get(file) ?? []) walk(next, [...trail, file]);
    state.set(file, "done");
  };
  for (const file of modules) walk(file, []);
  expect(circles).toEqual([]);
});

test("services, ui, db and views share their concept folders", () => {
  const folders = (floor: string) => readdirSync(path.join(APP, floor), { withFileTypes: true }).filter((e) => e.isDirectory()).map((e) => e.name); // prettier-ignore
  const services = folders("services");
  // What only one floor has: words, the table schema and its migrations, and the parts of a screen.
  const own = [
    "words",
    "sentences",
    "edge",
    "schema",
    "migrations",
    "looks",
    "arc",
    "forms",
    "shell",
    "theme",
    "outbox",
  ];
  for (const floor of ["views", "ui", "db"])
    expect(
      folders(floor).filter((name) => !services.includes(name) && !own.includes(name)),
      floor,
    ).toEqual([]);
});

test("folders of the core import each other by their index only", () => {
  for (const file of sources) {
    const text = readFileSync(file, "utf8");
    for (const [, from] of text.matchAll(/from\s+["'](\.\.\/[^"']+)["']/g))
      expect(from, file).toMatch(/^\.\.\/[a-z]+$/);
  }
});

test("the truth garden shares no code with the estimators: crops, calendar and chance only", () => {
  for (const file of readdirSync("app/core/practice").filter((f) => !f.endsWith(".test.ts"))) {
    const text = readFileSync(`app/core/practice/${file}`, "utf8");
    for (const [, from] of text.matchAll(/from "(\.\.\/[a-z]+)"/g))
      expect(["../crops", "../calendar", "../statistics", "../units"], file).toContain(from);
  }
});
