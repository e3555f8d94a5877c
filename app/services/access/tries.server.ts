import { isIPv6 } from "node:net";
import { RateLimiterMemory } from "rate-limiter-flexible";

/** Tries of the passphrase from one address: our judgement, a household that mistypes is far from it. */
const TRIES = 10;
const WITHIN_S = 15 * 60;

/** Whose try it is: a network gives a device many of the newer addresses, which share their first half. */
export function triedFrom(address: string): string {
  const plain = address.replace(/^::ffff:/i, "");
  if (!isIPv6(plain)) return plain;
  const [head = "", tail] = plain.split("::");
  const [left, right] = [head.split(":").filter(Boolean), (tail ?? "").split(":").filter(Boolean)];
  const groups = tail === undefined ? left : [...left, ...Array<string>(8 - left.length - right.length).fill("0"), ...right]; // prettier-ignore
  return groups.slice(0, 4).join(":");
}

/** Counts tries of the passphrase by address, so that nobody gets to guess. */
export class Tries {
  private readonly limiter = new RateLimiterMemory({ points: TRIES, duration: WITHIN_S });
  /** Until when nothing is heard from where, ms: the answer for those who go on costs next to nothing. */
  private readonly heldOff = new Map<string, number>();

  /** One more try; false where there were too many. Nothing is hashed for those. */
  async may(address: string): Promise<boolean> {
    const from = triedFrom(address);
    return this.limiter.consume(from).then(
      () => true,
      (told: { msBeforeNext: number }) => {
        const now = Date.now();
        for (const [other, until] of this.heldOff) if (until <= now) this.heldOff.delete(other);
        this.heldOff.set(from, now + told.msBeforeNext);
        return false;
      },
    );
  }

  /** Whether there were too many from there, and the time for that is not over. */
  isHeldOff(address: string, now: number): boolean {
    if (this.heldOff.size === 0) return false;
    return (this.heldOff.get(triedFrom(address)) ?? 0) > now;
  }

  /** The passphrase was right: earlier slips do not count. */
  async right(address: string): Promise<void> {
    await this.limiter.delete(triedFrom(address));
  }
}
