import { createServer, request, type IncomingMessage, type Server, type ServerResponse } from "node:http";

/** What can go wrong with one request on its way. */
export const FAULTS = [
  "refused",
  "slow",
  "cut in the request",
  "answer lost",
  "half an answer",
  "sent twice",
  "comes late",
] as const;
export type Fault = (typeof FAULTS)[number];

/** A request as it came, to be sent on as often as is wanted. */
interface Held {
  incoming: IncomingMessage;
  body: Buffer;
}

/** A line between a browser and the garden's machine that does to each request what it is told. */
export class FaultyLine {
  readonly counts = Object.fromEntries(FAULTS.map((fault) => [fault, 0])) as Record<Fault, number>;
  private readonly server: Server;

  /**
   * @param toPort - of the garden's machine
   * @param choose - the fault of a request; none for one that goes through
   */
  constructor(
    private readonly toPort: number,
    private readonly choose: (path: string) => Fault | undefined,
    private readonly wait: () => number,
  ) {
    this.server = createServer((incoming, outgoing) => void this.pass(incoming, outgoing));
  }

  listen(port: number): Promise<void> {
    return new Promise((resolve) => this.server.listen(port, "127.0.0.1", resolve));
  }

  close(): void {
    this.server.closeAllConnections();
    this.server.close();
  }

  private async pass(incoming: IncomingMessage, outgoing: ServerResponse): Promise<void> {
    const fault = this.choose(incoming.url ?? "/");
    if (fault) this.counts[fault]++;
    if (fault === "refused") return void incoming.destroy();
    const parts: Buffer[] = [];
    try {
      for await (const part of incoming) parts.push(part as Buffer);
    } catch {
      return;
    }
    const held = { incoming, body: Buffer.concat(parts) };
    const later = () => new Promise((resolve) => setTimeout(resolve, this.wait()));
    if (fault === "slow") await later();
    if (fault === "cut in the request") {
      await this.ask(held, Math.floor(held.body.length / 2));
      return void outgoing.destroy();
    }
    if (fault === "comes late") {
      outgoing.destroy();
      await later();
      return void (await this.ask(held));
    }
    if (fault === "sent twice") await this.ask(held);
    const answer = await this.ask(held);
    if (!answer || fault === "answer lost") return void outgoing.destroy();
    outgoing.writeHead(answer.status, answer.headers);
    if (fault !== "half an answer") return void outgoing.end(answer.body);
    outgoing.write(answer.body.subarray(0, Math.floor(answer.body.length / 2)), () => outgoing.destroy());
  }

  /** Sends a request on, all of it or its first bytes only; undefined where nothing comes back. */
  private ask(
    { incoming, body }: Held,
    bytes = body.length,
  ): Promise<{ status: number; headers: IncomingMessage["headers"]; body: Buffer } | undefined> {
    return new Promise((resolve) => {
      const { "transfer-encoding": _, ...headers } = incoming.headers;
      const sent = request({ host: "127.0.0.1", port: this.toPort, method: incoming.method, path: incoming.url, headers: { ...headers, ...(body.length > 0 ? { "content-length": String(body.length) } : {}) } }); // prettier-ignore
      sent.on("error", () => resolve(undefined));
      sent.on("response", (answer) => {
        const parts: Buffer[] = [];
        answer.on("data", (part: Buffer) => parts.push(part));
        answer.on("error", () => resolve(undefined));
        answer.on("end", () => resolve({ status: answer.statusCode ?? 502, headers: answer.headers, body: Buffer.concat(parts) })); // prettier-ignore
      });
      if (bytes === body.length) return void sent.end(body);
      sent.write(body.subarray(0, bytes), () => sent.destroy());
    });
  }
}
