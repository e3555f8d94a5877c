import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, readdirSync, readFileSync } from "node:fs";
import { request } from "node:https";
import path from "node:path";
import { checkServerIdentity } from "node:tls";
import { chromium, type BrowserContext } from "@playwright/test";
import { CHROMIUM } from "./chromium";
import { GardenServer } from "./garden-server";

export const PASSPHRASE = "beans up the shed wall";

/** What came back from the door: nothing is followed. */
export interface Came {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  body: string;
}

interface Asked {
  method?: string;
  headers?: Record<string, string>;
  body?: string;
  /** Which of this machine's addresses asks. */
  from?: string;
}

/** A household's garden, shared: this machine's own door, and one with HTTPS and a passphrase on a second address of it. */
export class SharedServer extends GardenServer {
  readonly address: string;
  private readonly doorPort: number;

  constructor(port: number) {
    super(port, false);
    this.doorPort = port + 1;
    this.address = `https://127.0.0.2:${this.doorPort}`;
    Object.assign(this.env, { AKMEDON_SHARE: "1", AKMEDON_SHARE_HOST: "127.0.0.2", AKMEDON_SHARE_PORT: String(this.doorPort), AKMEDON_LOG: path.join(this.folder, "log") }); // prettier-ignore
    // Certificates are for the time that the browser has, too.
    delete this.env.AKMEDON_TEST_NOW;
  }

  /** Its passphrase set, its garden begun: one bed of kale. */
  async begin(): Promise<void> {
    this.passphrase(PASSPHRASE);
    await this.start({ cold: true });
    await this.tell("/setup", { name: "Back garden", latitude: "47.6", longitude: "-122.3", timeZone: "America/Los_Angeles", unitSystem: "metric" }); // prettier-ignore
    await this.tell("/beds", { intent: "add bed", name: "Long bed", kind: "open" });
    await this.plant("6 kale curly, planted 3 May 2026");
  }

  /** One more planting in its bed. */
  async plant(text: string): Promise<void> {
    const beds = await (await fetch(`${this.url}/beds`)).text();
    const bedId = /name="bedId" value="([^"]+)"/.exec(beds)?.[1] ?? "";
    await this.tell("/beds", { intent: "add lines", bedId, rows: JSON.stringify([{ text }]) });
  }

  passphrase(typed: string): string {
    const { stdout, stderr } = spawnSync("npx", ["tsx", "scripts/passphrase.ts"], { env: this.env, input: `${typed}\n`, encoding: "utf8" }); // prettier-ignore
    return stdout + stderr;
  }

  async tell(at: string, fields: Record<string, string>): Promise<void> {
    const answer = await fetch(this.url + at, {
      method: "POST",
      body: new URLSearchParams(fields),
      redirect: "manual",
    });
    if (answer.status >= 400) throw new Error(`${at}: ${answer.status}`);
  }

  /** All that it has written down. */
  get logged(): string {
    const folder = this.env.AKMEDON_LOG!;
    return readdirSync(folder).map((name) => readFileSync(path.join(folder, name), "utf8")).join(""); // prettier-ignore
  }

  /** Ends it, and starts it again at another time of its own. */
  async startAgain(at: Date | undefined): Promise<void> {
    await this.stop();
    if (at) this.env.AKMEDON_TEST_NOW = at.toISOString();
    else delete this.env.AKMEDON_TEST_NOW;
    await this.start({ cold: true });
  }

  get authorityFile(): string {
    return path.join(this.folder, "household/authority.crt");
  }

  /** Knocks at the door as no browser would. */
  knock(at: string, { method = "GET", headers = {}, body, from }: Asked = {}): Promise<Came> {
    return new Promise((resolve, reject) => {
      const length = body === undefined ? {} : { "Content-Length": String(Buffer.byteLength(body)) };
      const asked = request(
        { host: "127.0.0.2", port: this.doorPort, path: at, method, ca: readFileSync(this.authorityFile), localAddress: from, agent: false, checkServerIdentity: (_, cert) => checkServerIdentity("127.0.0.2", cert), headers: { "User-Agent": "Mozilla/5.0", ...length, ...headers } }, // prettier-ignore
        (answer) => {
          const chunks: Buffer[] = [];
          answer.on("data", (chunk: Buffer) => chunks.push(chunk));
          answer.on("end", () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body: Buffer.concat(chunks).toString() })); // prettier-ignore
          answer.on("error", reject);
        },
      );
      asked.on("error", reject);
      asked.end(body);
    });
  }

  /** A try of the passphrase; the cookie it gets, if any. */
  async login(
    passphrase: string,
    { device = "Kitchen phone", ...more }: Asked & { device?: string } = {},
  ): Promise<Came & { cookie: string | undefined }> {
    // prettier-ignore
    const came = await this.knock("/login", {
      method: "POST",
      body: new URLSearchParams({ passphrase, device, person: "" }).toString(),
      ...more,
      headers: { Origin: this.address, "Content-Type": "application/x-www-form-urlencoded", ...more.headers },
    });
    return { ...came, cookie: came.headers["set-cookie"]?.[0]?.split(";")[0] };
  }

  /** A browser of its own whose user took the household's authority in, as the page says. */
  async trustingBrowser(name: string, phone: boolean): Promise<BrowserContext> {
    const home = path.join(this.folder, name);
    const store = path.join(home, ".pki/nssdb");
    mkdirSync(store, { recursive: true });
    const certutil = (...how: string[]) => execFileSync("certutil", ["-d", `sql:${store}`, ...how], { stdio: "pipe" });
    certutil("-N", "--empty-password");
    certutil("-A", "-t", "C,,", "-n", "household", "-i", this.authorityFile);
    const window = phone ? { viewport: { width: 390, height: 844 }, hasTouch: true } : { viewport: { width: 1280, height: 800 } }; // prettier-ignore
    return chromium.launchPersistentContext(path.join(home, "profile"), { ...CHROMIUM, env: { ...process.env, HOME: home } as Record<string, string>, ...window, locale: "en-GB", serviceWorkers: "allow" }); // prettier-ignore
  }
}
