import type { ClientRequest } from "node:http";

/** What came back of a request; status 0 where nothing did. */
export interface AnswerOf {
  status: number;
  text: string;
  location: string;
}

/** Sends a request with its body, and reads what comes back to its end; one that runs out of time is given up. */
export function answerOf(sent: ClientRequest, body: string | Buffer | undefined): Promise<AnswerOf> {
  return new Promise((resolve) => {
    const done = (status: number, text = "", location = "") => resolve({ status, text, location });
    sent.on("response", (response) => {
      const parts: Buffer[] = [];
      response.on("data", (part: Buffer) => parts.push(part));
      response.on("end", () => done(response.statusCode ?? 0, Buffer.concat(parts).toString("utf8"), response.headers.location)); // prettier-ignore
      response.on("error", () => done(response.statusCode ?? 0));
    });
    sent.on("timeout", () => sent.destroy());
    sent.on("error", () => done(0));
    sent.end(body);
  });
}
