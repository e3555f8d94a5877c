import { gzipSync } from "node:zlib";
import { expect, test } from "./gardener";

/** Scripts that a page has before anybody touches it. */
async function scriptsOf(url: string): Promise<Set<string>> {
  const html = await (await fetch(url)).text();
  return new Set(html.match(/\/assets\/[^"']+\.js/g) ?? []);
}

test("the first view's script: the Horizon at most 1.3 times what every page has, the sky 1.4 times", async ({
  readDemo,
}) => {
  const pages = await Promise.all(["/", "/sky", "/beds", "/notes", "/ledger"].map((path) => scriptsOf(readDemo.url + path))); // prettier-ignore
  const sizes = new Map<string, number>();
  for (const script of new Set(pages.flatMap((p) => [...p])))
    sizes.set(script, gzipSync(Buffer.from(await (await fetch(readDemo.url + script)).arrayBuffer())).length);
  const sizeOf = (scripts: Iterable<string>) => [...scripts].reduce((sum, s) => sum + sizes.get(s)!, 0);
  const bare = sizeOf([...sizes.keys()].filter((s) => pages.every((p) => p.has(s))));
  expect(bare).toBeGreaterThan(100_000);
  const [horizon, sky] = pages.map((p) => sizeOf(p) / bare);
  console.log(`first view: bare ${Math.round(bare / 1024)} KB, Horizon ${horizon!.toFixed(2)}, sky ${sky!.toFixed(2)}`);
  expect(horizon!).toBeLessThan(1.3);
  expect(sky!).toBeLessThan(1.4);
});
