import { existsSync, readFileSync } from "node:fs";
import { Agent, request } from "node:https";
import path from "node:path";
import { checkServerIdentity } from "node:tls";
import { openGarden } from "~/db/client.server";
import { helperLinksOpen } from "~/db/access/helper-links.server";
import { theGarden } from "~/db/garden/garden.server";
import { allTrips, insertHelper } from "~/db/sky/hands.server";
import { letIn } from "~/services/access/devices.server";
import { helperCookie, makeHelperLink } from "~/services/access/helper-links.server";
import { setPassphrase } from "~/services/access/passphrase.server";
import { helpPage } from "~/services/ahead/helper-logs.server";
import { answerOf, type AnswerOf } from "./answer-of";
import { householdCertificate } from "../server/certificates";
import { todayOf } from "~/services/garden/clock.server";

const HOST = "127.0.0.2";

/** The demo's own day: what is shared is a household's garden, whose clock runs. */
const NOW = "2026-09-19T06:00:00Z";

/** What the built server is told beside its file, to be reached by HTTPS on a second address of this machine. */
export const sharedAt = (port: number): NodeJS.ProcessEnv => ({ AKMEDON_TEST_NOW: NOW, AKMEDON_DEMO: "", AKMEDON_SHARE: "1", AKMEDON_SHARE_HOST: HOST, AKMEDON_SHARE_PORT: String(port) }); // prettier-ignore

/** Who may come in by that door, each by their cookie, and what is on the helper's list. */
export interface LetIn {
  phone: string;
  helper: string;
  listed: { plantingId: string; cueId: string; readingId: string }[];
}

/**
 * Makes a household's garden of the demo's file, which would not be shared: sets a passphrase, lets a phone in, and a
 * helper for its first trip. Its certificates are for the clock of those who ask.
 */
export async function letAllIn(file: string): Promise<LetIn> {
  await householdCertificate(path.join(path.dirname(file), "household"), [HOST], new Date());
  const db = openGarden(file);
  const garden = theGarden(db)!;
  const now = new Date(NOW);
  insertHelper(db, { id: "neighbour", name: "Neighbour", minutes: 60, everyDays: 2, cropIds: [], skills: ["knife"] });
  await setPassphrase(db, "beans up the shed wall", now);
  const cookieOf = (header: string) => header.split(";")[0]!;
  const phone = cookieOf(await letIn(db, "Phone", "Rosa", now));
  const link = makeHelperLink(db, garden, { name: "Neighbour", from: allTrips(db)[0]!.fromDay }, now);
  if (link.status !== "made") throw new Error(link.sentence);
  const helper = cookieOf(await helperCookie(db, link.token));
  const [row] = helperLinksOpen(db, todayOf(garden));
  const sheet = helpPage(db, garden, row!).sheet!;
  const listed = sheet.beds.flatMap((bed) => bed.plantings).map((p) => ({ plantingId: p.plantingId, cueId: p.tell[0]?.cueId ?? "none", readingId: p.tell[0]?.readings[0]?.id ?? "none" })); // prettier-ignore
  db.$client.exec("update garden set demo_day = null");
  db.$client.close();
  return { phone, helper, listed };
}

interface Asked {
  method?: string;
  path: string;
  headers?: Record<string, string>;
  body?: string | Buffer;
  timeoutMs: number;
}

/** The door of a garden that is shared. */
export class SharedDoor {
  readonly origin: string;
  private agent: Agent | undefined;

  /** @param file - the garden's; its authority is beside it once the server was started */
  constructor(
    private readonly file: string,
    private readonly port: number,
  ) {
    this.origin = `https://${HOST}:${port}`;
  }

  /** One request; what does not come is status 0. */
  ask({ method = "POST", path: at, headers = {}, body, timeoutMs }: Asked): Promise<AnswerOf> {
    // prettier-ignore
    const authority = path.join(path.dirname(this.file), "household/authority.crt");
    if (!existsSync(authority)) return Promise.resolve({ status: 0, text: "", location: "" });
    this.agent ??= new Agent({ keepAlive: true, ca: readFileSync(authority), checkServerIdentity: (_, cert) => checkServerIdentity(HOST, cert) }); // prettier-ignore
    const { agent, port } = this;
    return answerOf(request({ host: HOST, port, agent, path: at, method, headers: { Origin: this.origin, "User-Agent": "Mozilla/5.0", ...headers }, timeout: timeoutMs }), body); // prettier-ignore
  }

  close(): void {
    this.agent?.destroy();
  }
}
