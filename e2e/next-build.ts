import { cpSync, readFileSync, readdirSync, renameSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import path from "node:path";

const filesOf = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.(js|mjs|css)$/.test(entry.name))
    .map((entry) => path.join(entry.parentPath, entry.name));

/**
 * The next build of the app, as an upgrade brings it: every file for the browser under another name, so that whoever asks for
 * one of the build before gets none. Its folder, to run the server in.
 */
export function nextBuild(folder: string): string {
  rmSync(folder, { recursive: true, force: true });
  cpSync("build", path.join(folder, "build"), { recursive: true });
  for (const name of ["node_modules", "app", "data", "package.json"])
    symlinkSync(path.resolve(name), path.join(folder, name));
  const assets = path.join(folder, "build/client/assets");
  const names = readdirSync(assets).filter((name) => /\.(js|css)$/.test(name));
  const next = (name: string) => name.replace(/(\.\w+)$/, "n$1");
  const version = /^manifest-(\w+)\.js$/.exec(names.find((name) => name.startsWith("manifest-")) ?? "")?.[1] ?? "";
  const every = new RegExp([...names.map((name) => name.replace(/[.+]/g, "\\$&")), `(?<!\\w)${version}(?![\\w])`].join("|"), "g"); // prettier-ignore
  for (const file of filesOf(path.join(folder, "build")))
    writeFileSync(file, readFileSync(file, "utf8").replace(every, (found) => (found === version ? `${found}n` : next(found)))); // prettier-ignore
  for (const name of names) renameSync(path.join(assets, name), path.join(assets, next(name)));
  return folder;
}
