import { requestDb } from "~/db/client.server";
import { dropDevice, letIn } from "./devices.server";
import { gate } from "./gate.server";
import { isPassphrase } from "./passphrase.server";

/**
 * A phone gives the passphrase.
 *
 * @param device - what it is called, and whose it is
 * @param address - where it comes from: its slips do not count once it was right
 * @param before - the device it was in as: it is that no longer
 * @returns the header that sets its cookie; undefined when it was not the household's
 */
export async function login(
  passphrase: string,
  device: { name: string; person: string },
  address: string,
  before: string | null,
): Promise<string | undefined> {
  const db = requestDb();
  if (!(await isPassphrase(db, passphrase))) return undefined;
  await gate.right(address);
  if (before) dropDevice(db, before, new Date());
  return letIn(db, device.name, device.person, new Date());
}
