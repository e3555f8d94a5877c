import type { Db } from "./db.server";

/**
 * The state of the file as one text: it is another one after every write, by this process or by another. What was
 * worked out of the file stands while it is the same.
 */
export function revisionOf({ $client }: Db): string {
  const others = $client.pragma("data_version", { simple: true }) as number;
  const ours = $client.prepare("select total_changes()").pluck().get() as number;
  return `${others}/${ours}`;
}
