// The door of the planning threads: a running server has their work built, else it is translated as it is loaded (a
// thread does not take over the main one's way of loading TypeScript).
if (process.env.NODE_ENV !== "production") (await import("tsx/esm/api")).register();
const built = new URL("../../../build/node/plan.js", import.meta.url);
const tasks = await (process.env.NODE_ENV === "production" ? import(built.href) : import("./plan.worker.ts"));

export const { plan, advice, planSupposed, ledgerPart, sheet } = tasks;
