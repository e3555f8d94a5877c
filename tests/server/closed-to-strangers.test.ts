import { describe, expect, test } from "vitest";
import { listenOn } from "../../server/listen-on";
import { tooMuch } from "../../server/limits";
import { strangerIn, type Knock } from "../../server/strangers";

const knock = (more: Partial<Knock>): Knock => ({ method: "GET", path: "/", host: "127.0.0.1:4160", origin: undefined, site: undefined, ...more }); // prettier-ignore
const post = (path: string, more: Partial<Knock> = {}) => knock({ method: "POST", path, ...more });

describe("another site that would have written into the garden, or read it, is refused", () => {
  test.each<[string, Knock]>([
    ["a form of another site logs a pick", post("/entries", { origin: "http://other.example" })],
    ["a page without an origin of its own (a frame in a sandbox) steps the demo", post("/demo/step", { origin: "null" })], // prettier-ignore
    ["another port of this machine is another site", post("/picks", { origin: "http://127.0.0.1:9999" })],
    ["a browser that says only whose page asks", post("/sky", { site: "cross-site" })],
    ["a name made to point here reads the ledger", knock({ path: "/ledger.csv", host: "rebound.example" })],
    ["the same with a port", knock({ host: "rebound.example:4160" })],
    ["our name as the beginning of another", knock({ host: "localhost.example" })],
    ["a host that is none", knock({ host: "127.0.0.1:4160/@x" })],
    ["no host at all", knock({ host: undefined })],
    ["a script of another site takes the export", knock({ path: "/ledger.csv", origin: "http://other.example" })],
    ["an image tag of another site fetches it", knock({ path: "/ledger.csv", site: "cross-site" })],
    ["page data as JSON", knock({ path: "/_root.data", site: "same-site" })],
  ])("%s", (_, asked) => expect(strangerIn(asked)).toMatch(/^(Another site|This is not an address)/));
});

test.each<[string, Knock]>([
  ["the app’s own form", post("/sky", { origin: "http://127.0.0.1:4160", site: "same-origin" })],
  ["by the machine’s name", post("/sky", { host: "localhost:4160", origin: "http://localhost:4160" })],
  ["by its newer address", knock({ host: "[::1]:4160" })],
  ["a link on another page that leads here", knock({ site: "cross-site" })],
  ["an address typed by hand", knock({ site: "none" })],
  ["a program on this machine", post("/entries")],
])("%s is let in", (_, asked) => expect(strangerIn(asked)).toBeUndefined());

test("at the door of the network only the household's names count, and HTTPS only", () => {
  const door = { names: ["garden.home", "192.168.1.20"] };
  expect(strangerIn(knock({ host: "garden.home:4161" }))).toBeDefined();
  expect(strangerIn(knock({ host: "garden.home:4161" }), door)).toBeUndefined();
  expect(strangerIn(post("/entries", { host: "192.168.1.20:4161", origin: "https://192.168.1.20:4161" }), door)).toBeUndefined(); // prettier-ignore
  expect(strangerIn(post("/entries", { host: "192.168.1.20:4161", origin: "http://192.168.1.20:4161" }), door)).toBeDefined(); // prettier-ignore
  expect(strangerIn(knock({ host: "localhost:4161" }), door)).toBeDefined();
});

describe("the server would have listened to the whole network", () => {
  test("without HOST it listens on this machine", () =>
    expect(listenOn({})).toEqual({ host: "127.0.0.1", port: 4160 }));
  test.each(["localhost", "127.0.0.1", "127.0.1.1", "::1"])("HOST=%s is this machine", (HOST) => expect(listenOn({ HOST, PORT: "80" }).host).toBe(HOST)); // prettier-ignore
  test.each(["0.0.0.0", "::", "192.168.1.5", "garden.home", "1270.0.0.1"])("HOST=%s is refused, with why", (HOST) =>
    expect(() => listenOn({ HOST })).toThrow(/others would reach the garden/),
  );
  test.each(["0", "x", "70000", "4160.5"])("PORT=%s is no port", (PORT) => expect(() => listenOn({ PORT })).toThrow(/is no port/)); // prettier-ignore
});

describe("a body that would have been read whole", () => {
  const sent = (path: string, length: number) => tooMuch("POST", path, { "content-length": String(length) });
  test("of 100 MB is not read", () => expect(sent("/entries", 100_000_000)).toMatchObject({ status: 413 }));
  test("a file of weather may be 8 MB, a pick may not", () => {
    expect(sent("/sky", 8_000_000)).toBeUndefined();
    expect(sent("/sky.data", 8_000_000)).toBeUndefined();
    expect(sent("/round", 8_000_000)).toMatchObject({ status: 413, sentence: expect.stringMatching(/1 MB/) as string });
  });
  test("without an end is not begun", () => expect(tooMuch("POST", "/entries", { "transfer-encoding": "chunked" })).toMatchObject({ status: 411 })); // prettier-ignore
  test.each(["TRACE", "PUT", "DELETE", "PROPFIND"])("%s is nothing the app does", (method) => expect(tooMuch(method, "/", {})).toMatchObject({ status: 405 })); // prettier-ignore
});
