// Loaded before the server of a browser test: its clock starts at AKMEDON_TEST_NOW and runs on from there, so that no
// test depends on the day it is run.
const start = Date.parse(process.env.AKMEDON_TEST_NOW ?? "");
const Real = globalThis.Date;
const shift = Number.isNaN(start) ? 0 : start - Real.now();
const now = () => Real.now() + shift;

// A proxy and no subclass: what looks at Date's own names and prototype finds those of the real one.
globalThis.Date = new Proxy(Real, {
  construct: (target, given, made) =>
    Reflect.construct(target, given.length === 0 ? [now()] : given, made === globalThis.Date ? target : made),
  apply: () => new Real(now()).toString(),
  get: (target, name) => (name === "now" ? now : Reflect.get(target, name)),
});
