import { existsSync, renameSync, rmSync } from "node:fs";
import Database from "better-sqlite3";

/** Copies a garden's file while it is in use, and says so only once the copy was read through. */
const [to] = process.argv.slice(2);
const from = process.env.AKMEDON_GARDEN ?? "garden.sqlite";
const unfinished = `${to}.unfinished`;
const stop = (sentence: string): never => {
  console.error(sentence);
  process.exit(1);
};

if (!to) stop("Say where to: ./akmedon copy FILE");
if (!existsSync(from)) stop(`There is no ${from}: name the garden’s file in AKMEDON_GARDEN.`);
if (existsSync(to!)) stop(`${to} is there already and is left as it is: choose another name.`);
try {
  const source = new Database(from, { readonly: true });
  await source.backup(unfinished);
  source.close();
  const copy = new Database(unfinished, { readonly: true });
  const said = copy.pragma("integrity_check(1)", { simple: true });
  copy.close();
  if (said !== "ok") throw new Error(`the copy is not whole: ${String(said)}`);
  renameSync(unfinished, to!);
  console.log(`${from} was copied to ${to}, and the copy holds together.`);
} catch (error) {
  rmSync(unfinished, { force: true });
  stop(`${from} was not copied: ${(error as Error).message}`);
}
