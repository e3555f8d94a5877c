import { z } from "zod";

/** Where a fact comes from. */
export type Origin =
  | { kind: "published"; source: string; where: string }
  | { kind: "common practice" }
  | { kind: "from memory"; of: string }
  | { kind: "our judgement" }
  | { kind: "this household" };

function readOrigin(text: string): Origin | undefined {
  const tidy = text.trim();
  if (tidy === "common practice") return { kind: "common practice" };
  if (tidy === "our judgement") return { kind: "our judgement" };
  if (tidy === "this household") return { kind: "this household" };
  const memory = /^from memory of (\S+)$/.exec(tidy);
  if (memory?.[1]) return { kind: "from memory", of: memory[1] };
  const published = /^published: (\S+), (.+)$/.exec(tidy);
  if (published?.[1] && published[2]) return { kind: "published", source: published[1], where: published[2] };
  return undefined;
}

/**
 * The standing of a fact, written in the data files as a line a gardener can read and correct:
 * "common practice", "our judgement", "this household", "from memory of HB66", "published: ID, page 3".
 * Two, joined by "; numbers: ", when the idea and its figures have different origins.
 */
export const Standing = z.string().transform((line, context) => {
  const [idea = "", numbers] = line.split("; numbers: ");
  const origins = [idea, ...(numbers === undefined ? [] : [numbers])].map(readOrigin);
  if (origins.some((o) => o === undefined)) {
    context.addIssue({ code: "custom", message: `“${line}” is not a standing` });
    return z.NEVER;
  }
  return { line, origins: origins as Origin[] };
});
export type Standing = z.infer<typeof Standing>;
