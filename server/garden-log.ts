import { format } from "node:util";
import type { Request, RequestHandler, Response } from "express";
import morgan from "morgan";
import { createStream } from "rotating-file-stream";
import { withoutSecrets } from "./without-secrets";

/** How much is kept: the file that is written and so many before it. Our judgement: weeks of a household, 10 MB. */
const KEPT = { size: "2M", maxFiles: 4 } as const;

/** Whoever guesses must not push everything else out of the log: one of his tries a minute is written down. */
const HELD_OFF_EVERY_MS = 60_000;

/** What the server writes down. */
export interface GardenLog {
  /** A line for each request, but for files of the app itself. */
  requests: RequestHandler;
  /** Something that was said on standard output or standard error. */
  write: (line: string) => void;
}

/** Which door it came by, and as who; not which phone, and no name. */
function cameAs({ locals }: Response): string {
  const { door, knock } = locals as { door?: boolean; knock?: { deviceId: string | null; helperId: string | null } };
  if (!door) return "here";
  if (knock?.helperId) return "helper";
  return knock?.deviceId ? "phone" : "stranger";
}

/**
 * A log of its own in a folder: turned over at two megabytes, the last five kept. What cannot be written, on a full disk,
 * is left out: the garden goes on.
 */
export function gardenLog(folder: string): GardenLog {
  const file = createStream("garden.log", { path: folder, ...KEPT });
  file.on("error", () => undefined);
  const write = (line: string) => void (!file.destroyed && file.write(`${withoutSecrets(line)}\n`));
  let lastHeldOff = -Infinity;
  const isLeftOut = ({ path }: Request, { statusCode }: Response) => {
    if (path.startsWith("/assets/")) return true;
    if (statusCode !== 429) return false;
    const isSoon = Date.now() - lastHeldOff < HELD_OFF_EVERY_MS;
    if (!isSoon) lastHeldOff = Date.now();
    return isSoon;
  };
  // The address without what is asked of it: searches and ways back are nobody's business.
  const line = morgan<Request, Response>(
    (tokens, request, response) => [new Date().toISOString(), tokens["remote-addr"]?.(request, response), cameAs(response), request.method, request.path, response.statusCode, `${tokens["response-time"]?.(request, response, 0) ?? "-"} ms`].join(" "), // prettier-ignore
    { skip: isLeftOut, stream: { write: (text) => write(text.trimEnd()) } },
  );
  return { requests: line, write };
}

/**
 * What is said on standard output and standard error goes into the log as well, and into neither with a secret in it: the
 * system's own journal reads them.
 */
export function tellLog(log: Pick<GardenLog, "write"> | undefined): void {
  for (const name of ["log", "error"] as const) {
    const say = console[name].bind(console);
    console[name] = (...said: unknown[]) => {
      const line = withoutSecrets(format(...said));
      say(line);
      log?.write(`${new Date().toISOString()} ${line}`);
    };
  }
}
