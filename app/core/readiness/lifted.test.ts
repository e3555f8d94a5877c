import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { judgeAnswer } from "~/views/edge";
import { addDays } from "../calendar";
import { cueScale } from ".";

const crops = catalogue();
const LIFTED = "2026-08-10";
type Read = [cue: string, reading: string, on?: string | undefined, more?: object];

/** A crop lifted on a day, as `judge` answers some days later. */
function lying(crop: string, days: number, looks: Read[] = [], more: object = {}) {
  const today = addDays(LIFTED, days);
  const answer = judgeAnswer(
    {
      crop,
      today,
      latitude: 50,
      startedOn: "2026-04-05",
      plants: 40,
      picks: [{ pickedOn: LIFTED, pieces: 40, tookAll: true }],
      looks: looks.map(([cueId, readingId, takenOn = today, rest = {}]) => ({ cueId, readingId, takenOn, ...rest })),
      ...more,
    },
    crops,
  );
  return { kind: answer.verdict.kind, says: answer.verdict.sentence, again: answer.verdict.lookAgain, parts: answer.parts, asks: answer.nextLooks.map((n) => n.cueId), how: answer.how, waiting: answer.waiting }; // prettier-ignore
}

/** What is done with a crop that has been lifted: common practice. */
describe("after the lift", () => {
  test("onions lie until their days are over, then somebody has to feel a neck", () => {
    expect(lying("onion_bulb", 3)).toMatchObject({ kind: "cure on", again: addDays(LIFTED, 14), parts: [{ act: "cure on", share: 1 }] }); // prettier-ignore
    const due = lying("onion_bulb", 20);
    expect(due).toMatchObject({ kind: "cure on", again: addDays(LIFTED, 20) });
    expect(due.says).toMatch(/should be cured. Look before you store it: how is the neck/);
    expect(due.asks[0]).toBe("neck_dry");
  });

  test("a tight neck goes into store, a soft one lies on, whatever the days say", () => {
    expect(lying("onion_bulb", 6, [["neck_dry", "shrunk_and_tight_skins_rustle"]])).toMatchObject({ kind: "store" });
    expect(lying("onion_bulb", 40, [["neck_dry", "soft_slips_between_the_fingers"]])).toMatchObject({ kind: "cure on" }); // prettier-ignore
  });

  test("bolted onions with wet cuts lie two days more and are then used first", () => {
    const bolted: Read[] = [
      ["flower_stalk", "stalk", "2026-08-08"],
      ["neck_dry", "wet_or_milky_where_it_was_cut"],
    ];
    const { kind, again, says } = lying("onion_bulb", 5, bolted, { plants: 1, picks: [{ pickedOn: LIFTED, pieces: 1, tookAll: true }] }); // prettier-ignore
    expect({ kind, again }).toEqual({ kind: "cure on", again: addDays(LIFTED, 7) });
    expect(says).toMatch(/a day or two. Look again .*keep it apart and use it first/i);
  });

  test("one rotten among forty is thrown out, two speared are used first, the rest lies on", () => {
    const mixed: Read[] = [["wounds", "soft_mouldy_or_rotten", undefined, { pieces: 1 }], ["wounds", "cut_speared_or_bruised", undefined, { pieces: 2 }]]; // prettier-ignore
    const { parts, says } = lying("potato_maincrop", 2, mixed);
    expect(parts.map((p) => p.act)).toEqual(["throw out", "use first", "cure on"]);
    expect(says).toMatch(/^Do not eat .*throw it out.*use it first, today.*Cure the rest on/s);
  });

  test("what needs no curing is stored, and what has been kept too long is looked over first", () => {
    expect(lying("cabbage", 1)).toMatchObject({ kind: "store", waiting: "" });
    expect(lying("cabbage", 1, [["lot_sound", "bruised_split_or_wilting"]], { plants: 1 })).toMatchObject({ kind: "use first" }); // prettier-ignore
    expect(lying("potato_early", 90)).toMatchObject({ kind: "use first" });
  });

  test("it is no longer judged as standing: no window asks for it and nothing of it is planned", () => {
    expect(lying("garlic_softneck", 1, [["leaf_brown", "30_50", "2026-08-09"]]).kind).toBe("cure on");
    expect(lying("garlic_softneck", 1).how).toMatch(/hang in a dry airy roof space/);
  });

  test("all that was ready is not all of it: four of forty cabbages, two of forty onions", () => {
    const few = (pieces: number) => ({ picks: [{ pickedOn: LIFTED, pieces, tookAll: true }] });
    for (const [crop, pieces] of [
      ["cabbage", 4],
      ["onion_bulb", 2],
      ["beetroot", 10],
    ] as const)
      // prettier-ignore
      expect(lying(crop, 1, [], few(pieces)).kind, crop).not.toMatch(/cure on|store|use first/);
    expect(lying("onion_bulb", 1, [], few(38)).kind).toBe("cure on");
  });

  test("a crop that keeps giving is not lifted by a full pick", () => {
    expect(lying("courgette", 1).kind).not.toMatch(/cure|store|use first/);
  });

  test("whatever is cured has a cue that tells when it is, and whatever is lifted one that finds what will not keep", () => {
    for (const { id, mode, life, liftedCues } of crops) {
      if (life.cure)
        expect(
          liftedCues.some((c) => cueScale(c)),
          id,
        ).toBe(true);
      if (mode === "once")
        expect(
          liftedCues.flatMap((c) => c.readings).some((r) => r.means === "now"),
          id,
        ).toBe(true);
    }
  });
});
