import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";

const CORE = path.resolve("app/core");
/** What the core may import besides itself: small pure libraries. */
const ALLOWED = ["zod", "date-fns", "@date-fns/tz", "suncalc"];

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
