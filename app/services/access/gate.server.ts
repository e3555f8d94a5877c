import { requestDb } from "~/db/client.server";
import { theDoor } from "~/db/access/door.server";
import { deviceOf } from "./devices.server";
import { TOO_MANY_TRIES, Tries } from "./tries.server";

/** A request at the door that the network reaches. */
export interface AtTheDoor {
  method: string;
  path: string;
  cookies: string | undefined;
  address: string;
}

export type Answer =
  { status: "in"; deviceId: string | null } | { status: "passphrase first" } | { status: "tried too often"; sentence: string }; // prettier-ignore

/** What anybody may see: the page that asks for the passphrase, and the household's authority, which is no secret. */
const FOR_ANYBODY = ["/login", "/login.data", "/authority.crt"];

const tries = new Tries();

/** The door of the server that the network reaches: who is let through to the pages. */
export const gate = {
  /** Whether a passphrase was set; without one nothing is served to the network. */
  isLocked: () => theDoor(requestDb()) !== undefined,

  /** Lets through devices that are in, and everybody to the page that asks; tries of the passphrase are counted here. */
  async answer({ method, path, cookies, address }: AtTheDoor): Promise<Answer> {
    const device = await deviceOf(requestDb(), cookies ?? null, new Date());
    if (FOR_ANYBODY.includes(path)) {
      if (method === "POST" && !(await tries.may(address))) return { status: "tried too often", sentence: TOO_MANY_TRIES }; // prettier-ignore
      return { status: "in", deviceId: device?.id ?? null };
    }
    return device ? { status: "in", deviceId: device.id } : { status: "passphrase first" };
  },

  /** The passphrase was right. */
  right: (address: string) => tries.right(address),
};

export type Gate = typeof gate;
