/**
 * A repeatable stream of numbers in [0, 1): chance is always a parameter of the core.
 *
 * @param seed - any whole number
 * @source mulberry32, public domain, T. Ettinger (from memory)
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A standard normal draw from a uniform stream (Box & Muller 1958). */
export function normalDraw(uniform: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}
