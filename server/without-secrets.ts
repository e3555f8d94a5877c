/** What could let somebody in, and what of a household stands in an error of the database. */
const SECRETS: readonly [RegExp, string][] = [
  // A helper's link.
  [/\/h\/[\w-]{20,}/g, "/h/…"],
  [/__Host-[\w-]+=[^;\s"']+/g, "__Host-…"],
  // The database tells the values of a statement that failed: hashes, the secret that cookies are signed with, notes.
  [/\bparams: [^\n]*/g, "params: …"],
  [/\bpassphrase=[^&\s"']*/gi, "passphrase=…"],
  // A hash of a passphrase as its package writes it.
  [/\$argon2\w*\$[^\s"']+/g, "$argon2…"],
];

/** A line for the log, without what it must not hold. */
export const withoutSecrets = (line: string): string => SECRETS.reduce((text, [secret, shown]) => text.replace(secret, shown), line); // prettier-ignore
