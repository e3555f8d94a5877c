import { describe, expect, test } from "vitest";
import { catalogue } from "~/catalogue/catalogue.server";
import { cueScale } from "~/core/readiness";

/**
 * Rules of thumb growers state (common practice, no published source), as far as they concern the twelve
 * crops and the cues, sizes and dates of this slice. The id is that of the field handbook's number checks.
 */
const crop = (id: string) => catalogue().find((c) => c.id === id)!;

/** The reading of a size cue into which a measurement in mm falls. */
function readingAt(cropId: string, cueId: string, mm: number) {
  const cue = crop(cropId).cues.find((c) => c.id === cueId)!;
  return cue.readings.find(({ text }) => {
    const range = /^(\d+)–(\d+) mm/.exec(text);
    if (range) return mm >= Number(range[1]) && mm <= Number(range[2]);
    const under = /^under (\d+) mm/.exec(text);
    if (under) return mm < Number(under[1]);
    const over = /^(?:over (\d+) mm|(\d+) mm and over)/.exec(text);
    return over ? mm >= Number(over[1] ?? over[2]) : false;
  });
}

describe("sizes", () => {
  test.each([
    ["NC002", "carrot shoulder, a quarter-dollar coin", "carrot", "shoulder_width", 24, "ready"],
    ["NC006", "beetroot small pick, golf ball", "beetroot", "root_width", 43, "ready"],
    ["NC008", "pleasing bulb onion, tennis ball", "onion_bulb", "bulb_width", 67, "ready"],
    ["NC081", "slicing cucumber, 8 in", "cucumber_slicing", "length", 8 * 25.4, "ready"],
    ["NC081", "slicing cucumber, 9 in", "cucumber_slicing", "length", 9 * 25.4, "ready"],
    ["NC085", "courgette tender, 8 in", "courgette", "length", 8 * 25.4, "ready"],
    ["NC087", "courgette far too big, 2 ft", "courgette", "length", 24 * 25.4, "past"],
  ])("%s: %s", (_, __, cropId, cueId, mm, means) => {
    expect(readingAt(cropId, cueId, Math.round(mm))?.means).toBe(means);
  });

  test("NC085: the long end, 10 in, is ready or to be taken at once, never past", () =>
    expect(["ready", "now"]).toContain(readingAt("courgette", "length", 254)?.means));

  test("everyday objects named with a reading lie in its millimetres", () => {
    const objects: Record<string, number> = { "a table-tennis ball": 40, "a golf ball": 43, "a shallot": 29, "a pencil": 7, "a quarter-dollar coin": 24 }; // prettier-ignore
    for (const [name, mm] of Object.entries(objects))
      for (const c of catalogue())
        for (const cue of c.cues)
          for (const reading of cue.readings.filter((r) => r.everyday === name && /mm/.test(r.text)))
            expect(readingAt(c.id, cue.id, mm)?.id, `${c.id} ${cue.id} ${name}`).toBe(reading.id);
  });
});

describe("dates and intervals", () => {
  test("NC003: carrots are lifted, even undersize, 21 to 28 days past the packet date", () => {
    const days = crop("carrot").clockRule!.liftPastPacketDays;
    expect(days).toBeGreaterThanOrEqual(21);
    expect(days).toBeLessThanOrEqual(28);
  });
  test("NC084: a small cucumber left is looked at again in 2 days", () => {
    expect(crop("cucumber_slicing").again!.low).toBeLessThanOrEqual(2);
    expect(crop("cucumber_slicing").again!.high).toBeGreaterThanOrEqual(2);
  });
  test("NC086: a courgette is at its best for less than the 3 days in which it grows four to five times", () =>
    expect(crop("courgette").windowDays.value).toBeLessThan(3));
  test("NC100 and the packets: every crop's days lie in order and below a season", () => {
    for (const c of catalogue()) {
      expect(c.packet.low).toBeLessThan(c.packet.high);
      expect(c.packet.high).toBeLessThanOrEqual(600);
    }
  });
});

describe("keeping and leaving", () => {
  test("NC060: kale keeps 3 to 5 leaves at least", () => {
    expect(crop("kale_leaf").pick.stays).toMatch(/three to five leaves/);
    expect(
      crop("kale_leaf")
        .cues.find((c) => c.id === "leaves_kept")!
        .readings.map((r) => r.means),
    ).toEqual(["none", "early", "early"]);
  });
  test("NC107: a peach keeps up to 5 days in the refrigerator; NC108: firm ones soften on the counter in about a day", () => {
    expect(crop("peach").after.store).toMatch(/up to 5 days/);
    expect(crop("peach").after.text).toMatch(/1–3 days on the counter/);
  });
  test("NC109: after heavy rain a peach waits 1 to 2 days", () =>
    expect(
      crop("peach")
        .cues.find((c) => c.id === "taste_one")!
        .readings.find((r) => r.id === "watery")!.advice,
    ).toMatch(/one or two dry days/));
  test("NC017, NC018: onions are stored at 0 to 10 °C and 60 to 70 % RH", () =>
    expect(crop("onion_bulb").after.store).toMatch(/0–10 °C, 60–70 %/));
});

describe("tomato colour classes (United States Standards for Grades of Fresh Tomatoes, from memory)", () => {
  const colour = crop("tomato_large").cues.find((c) => c.id === "colour_stage")!;
  test("six classes by share of colour: green, breaker to 10, turning to 30, pink to 60, light red to 90, red above", () => {
    expect(colour.readings.slice(0, 6).map((r) => r.id)).toEqual([
      "green",
      "breaker",
      "turning",
      "pink",
      "light_red",
      "red",
    ]);
    expect(colour.readings.slice(1, 6).map((r) => r.text)).toEqual([
      "first blush, up to 10 %",
      "10–30 %",
      "30–60 %",
      "60–90 %",
      "over 90 %",
    ]);
  });
  test("NC076: picked at about 60 % or less is ready; NC074: the riper the class, the later on the scale", () => {
    expect(colour.readings.find((r) => r.id === "pink")!.means).toBe("ready");
    const { borders } = cueScale(colour)!;
    for (let i = 1; i < borders.length; i++) expect(borders[i]!).toBeGreaterThan(borders[i - 1]!);
  });
});
