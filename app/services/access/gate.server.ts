import { requestDb } from "~/db/client.server";
import { theDoor } from "~/db/access/door.server";
import { theGarden } from "~/db/garden/garden.server";
import { deviceOf } from "./devices.server";
import { helperIn } from "./helper-links.server";
import { Tries } from "./tries.server";

/** A request at the door that the network reaches. */
export interface AtTheDoor {
  method: string;
  path: string;
  cookies: string | undefined;
  address: string;
}

export type Answer =
  { status: "in"; deviceId: string | null; helperId: string | null } | { status: "passphrase first" } | { status: "link over" } | { status: "tried too often" }; // prettier-ignore

/** What anybody may see: the page that asks for the passphrase, and the household's authority, which is no secret. */
const FOR_ANYBODY = ["/login", "/login.data", "/authority.crt"];

/** What a helper sees and writes; the link itself leads there. */
const FOR_HELPERS = ["/help", "/help.data"];
const LINK = /^\/h\/[\w-]{43}$/;

const tries = new Tries();

/** The door of the server that the network reaches: who is let through to the pages. */
export const gate = {
  /** Whether a passphrase was set; without one nothing is served to the network. */
  isLocked: () => theDoor(requestDb()) !== undefined,

  /** Lets through devices that are in, and everybody to the page that asks; tries of the passphrase are counted here. */
  async answer({ method, path, cookies, address }: AtTheDoor): Promise<Answer> {
    const device = await deviceOf(requestDb(), cookies ?? null, new Date());
    if (FOR_ANYBODY.includes(path)) {
      if (method === "POST" && !(await tries.may(address))) return { status: "tried too often" };
      return { status: "in", deviceId: device?.id ?? null, helperId: null };
    }
    if (FOR_HELPERS.includes(path)) {
      const garden = theGarden(requestDb());
      const helper = garden && (await helperIn(requestDb(), garden, cookies ?? null));
      return helper ? { status: "in", deviceId: null, helperId: helper.id } : { status: "link over" };
    }
    if (LINK.test(path) && method === "GET") return { status: "in", deviceId: null, helperId: null };
    return device ? { status: "in", deviceId: device.id, helperId: null } : { status: "passphrase first" };
  },

  /** Whether the passphrase was tried too often from there, and lately. */
  isHeldOff: (address: string): boolean => tries.isHeldOff(address, Date.now()),

  /** The passphrase was right. */
  right: (address: string) => tries.right(address),
};

export type Gate = typeof gate;
