/**
 * Situations that gardeners met, what each did, and the request that tells them. Facts of the trade, in our own words;
 * common practice, no source.
 */
export interface GardenerCase {
  words: string;
  /** What the gardener did. */
  did: "take" | "take a part" | "wait" | "soon" | "save" | "seed";
  request: {
    crop: string;
    today: string;
    /** Days since its start in units of the crop's usual days: 1 = its usual day. */
    age: number;
    looks: [cue: string, reading: string, more?: { share?: number; pieces?: number; outOf?: number; measuredMm?: number }][]; // prettier-ignore
    more?: Record<string, unknown>;
  };
  /** What the sentence or the parts have to say besides. */
  says?: RegExp;
}

const SUMMER = "2026-07-25";
const c = (
  words: string,
  did: GardenerCase["did"],
  crop: string,
  looks: GardenerCase["request"]["looks"],
  { today = SUMMER, age = 1, says, ...more }: { today?: string; age?: number; says?: RegExp; [key: string]: unknown } = {}, // prettier-ignore
): GardenerCase => ({ words, did, request: { crop, today, age, looks, more }, ...(says ? { says } : {}) });
const hot = (day: string, days = 4) =>
  Array.from({ length: days }, (_, n) => ({ day: after(day, n), minC: 21, maxC: 36, rainMm: 0, windKmh: 10 }));
const mild = (day: string, days = 10, minC = 11, maxC = 19) =>
  Array.from({ length: days }, (_, n) => ({ day: after(day, n), minC, maxC, rainMm: 0, windKmh: 10 }));
function after(day: string, n: number): string {
  return new Date(Date.parse(`${day}T00:00:00Z`) + n * 86_400_000).toISOString().slice(0, 10);
}
const TREE = { growingYear: 5, startEvent: "blossom" };

