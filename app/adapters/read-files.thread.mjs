// The door of the reading threads: a running server has their work built, else it is translated as it is loaded (a
// thread does not take over the main one's way of loading TypeScript).
if (process.env.NODE_ENV !== "production") (await import("tsx/esm/api")).register();
const built = new URL("../../build/node/read-files.js", import.meta.url);
const tasks = await (process.env.NODE_ENV === "production" ? import(built.href) : import("./read-files.worker.ts"));

export const { calendar, weatherCsv, forecast, station } = tasks;
