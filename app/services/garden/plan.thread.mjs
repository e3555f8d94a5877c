// The door of the planning threads: a thread does not take over the main one's way of loading TypeScript.
import { register } from "tsx/esm/api";

register();
const tasks = await import("./plan.worker.ts");

export const { plan, losers } = tasks;
