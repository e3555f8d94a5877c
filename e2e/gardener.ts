import { test as base, type Page } from "@playwright/test";
import { GardenServer } from "./garden-server";

let next = 0;

/**
 * A page that is met and left as a person does: once it answers, and once what was sent has been answered. A reload within
 * the same few milliseconds as a key press takes the request down before it reaches the server.
 */
function patient(page: Page): Page {
  const sent = new Set<unknown>();
  page.on("request", (r) => r.method() !== "GET" && sent.add(r));
  for (const end of ["requestfinished", "requestfailed"] as const)
    page.on(end as "requestfinished", (r) => sent.delete(r));
  const answered = async () => {
    if (page.url() === "about:blank") return;
    await new Promise((resolve) => setTimeout(resolve, 150));
    for (let tries = 0; sent.size > 0 && tries < 200; tries++) await new Promise((resolve) => setTimeout(resolve, 50));
  };
  const { goto, reload } = { goto: page.goto.bind(page), reload: page.reload.bind(page) };
  const alive = async <T>(answer: T) => (await page.waitForFunction(isAlive, undefined, { timeout: 10_000 }).catch(() => undefined), answer); // prettier-ignore
  page.goto = async (...how) => (await answered(), alive(await goto(...how)));
  page.reload = async (...how) => (await answered(), alive(await reload(...how)));
  return page;
}

/** Whether what is drawn answers to a click: a page that came from the server does not yet, for a moment. */
function isAlive(): boolean {
  const drawn = document.querySelector("main")?.lastElementChild;
  return !drawn || Object.keys(drawn).some((key) => key.startsWith("__reactProps$"));
}

interface OwnServers {
  demo: GardenServer;
  usDemo: GardenServer;
  household: GardenServer;
}

/**
 * Tests with a garden server of their own: the demo's, in either system of units, or an empty household file; or, for those
 * that write nothing, one of the demo's for all of a worker's: a start takes seconds.
 */
export const test = base.extend<OwnServers, { readDemo: GardenServer }>({
  readDemo: [
    async ({}, give, info) => {
      const server = new GardenServer(4700 + info.parallelIndex, true);
      await server.start();
      await give(server);
      await server.remove();
    },
    { scope: "worker", timeout: 180_000 },
  ],
  page: async ({ page }, give) => give(patient(page)),
  demo: async ({}, give, info) => {
    const server = new GardenServer(4300 + info.parallelIndex * 100 + (next++ % 100), true);
    await server.start();
    await give(server);
    await server.remove();
  },
  usDemo: async ({}, give, info) => {
    const server = new GardenServer(4300 + info.parallelIndex * 100 + (next++ % 100), true, "us");
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
