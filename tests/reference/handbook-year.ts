import { z } from "zod";

/**
 * When each crop is picked in four climates, and what a plant gives in a season: written from memory of sowing
 * calendars and extension tables and from common practice, before the model was asked. No book at hand: each range
 * is what a gardener there would call usual, not a measurement.
 *
 * A cell is `climate how start first end`: C cool maritime 52° N, K continental 44° N, H hot and dry 37° N, S mild
 * south 37° S; how: sown, planted, or est for an established perennial; days as MMDD. `first` is the first pick,
 * `end` the last day something good is to be had. Yields are kilograms a plant, or pieces where marked p.
 * Left out where nobody grows it in the open there. Hens lay by the light and have no start: no cell.
 */
const TABLE = `
apple; 15-60; C est - 0825-0925 0925-1101; K est - 0825-0920 0920-1025; S est - 0210-0315 0325-0501
apricot; 8-35; C est - 0720-0815 0801-0901; K est - 0715-0808 0728-0820; H est - 0525-0620 0610-0710; S est - 1215-0115 0101-0201
artichoke_globe; 0.8-3; C est - 0605-0710 0715-0901; H est - 0325-0501 0505-0620; S est - 0925-1025 1101-1215
artichoke_jerusalem; 0.9-2.5; C planted 0401 1001-1110 0215-0420; K planted 0420 0925-1031 1115-0425
arugula; 0.05-0.15; C sown 0415 0515-0605 0605-0715; K sown 0420 0518-0605 0605-0710; H sown 0220 0320-0415 0415-0520; S sown 0901 1001-1025 1025-1205
asparagus; 0.2-0.6; C est - 0418-0508 0610-0630; K est - 0425-0515 0605-0630; H est - 0220-0325 0415-0531; S est - 0905-1005 1101-1210
aubergine; 0.6-3.5; C planted 0601 0801-0901 0925-1025; K planted 0601 0725-0825 0920-1015; H planted 0415 0620-0720 1010-1125; S planted 1115 0115-0215 0415-0530
basil; 0.15-0.6; C planted 0601 0620-0715 0920-1020; K planted 0525 0612-0705 0915-1010; H planted 0415 0501-0525 1015-1125; S planted 1105 1125-1220 0415-0530
basil_holy; 0.1-0.6; C planted 0601 0620-0720 0915-1020; K planted 0525 0612-0708 0915-1010; H planted 0415 0501-0528 1015-1125; S planted 1105 1125-1222 0415-0530
bean_broad; 0.1-0.4; C sown 0301 0615-0710 0705-0805; C sown 1105 0525-0620 0620-0720; K sown 0415 0620-0715 0705-0801; H sown 1015 0305-0415 0415-0525; S sown 0501 0915-1025 1020-1201
bean_bush; 0.08-0.3; C sown 0515 0715-0808 0810-0905; K sown 0520 0708-0728 0801-0825; H sown 0415 0605-0628 0701-0725; S sown 1101 1225-0118 0120-0220
bean_dry; 0.03-0.1; C sown 0520 0910-1010 0925-1025; K sown 0525 0828-0925 0910-1008; H sown 0415 0715-0815 0801-0901
bean_flat; 0.15-0.6; C sown 0520 0722-0818 0901-1010; K sown 0520 0710-0805 0820-0925; H sown 0415 0608-0705 0725-0901; S sown 1101 1228-0125 0210-0325
bean_pole; 0.2-0.8; C sown 0520 0722-0818 0910-1015; K sown 0525 0718-0812 0901-1005; H sown 0415 0610-0708 0801-0915; S sown 1101 0101-0128 0225-0405
bean_purple; 0.08-0.3; C sown 0515 0715-0808 0810-0905; K sown 0520 0708-0728 0801-0825; H sown 0415 0605-0628 0701-0725; S sown 1101 1225-0118 0120-0220
bean_runner; 0.5-1.5; C sown 0520 0725-0820 0915-1020; K sown 0525 0720-0815 0910-1010; H sown 0415 0612-0712 0720-1005; S sown 1101 0103-0130 0315-0430
bean_yellow; 0.08-0.3; C sown 0515 0715-0808 0810-0905; K sown 0520 0708-0728 0801-0825; H sown 0415 0605-0628 0701-0725; S sown 1101 1225-0118 0120-0220
beetroot; 0.08-0.25; C sown 0415 0625-0725 0801-1115; K sown 0501 0625-0720 0801-1101; H sown 0215 0425-0525 0605-0801; S sown 0901 1110-1210 0101-0401
blackberry; 2.5-8; C est - 0725-0820 0901-1005; K est - 0715-0810 0820-0920; H est - 0615-0710 0725-0825; S est - 0101-0201 0210-0315
blueberry; 2-6; C est - 0705-0728 0810-0915; K est - 0628-0720 0801-0901; H est - 0510-0605 0620-0725; S est - 1210-0110 0115-0225
bok_choy; 0.15-0.6; C sown 0801 0908-0928 1001-1115; K sown 0801 0908-0928 0925-1101; H sown 0920 1025-1120 1125-0120; S sown 0301 0408-0501 0501-0615
broccoli_head; 0.25-0.6; C planted 0501 0625-0725 0705-0808; K planted 0501 0620-0715 0701-0728; H planted 0215 0410-0505 0425-0520; S planted 0901 1101-1205 1115-1220
broccoli_side_shoots; 0.15-0.5; C planted 0501 0705-0810 0810-0920; K planted 0501 0705-0801 0801-0910; H planted 0215 0425-0520 0520-0620; S planted 0901 1120-1220 1220-0130
broccoli_sprouting; 0.4-1.0; C planted 0625 0215-0401 0401-0520; S planted 0115 0601-0901 0801-1020
brussels_sprouts; 0.5-1.3; C planted 0601 0920-1101 0115-0401; K planted 0601 0915-1020 1101-1231
cabbage; 0.8-2.5; C planted 0501 0705-0815 0801-0925; K planted 0501 0701-0801 0720-0915; H planted 0215 0425-0601 0515-0701; S planted 0901 1110-1220 1205-0131
cabbage_napa; 0.6-1.6; C planted 0801 0920-1025 1001-1115; K planted 0801 0915-1020 0925-1101; H planted 0910 1101-1210 1115-0101
calendula; 0.15-0.5; C sown 0415 0618-0715 0901-1025; K sown 0425 0618-0712 0901-1025
carrot; 0.04-0.12; C sown 0415 0705-0801 0901-1130; K sown 0425 0705-0728 0820-1105; H sown 0215 0501-0601 0615-0815; S sown 0901 1120-1225 0125-0501
cauliflower; 0.5-1.2; C planted 0501 0705-0810 0715-0825; K planted 0501 0625-0725 0705-0808; H planted 0901 1101-1205 1115-0105; S planted 0301 0510-0620 0520-0710
celeriac; 0.3-0.8; C planted 0525 0910-1020 1101-0401; K planted 0525 0905-1010 1015-1201
celery; 0.4-1.0; C planted 0601 0825-0925 1005-1120; K planted 0525 0805-0905 0920-1025; H planted 0301 0515-0620 0625-0801; S planted 1015 0105-0210 0225-0415
chamomile; 0.01-0.08; C sown 0415 0620-0720 0801-0905; K sown 0425 0620-0718 0725-0901; H sown 0220 0501-0605 0610-0720; S sown 0901 1115-1220 0101-0215
chard; 0.5-2; C sown 0415 0612-0708 1015-1215; K sown 0425 0612-0705 1005-1115; H sown 0220 0418-0515 0701-1031; S sown 0901 1025-1125 0215-0601
cherry_sour; 5-18; C est - 0701-0725 0720-0815; K est - 0628-0718 0712-0805; S est - 1205-0101 1220-0120
cherry_sweet; 5-25; C est - 0618-0715 0705-0801; K est - 0618-0708 0703-0725; H est - 0515-0608 0601-0628; S est - 1125-1220 1210-0110
chicory; 0.15-0.45; C sown 0615 0905-1010 1001-1210; K sown 0620 0905-1005 0925-1115
chilli; 0.2-1.0; C planted 0601 0801-0910 0925-1025; K planted 0525 0725-0830 0920-1010; H planted 0415 0620-0725 1015-1125; S planted 1110 0115-0220 0415-0601
chives; 0.05-0.3; C est - 0320-0420 1005-1125; K est - 0415-0510 1001-1105; H est - 0205-0320 1101-1215; S est - 0825-0925 0420-0625
cilantro; 0.03-0.15; C sown 0415 0601-0622 0625-0801; K sown 0425 0601-0620 0620-0722; H sown 0220 0410-0505 0505-0610; S sown 0901 1015-1110 1110-1225
collards; 0.6-2; C planted 0501 0615-0715 1101-1231; K planted 0501 0610-0708 1015-1130; H planted 0901 1010-1110 0301-0430; S planted 0301 0410-0515 0801-1015
cornflower; 0.1-0.35; C sown 0415 0628-0722 0801-0910; K sown 0425 0628-0720 0728-0901
cosmos; 30-100p; C sown 0501 0715-0815 0925-1025; K sown 0515 0715-0810 0920-1015; H sown 0401 0605-0705 0920-1115; S sown 1010 1215-0115 0401-0520
courgette; 2.5-7; C planted 0601 0705-0730 0915-1015; K planted 0525 0628-0720 0910-1005; H planted 0415 0515-0608 0810-1015; S planted 1105 1210-0105 0315-0501
courgette_flower; 20-70p; C planted 0601 0625-0725 0910-1015; K planted 0525 0618-0715 0905-1005; H planted 0415 0508-0605 0801-1015; S planted 1105 1201-1228 0310-0501
cucumber_mini; 1.5-5; C planted 0601 0708-0808 0905-1010; K planted 0601 0703-0728 0825-0930; H planted 0415 0520-0612 0715-0920; S planted 1110 1218-0115 0220-0415
cucumber_slicing; 2-6; C planted 0601 0708-0808 0905-1010; K planted 0601 0703-0728 0825-0930; H planted 0415 0520-0612 0715-0920; S planted 1110 1218-0115 0220-0415
currant_black; 2.5-5.5; C est - 0628-0722 0718-0815; K est - 0625-0715 0710-0805; S est - 1201-0105 1220-0125
currant_red; 2-5; C est - 0625-0718 0722-0820; K est - 0622-0712 0715-0810; H est - 0515-0608 0605-0705; S est - 1201-0101 0101-0201
currant_white; 2-5; C est - 0625-0718 0722-0820; K est - 0622-0712 0715-0810; H est - 0515-0608 0605-0705; S est - 1201-0101 0101-0201
dahlia; 25-80p; C planted 0515 0720-0820 1005-1105; K planted 0520 0720-0815 0925-1015; H planted 0401 0615-0715 1015-1120; S planted 1015 1225-0130 0415-0531
dill; 0.03-0.12; C sown 0501 0615-0708 0710-0815; K sown 0501 0610-0702 0705-0810; H sown 0301 0415-0510 0515-0620; S sown 0915 1025-1120 1125-0105
edamame; 0.06-0.2; C sown 0525 0901-0930 0910-1010; K sown 0525 0818-0912 0825-0922; H sown 0420 0705-0801 0715-0812
endive; 0.2-0.5; C sown 0710 0918-1025 1010-1125; K sown 0710 0910-1010 0925-1101; H sown 0901 1105-1215 1125-0120
fennel_bulb; 0.15-0.4; C sown 0620 0905-1005 0920-1101; K sown 0615 0825-0920 0910-1015; H sown 0901 1115-1225 1205-0220; S sown 0215 0505-0615 0525-0715
fig; 3-15; C est - 0815-0920 0920-1025; H est - 0725-0825 0915-1031; S est - 0201-0305 0325-0501
galangal; 0.4-1.5; H planted 0401 1201-0301 0101-0501; S planted 1001 0701-0915 0801-1031
garlic_elephant; 0.1-0.3; C planted 1015 0625-0725 0715-0820; K planted 1010 0701-0725 0718-0815; H planted 1020 0520-0620 0610-0715; S planted 0420 1201-0105 1220-0131
garlic_hardneck; 0.04-0.09; C planted 1015 0622-0720 0710-0812; K planted 1010 0701-0722 0715-0810; H planted 1020 0515-0612 0605-0705; S planted 0420 1120-1225 1210-0120
garlic_scape; 0.01-0.03; C planted 1015 0525-0620 0610-0705; K planted 1010 0605-0625 0618-0710; H planted 1020 0415-0515 0501-0601; S planted 0420 1020-1120 1105-1210
garlic_softneck; 0.04-0.09; C planted 1015 0625-0725 0712-0818; K planted 1010 0705-0728 0718-0815; H planted 1020 0518-0618 0608-0710; S planted 0420 1125-1231 1212-0125
ginger; 0.3-1.0; H planted 0401 1015-1130 1110-0110; S planted 1001 0501-0625 0601-0801
gladiolus; 0.05-0.12; C planted 0420 0715-0820 0725-0901; K planted 0510 0722-0822 0801-0905
gooseberry; 1.5-4.5; C est - 0615-0710 0715-0812; K est - 0615-0708 0710-0808; H est - 0510-0605 0605-0705; S est - 1120-1225 1225-0131
grape; 3-10; C est - 0915-1020 1005-1110; K est - 0905-1005 0925-1020; H est - 0801-0901 0825-0930; S est - 0210-0315 0310-0415
hazelnut; 1.5-6; C est - 0901-0925 0920-1020; K est - 0901-0925 0915-1015; S est - 0225-0401 0320-0425
kale_leaf; 0.5-1.5; C sown 0501 0701-0801 0201-0420; K sown 0501 0625-0722 1101-1215; H sown 0901 1020-1125 0320-0501; S sown 0301 0425-0601 0905-1101
kale_perennial; 1-3; C planted 0501 0628-0810 1101-0401; K planted 0501 0625-0801 1015-1215; H planted 0315 0505-0615 1001-0201; S planted 0915 1110-1220 0501-0901
kiwi; 8-40; C est - 1015-1115 1101-1201; H est - 1001-1105 1020-1125; S est - 0415-0520 0505-0610
kohlrabi; 0.12-0.3; C sown 0415 0618-0712 0708-0808; K sown 0420 0615-0705 0701-0728; H sown 0215 0410-0505 0501-0601; S sown 0901 1028-1122 1118-1222
lambs_lettuce; 0.005-0.018; C sown 0825 1015-1215 0215-0415; K sown 0825 1010-1120 1110-0425
lavender; 0.15-0.6; C est - 0625-0725 0720-0825; K est - 0622-0720 0715-0818; H est - 0520-0625 0615-0720
leek; 0.12-0.3; C planted 0615 0910-1020 0301-0430; K planted 0515 0825-0925 1101-1215; H planted 0901 1215-0215 0401-0520; S planted 1201 0310-0425 0825-1025
lemon; 4-25; H est - 1015-1215 0301-0615; S est - 0501-0701 0901-1231
lemon_balm; 0.3-1.0; C est - 0425-0525 0920-1101; K est - 0508-0601 0915-1020; H est - 0315-0420 1015-1125; S est - 0920-1020 0401-0525
lettuce_cca; 0.08-0.25; C sown 0401 0512-0605 0615-0725; K sown 0420 0522-0610 0615-0715; H sown 0215 0325-0418 0425-0530; S sown 0901 1008-1101 1115-1220
lettuce_heading; 0.25-0.6; C sown 0401 0615-0708 0628-0725; K sown 0420 0615-0705 0625-0718; H sown 0215 0420-0512 0501-0528; S sown 0901 1105-1130 1120-1215
luffa; 0.5-2.5; H planted 0501 0825-1010 1010-1125; S planted 1110 0315-0501 0420-0610
marigold; 0.2-0.8; C sown 0515 0718-0820 0925-1025; K sown 0515 0710-0810 0915-1012
marigold_sweet; 0.1-0.35; K planted 0601 0815-0920 0925-1025; H planted 0415 0625-0801 1001-1125
melon_charentais; 1.5-4.5; K planted 0601 0808-0905 0828-0928; H planted 0415 0628-0728 0722-0828; S planted 1110 0205-0310 0301-0410
melon_honeydew; 2-6; K planted 0601 0825-0920 0910-1005; H planted 0415 0715-0815 0810-0915; S planted 1110 0220-0325 0315-0425
melon_netted; 2-6; K planted 0601 0810-0908 0901-0928; H planted 0415 0701-0728 0725-0901; S planted 1110 0205-0308 0301-0410
mint; 0.2-0.8; C est - 0415-0520 0925-1105; K est - 0425-0525 0915-1020; H est - 0310-0415 1015-1125
mizuna; 0.1-0.3; C sown 0415 0518-0608 0612-0722; K sown 0420 0518-0605 0608-0712; H sown 0215 0320-0415 0420-0525; S sown 0901 1003-1025 1030-1210
mustard; 0.08-0.3; C sown 0415 0518-0612 0612-0722; K sown 0420 0518-0608 0608-0712; H sown 0215 0320-0418 0420-0525; S sown 0901 1003-1028 1030-1210
okra; 0.3-1.2; K sown 0601 0801-0828 0915-1008; H sown 0501 0625-0722 0925-1101; S sown 1110 0108-0210 0325-0501
onion_bulb; 0.08-0.25; C planted 0325 0715-0815 0808-0910; K planted 0415 0715-0810 0805-0905; H planted 0201 0525-0625 0620-0725; S planted 0815 1201-0105 1225-0205
onion_spring; 0.01-0.04; C sown 0401 0610-0705 0710-0815; K sown 0420 0615-0708 0710-0815; H sown 0215 0415-0515 0520-0701; S sown 0901 1101-1201 1205-0115
onion_walking; 0.05-0.3; C est - 0705-0810 0815-0925; K est - 0705-0805 0810-0920; H est - 0520-0701 0625-0815; S est - 1210-0120 0115-0310
oregano; 0.1-0.5; C est - 0501-0610 0925-1105; K est - 0515-0612 0915-1020; H est - 0320-0430 1020-1130; S est - 0925-1101 0405-0531
parsley; 0.1-0.4; C sown 0415 0701-0805 1025-1225; K sown 0425 0701-0801 1010-1120; H sown 0301 0520-0620 0901-1215
parsnip; 0.1-0.35; C sown 0401 0820-0930 0220-0415; K sown 0501 0825-0930 1115-0401; H sown 0901 0110-0225 0320-0501; S sown 0915 0205-0320 0701-0915
patty_pan; 1.5-5; C planted 0601 0708-0803 0912-1012; K planted 0525 0630-0722 0908-1003; H planted 0415 0518-0612 0805-1012; S planted 1105 1212-0108 0310-0501
pea_mangetout; 0.04-0.15; C sown 0401 0610-0701 0628-0728; K sown 0415 0608-0628 0622-0718; H sown 0210 0415-0508 0502-0605; S sown 0801 1018-1112 1105-1208
pea_shelling; 0.03-0.12; C sown 0401 0615-0708 0702-0801; K sown 0415 0612-0702 0626-0720; H sown 0210 0420-0512 0505-0608; S sown 0801 1022-1116 1108-1212
pea_sugar_snap; 0.04-0.15; C sown 0401 0615-0708 0705-0805; K sown 0415 0612-0702 0628-0722; H sown 0210 0420-0512 0506-0608; S sown 0801 1022-1116 1110-1214
peach; 10-40; C est - 0725-0825 0820-0920; K est - 0725-0818 0815-0910; H est - 0605-0715 0630-0810; S est - 0105-0210 0131-0310
peanut; 0.04-0.14; H sown 0501 0905-1010 0920-1025; S sown 1101 0320-0501 0405-0515
pear; 12-50; C est - 0825-0920 0915-1015; K est - 0820-0915 0905-1005; H est - 0725-0825 0815-0915; S est - 0125-0305 0220-0401
peony; 0.3-1.2; C est - 0520-0615 0601-0628; K est - 0525-0615 0602-0628
pepper_sweet; 0.8-2.5; C planted 0601 0805-0915 0925-1025; K planted 0525 0725-0825 0920-1010; H planted 0415 0622-0725 1010-1120; S planted 1110 0115-0220 0410-0525
persimmon; 10-45; H est - 0925-1101 1025-1205; S est - 0405-0510 0501-0615
plum; 8-40; C est - 0805-0901 0825-0925; K est - 0801-0825 0820-0915; H est - 0615-0715 0705-0805; S est - 0110-0210 0201-0310
potato_early; 0.4-1.0; C planted 0401 0615-0708 0715-0820; K planted 0425 0625-0715 0720-0825; H planted 0215 0501-0528 0601-0705; S planted 0815 1105-1205 1210-0115
potato_maincrop; 0.8-2.0; C planted 0420 0815-0915 0925-1025; K planted 0505 0812-0910 0915-1020; H planted 0215 0525-0625 0625-0801; S planted 0901 0101-0201 0205-0325
pumpkin; 4-15; C planted 0601 0901-0930 1005-1105; K planted 0525 0825-0920 0928-1025; H planted 0501 0801-0901 0905-1025; S planted 1110 0220-0325 0401-0515
quince; 6-30; C est - 1001-1101 1015-1115; K est - 0925-1020 1005-1105; H est - 0905-1005 0925-1025; S est - 0320-0425 0410-0515
radish_pod; 0.05-0.25; C sown 0415 0612-0708 0715-0815; K sown 0425 0615-0705 0712-0810; H sown 0215 0410-0508 0510-0612; S sown 0901 1025-1120 1125-0101
radish_root; 0.012-0.03; C sown 0401 0503-0523 0512-0605; K sown 0420 0515-0530 0522-0612; H sown 0215 0315-0403 0324-0415; S sown 0901 0928-1015 1005-1025
radish_seed; 0.01-0.04; C sown 0401 0801-0915 0825-1010; K sown 0420 0801-0905 0820-1001; H sown 0215 0601-0705 0620-0725; S sown 0901 1225-0205 0115-0228
raspberry_autumn; 0.6-1.8; C est - 0805-0901 1005-1105; K est - 0805-0828 0920-1015; H est - 0720-0825 0920-1101; S est - 0205-0305 0405-0515
raspberry_summer; 0.8-2.0; C est - 0625-0715 0728-0825; K est - 0622-0712 0722-0815; H est - 0515-0608 0615-0715; S est - 1205-0105 0108-0210
rhubarb; 1.5-4; C est - 0405-0501 0620-0715; K est - 0501-0522 0620-0715; H est - 0301-0405 0515-0625; S est - 0915-1015 1205-0105
romanesco; 0.4-1.0; C planted 0525 0815-0925 0825-1010; K planted 0601 0815-0920 0825-1005
rosemary; 0.1-0.5; C est - 0415-0525 1101-0301; H est - 0301-0415 1101-0301
sage; 0.12-0.5; C est - 0425-0601 0820-1025; K est - 0505-0605 0815-1015; H est - 0315-0420 0725-1015
shallot; 0.1-0.35; C planted 0315 0705-0801 0725-0825; K planted 0415 0710-0805 0725-0825; H planted 0201 0515-0615 0605-0705
snapdragon; 0.2-0.7; C planted 0501 0705-0815 0925-1101; K planted 0505 0701-0808 0920-1025
spinach; 0.08-0.25; C sown 0401 0515-0605 0605-0701; K sown 0415 0518-0603 0603-0625; H sown 0205 0320-0415 0420-0520; S sown 0901 1010-1101 1101-1201
statice; 8-30p; C planted 0515 0725-0825 0910-1015; K planted 0520 0720-0815 0905-1005; H planted 0401 0610-0710 0801-0915; S planted 1015 1225-0125 0225-0410
strawberry; 0.3-0.8; C est - 0605-0625 0628-0725; K est - 0605-0622 0625-0718; H est - 0405-0505 0510-0620; S est - 1020-1120 1120-1231
sugar_cane; 2-8; H planted 0401 0115-0601 0401-0801; S planted 0915 0715-1115 0915-0201
sunflower; 0.25-0.9; C sown 0501 0720-0820 0825-1001; K sown 0510 0715-0812 0815-0925
swede; 0.4-1.2; C sown 0520 0910-1010 1215-0331; K sown 0601 0910-1005 1101-1215; H sown 0901 1215-0201 0301-0501; S sown 0125 0515-0620 0815-1015
sweet_pea_flower; 40-150p; C sown 0315 0620-0715 0801-0905; K sown 0415 0625-0715 0720-0820; H sown 1001 0325-0501 0505-0610; S sown 0415 0920-1031 1115-0101
sweet_potato_leaf; 0.3-1.2; K planted 0601 0705-0805 0915-1010; H planted 0501 0605-0710 1010-1120; S planted 1101 1210-0115 0410-0525
sweet_potato_root; 0.5-1.5; K planted 0601 0905-1001 0922-1018; H planted 0501 0820-0920 1005-1115; S planted 1105 0305-0405 0420-0601
sweet_william; 0.15-0.45; C est - 0525-0625 0628-0801; K est - 0601-0628 0628-0801
sweetcorn; 0.2-0.5; C sown 0515 0820-0915 0901-0928; K sown 0515 0801-0825 0810-0905; H sown 0415 0701-0725 0712-0808; S sown 1025 0120-0220 0131-0303
thyme; 0.06-0.25; C est - 0425-0601 0901-1031; K est - 0505-0608 0825-1020; H est - 0315-0425 0801-1031
tomatillo; 1.2-4; C planted 0605 0820-0920 0925-1025; K planted 0601 0801-0901 0920-1010; H planted 0415 0620-0720 0901-1101
tomato_cherry; 2-5; C planted 0601 0728-0825 0925-1025; K planted 0525 0715-0808 0915-1010; H planted 0415 0612-0708 1005-1115; S planted 1105 0101-0131 0405-0525
tomato_cherry_orange; 2-5; C planted 0601 0728-0825 0925-1025; K planted 0525 0715-0808 0915-1010; H planted 0415 0612-0708 1005-1115; S planted 1105 0101-0131 0405-0525
tomato_large; 2.5-6; C planted 0601 0808-0908 0925-1025; K planted 0525 0725-0820 0915-1010; H planted 0415 0622-0720 1001-1115; S planted 1105 0112-0212 0405-0525
turnip; 0.08-0.25; C sown 0415 0608-0630 0701-0805; K sown 0420 0605-0625 0625-0725; H sown 0215 0405-0428 0425-0525; S sown 0901 1018-1110 1110-1215
walnut; 8-40; C est - 0915-1010 1005-1105; K est - 0915-1008 1001-1030; H est - 0825-0925 0915-1020
watermelon; 5-18; K planted 0601 0818-0912 0905-1001; H planted 0501 0720-0820 0815-0925; S planted 1110 0215-0320 0315-0420
winter_squash; 2-8; C planted 0601 0905-1005 1001-1105; K planted 0525 0828-0922 0925-1025; H planted 0501 0805-0905 0905-1025; S planted 1110 0222-0328 0325-0515
zinnia; 20-60p; C sown 0515 0725-0820 0920-1020; K sown 0520 0715-0808 0915-1010; H sown 0415 0615-0712 1001-1115; S sown 1020 1225-0120 0410-0520
`;

