import { expect, test } from "vitest";
import { addressesOf, isKept, isPuttingOut, isWhole, keyOf, toFetch, type Kept } from "./pages";

const at = (path: string) => new URL(path, "https://garden.local");

test.each(["/", "/_root.data", "/round", "/round.data", "/round/walk", "/round/walk.data", "/beds", "/beds.data", "/check/kale", "/check/kale.data", "/check/kale/sheet"])("%s is kept for the beds", (path) => {
  expect(isKept(at(path))).toBe(true);
}); // prettier-ignore

test.each(["/login", "/login.data", "/phones", "/ledger", "/ledger.csv", "/sky.data", "/setup", "/help", "/h/abc", "/plan.json", "/check/a/b", "/roundabout", "/check/", "/entries", "/pocket.json"])("%s is not", (path) => {
  expect(isKept(at(path))).toBe(false);
}); // prettier-ignore

test("a page is kept by its path; a part of its data is not kept in place of the whole", () => {
  expect(keyOf(at("/round.data?_routes=x&y=1"))).toBe("https://garden.local/round.data");
  expect([isWhole(at("/round.data")), isWhole(at("/round.data?_routes=routes%2Fround"))]).toEqual([true, false]);
});

test("all that is fetched of a page is of the kept kind", () => {
  for (const path of ["/", "/round", "/round/walk", "/check/kale", "/beds"])
    for (const address of addressesOf(path)) expect(isKept(at(address)), address).toBe(true);
  expect(addressesOf("/check/kale")).toContain("/check/kale/sheet");
});

test("the page that asks for the passphrase empties the pocket", () => {
  expect(["/login", "/login.data", "/round"].map((path) => isPuttingOut(at(path)))).toEqual([true, true, false]);
});

const list = { pages: ["/round", "/", "/check/a", "/check/b", "/check/c"], always: 2, as: "now" };
const before: Kept = { kept: 5, of: 5, at: "2026-09-19T06:00:00Z", as: "now" };
const times: Record<string, number> = { "/round": 9, "/": 9, "/check/a": 5, "/check/b": 2, "/check/c": 7 };

test("while the garden is as it was, only what changes with the hour is fetched, and what is not there", () => {
  expect(toFetch(list, before, (path) => times[path])).toEqual(["/round", "/"]);
  const { "/check/b": _, ...without } = times;
  expect(toFetch(list, before, (path) => without[path])).toEqual(["/round", "/", "/check/b"]);
});

test("after a change all of it is fetched: the walk, then what is not there, then what is there the longest", () => {
  const { "/check/c": _, ...without } = times;
  expect(toFetch(list, { ...before, as: "then" }, (path) => without[path])).toEqual(["/round", "/", "/check/c", "/check/b", "/check/a"]); // prettier-ignore
  expect(toFetch(list, null, () => undefined)).toEqual(list.pages);
});
