import { catalogue } from "~/catalogue/catalogue.server";
import type { Look } from "~/core/readiness";
import type { Situation } from "./judged";

export const TODAY = "2026-08-10";

/**
 * A garden situation in plain words, and the verdict a good gardener would give. Facts of the trade: common
 * practice, no source. Looks are written "cue: start of the reading's words".
 */
export interface GardenSituation {
  words: string;
  crop: string;
  looks: string;
  /** Days after its day by the packet. */
  packetDay?: number;
  more?: Partial<Situation>;
  kind: string;
  says?: RegExp;
}

/** Finds the readings that the words begin. */
export function looksOf(cropId: string, text: string, takenOn = TODAY): Look[] {
  if (!text) return [];
  const crop = catalogue().find((c) => c.id === cropId)!;
  return text.split("; ").map((part) => {
    const [cueId, words] = part.split(": ") as [string, string];
    const cue = crop.cues.find((c) => c.id === cueId);
    if (!cue) throw new Error(`${cropId} has no cue ${cueId}`);
    const reading = cue.readings.find((r) => r.text.startsWith(words)) ?? cue.readings.find((r) => r.id === words);
    if (!reading) throw new Error(`${cropId} ${cueId}: ${words}? ${cue.readings.map((r) => r.text).join(" | ")}`);
    return { cueId, readingId: reading.id, takenOn };
  });
}

const s = (
  words: string,
  crop: string,
  looks: string,
  kind: string,
  says?: RegExp,
  more: Partial<Situation> & { packetDay?: number } = {},
): GardenSituation => {
  const { packetDay, ...rest } = more;
  return { words, crop, looks, kind, ...(says ? { says } : {}), packetDay: packetDay ?? 0, more: rest };
};
const away = (from: number, to: number) => Array.from({ length: 14 }, (_, n) => n < from || n > to);

