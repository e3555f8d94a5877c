import { expect, test } from "vitest";
import { allBeds } from "~/db/beds/beds.server";
import { checkPage } from "~/services/check/check-page.server";
import { gardenState } from "~/services/garden/garden-state.server";
import { plant, send, smallGarden, type GardenOfTest } from "./garden-fixture";

const TODAY = "2026-08-20";

/** The small garden with a row of onions, all of them lifted some days ago. */
function onionsLifted(on: string): GardenOfTest {
  const made = smallGarden();
  plant(made.db, allBeds(made.db)[0]!.id, { id: "onion", cropId: "onion_bulb", plants: 20, cameBy: "planted" }, "2026-04-10"); // prettier-ignore
  send(made.db, { kind: "pick", plantingId: "onion", on, outcome: "picked", tookAll: true, count: "20", fate: "store" } as never); // prettier-ignore
  return made;
}
const look = ({ db }: GardenOfTest, cueId: string, readingId: string | null, share?: number) =>
  send(db, { kind: "look", plantingId: "onion", cueId, readingId, ...(share === undefined ? {} : { share }) } as never); // prettier-ignore

function liftedOf({ db, garden }: GardenOfTest) {
  const page = checkPage(db, garden, "onion");
  return page?.status === "ended" ? page.ended.lifted : undefined;
}

test("what was lifted is cured, looked at where it lies, and stored once its necks are dry", () => {
  const onions = onionsLifted("2026-08-12");
  expect(liftedOf(onions)).toMatchObject({ urgent: false, lead: 1 });
  expect(liftedOf(onions)?.says).toMatch(/^Cure it on: one layer/);
  expect(look(onions, "neck_dry", "soft_slips_between_the_fingers").status).toBe("applied");
  expect(liftedOf(onions)?.says).toMatch(/^Cure it on: leave it lying dry and airy/);
  look(onions, "neck_dry", "shrunk_and_tight_skins_rustle");
  expect(liftedOf(onions)?.says).toMatch(/^Store it/);
  look(onions, "wounds", "soft_mouldy_or_rotten", 0.05);
  expect(liftedOf(onions)?.says).toMatch(/^Do not eat the one with .*Store the rest/);
  look(onions, "neck_dry", null);
  expect(liftedOf(onions)?.says).toMatch(/Cure the rest on/);
});

test("a cue of what lies is asked of nothing that stands, and an unknown one is refused with a sentence", () => {
  const onions = onionsLifted("2026-08-12");
  expect(look(onions, "neck_dry", "like butter")).toMatchObject({ status: "refused", sentence: "That is not a look this crop knows." }); // prettier-ignore
  const { db, garden } = onions;
  const carrot = checkPage(db, garden, "carrot");
  expect(carrot?.status === "growing" && carrot.view.cues.some((c) => c.id === "wounds")).toBe(false);
});

test("long after its curing nothing is asked any more; what keeps giving has no such page", () => {
  expect(liftedOf(onionsLifted("2026-05-01"))).toBeNull();
  const { db, garden } = smallGarden();
  send(db, { kind: "end", plantingId: "courgette", bedFree: false } as never);
  const page = checkPage(db, garden, "courgette");
  expect(page?.status === "ended" && page.ended.lifted).toBeNull();
});

test("a look sent after a pick of the same day speaks of what was left, whichever came in first", () => {
  const { db, garden } = smallGarden();
  const pick = { at: `${TODAY}T07:30:00.000Z` };
  const seen = (at: string) => send(db, { kind: "look", plantingId: "carrot", cueId: "shoulder_width", readingId: "20_35", share: 0.2 } as never, { at }); // prettier-ignore
  const told = () => gardenState(db, garden, TODAY).plantings.find((p) => p.id === "carrot")!.looks.map((l) => l.afterPick ?? false); // prettier-ignore
  seen(`${TODAY}T07:00:00.000Z`);
  send(db, { kind: "pick", plantingId: "carrot", outcome: "picked", count: "6" } as never, pick);
  expect(told().slice(0, 1)).toEqual([false]);
  seen(`${TODAY}T07:45:00.000Z`);
  expect(told().slice(0, 1)).toEqual([true]);
});
