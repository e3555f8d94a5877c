import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

/**
 * Counts how long functions, components and files of the app are: `npm run size`. A function is a named function,
 * method, constructor or arrow bound to a name, tests left out; lines include comments. A component is a function
 * with a capital that lives in a .tsx file.
 */
const MOST_FILE_LINES = 300;
const MOST_COMPONENT_LINES = 120;

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name);
    return entry.isDirectory() ? filesIn(at) : /\.tsx?$/.test(entry.name) ? [at] : [];
  });

interface Counted {
  file: string;
  name: string;
  lines: number;
}

function functionsOf(file: string): Counted[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const found: Counted[] = [];
  const keep = (name: string, node: ts.Node) => {
    const line = (at: number) => source.getLineAndCharacterOfPosition(at).line;
    found.push({ file, name, lines: line(node.getEnd()) - line(node.getStart()) + 1 });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isFunctionDeclaration(node) && node.name) keep(node.name.text, node);
    else if (ts.isMethodDeclaration(node) || ts.isConstructorDeclaration(node))
      keep(node.name?.getText() ?? "constructor", node);
    else if (
      ts.isVariableDeclaration(node) &&
      node.initializer &&
      (ts.isArrowFunction(node.initializer) || ts.isFunctionExpression(node.initializer))
    )
      keep(node.name.getText(), node.initializer);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const at = (sorted: readonly number[], share: number) => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
const files = filesIn("app").filter((file) => !/\.test\.tsx?$/.test(file));
const functions = files.flatMap(functionsOf).sort((a, b) => b.lines - a.lines);
const lengths = functions.map((f) => f.lines).sort((a, b) => a - b);
const long = files.map((file) => ({ file, lines: readFileSync(file, "utf8").trimEnd().split("\n").length })).filter((f) => f.lines > MOST_FILE_LINES); // prettier-ignore
const components = functions.filter((f) => f.file.endsWith(".tsx") && /^[A-Z]/.test(f.name));
const longComponents = components.filter((c) => c.lines > MOST_COMPONENT_LINES);
for (const f of functions.slice(0, 25)) console.log(`${f.lines}\t${f.name}\t${f.file}`);
for (const f of long) console.log(`file over ${MOST_FILE_LINES}: ${f.file} ${f.lines}`);
for (const c of longComponents) console.log(`component over ${MOST_COMPONENT_LINES}: ${c.name} ${c.file} ${c.lines}`);
console.log(
  JSON.stringify({
    files: files.length,
    functions: functions.length,
    median: at(lengths, 0.5),
    p90: at(lengths, 0.9),
    largest: lengths.at(-1),
    filesOver300: long.length,
    componentsOver120: longComponents.length,
  }),
);