export const SITUATIONS: GardenSituation[] = [
  // Bulbs and other alliums.
  s("onions, a third of the necks flopped", "onion_bulb", "neck_fall: some", "look again"),
  s("onions, more than half flopped and folding", "onion_bulb", "neck_fall: half; neck_feel: squashy", "ready"),
  s("onions upright and hard", "onion_bulb", "neck_fall: hardly; neck_feel: hard", "leave", undefined, {
    packetDay: -10,
  }),
  s(
    "an onion bolting while the others have not flopped",
    "onion_bulb",
    "neck_fall: hardly; flower_stalk: stalk",
    "take today",
    /use it first|stalk/,
    { packetDay: -15 },
  ),
  s("onions down and dry for weeks", "onion_bulb", "neck_fall: all", "past", undefined, { packetDay: 25 }),
  s("onions ready with rain until Thursday", "onion_bulb", "neck_fall: half", "wait dry", /dry days follow/, {
    dryRun: [0, 0, 0, 7, 7, 7, 7, 7, 7, 7, 7, 7, 7, 7],
  }),
  s("onions ready and three dry days", "onion_bulb", "neck_fall: half", "ready"),
  s(
    "onions ready, away from tomorrow for nine days",
    "onion_bulb",
    "neck_fall: half",
    "take today",
    /before you are away/,
    { free: away(1, 9) },
  ),
  s(
    "autumn onions that stopped growing",
    "onion_bulb",
    "neck_fall: hardly; growth_stopped: stopped",
    "take today",
    undefined,
    { packetDay: 0 },
  ),
  s("spring onions as thick as a finger", "onion_spring", "stem_thickness: 8–15", "ready"),
  s("spring onions thin as a match", "onion_spring", "stem_thickness: under 6", "leave", undefined, { packetDay: -20 }),
  s("spring onions swollen to bulbs", "onion_spring", "stem_thickness: over 20", "past", undefined, { packetDay: 25 }),
  s("topsets coloured and a centimetre across", "onion_walking", "topset_size: 10 mm", "ready"),
  s("leeks two thumbs thick", "leek", "shaft_width: 20–45", "ready"),
  s("a leek with a hard round core starting", "leek", "shaft_width: 20–45; seed_stalk: starting", "take today", /core/),
  s("leeks no thicker than a pencil", "leek", "shaft_width: under 12", "leave", undefined, { packetDay: -30 }),
  s("garlic a third brown from below", "garlic_softneck", "leaf_brown: 30–50", "ready"),
  s("garlic all green", "garlic_softneck", "leaf_brown: under 30", "leave", undefined, { packetDay: -20 }),
  s(
    "garlic green, but cut across it looks like a leek",
    "garlic_softneck",
    "leaf_brown: under 30; test_lift: like a leek",
    "leave",
    undefined,
    { packetDay: -15 },
  ),
  s("garlic covered in rust", "garlic_softneck", "leaf_brown: under 30; leaf_rust: many", "take today", undefined, {
    packetDay: -15,
  }),
  s("garlic split out of its skin", "garlic_softneck", "test_lift: skin split; leaf_brown: 51–70", "past", undefined, {
    packetDay: 15,
  }),
  s(
    "hardneck garlic with five green leaves, three weeks after the scapes",
    "garlic_hardneck",
    "green_leaves_left: 4–6; scape_age: 3–4",
    "ready",
  ),
  s("elephant garlic a third yellow", "garlic_elephant", "leaf_yellow: about a third", "ready"),
  s("a scape in one full curl", "garlic_scape", "curl: one full curl", "ready"),
  s("a scape straightening, bud fat", "garlic_scape", "curl: uncurling", "past", undefined, { packetDay: 12 }),
  s("a scape short and straight", "garlic_scape", "curl: short", "leave", undefined, { packetDay: -20 }),
  // Tubers.
  s("early potatoes in flower, egg-sized when dug", "potato_early", "bloom: open; test_dig: 35–60", "ready"),
  s("early potatoes, no buds", "potato_early", "bloom: no buds", "leave", undefined, { packetDay: -20 }),
  s("maincrop tops brown, skin holds", "potato_maincrop", "tops_dying: most; thumb_rub: the skin holds", "ready"),
  s("maincrop tops green", "potato_maincrop", "tops_dying: all green", "leave", undefined, { packetDay: -25 }),
  s("maincrop ready, the week ahead wet, then dry", "potato_maincrop", "tops_dying: most", "wait dry", /dry/, {
    dryRun: [0, 0, 0, 0, 6, 5, 4, 3, 7, 7, 7, 7, 7, 7],
  }),
  s("sweet potatoes as thick as a tennis ball", "sweet_potato_root", "root_feel: 50–97", "ready"),
  s("sweet potato vines blackened", "sweet_potato_root", "tip_yellow: vines blackened", "take today", undefined, {
    packetDay: -5,
  }),
  s(
    "sweet potato leaves frosted last week and more",
    "sweet_potato_root",
    "first_frost: frosted over",
    "unfit",
    /only sound/,
  ),
  s("sweet potato, frost forecast", "sweet_potato_root", "first_frost: forecast", "take today", /before/),
  s("ginger, fat hands at the surface", "ginger", "rhizome_feel: fat hands; leaf_yellow: yellowing", "ready"),
  s("ginger tops collapsed", "ginger", "leaf_yellow: collapsed", "take today"),
  s("galangal with fat knobs", "galangal", "rhizome_feel: fat knobs", "ready"),
  // Roots.
  s("carrots with shoulders like a coin", "carrot", "shoulder_width: 20–35", "ready", /Ready/),
  s("carrots a finger thick", "carrot", "shoulder_width: 12–19", "look again", /biggest/),
  s(
    "carrots undersized and five weeks past their packet",
    "carrot",
    "shoulder_width: 12–19",
    "take today",
    /whatever the size/,
    { packetDay: 48 },
  ),
  s("carrots nobody looked at, six weeks past", "carrot", "", "take today", /whatever the size/, { packetDay: 55 }),
  s("a carrot with a flower stalk", "carrot", "bolting: stalk", "past"),
  s("parsnips after two frosts, tops died down", "parsnip", "frost_count: 1–2; foliage_die: died", "ready"),
  s("parsnips, tops green, no frost yet", "parsnip", "foliage_die: green; frost_count: none", "leave", undefined, {
    packetDay: -30,
  }),
  s("parsnips sprouting in spring", "parsnip", "foliage_die: new spring; frost_count: spring", "past", undefined, {
    packetDay: 130,
  }),
  s("beetroot like a golf ball", "beetroot", "root_width: 43–67", "ready"),
  s("beetroot beginning to bolt", "beetroot", "root_width: 30–42; running_to_seed: starting", "take today"),
  s("beetroot the size of a grapefruit", "beetroot", "root_width: over 80", "past", undefined, { packetDay: 40 }),
  s("beetroot with spotted leaves only", "beetroot", "root_width: 43–67; leaf_spot: many", "ready"),
  s(
    "beetroot nearly, and the bed is needed on Thursday",
    "beetroot",
    "root_width: 30–42",
    "take early",
    /bed is needed/,
    { bedNeededOn: "2026-08-13", packetDay: -6 },
  ),
  s("turnips between golf and tennis ball", "turnip", "crown_width: 43–67", "ready"),
  s("a turnip with tough skin", "turnip", "crown_width: over 85; skin_woody: tough", "past", undefined, {
    packetDay: 15,
  }),
  s("swedes like a softball", "swede", "crown_width: 80–130", "ready"),
  s("radishes an inch across", "radish_root", "base_width: 20–35", "ready"),
  s(
    "radishes with a short stalk",
    "radish_root",
    "base_width: 20–35; running_to_seed: short",
    "take today",
    /still fine/,
  ),
  s("radishes with a tall stalk", "radish_root", "running_to_seed: tall", "past"),
  s("radishes kept for seed", "radish_root", "running_to_seed: tall", "seed", /seed/, { forSeed: true }),
  s("radish pods crisp and juicy", "radish_pod", "pod_snap: crisp", "ready"),
  s("radish pods gone to strings", "radish_pod", "pod_snap: strings", "past", undefined, { packetDay: 12 }),
  s("radish seed pods tan and brittle", "radish_seed", "pod_dry: tan, brittle", "ready"),
  // Stems.
  s("kohlrabi like a tennis ball", "kohlrabi", "bulb_width: 50–75", "ready"),
  s("kohlrabi past 90 mm and soft", "kohlrabi", "bulb_width: over 90; skin_firm: soft", "past", undefined, {
    packetDay: 14,
  }),
  s("fennel round and tight", "fennel_bulb", "bulb_shape: round; bulb_width: 65–100", "ready"),
  s("fennel pulling upward", "fennel_bulb", "bulb_width: 45–64; bulb_shape: pulling", "take today", /bolting/),
  s("celery a forearm long and crisp", "celery", "stalk_length: 200–300; stalk_solid: solid", "ready"),
  s("celery hollow", "celery", "stalk_solid: hollow; stalk_length: 200–300", "past", undefined, { packetDay: 25 }),
  s("asparagus a hand long, tips closed", "asparagus", "spear_length: 150–220; tip_tight: closed", "ready"),
  s("asparagus with loosening tips", "asparagus", "spear_length: 150–220; tip_tight: loosening", "take today"),
  s("asparagus, most spears thinner than a pencil", "asparagus", "spear_thin: over half", "past", /stop for the year/),
  s("asparagus cut for ten weeks", "asparagus", "spear_length: 150–220", "stop", /crown/, {
    firstPickOn: "2026-05-28",
  }),
  s("rhubarb a forearm long", "rhubarb", "stalk_length: 250–450", "ready"),
  s("rhubarb limp after frost", "rhubarb", "stalk_length: 250–450; frost_limp: limp", "unfit"),
  s("rhubarb sending up a flower stalk", "rhubarb", "flower_stalk: present", "take today", /pull it off/),
  s(
    "sugar cane, most leaves dry, hard and heavy",
    "sugar_cane",
    "cane_dry_leaves: most dry; cane_weight: hard",
    "ready",
  ),
  // Leaves.
  s("kale leaves a hand and a half", "kale_leaf", "leaf_length: 150–300", "ready"),
  s(
    "kale down to four leaves",
    "kale_leaf",
    "leaf_length: 150–300; leaves_kept: 3 to 5",
    "leave",
    /must stay|stop here/,
  ),
  s("kale coated with aphids", "kale_leaf", "leaf_length: 150–300; aphid_load: coated", "unfit", /compost/),
  s("collards a forearm long", "collards", "leaf_length: 200–300", "ready"),
  s("chard two hands long", "chard", "leaf_length: 150–250", "ready"),
  s("chard rising to flower", "chard", "leaf_length: 150–250; bolting: rising", "take today"),
  s("chard stringy", "chard", "leaf_length: over 350; leaf_tender: stringy", "clear", undefined, { packetDay: 20 }),
  s("spinach small", "spinach", "leaf_length: under 50", "leave", undefined, { packetDay: -15 }),
  s("spinach rising, leaves pointed", "spinach", "leaf_length: 70–150; bolting: stalk", "take today", /whole plant/),
  s("mustard leaves full size", "mustard", "leaf_length: 100–250", "ready"),
  s("mizuna cut into the crown", "mizuna", "centre_left: cut", "past", /regrowth/),
  s("rocket with flower buds", "arugula", "leaf_length: 50–110; bolting: bud", "take today"),
  s("lettuce leaves a hand long", "lettuce_cca", "leaf_length: 100–160", "ready"),
  s("bok choy full of moth holes", "bok_choy", "plant_height: 100–149; moth_damage: heavy", "take today", /salvage/, {
    packetDay: -3,
  }),
  s("perennial kale a hand long", "kale_perennial", "leaf_length: 100–250", "ready"),
  s("sweet potato leaves fresh and full", "sweet_potato_leaf", "leaf_look: full", "ready"),
  // Heads.
  s("lettuce firm under the hand", "lettuce_heading", "heart_firm: firm", "ready"),
  s("lettuce with a pointed core", "lettuce_heading", "heart_firm: springy; stem_rise: pointed", "take today"),
  s("lettuce milky and bitter", "lettuce_heading", "stem_rise: milky", "past"),
  s("cabbage hard", "cabbage", "head_firm: hard", "ready"),
  s(
    "cabbage unchanged for a week with heat coming",
    "cabbage",
    "head_firm: springy; no_growth: unchanged",
    "take today",
    undefined,
    { packetDay: -8 },
  ),
  s("cabbage cracked", "cabbage", "head_firm: cracked", "past", undefined, { packetDay: 20 }),
  s("cabbage with a stalk rising", "cabbage", "head_firm: springy; core_rise: rising", "take today"),
  s("broccoli beads coarse and tight", "broccoli_head", "bead_tight: coarse", "ready"),
  s("broccoli with the first yellow", "broccoli_head", "bead_tight: first yellow", "take today", /open/),
  s(
    "broccoli nearly, five hot days ahead",
    "broccoli_head",
    "head_spread: 70–99",
    "take early",
    /heat.*opens its head/,
    { packetDay: -4, threat: { kind: "heat", after: 2, loss: 0.3, days: 5 } },
  ),
  s("broccoli in yellow flower", "broccoli_head", "bead_tight: yellow flowers", "past", undefined, { packetDay: 8 }),
  s("side shoots tight and green", "broccoli_side_shoots", "bead_tight: tight", "ready"),
  s("side shoots yellow", "broccoli_side_shoots", "bead_tight: yellow", "clear", /goes on cropping/, { packetDay: 8 }),
  s("cauliflower tight, a grapefruit across", "cauliflower", "curd_tight: 120 mm", "ready"),
  s("cauliflower curd loosening", "cauliflower", "curd_tight: loosening", "take today", /blows/),
  s("cauliflower nearly with heat that blows it", "cauliflower", "curd_tight: 60–119", "take early", /blows its curd/, {
    packetDay: -3,
    threat: { kind: "heat", after: 1, loss: 0.35, days: 3 },
  }),
  // Fruiting vegetables.
  s("tomato breaker, no frost", "tomato_large", "colour_stage: first blush", "look again"),
  s(
    "tomato breaker before tonight’s frost",
    "tomato_large",
    "colour_stage: first blush",
    "take early",
    /finishes indoors/,
    { threat: { kind: "frost", after: 0 } },
  ),
  s(
    "green tomatoes, frost the day after tomorrow",
    "tomato_large",
    "colour_stage: none, all green",
    "take early",
    /all but the smallest.*finishes indoors in about 14 days/,
    { packetDay: -10, threat: { kind: "frost", after: 2 } },
  ),
  s("a tomato that is ripe yellow", "tomato_large", "colour_stage: over 90", "ready", undefined, {
    variety: { ripeColour: "yellow", size: null, packet: null },
  }),
  s(
    "a cherry tomato ripe at orange, even orange",
    "tomato_cherry_orange",
    "colour_stage: even orange; detach: comes away",
    "ready",
  ),
  s("the same left to redden", "tomato_cherry_orange", "colour_stage: reddening", "clear", undefined, { packetDay: 8 }),
  s(
    "a tomato with a fresh crack",
    "tomato_large",
    "colour_stage: 10–30; split_skin: fresh",
    "take today",
    /use them first/,
  ),
  s("peppers green and firm, green wanted", "pepper_sweet", "colour_full: green; wall_feel: firm", "ready"),
  s("peppers green, colour wanted", "pepper_sweet", "colour_full: green", "look again", undefined, {
    school: ["pepper_colour", "coloured"],
    packetDay: -3,
  }),
  s("a pepper with a white patch", "pepper_sweet", "scald_rot: small", "take today"),
  s("chillies fully coloured", "chilli", "colour_full: full colour", "ready"),
  s("aubergine full and glossy", "aubergine", "skin_gloss: glossy, full; press_rebound: dent springs", "ready"),
  s("aubergine dull, the dent stays", "aubergine", "skin_gloss: dull; press_rebound: dent stays", "clear", undefined, {
    packetDay: 14,
  }),
  s("cucumber a hand long", "cucumber_slicing", "length: 200–240", "ready"),
  s(
    "a cucumber turning yellow",
    "cucumber_slicing",
    "length: over 260; skin_colour: yellow",
    "clear",
    /goes on cropping/,
    { packetDay: 8 },
  ),
  s("a bottle-shaped cucumber", "cucumber_slicing", "length: 130–199; shape_fault: narrow", "take today", /fill/),
  s("mini cucumbers a finger long", "cucumber_mini", "length: 90–130", "ready"),
  s("a courgette as long as a hand and a half", "courgette", "length: 150–250", "ready"),
  s("a forgotten courgette, longer than a forearm", "courgette", "length: over 300", "clear", undefined, {
    packetDay: 6,
  }),
  s(
    "a fruitlet that will never fill",
    "courgette",
    "length: under 80; tip_shape: narrowing",
    "take today",
    /not pollinated/,
    { packetDay: -3 },
  ),
  s("courgette flowers open in the morning", "courgette_flower", "flower_open: open", "ready"),
  s(
    "the last open male flower",
    "courgette_flower",
    "flower_open: open; flower_sex: last open",
    "leave",
    /pollination/,
  ),
  s("patty-pans like a tennis ball", "patty_pan", "width: 60–90", "ready"),
  s(
    "butternut tan and dull, the nail leaves no mark",
    "winter_squash",
    "skin_colour: even; nail_test: no mark",
    "ready",
  ),
  s("squash dented by the nail, frost tomorrow night", "winter_squash", "nail_test: dents", "take early", /frost/, {
    packetDay: -10,
    threat: { kind: "frost", after: 1 },
  }),
  s("a pumpkin part coloured", "pumpkin", "skin_colour: part", "look again"),
  s("a melon that slips with a strong smell", "melon_netted", "stem_slip: pops off; smell: strong", "ready"),
  s("a melon green and held fast", "melon_netted", "stem_slip: holds; skin_colour: all green", "leave", undefined, {
    packetDay: -12,
  }),
  s("a ripe melon after a cloudburst", "melon_netted", "stem_slip: pops off", "wait dry", /watery/, {
    soakedDaysAgo: 0,
    packetDay: -1,
  }),
  s("a hole with rot in the melon", "melon_netted", "ants_bites: a hole", "unfit"),
  s("watermelon butter yellow below, tendril dry", "watermelon", "ground_spot: butter; tendril_dry: brown", "ready"),
  s("watermelon white below", "watermelon", "ground_spot: white", "leave", undefined, { packetDay: -15 }),
  s("luffa brown, papery and rattling", "luffa", "skin_state: brown; rattle: seeds", "ready"),
  s("luffa black", "luffa", "skin_state: black", "past", undefined, { packetDay: 35 }),
  s(
    "corn with brown silks, thick to the tip, milky",
    "sweetcorn",
    "silk_colour: brown, dry; ear_thick: thick; kernel_juice: milky",
    "ready",
  ),
  s(
    "corn with brown silks but clear juice",
    "sweetcorn",
    "silk_colour: brown, dry; kernel_juice: clear",
    "leave",
    undefined,
    { packetDay: -12 },
  ),
  s("corn with chewed neighbours", "sweetcorn", "silk_colour: browning; raid_signs: any", "take today"),
  // Pods.
  s("beans like a pencil, smooth", "bean_bush", "pod_thickness: 6–9; seed_outline: smooth", "ready"),
  s("beans with the seeds showing", "bean_bush", "seed_outline: clear", "clear", undefined, { packetDay: 8 }),
  s("beans with the seeds showing, kept for seed", "bean_bush", "seed_outline: clear", "seed", /dry/, {
    forSeed: true,
  }),
  s("thin beans, frost tonight", "bean_bush", "pod_thickness: 4–5", "take early", /tonight/, {
    threat: { kind: "frost", after: 0 },
  }),
  s("a purple pod, pencil thick: purple from the start", "bean_purple", "pod_thickness: 6–9", "ready"),
  s(
    "a purple pod, thin as a match: its colour tells nothing",
    "bean_purple",
    "pod_thickness: under 4",
    "leave",
    undefined,
    { packetDay: -12 },
  ),
  s("yellow beans evenly yellow", "bean_yellow", "pod_colour: even; seed_outline: smooth", "ready"),
  s("flat beans with a faint line, which is normal", "bean_flat", "pod_width: 15–20; seed_outline: faint", "ready"),
  s(
    "climbing beans, forgotten pods low down",
    "bean_pole",
    "pod_thickness: 7–10; low_pod_check: forgotten",
    "take today",
  ),
  s("climbing beans strongly streaked", "bean_pole", "streak_colour: strongly", "ready"),
  s("runner beans a finger wide, clean snap", "bean_runner", "pod_width: 12–20; stringiness: clean", "ready"),
  s(
    "runner beans with strings and bumps",
    "bean_runner",
    "stringiness: strings; seed_outline: clear",
    "clear",
    undefined,
    { packetDay: 9 },
  ),
  s(
    "runner beans nearly, away for nine days from tomorrow",
    "bean_runner",
    "pod_width: 10–11",
    "take early",
    /away until/,
    { free: away(1, 9) },
  ),
  s("broad beans with firm even bumps", "bean_broad", "pod_feel: firm", "ready"),
  s("broad beans with a black scar line", "bean_broad", "pod_open: over 25; pod_feel: hard", "past", undefined, {
    packetDay: 16,
  }),
  s("peas full, round and bright", "pea_shelling", "pod_squeeze: full", "ready"),
  s("pea vines brown", "pea_shelling", "vine_over: brown", "past", /dry seed/),
  s("mangetout flat, two coins thick", "pea_mangetout", "pod_flat: 2–4", "ready"),
  s("mangetout with bumps", "pea_mangetout", "pod_flat: 5 mm", "clear", undefined, { packetDay: 6 }),
  s("sugar snaps round and glossy", "pea_sugar_snap", "pod_plump: round, glossy", "ready"),
  // Herbs.
  s("basil with four pairs of leaves", "basil", "leaf_pairs: 4", "ready"),
  s("basil in bud", "basil", "leaf_pairs: 4; flower_bud: buds", "take today", /green pair/),
  s("holy basil in flower, which it bears", "basil_holy", "leaf_pairs: 4; flower_bud: flowers", "ready"),
  s("coriander gone ferny", "cilantro", "leaf_type: ferny", "past", undefined, { packetDay: 20 }),
  s("dill seed brown and dry", "dill", "seed_brown: brown", "ready"),
  s("chamomile petals flat", "chamomile", "petals_flat: flat", "ready"),
  s("chives a long hand high", "chives", "leaf_height: 150–250", "ready"),
  s("oregano with buds just showing", "oregano", "shoot_length: 100 mm; flower_bud: buds just", "ready"),
  s("lemon balm in bud", "lemon_balm", "shoot_length: 150 mm; flower_bud: buds", "take today"),
  // Berries and tree fruit.
  s("strawberries red to the cap", "strawberry", "colour_full: red to", "ready"),
  s("strawberries with white shoulders", "strawberry", "colour_full: up to three", "look again"),
  s("mouldy strawberries", "strawberry", "colour_full: red to; bite_marks: mouldy", "unfit"),
  s("raspberries that slip off", "raspberry_summer", "slips_core: slips", "ready"),
  s("raspberries that fall at a touch", "raspberry_summer", "slips_core: falls", "clear", undefined, { packetDay: 5 }),
  s("autumn raspberries with slugs about", "raspberry_autumn", "slips_core: slips; slug_mould: some", "take today"),
  s("currants, last berry red", "currant_red", "colour_full: all bright", "ready"),
  s("white currants, salmon tint", "currant_white", "colour_full: translucent", "ready"),
  s("gooseberries that give", "gooseberry", "berry_give: gives", "ready"),
  s("gooseberries hard and full size", "gooseberry", "berry_give: hard, full", "look again", undefined, {
    packetDay: -3,
  }),
  s("blueberries blue all round, rolling off", "blueberry", "blue_colour: blue all; roll_off: rolls", "ready"),
  s("figs soft and hanging", "fig", "squeeze_soft: plump; detach: comes easily", "ready"),
  s("a fig that stays yellow, plump and soft", "fig", "squeeze_soft: plump; type_colour: type colour", "ready"),
  s("figs leaking and sour", "fig", "squeeze_soft: leaking", "past", undefined, { packetDay: 6 }),
  s("peach yellow, pops off", "peach", "background_colour: yellow; detach: pops", "ready"),
  s(
    "a peach green by the stalk but soft after rain",
    "peach",
    "background_colour: trace; taste_one: watery",
    "look again",
    undefined,
    { soakedDaysAgo: 1 },
  ),
  s(
    "a ripe peach the day after a soaking",
    "peach",
    "background_colour: yellow; slight_give: slightest",
    "wait dry",
    /watery/,
    { soakedDaysAgo: 1, packetDay: -2 },
  ),
  s("a peach soft and gone to mush", "peach", "slight_give: mush; smell: fermented", "past", undefined, {
    packetDay: 8,
  }),
  s("peaches that pop off, gale on Wednesday", "peach", "background_colour: yellow; detach: pops", "ready", /gale/, {
    packetDay: -5,
    threat: { kind: "wind", after: 2, loss: 0.5 },
  }),
  s(
    "a peach green by the stalk that comes off at a touch",
    "peach",
    "background_colour: green; detach: pops",
    "settle",
    /Open one/,
  ),
  s("beetroot nobody looked at, due by its dates", "beetroot", "", "look now", /Look today/, { packetDay: 3 }),
  // Flowers and extras.
  s("dahlias three quarters open", "dahlia", "bloom_open: three quarters", "ready"),
  s("dahlias in tight bud", "dahlia", "bloom_open: tight bud", "leave", undefined, { packetDay: -15 }),
  s("zinnias with stiff stems", "zinnia", "stem_wiggle: stiff; bloom_open: open", "ready"),
  s("cosmos half spent", "cosmos", "spent_heads: many", "take today", /deadhead/),
  s("statice nearly all open and papery", "statice", "florets_open: 80; papery_feel: papery", "ready"),
  s(
    "sweet peas with a pod on",
    "sweet_pea_flower",
    "floret_open: lowest open; pod_present: any",
    "take today",
    /remove/,
  ),
  s("a cracked egg", "hens_eggs", "shell_state: cracked", "unfit"),
  s("an egg that floats", "hens_eggs", "float_test: floats", "unfit"),
];
