/** What the disk or the file would not take, by the database's own code. */
const TROUBLES: [RegExp, string][] = [
  [/^SQLITE_FULL/, "The disk is full, so nothing of it was written. Make room, then send it again."],
  [/^SQLITE_READONLY|^SQLITE_PERM/, "The garden’s file may only be read here, so nothing of it was written. Let the app write to it, then send it again."], // prettier-ignore
  [/^SQLITE_BUSY|^SQLITE_LOCKED/, "Another program holds the garden’s file, so nothing of it was written. Send it again in a moment."], // prettier-ignore
  [/^SQLITE_IOERR|^SQLITE_CANTOPEN/, "The disk would not take it, so nothing of it was written. Look after the disk, then send it again."], // prettier-ignore
  [/^SQLITE_CORRUPT|^SQLITE_NOTADB/, "The garden’s file is damaged. End the app and put back a copy of it."],
];

/** The sentence for what the file or its disk would not do; undefined for any other error. */
export function fileTrouble(error: unknown): string | undefined {
  for (let at = error; at instanceof Error; at = at.cause) {
    const { code } = at as Error & { code?: unknown };
    const known = typeof code === "string" ? TROUBLES.find(([codes]) => codes.test(code)) : undefined;
    if (known) return known[1];
  }
  return undefined;
}
