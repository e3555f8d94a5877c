import { s, type GardenSituation } from "./situation";

/** Situations of tree fruit, herbs, cut flowers and what else gardeners name: common practice. */
export const TREES_AND_OTHERS: GardenSituation[] = [
  s("apples that part with a lift, pips brown", "apple", "lift_twist: parts; seed_colour: brown all", "ready"),
  s("apples that hold fast, pips white", "apple", "lift_twist: holds; seed_colour: white", "leave", undefined, { packetDay: -20 }), // prettier-ignore
  s("sound windfalls every day, greasy yellow", "apple", "windfalls: several; ground_colour: yellowish", "ready"),
  s("firm pears that part at the stalk", "pear", "lift_part: parts; ground_colour: lighter", "ready"),
  s("pears that hold fast", "pear", "lift_part: holds; seed_colour: white", "leave", undefined, { packetDay: -20 }),
  s("plums full coloured that give", "plum", "full_colour: full; slight_give: gives", "ready"),
  s("plums green and hard", "plum", "full_colour: green; slight_give: hard", "leave", undefined, { packetDay: -15 }),
  s("cherries dark and sweet", "cherry_sweet", "full_colour: deep; taste_one: sweet", "ready"),
  s("cherries that birds have found", "cherry_sweet", "full_colour: deep; bird_loss: many", "take today", /bird/),
  s("morellos deep red, stone stays on the tree", "cherry_sour", "full_colour: deep; stone_loose: comes easily", "ready"), // prettier-ignore
  s("pie cherries light red", "cherry_sour", "full_colour: light; stone_loose: comes hard", "leave", undefined, { packetDay: -10 }), // prettier-ignore
  s("apricots golden that lift off", "apricot", "ground_colour: golden; detach: comes off", "ready"),
  s("apricots green by the stalk", "apricot", "ground_colour: green; slight_give: hard", "leave", undefined, { packetDay: -12 }), // prettier-ignore
  s("quinces yellow and scented", "quince", "full_yellow: yellow; scent: fills", "ready"),
  s("quinces green in their down", "quince", "full_yellow: green; scent: nothing", "leave", undefined, { packetDay: -20 }), // prettier-ignore
  s("grapes sweet with brown pips", "grape", "taste_one: sweet; seed_brown: brown", "ready"),
  s("grapes sour and hard", "grape", "taste_one: sour; full_colour: green", "leave", undefined, { packetDay: -25 }),
  s("mould that runs through sweet bunches", "grape", "taste_one: sweet; mould: spreading", "take today", /runs through/), // prettier-ignore
  s("blackberries dull that drop into the hand", "blackberry", "dull_black: black and dull; comes_off: drops", "ready"),
  s("blackberries still glossy that hold", "blackberry", "dull_black: red; comes_off: holds", "leave", undefined, { packetDay: -8 }), // prettier-ignore
  s("blackcurrants black to the tip", "currant_black", "colour_full: black; taste_one: sharp", "ready"),
  s("blackcurrants green", "currant_black", "colour_full: green; taste_one: hard", "leave", undefined, {
    packetDay: -15,
  }),
  s("kiwis with black pips, first one soft", "kiwi", "seed_colour: black; size_full: 40 mm", "ready"),
  s("kiwis with white pips", "kiwi", "seed_colour: white; size_full: under", "leave", undefined, { packetDay: -25 }),
  s("persimmons deep orange, leaves down", "persimmon", "full_colour: deep; leaf_fall: mostly", "ready"),
  s("persimmons green", "persimmon", "full_colour: green; feel_kind: rock", "leave", undefined, { packetDay: -25 }),
  s("lemons yellow and juicy", "lemon", "full_yellow: yellow; juice: juicy", "ready"),
  s("lemons dark green and dry", "lemon", "full_yellow: dark green; juice: dry", "leave", undefined, {
    packetDay: -30,
  }),
  s("hazelnuts brown that rain down", "hazelnut", "husk_brown: brown; drops: sound", "ready"),
  s("hazelnuts white in green husks", "hazelnut", "husk_brown: green; kernel_full: watery", "leave", undefined, { packetDay: -20 }), // prettier-ignore
  s("walnuts with split hulls, skin brown between", "walnut", "hull_split: most; packing_brown: brown", "ready"),
  s("walnuts tight and green", "walnut", "hull_split: green; packing_brown: white", "leave", undefined, {
    packetDay: -20,
  }),
  s("sprouts like walnuts, tight, below", "brussels_sprouts", "sprout_width: 25–40; sprout_tight: hard", "ready"),
  s("sprouts like marbles", "brussels_sprouts", "sprout_width: under 20; sprout_tight: tiny", "leave", undefined, { packetDay: -25 }), // prettier-ignore
  s("purple spears a hand long, buds tight", "broccoli_sprouting", "bud_state: full; spear_length: 100–200", "ready"),
  s("spears whose buds loosen", "broccoli_sprouting", "bud_state: loosening; spear_length: 100–200", "take today", /open within days/), // prettier-ignore
  s("romanesco full and tight", "romanesco", "spires_tight: full; head_width: 120", "ready"),
  s("romanesco with spires parting", "romanesco", "spires_tight: loosening; head_width: 120", "take today", /parting/),
  s("napa firm to the top", "cabbage_napa", "head_firm: firm; head_height: 250", "ready"),
  s("napa that sends up a stalk", "cabbage_napa", "head_firm: springy; flower_stalk: a stalk", "take today", /bolting/),
  s("celeriac like a grapefruit", "celeriac", "root_width: 90", "ready"),
  s("celeriac like a golf ball", "celeriac", "root_width: under 60", "leave", undefined, { packetDay: -30 }),
  s("mint a hand high", "mint", "shoot_length: 80", "ready"),
  s("mint with rust all over", "mint", "shoot_length: 80; rust: many", "take today", /to the ground/),
  s("sage with soft shoots, in bud", "sage", "shoot_length: 80; flower_bud: buds", "ready"),
  s("thyme barely shooting", "thyme", "shoot_length: under 40", "leave", undefined, { packetDay: -10 }),
  s("thyme a finger long", "thyme", "shoot_length: 80", "ready"),
  s("rosemary with soft tips", "rosemary", "shoot_length: 80; leaf_scent: strong", "ready"),
  s("parsley with ten full stalks", "parsley", "stalk_count: more than 8; stalk_length: 120", "ready"),
  s(
    "parsley that sends up a stalk",
    "parsley",
    "stalk_count: more than 8; flower_stalk: a stalk",
    "take today",
    /bitter/,
  ),
  s("okra a finger long that snaps", "okra", "pod_length: 60–100; tip_snap: snaps", "ready"),
  s("okra tiny", "okra", "pod_length: under 50; tip_snap: soft", "leave", undefined, { packetDay: -8 }),
  s("tomatillos tight in the husk", "tomatillo", "husk_filled: 30 mm; husk_split: splitting", "ready"),
  s("tomatillos in empty husks", "tomatillo", "husk_filled: under 20; husk_split: green", "leave", undefined, { packetDay: -15 }), // prettier-ignore
  s("artichokes a fist wide, just loosening below", "artichoke_globe", "scales_closed: full; head_width: 80", "ready"),
  s("artichokes with open tips", "artichoke_globe", "scales_closed: tips; head_width: 80", "take today", /choke/),
  s("sunchokes under black stems, eggs when dug", "artichoke_jerusalem", "tops_dead: brown; dig_one: eggs", "ready"),
  s("sunchokes under green tops", "artichoke_jerusalem", "tops_dead: green; dig_one: fingers", "leave", undefined, { packetDay: -30 }), // prettier-ignore
  s("endive blanched, two hands wide", "endive", "heart_pale: cream; head_width: 200", "ready"),
  s("endive small and green", "endive", "heart_pale: all green; head_width: under 150", "leave", undefined, { packetDay: -20 }), // prettier-ignore
  s("radicchio firm and red", "chicory", "heart_firm: firm; heart_colour: red", "ready"),
  s("radicchio with no heart", "chicory", "heart_firm: no heart; heart_colour: green", "leave", undefined, { packetDay: -25 }), // prettier-ignore
  s("lamb’s lettuce a palm wide", "lambs_lettuce", "rosette_width: 80; leaf_pairs: four", "ready"),
  s("lamb’s lettuce that stretches", "lambs_lettuce", "rosette_width: 80; flower_stalk: stretching", "take today", /bitter/), // prettier-ignore
  s("shallots half flopped", "shallot", "neck_fall: half; neck_feel: squashy", "ready"),
  s("shallots upright and hard", "shallot", "neck_fall: hardly; neck_feel: hard", "leave", undefined, {
    packetDay: -20,
  }),
  s("honeydew waxy and cream", "melon_honeydew", "rind_colour: cream; rind_wax: waxy", "ready"),
  s("honeydew green and downy", "melon_honeydew", "rind_colour: green; rind_wax: hairy", "leave", undefined, { packetDay: -15 }), // prettier-ignore
  s(
    "a Charentais with a full ring that smells",
    "melon_charentais",
    "stalk_crack: a full ring; smell: strong",
    "ready",
  ),
  s("a Charentais without a crack", "melon_charentais", "stalk_crack: none; smell: nothing", "leave", undefined, { packetDay: -10 }), // prettier-ignore
  s("soya pods plump and green", "edamame", "pod_filled: plump; pod_colour: bright", "ready"),
  s("soya pods turning yellow", "edamame", "pod_filled: plump; pod_colour: yellowing", "take today", /starchy/),
  s("bean pods that rattle", "bean_dry", "pod_rattle: dry; bean_dent: cannot", "ready"),
  s("bean pods green", "bean_dry", "pod_rattle: green; bean_dent: soft", "leave", undefined, { packetDay: -20 }),
  s("peanut shells dark inside", "peanut", "shell_inside: brown; net_clear: deep", "ready"),
  s("peanut shells white inside", "peanut", "shell_inside: white; leaves_yellow: green", "leave", undefined, { packetDay: -25 }), // prettier-ignore
  s("a sunflower whose petals lift", "sunflower", "petals_lift: lifting; stem_stiff: stiff", "ready"),
  s("a sunflower in green bud", "sunflower", "petals_lift: green; stem_stiff: neck", "leave", undefined, {
    packetDay: -10,
  }),
  s("sweet marigold a hand high", "marigold_sweet", "shoot_length: 100; leaf_scent: strong", "ready"),
  s("marigolds two thirds open", "marigold", "bloom_open: two thirds; stem_firm: stiff", "ready"),
  s("marigolds in green bud", "marigold", "bloom_open: green; stem_firm: floppy", "leave", undefined, {
    packetDay: -10,
  }),
  s("pot marigolds just open and sticky", "calendula", "bloom_open: just open; sticky: sticky", "ready"),
  s("sweet Williams a third open", "sweet_william", "open_share: a fifth; stem_firm: firm", "ready"),
  s("sweet Williams closed", "sweet_william", "open_share: none; stem_firm: soft", "leave", undefined, {
    packetDay: -12,
  }),
  s("snapdragons open to a third", "snapdragon", "open_share: a third; stem_firm: stiff", "ready"),
  s("snapdragons closed", "snapdragon", "open_share: closed; stem_firm: tip", "leave", undefined, { packetDay: -12 }),
  s("cornflowers bright and open", "cornflower", "bloom_open: half; stem_firm: holds", "ready"),
  s("gladioli with the lowest showing colour", "gladiolus", "open_share: two to four", "ready"),
  s("gladioli half open", "gladiolus", "open_share: half", "take today", /vase/),
  s("a peony bud like a marshmallow", "peony", "bud_marshmallow: soft; colour_shows: all", "ready"),
  s("a peony bud like a marble", "peony", "bud_marshmallow: hard; colour_shows: green", "leave", undefined, { packetDay: -10 }), // prettier-ignore
  s("lavender with the first florets open", "lavender", "open_share: a few; scent: strong", "ready"),
  s("lavender browning", "lavender", "open_share: all; scent: faint", "past", undefined, { packetDay: 25 }),
];
