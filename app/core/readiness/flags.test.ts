import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { flagsOf } from "./flags";
import { knownLooks, type Look } from "./look";
import { settledBy } from "./settled";
import { toldShares } from "./told-shares";

const TODAY = "2026-08-10";
const looks = (cropId: string, ...seen: (Pick<Look, "cueId" | "readingId"> & Partial<Look>)[]) =>
  knownLooks(
    catalogue().find((c) => c.id === cropId)!,
    seen.map((l) => ({ takenOn: TODAY, ...l })),
  );
const stalk = { cueId: "flower_stalk", readingId: "stalk" };

describe("what a flag speaks of", () => {
  test("one bolted onion of sixty is one, not the bed", () => {
    const { whole, parts } = flagsOf(looks("onion_bulb", stalk), 60, TODAY);
    expect(whole).toBeUndefined();
    expect(parts).toMatchObject([{ means: "now", pieces: 1, share: 1 / 60 }]);
  });

  test("ten looked at that all bolted stand for the bed, and so does one where nobody knows how many there are", () => {
    expect(flagsOf(looks("onion_bulb", { ...stalk, sampleOf: 10 }), 60, TODAY).whole?.means).toBe("now");
    expect(flagsOf(looks("onion_bulb", stalk), undefined, TODAY).whole?.means).toBe("now");
    expect(flagsOf(looks("cabbage", { cueId: "core_rise", readingId: "rising" }), 1, TODAY).whole?.means).toBe("now");
  });

  test("rust on many leaves is the bed's, whoever looked at one", () =>
    expect(flagsOf(looks("garlic_softneck", { cueId: "leaf_rust", readingId: "many" }), 40, TODAY).whole?.means).toBe("now")); // prettier-ignore

  test("the strongest comes first, and what was seen a week ago is no news", () => {
    const rotten = { cueId: "split_skin", readingId: "rotten", share: 0.1 };
    const { parts } = flagsOf(looks("tomato_large", { cueId: "split_skin", readingId: "fresh", share: 0.2 }, rotten), 30, TODAY); // prettier-ignore
    expect(parts.map((p) => p.means)).toEqual(["unfit", "now"]);
    expect(flagsOf(looks("onion_bulb", { ...stalk, takenOn: "2026-08-01" }), 60, TODAY).parts).toEqual([]);
  });
});

describe("shares told", () => {
  const give = (readingId: string, share: number) => ({ cueId: "slight_give", readingId, share });

  test("what is left over is a step less far; what is past is none of them", () => {
    expect(toldShares(looks("peach", give("slight", 0.4)), TODAY)?.shares).toEqual({
      early: 0,
      nearly: 0.6,
      ready: 0.4,
    });
    const mixed = toldShares(
      looks("peach", give("mush", 0.5), give("slight", 0.25), give("hard", 0.25)),
      TODAY,
    )!.shares;
    expect(mixed).toMatchObject({ early: 0.5, ready: 0.5 });
    expect(toldShares(looks("peach", give("mush", 0.1)), TODAY)).toBeUndefined();
  });

  test("the most telling cue is asked; a look of everything, or of days ago, tells no shares", () => {
    const weak = { cueId: "smell", readingId: "strong", share: 0.9 };
    expect(toldShares(looks("peach", weak, give("slight", 0.3), give("hard", 0.7)), TODAY)?.shares.ready).toBeCloseTo(
      0.3,
      9,
    );
    expect(toldShares(looks("peach", { cueId: "slight_give", readingId: "slight" }), TODAY)).toBeUndefined();
    expect(toldShares(looks("peach", { ...give("slight", 0.3), takenOn: "2026-08-06" }), TODAY)).toBeUndefined();
  });
});

test("a taste of today settles it, a pull does where nothing was tasted since; a look at a part settles nothing", () => {
  const tug = { cueId: "detach", readingId: "tug" };
  const sweet = { cueId: "taste_one", readingId: "sweet" };
  expect(settledBy(looks("peach", tug), TODAY).release?.readingId).toBe("tug");
  expect(settledBy(looks("peach", tug, sweet), TODAY)).toMatchObject({ taste: { readingId: "sweet" }, release: undefined }); // prettier-ignore
  expect(settledBy(looks("peach", { ...tug, share: 0.4 }), TODAY).release).toBeUndefined();
  expect(settledBy(looks("peach", { ...sweet, takenOn: "2026-08-07" }), TODAY).taste).toBeUndefined();
});