const MonthDay = z.string().regex(/^(0[1-9]|1[0-2])([0-2]\d|3[01])$/);
const Range = z.string().transform((text, context) => {
  const [low, high] = text.split("-").map((d) => MonthDay.safeParse(d));
  if (low?.success && high?.success) return { low: low.data, high: high.data };
  context.addIssue(`“${text}” is no range of days`);
  return z.NEVER;
});

/** One crop's usual year in one climate. */
export interface HandbookCell {
  cropId: string;
  climate: "C" | "K" | "H" | "S";
  how: "sown" | "planted" | "est";
  /** MMDD; null for an established perennial. */
  start: string | null;
  first: { low: string; high: string };
  end: { low: string; high: string };
  /** Of a plant in a season: kilograms, or pieces. */
  yield: { low: number; high: number; unit: "kg" | "pieces" };
}

const Climate = z.enum(["C", "K", "H", "S"]);
const How = z.enum(["sown", "planted", "est"]);

function cellsOf(line: string): HandbookCell[] {
  const [cropId, amount, ...cells] = line.split(";").map((part) => part.trim());
  const [low, high] = amount!.replace("p", "").split("-").map(Number);
  return cells.map((cell) => {
    const [climate, how, start, first, end] = cell.split(" ");
    return {
      cropId: cropId!,
      climate: Climate.parse(climate),
      how: How.parse(how),
      start: start === "-" ? null : MonthDay.parse(start),
      first: Range.parse(first),
      end: Range.parse(end),
      yield: { low: low!, high: high!, unit: amount!.endsWith("p") ? "pieces" : "kg" },
    };
  });
}

