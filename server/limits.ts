/** Most bytes of a body: a file of weather or of a calendar, and anything else. */
const MOST_OF_A_FILE = 10_000_000;
const MOST = 1_000_000;
const TAKES_FILES = /^\/(sky|beds)(\.data)?$/;
const KNOWN = ["GET", "HEAD", "POST"];

/** A refusal: its status, its sentence, what the answer says besides. */
export interface Refusal {
  status: number;
  sentence: string;
  headers?: Record<string, string>;
}

/** Why a request is too much, or nothing that the app does; undefined when it may go on. Nothing of its body is read. */
export function tooMuch(
  method: string,
  path: string,
  headers: Readonly<Record<string, string | string[] | undefined>>,
): Refusal | undefined {
  // prettier-ignore
  if (!KNOWN.includes(method)) return { status: 405, sentence: "The garden is only read and written to.", headers: { Allow: KNOWN.join(", ") } }; // prettier-ignore
  if (method !== "POST") return undefined;
  // A length that is told beforehand is kept to by the server; one that is not could go on for ever.
  if (headers["transfer-encoding"] !== undefined || headers["content-length"] === undefined)
    return { status: 411, sentence: "What is sent has to say how long it is." };
  const most = TAKES_FILES.test(path) ? MOST_OF_A_FILE : MOST;
  if (Number(headers["content-length"]) <= most) return undefined;
  return { status: 413, sentence: `That is more than ${most / 1_000_000} MB at once: send less.` };
}
