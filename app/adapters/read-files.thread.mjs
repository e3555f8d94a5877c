// The door of the reading threads: a thread does not take over the main one's way of loading TypeScript.
import { register } from "tsx/esm/api";

register();
const tasks = await import("./read-files.worker.ts");

export const { calendar, weatherCsv, forecast, station } = tasks;
