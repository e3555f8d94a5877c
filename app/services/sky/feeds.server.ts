import { z } from "zod";
import type { Db } from "~/db/client.server";
import { replaceFeed } from "~/db/sky/feeds.server";

export const FeedForm = z
  .object({
    kind: z.enum(["forecast", "station"]),
    mode: z.enum(["none", "stand-in", "address"]),
    url: z.string().trim().default(""),
  })
  .refine((f) => f.mode !== "address" || isHttp(f.url), { error: "Write the whole address, beginning with http:// or https://.", path: ["url"] }); // prettier-ignore

function isHttp(url: string): boolean {
  return URL.canParse(url) && ["http:", "https:"].includes(new URL(url).protocol);
}

/** Sets where weather is fetched from. What was fetched before stays. */
export function setFeed(
  db: Db,
  demo: boolean,
  { kind, mode, url }: z.infer<typeof FeedForm>,
): { status: "set" } | { status: "refused"; sentence: string } {
  if (mode === "stand-in" && !demo)
    return {
      status: "refused",
      sentence: "The made-up weather is for the demo: it would spoil a real garden’s record.",
    };
  replaceFeed(db, kind, mode === "none" ? null : { mode, url: mode === "address" ? url : null });
  return { status: "set" };
}
