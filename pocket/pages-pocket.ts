/** The pages that a worker keeps: whatever is written or thrown away comes one after the other. */
export interface Pocket {
  /** How often all was thrown away. */
  readonly emptied: number;
  match(key: string): Promise<Response | undefined>;
  /**
   * @param since - `emptied` when the answer was asked for: what was asked for before all was thrown away is not kept
   * @returns whether it is kept
   * @throws {DOMException} where the phone has no room
   */
  put(key: string, answer: Response, since: number): Promise<boolean>;
  /** Throws away the others. */
  keepOnly(keys: ReadonlySet<string>): Promise<void>;
  /** Whoever is asked for the passphrase has no garden in the pocket. */
  empty(): Promise<void>;
}

/**
 * @param name - of the cache; it is there only while something is in it
 * @param isHere - whether the worker still works: one that another has taken over from writes nothing any more
 */
export function pocketOf(name: string, isHere: () => boolean, storage: CacheStorage = caches): Pocket {
  let emptied = 0;
  let last: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(job: () => Promise<T>): Promise<T> => {
    const done = last.then(job);
    last = done.catch(() => undefined);
    return done;
  };
  return {
    get emptied() {
      return emptied;
    },
    // Not through `open`, which makes the cache where there is none.
    match: (key) => storage.match(key, { cacheName: name }),
    put: (key, answer, since) =>
      inTurn(async () => {
        if (since !== emptied || !isHere()) return false;
        await (await storage.open(name)).put(key, answer);
        return true;
      }),
    keepOnly: (keys) =>
      inTurn(async () => {
        if (!(await storage.has(name))) return;
        const cache = await storage.open(name);
        for (const request of await cache.keys()) if (!keys.has(request.url)) await cache.delete(request);
      }),
    empty: () => {
      emptied++;
      return inTurn(async () => void (await storage.delete(name)));
    },
  };
}