export const GOOD_GARDENERS: GardenerCase[] = [
  c("tall peas, pods full to the fingers, an opened one round and sound", "take", "pea_shelling", [["pod_squeeze", "full_round_still_bright"], ["pod_open", "8_10_alike"]], { today: "2026-06-28", plants: 40 }), // prettier-ignore
  c("beetroot in clumps: one to a clump is golf-ball size, the others small", "take a part", "beetroot", [["root_width", "43_67", { share: 0.25 }], ["root_width", "under_30", { share: 0.75 }]], { plants: 24, age: 0.9, says: /biggest/ }), // prettier-ignore
  c("peaches narrow and pointed, green at the stem, hard for all their blush", "wait", "peach", [["shape_fill", "pointed"], ["background_colour", "trace"], ["slight_give", "hard"]], { ...TREE }), // prettier-ignore
  c("onions dried down in late autumn, the best tennis balls, a few stunted still green; garlic wants the bed", "take", "onion_bulb", [["bulb_width", "over_50", { share: 0.7 }], ["bulb_width", "under_35", { share: 0.3 }], ["skin_state", "dry_and_papery"], ["growth_stopped", "stopped"]], { today: "2026-10-20", age: 1.35, plants: 60, bedNeededOn: "2026-10-20" }), // prettier-ignore
  c("a sweet potato felt for early: softball size, two split, three weeks before its day", "take", "sweet_potato_root", [["root_feel", "over_97_or_splitting"]], { today: "2026-08-20", age: 0.78, plants: 6, says: /split|first/i }), // prettier-ignore
  c("raspberries red and falling into the hand, picked yesterday", "take", "raspberry_summer", [["colour_full", "deep_even"], ["slips_core", "slips_off_the_core"]], { growingYear: 3, today: "2026-07-05", plants: 10, picks: [{ pickedOn: "2026-07-04", pieces: 120, tookAll: true }] }), // prettier-ignore
  c("redcurrants colouring, not full; sun to come", "soon", "currant_red", [["colour_full", "pink"]], { growingYear: 5, today: "2026-06-28" }), // prettier-ignore
  c("climbing beans of all sizes: some filled along their length, thin ones, one old pod with bumps", "take a part", "bean_pole", [["pod_thickness", "7_10", { share: 0.4 }], ["pod_thickness", "under_5", { share: 0.6 }], ["seed_outline", "clear_bumps", { pieces: 1 }]], { today: "2026-08-25", age: 1.3, plants: 12 }), // prettier-ignore
  c("a peach right in colour and size with a faint smell that takes a hard tug", "wait", "peach", [["detach", "tug"], ["background_colour", "yellow"], ["smell", "faint"]], { ...TREE }), // prettier-ignore
  c("peppers colouring all at once in a hot autumn, each to its own final colour", "take", "chilli", [["colour_full", "full_colour"], ["size_type", "full"]], { today: "2026-09-15", age: 1.1, plants: 6 }), // prettier-ignore
  c("only solid green tomatoes left after the coloured were taken", "wait", "tomato_large", [["colour_stage", "green"]], { today: "2026-08-10", age: 1.1, plants: 6, startEvent: "planted", picks: [{ pickedOn: "2026-08-09", pieces: 20, tookAll: true }] }), // prettier-ignore
  c("peaches soft and swollen the day after a downpour, one tastes watery", "wait", "peach", [["slight_give", "soft"], ["taste_one", "watery"]], { ...TREE, observed: [{ day: "2026-07-24", minC: 15, maxC: 22, rainMm: 38, windKmh: 20 }] }), // prettier-ignore
  c("leaf lettuce at picking size with new growth coming in the middle; lunch is wanted", "take a part", "lettuce_cca", [["leaf_length", "100_160"], ["centre_left", "visible"]], { today: "2026-09-10", plants: 20 }), // prettier-ignore
  c("five green tomatoes left and the next crop waits for the spot", "take", "tomato_large", [["colour_stage", "green"]], { today: "2026-09-20", age: 1.5, plants: 6, startEvent: "planted", bedNeededOn: "2026-09-20", picks: [{ pickedOn: "2026-09-18", pieces: 9, tookAll: true }] }), // prettier-ignore
  c("peaches of good colour, some giving, some firm; heat climbs and pests are on the tree", "take", "peach", [["background_colour", "yellow"], ["slight_give", "slight", { share: 0.5 }], ["slight_give", "hard", { share: 0.5 }], ["animal_bites", "many"]], { ...TREE, forecast: hot(SUMMER) }), // prettier-ignore
  c("broad beans: pods of 150 mm hold small beans as liked, others are bigger", "take a part", "bean_broad", [["pod_feel", "firm_even_bumps", { share: 0.5 }], ["pod_feel", "small_bumps", { share: 0.5 }]], { today: "2026-06-20", plants: 24 }), // prettier-ignore
  c("broad beans in a heatwave: the big pods filled, the small ones flat", "take a part", "bean_broad", [["pod_feel", "firm_even_bumps", { share: 0.5 }], ["pod_feel", "flat_spongy", { share: 0.5 }]], { today: "2026-06-20", plants: 24, forecast: hot("2026-06-20") }), // prettier-ignore
  c("maincrop potatoes begin to die back in September; dug as needed until frost", "take a part", "potato_maincrop", [["tops_dying", "some"], ["test_dig", "sized"]], { today: "2026-09-05", plants: 20, says: /meal/ }), // prettier-ignore
  c("figs of a yellow kind, plump, giving, lifting away", "take", "fig", [["type_colour", "type_colour"], ["squeeze_soft", "plump_and_soft"], ["detach", "comes_easily"]], { ...TREE, today: "2026-08-25" }), // prettier-ignore
  c("the first small cucumbers, still a little short", "soon", "cucumber_mini", [["length", "60_89"]], { age: 0.95, plants: 2 }), // prettier-ignore
  c("a courgette of 600 mm after three days away, hard seeds inside", "save", "courgette", [["length", "over_300", { measuredMm: 600 }], ["seed_check", "hard"]], { plants: 3, age: 1.3, picks: [{ pickedOn: "2026-07-21", pieces: 4, tookAll: true }] }), // prettier-ignore
  c("an orange cherry tomato at its final colour, snapping off, in great heat", "take", "tomato_cherry_orange", [["colour_stage", "even_orange"], ["detach", "comes_away_easily"]], { plants: 4, startEvent: "planted", forecast: hot(SUMMER) }), // prettier-ignore
  c("a cutting bed with open blooms and many side buds", "take a part", "zinnia", [["bloom_open", "open_fresh"], ["stem_wiggle", "stiff"]], { today: "2026-08-20", plants: 12 }), // prettier-ignore
  c("kale after two weeks away: lower leaves old with aphids, sound ones above", "take a part", "kale_leaf", [["leaf_length", "150_300"], ["leaf_colour", "yellow"], ["aphid_load", "coated", { share: 0.2 }], ["leaves_kept", "over_5"]], { today: "2026-09-10", plants: 6 }), // prettier-ignore
  c("carrots sown too thick, the biggest 20 mm, touching", "take a part", "carrot", [["shoulder_width", "12_19", { share: 0.85 }], ["shoulder_width", "20_35", { share: 0.15 }]], { today: "2026-07-10", age: 0.8, plants: 120, says: /biggest/ }), // prettier-ignore
  c("bolted onions lifted days ago, trimmed today, the cut stalks wet and milky", "wait", "onion_bulb", [["neck_dry", "wet_or_milky_where_it_was_cut"], ["thick_neck", "a_flower_stalk_through_it"]], { today: "2026-08-10", age: 1.1, plants: 1, picks: [{ pickedOn: "2026-08-05", pieces: 1, tookAll: true }], says: /apart.*first|first.*apart/i }), // prettier-ignore
  c("garlic with rust spreading, scapes just out, a dug one tiny", "save", "garlic_hardneck", [["leaf_rust", "many"], ["scape_age", "just_emerged"]], { today: "2026-06-28", age: 0.9, plants: 30, says: /rust/ }), // prettier-ignore
  c("rocket full-grown with small leaves in the middle; a big bowl is wanted", "take a part", "arugula", [["leaf_length", "50_110"]], { today: "2026-09-01", plants: 60 }), // prettier-ignore
  c("a cabbage loosening from within before heat, left to flower", "seed", "cabbage", [["core_rise", "rising", { pieces: 1 }]], { today: "2026-06-15", plants: 1, forSeed: true }), // prettier-ignore
  c("white currants: some with a salmon tint, the rest pale", "take a part", "currant_white", [["colour_full", "translucent_salmon_tint", { share: 0.4 }], ["colour_full", "milky", { share: 0.6 }]], { growingYear: 5, today: "2026-07-05", plants: 2 }), // prettier-ignore
  c("peaches filled out, no green, a slight give, strong smell, a small twist frees them", "take", "peach", [["shape_fill", "round"], ["background_colour", "yellow"], ["slight_give", "slight"], ["smell", "strong"], ["detach", "pops"]], { ...TREE }), // prettier-ignore
  c("green peppers that give, thin-walled and narrow", "wait", "pepper_sweet", [["wall_feel", "gives_thin_walled"], ["colour_full", "green"], ["shape_block", "narrow_small"]], { plants: 4 }), // prettier-ignore
  c("autumn raspberries, coloured, some slug-eaten, some past", "save", "raspberry_autumn", [["slips_core", "slips_off", { share: 0.6 }], ["slips_core", "falls", { share: 0.2 }], ["slug_mould", "some"]], { growingYear: 3, today: "2026-09-10", plants: 10 }), // prettier-ignore
  c("climbing beans missed on a thorough pick, lumpy; seed is wanted", "seed", "bean_pole", [["seed_outline", "clear_bumps"]], { today: "2026-09-10", plants: 12, forSeed: true }), // prettier-ignore
  c("sweet potato vines with fresh young leaves and tattered old ones", "take a part", "sweet_potato_leaf", [["leaf_look", "full_bright_fresh", { share: 0.4 }], ["leaf_look", "small_unfolding", { share: 0.4 }], ["leaf_look", "dull_yellow_tattered", { share: 0.2 }]], { today: "2026-08-10", plants: 6 }), // prettier-ignore
  c("a glut of runner beans, many right, some oversized and stringy", "take", "bean_runner", [["pod_width", "12_20", { share: 0.7 }], ["pod_width", "over_25", { share: 0.3 }]], { today: "2026-09-05", plants: 12 }), // prettier-ignore
  c("a red pepper with a bleached patch, firm elsewhere", "save", "pepper_sweet", [["colour_full", "full_colour", { pieces: 1 }], ["scald_rot", "small_patch"]], { today: "2026-09-05", plants: 4, says: /patch/ }), // prettier-ignore
  c("carrots in a cold frame in a mild December, thick enough to use", "take", "carrot", [["shoulder_width", "20_35"]], { today: "2026-12-14", age: 1.2, plants: 40, bedKind: "frame", observed: mild("2026-12-04"), bedNeededOn: "2026-12-14" }), // prettier-ignore
  c("perennial kale, vigorous; a few leaves for tonight", "take a part", "kale_perennial", [["leaf_length", "100_250"], ["caterpillar_holes", "few"]], { today: "2026-07-10", plants: 2, growingYear: 3, wanted: { pieces: 6 }, says: /./ }), // prettier-ignore
];
