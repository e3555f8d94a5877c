import pRetry, { AbortError } from "p-retry";
import { WeatherUnreachable } from "~/ports/weather-unreachable";

const MOST_BYTES = 8_000_000;

/** How patiently an outside service is asked. */
export interface Patience {
  timeoutMs: number;
  /** Tries after the first. */
  retries: number;
  /** Wait before the first further try; doubled each time. */
  waitMs: number;
}

export const USUAL_PATIENCE: Patience = { timeoutMs: 4000, retries: 2, waitMs: 400 };

/**
 * Text at an address, with a time limit a try and a few tries.
 *
 * @throws {WeatherUnreachable} with a sentence that says what went wrong
 */
export async function fetchText(url: string, patience: Patience): Promise<string> {
  try {
    return await pRetry(() => once(url, patience.timeoutMs), {
      retries: patience.retries,
      minTimeout: patience.waitMs,
      factor: 2,
    });
  } catch (cause) {
    const tries = cause instanceof WeatherUnreachable ? "" : ` It was asked ${patience.retries + 1} times.`;
    throw new WeatherUnreachable(`${sentenceOf(cause, patience)}${tries}`, { cause });
  }
}

async function once(url: string, timeoutMs: number): Promise<string> {
  const answer = await fetch(url, { signal: AbortSignal.timeout(timeoutMs), redirect: "follow" });
  // Asking again does not help with what is not there.
  if (answer.status >= 400 && answer.status < 500)
    throw new AbortError(new WeatherUnreachable(`It answers ${answer.status}: the address may be wrong.`));
  if (!answer.ok) throw new Error(`It answers ${answer.status}.`);
  const text = await answer.text();
  if (text.length > MOST_BYTES) throw new AbortError(new WeatherUnreachable("Its answer is larger than 8 MB."));
  return text;
}

function sentenceOf(cause: unknown, { timeoutMs }: Patience): string {
  if (cause instanceof WeatherUnreachable) return cause.message;
  const name = (cause as Error).name;
  if (name === "TimeoutError" || name === "AbortError") return `It did not answer within ${timeoutMs / 1000} seconds.`;
  if (cause instanceof TypeError) return "It cannot be reached.";
  return (cause as Error).message;
}
