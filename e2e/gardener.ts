import { test as base } from "@playwright/test";
import { GardenServer } from "./garden-server";

let next = 0;

/** Tests with a garden server of their own: the demo's, or an empty household file. */
export const test = base.extend<{ demo: GardenServer; household: GardenServer }>({
  demo: async ({}, give, info) => {
    const server = new GardenServer(4300 + info.parallelIndex * 100 + (next++ % 100), true);
    await server.start();
    await give(server);
    await server.remove();
  },
  household: async ({}, give, info) => {
    const server = new GardenServer(4300 + info.parallelIndex * 100 + (next++ % 100), false);
    await server.start();
    await give(server);
    await server.remove();
  },
});
export { expect } from "@playwright/test";