export const HANDBOOK_YEAR: readonly HandbookCell[] = TABLE.trim().split("\n").flatMap(cellsOf);

/** Mean daily low and high of each month, °C, of four made-up places: our judgement, as usual of such climates. */
export const CLIMATES = {
  C: { name: "cool maritime", lowSpreadC: 3.4, latitude: 52, months: [[2, 8], [2, 8], [3, 11], [5, 14], [8, 17], [11, 20], [13, 23], [13, 22], [11, 19], [8, 15], [5, 11], [3, 8]] }, // prettier-ignore
  K: { name: "continental", lowSpreadC: 4.6, latitude: 44, months: [[-12, -2], [-10, 1], [-4, 7], [2, 15], [9, 21], [14, 26], [17, 29], [16, 27], [11, 23], [5, 16], [-2, 7], [-9, 0]] }, // prettier-ignore
  H: { name: "hot and dry", lowSpreadC: 3.2, latitude: 37, months: [[4, 13], [5, 17], [7, 20], [9, 24], [13, 29], [17, 33], [19, 36], [18, 35], [16, 31], [11, 25], [6, 18], [3, 13]] }, // prettier-ignore
  S: { name: "mild south", lowSpreadC: 2.8, latitude: -37, months: [[15, 25], [15, 25], [14, 23], [11, 20], [9, 17], [7, 14], [6, 13], [7, 15], [8, 17], [10, 19], [12, 21], [14, 23]] }, // prettier-ignore
} as const satisfies Record<HandbookCell["climate"], { name: string; lowSpreadC: number; latitude: number; months: readonly (readonly [number, number])[] }>; // prettier-ignore
