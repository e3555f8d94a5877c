/**
 * Lines as gardeners type them and what they mean: facts of the trade, common practice. Today is 19 September 2026.
 * Behind “=>”: what is understood (nothing before it), asked (?) or refused (!), and the parts that matter; of `options`
 * each has to be offered. Lines under “us” are typed in a household that writes the month first.
 */
const METRIC = `
9 Blue Lake green beans => ? crop=bean_bush plants=9 variety=Blue_Lake asks=day
9 Blue Lake green beans, sown 10 May => crop=bean_bush plants=9 variety=Blue_Lake event=sown from=2026-05-10
early purple white garlic => ? crop=garlic_softneck
30 early purple garlic, planted 12 Oct 2025 => crop=garlic_softneck plants=30 event=planted from=2025-10-12
Early Girl tomatoes, 6, planted 25 May => crop=tomato_large plants=6 variety=Early_Girl from=2026-05-25
30 Early Italian Purple garlic planted October 2025 => crop=garlic_softneck plants=30 variety=Early_Italian_Purple from=2025-10-01 to=2025-10-31
40 White Icicle radish sown 1 Sept => crop=radish_root plants=40 variety=White_Icicle from=2026-09-01
8 white Russian kale planted 2 June => crop=kale_leaf plants=8 variety=white_Russian
20 Purple Top turnips sown 10 Aug => crop=turnip plants=20 variety=Purple_Top
6 purple sprouting broccoli planted 25 June => crop=broccoli_sprouting plants=6
yellow squash => ? options=courgette,winter_squash
3 yellow courgettes, sown 3 May => crop=courgette plants=3 variety=yellow
12 Yellow Finn potatoes, planted 10 April => crop=potato_maincrop plants=12 variety=Yellow_Finn
4 Roma tomatoes, planted 20 May => crop=tomato_large plants=4 variety=Roma
4 slicing tomatoes, planted 20 May => crop=tomato_large variety=slicing
lemon tree => ? crop=lemon asks=day
nine purple beans, sown 12 May => crop=bean_purple plants=9
two courgettes, planted 1 June => crop=courgette plants=2
row of lettuce => ? options=lettuce_cca,lettuce_heading asks=amount
3m carrots, sown 1 May => crop=carrot lengthM=3 from=2026-05-01
60 Candy onions, planted 1 April => crop=onion_bulb plants=60 variety=Candy
27 Yukon Gold potatoes, planted 10 April => crop=potato_maincrop plants=27 variety=Yukon_Gold
4 delicata squash, planted 25 May => crop=winter_squash plants=4 variety=delicata
5 Brandywine tomatoes, planted 20 May => crop=tomato_large plants=5 variety=Brandywine
3 Cherokee Purple tomato planted 20 May => crop=tomato_large plants=3 variety=Cherokee_Purple
2 Green Zebra tomato planted 20 May => crop=tomato_large plants=2 variety=Green_Zebra
4 Black Beauty eggplant planted 1 June => crop=aubergine plants=4 variety=Black_Beauty
6 Red Russian kale planted 1 June => crop=kale_leaf plants=6 variety=Red_Russian
40 Hurst Green Shaft peas sown 20 March => crop=pea_shelling plants=40 variety=Hurst_Green_Shaft
6 ruby red chard sown 3 May => crop=chard plants=6 variety=ruby_red
3 romaine lettuce planted 3 May => crop=lettuce_heading plants=3
lettuce => ? options=lettuce_cca,lettuce_heading
4 summer cauliflowers planted 3 May => crop=cauliflower plants=4 variety=summer
5 red cabbage planted 3 May => crop=cabbage plants=5 variety=red
3 green peppers planted 3 June => crop=pepper_sweet plants=3 variety=green
jalapeno => ? crop=chilli
4 poblano planted 3 June => crop=pepper_sweet plants=4 variety=poblano
2 shishito peppers planted 3 June => crop=pepper_sweet plants=2 variety=shishito
3 cayenne planted 3 June => crop=chilli plants=3 variety=cayenne
6 lacinato kale planted 3 May => crop=kale_leaf plants=6 variety=lacinato
6 black kale planted 3 May => crop=kale_leaf variety=black
12 sweet Williams planted last autumn => crop=sweet_william plants=12 event=planted from=2025-09-01 to=2025-11-30
8 okra sown 20 May => crop=okra plants=8
3 honeydew planted 1 June => crop=melon_honeydew plants=3
3 pattypan planted 1 June => crop=patty_pan plants=3
12 climbing French beans sown 15 May => crop=bean_pole plants=12
20 rattlesnake pole beans sown 15 May => crop=bean_pole plants=20 variety=rattlesnake
40 english peas sown 20 March => crop=pea_shelling plants=40
french beans purple sown 10 may => ? crop=bean_purple from=2026-05-10 asks=amount
20 french beans purple sown 10 may => crop=bean_purple plants=20 from=2026-05-10
purple beans x9, sown 3 May => crop=bean_purple plants=9
2 butternut squash planted 20 May => crop=winter_squash variety=butternut
2 butternut planted 20 May => crop=winter_squash variety=butternut
3 acorn squash planted 20 May => crop=winter_squash variety=acorn
10 autumn fruiting raspberries planted 2019 => crop=raspberry_autumn plants=10 from=2019-01-01 to=2019-12-31
12 sweet potato slips planted 1 June => crop=sweet_potato_root plants=12 variety=
24 garlic cloves planted 15 Oct 2025 => crop=garlic_softneck plants=24 variety= from=2025-10-15
10 asparagus crowns planted 2020 => crop=asparagus plants=10 variety= from=2020-01-01
6 tomato plants planted 20 May => ? options=tomato_large,tomato_cherry plants=6
6 red tomato plants planted 20 May => crop=tomato_large plants=6 variety=red
20 beans sown 20 May => ? options=bean_bush,bean_pole plants=20
5 heads of lettuce planted 1 May => ? plants=5 options=lettuce_cca,lettuce_heading
12 French bean climbing sown 15 May => crop=bean_pole plants=12
4 Sungold tomatoes planted 20 May => crop=tomato_cherry_orange plants=4 variety=Sungold
3 Sweet Million tomatoes planted 20 May => crop=tomato_cherry plants=3 variety=Sweet_Million
asparagus planted 1981, 10 => crop=asparagus plants=10 from=1981-01-01 to=1981-12-31
apple tree planted 45 years ago => crop=apple plants=1 event=planted from=1981-01-01 to=1981-12-31
12 kale sown 9 weeks ago => crop=kale_leaf plants=12 from=2026-07-18
30 radishes, 20 days old => crop=radish_root plants=30 event=sown from=2026-08-30
6 kale planted mid May => crop=kale_leaf event=planted from=2026-05-11 to=2026-05-21
6 kale planted last spring => crop=kale_leaf from=2026-03-01 to=2026-05-31
self-sown dill, about 10, came up in April => crop=dill plants=10 event=sown to=2026-04-30
4 volunteer tomatoes came up 1 June => ? options=tomato_large,tomato_cherry plants=4 event=sown to=2026-06-01
6 pumpkins sprouted 20 May => crop=pumpkin plants=6 event=sown to=2026-05-20
6 carrots => ? crop=carrot plants=6 asks=day
carrots Mokum, sown 1 May => ? crop=carrot variety=Mokum asks=amount from=2026-05-01
3 m of carrots Nantes, sown 1 May, 60-90 days => crop=carrot lengthM=3 variety=Nantes packet=60-90 bed=
12 Little Gem lettuce, 55 days, sown 1 May, bed 3 => crop=lettuce_heading plants=12 packet=55-55 bed=bed_3
6 courgette, sown 3 May, bed 4 => crop=courgette plants=6 event=sown from=2026-05-03 bed=bed_4
half a dozen chard sown 3 May => crop=chard plants=6
a dozen leeks planted 12 June => crop=leek plants=12
two dozen onion sets planted 1 April => crop=onion_bulb plants=24 variety=
twenty-four strawberries planted last August => crop=strawberry plants=24 from=2026-08-01
a couple of courgettes planted 1 June => crop=courgette plants=2
a pair of fig trees planted 2018 => crop=fig plants=2
about 20 leeks planted 12 June => crop=leek plants=20 about=true
~20 leeks planted 12 June => crop=leek plants=20 about=true
15-20 leeks planted 12 June => crop=leek plants=18 about=true
20ish leeks planted 12 June => crop=leek plants=20 about=true
1,200 carrots sown 1 May => crop=carrot plants=1200
a few leeks planted 12 June => ? crop=leek asks=amount
handful of radishes sown 1 Sept => ? crop=radish_root asks=amount
a packet of carrot seed sown 1 May => ? crop=carrot asks=amount
0 carrots sown 1 May => !
-4 carrots sown 1 May => !
2.5 carrots sown 1 May => !
9000 carrots sown 1 May => !
2 rows of carrots 3 m each, sown 1 May => crop=carrot lengthM=6
2 rows of 3 m carrots, sown 1 May => crop=carrot lengthM=6
carrots, 2 rows of 3 m, sown 1 May => crop=carrot lengthM=6
carrots 3m sown 1 May => crop=carrot lengthM=3
carrots, 3 m, sown 1 May => crop=carrot lengthM=3
2,5 metres of carrots sown 1 May => crop=carrot lengthM=2.5
2.5 m carrots sown 1 May => crop=carrot lengthM=2.5
150 cm of radishes sown 1 Sept => crop=radish_root lengthM=1.5
a 4 metre row of broad beans sown 5 March => crop=bean_broad lengthM=4
900 m carrots sown 1 May => !
2 x 3 m carrots sown 1 May => ? crop=carrot asks=amount
1 m² of spinach sown 10 March => crop=spinach areaM2=1
2 square metres of lamb's lettuce sown 25 Aug => crop=lambs_lettuce areaM2=2
1.2 x 3 m bed of garlic planted 12 Oct 2025 => crop=garlic_softneck areaM2=3.6
3 clumps of chives planted 2021 => crop=chives plants=3
a clump of rhubarb planted 2015 => crop=rhubarb plants=1
rhubarb, established => crop=rhubarb plants=1 event=planted
old fig tree, was here when we came => crop=fig plants=1 event=planted
10 raspberry canes planted in November => crop=raspberry_summer plants=10 variety= from=2025-11-01 to=2025-11-30
5 bare root raspberries planted Feb 2024 => crop=raspberry_summer plants=5 from=2024-02-01
60 onions from sets, planted 1 April => crop=onion_bulb plants=60 form=sets
onions from sets, 60, 1 April => crop=onion_bulb plants=60 event=planted from=2026-04-01
8 asparagus from crowns, April 2022 => crop=asparagus plants=8 event=planted from=2022-04-01 to=2022-04-30
12 leeks from seed, mid March => crop=leek plants=12 event=sown from=2026-03-11
12 leeks sown 3 March, planted out 10 June => crop=leek plants=12 event=planted from=2026-06-10 sown=2026-03-03
6 peppers, sown 1 March and planted out 25 May => crop=pepper_sweet plants=6 event=planted from=2026-05-25 sown=2026-03-01
12 leeks planted out 10 June, sown 3 March => crop=leek event=planted from=2026-06-10 sown=2026-03-03
peach, blossom 10 April => crop=peach plants=1 event=blossom from=2026-04-10
peach, planted 2019, blossom 10 April => crop=peach event=blossom from=2026-04-10
apple tree flowered late April => crop=apple event=blossom from=2026-04-21
12 strawberries in flower since 1 May, planted 2025 => crop=strawberry plants=12 event=blossom from=2026-05-01
10 asparagus, first spears 20 April => crop=asparagus plants=10 event=growth from=2026-04-20
rhubarb new growth 1 March => crop=rhubarb plants=1 event=growth from=2026-03-01
6 kale, transplanted 5 May; Long bed => crop=kale_leaf plants=6 event=planted from=2026-05-05 bed=Long_bed
6 kale planted 2 June in the greenhouse => crop=kale_leaf bed=greenhouse
6 chillies in pots planted 1 June => crop=chilli plants=6 bed=pots
3 basil by the south wall, planted 1 June => crop=basil plants=3 bed=south_wall
raised bed 2: 12 Little Gem sown 3 May => crop=lettuce_heading plants=12 bed=raised_bed_2
6 kale, 3 May => ? crop=kale_leaf plants=6 asks=start from=2026-05-03
60 carrots, 3 May => crop=carrot plants=60 event=sown from=2026-05-03
60 garlic, 12 Oct 2025 => crop=garlic_softneck event=planted from=2025-10-12
fig tree 2016 => crop=fig plants=1 event=planted from=2016-01-01 to=2016-12-31
6 kale sown 31 June => ? crop=kale_leaf asks=day
6 kale sown 29 Feb => ? crop=kale_leaf asks=day
6 kale sown 2027-01-01 => ? crop=kale_leaf asks=day
6 kale sown yesterdayish => ? crop=kale_leaf asks=day
6 kale sown yesterday => crop=kale_leaf from=2026-09-18
6 kale sown today => crop=kale_leaf from=2026-09-19
6 kale sown last week => crop=kale_leaf from=2026-09-07 to=2026-09-13
6 kale sown last Monday => crop=kale_leaf from=2026-09-14
6 kale sown two weeks ago => crop=kale_leaf from=2026-09-05
6 kale sown a few weeks ago => crop=kale_leaf from=2026-08-14 to=2026-09-05
6 kale sown 3 months ago => crop=kale_leaf from=2026-06-05 to=2026-07-05
6 kale sown 1.5.2026 => crop=kale_leaf from=2026-05-01
6 kale sown 1/5/2026 => crop=kale_leaf from=2026-05-01
6 kale sown 1/5/26 => crop=kale_leaf from=2026-05-01
6 kale sown 5/20/2026 => crop=kale_leaf from=2026-05-20
6 kale sown 2026-05-03 => crop=kale_leaf from=2026-05-03
6 kale sown the 3rd of May => crop=kale_leaf from=2026-05-03
6 kale sown 3rd May 2026 => crop=kale_leaf from=2026-05-03
6 kale sown May 3rd => crop=kale_leaf from=2026-05-03
6 kale sown around 10 May => crop=kale_leaf from=2026-05-07 to=2026-05-13
6 kale sown between 3 and 10 May => crop=kale_leaf from=2026-05-03 to=2026-05-10
6 kale sown 3-10 May => crop=kale_leaf from=2026-05-03 to=2026-05-10
6 kale sown April/May => crop=kale_leaf from=2026-04-01 to=2026-05-31
6 kale sown early April => crop=kale_leaf from=2026-04-01 to=2026-04-10
6 kale sown end of March => crop=kale_leaf from=2026-03-21 to=2026-03-31
6 kale sown first week of June => crop=kale_leaf from=2026-06-01 to=2026-06-07
6 kale sown in May => crop=kale_leaf from=2026-05-01 to=2026-05-31
6 kale sown on Easter => crop=kale_leaf from=2026-04-05
6 kale sown last year => crop=kale_leaf from=2025-01-01 to=2025-12-31
6 kale sown summer 2026 => crop=kale_leaf from=2026-06-01
6 kale sown Oct 21 2025 => crop=kale_leaf from=2025-10-21
planted 6 kale on 3 May => crop=kale_leaf plants=6 event=planted from=2026-05-03
sown 3 May: 12 beetroot Boltardy => crop=beetroot plants=12 variety=Boltardy from=2026-05-03
3 May sown 40 radish => crop=radish_root plants=40 event=sown from=2026-05-03
Kale - 6 - sown 3 May - bed 2 => crop=kale_leaf plants=6 from=2026-05-03 bed=bed_2
kale (6), sown 3 May => crop=kale_leaf plants=6
Kale: 6, sown 3 May => crop=kale_leaf plants=6
- 6 kale, sown 3 May => crop=kale_leaf plants=6
* 6 kale, sown 3 May => crop=kale_leaf plants=6
6 x kale 'Nero di Toscana', sown 3 May => crop=kale_leaf plants=6 variety=Nero_di_Toscana
6 "Pentland Brig" kale sown 3 May => crop=kale_leaf variety=Pentland_Brig
carrots, Nantes, 3 m, sown 1 May => crop=carrot variety=Nantes lengthM=3
tomato, Brandywine, 4, planted 20 May => crop=tomato_large variety=Brandywine plants=4
6 kale, sown 3 May, bed 1, under fleece => crop=kale_leaf bed=bed_1 left=under_fleece
6 kale, sown 3 May (from my sister) => crop=kale_leaf left=from_my_sister
6 carot, sown 3 May => ? options=carrot plants=6 from=2026-05-03
6 brocolli planted 3 May => ? options=broccoli_head
6 zuchini planted 3 June => ? options=courgette
4 tomatoe planted 20 May => ? options=tomato_large plants=4
4 Brandwine planted 20 May => ? options=tomato_large
20 letuce sown 3 May => ? options=lettuce_heading
gladiolli, 20, planted 10 May => ? options=gladiolus
asdf qwer zxcv => !
 => !
some flowers => !
6 tulips planted last November => !
horse radish planted 2019 => !
bitter melon, 3, planted 1 June => !
4 lima beans sown 20 May => !
ornamental corn, 20, sown 10 May => !
lemon verbena planted 2020 => !
kale and chard, sown 3 May => ? options=kale_leaf,chard
4 Black Krim, 2 Stupice, planted 20 May => ? asks=crop
6 kale sown 3 May and 1 June => crop=kale_leaf
6 egg plants planted 1 June => crop=aubergine plants=6
3 hens planted 2024 => crop=hens_eggs plants=3
6 Charlotte potatoes planted 10 April => crop=potato_early variety=Charlotte
10 Maris Piper planted 10 April => crop=potato_maincrop variety=Maris_Piper
12 King Edward spuds planted 10 April => crop=potato_maincrop variety=King_Edward
20 Feltham First peas sown 5 March => crop=pea_shelling variety=Feltham_First
Oregon Sugar Pod, 40, sown 1 April => crop=pea_mangetout plants=40 variety=Oregon_Sugar_Pod
20 Kentucky Wonder beans sown 20 May => crop=bean_pole variety=Kentucky_Wonder
20 Scarlet Emperor sown 20 May => crop=bean_runner variety=Scarlet_Emperor
12 Aquadulce Claudia sown 5 Nov 2025 => crop=bean_broad from=2025-11-05
6 Marketmore planted 1 June => crop=cucumber_slicing variety=Marketmore
3 Crystal Lemon cucumbers planted 1 June => crop=cucumber_slicing variety=Crystal_Lemon
2 Crown Prince planted 25 May => crop=winter_squash variety=Crown_Prince
2 Uchiki Kuri squash planted 25 May => crop=winter_squash variety=Uchiki_Kuri
3 spaghetti squash planted 25 May => crop=winter_squash variety=spaghetti
30 Golden Bantam sown 10 May => crop=sweetcorn variety=Golden_Bantam
30 sweet corn sown 10 May => crop=sweetcorn
8 Hispi cabbages planted 1 May => crop=cabbage variety=Hispi
8 savoy cabbages planted 1 July => crop=cabbage variety=savoy
8 Chinese cabbage planted 5 Aug => crop=cabbage_napa plants=8
10 Brussels sprouts planted 1 June => crop=brussels_sprouts plants=10
6 romanesco planted 1 June => crop=romanesco plants=6
6 calabrese planted 1 May => crop=broccoli_head plants=6
12 cavolo nero planted 1 June => crop=kale_leaf variety=cavolo_nero
12 curly kale planted 1 June => crop=kale_leaf plants=12
20 rainbow chard sown 15 April => crop=chard plants=20
40 perpetual spinach sown 15 April => crop=chard plants=40
2 m rocket sown 1 Sept => crop=arugula lengthM=2
2 m coriander sown 1 May => crop=cilantro lengthM=2
12 celeriac planted 25 May => crop=celeriac plants=12
12 celery root planted 25 May => crop=celeriac plants=12
20 bulb fennel sown 20 June => crop=fennel_bulb plants=20
20 radicchio sown 15 June => crop=chicory plants=20
20 frisee sown 10 July => crop=endive plants=20
30 corn salad sown 25 Aug => crop=lambs_lettuce plants=30
40 shallots planted 15 March => crop=shallot plants=40
40 Musselburgh leeks planted 12 June => crop=leek variety=Musselburgh
Swede, 12, sown 20 May => crop=swede plants=12
12 rutabaga sown 20 May => crop=swede plants=12
3 m parsnips sown 1 April => crop=parsnip lengthM=3
20 spring onions sown 1 April => crop=onion_spring plants=20
planted spring onions, 20, 1 April => crop=onion_spring plants=20 event=planted from=2026-04-01
12 walking onions planted 2023 => crop=onion_walking plants=12
6 globe artichokes planted 2022 => crop=artichoke_globe plants=6
artichokes, 6, planted 2022 => ? options=artichoke_globe,artichoke_jerusalem
10 Jerusalem artichokes planted 1 April => crop=artichoke_jerusalem plants=10
3 gooseberry bushes planted 2017 => crop=gooseberry plants=3 variety=
4 blackcurrants Ben Sarek planted 2018 => crop=currant_black plants=4 variety=Ben_Sarek
2 redcurrant bushes planted 2018 => crop=currant_red plants=2
currants, 3, planted 2018 => ? options=currant_red,currant_black
6 blueberries Bluecrop planted 2019 => crop=blueberry plants=6 variety=Bluecrop
thornless blackberry planted 2019 => crop=blackberry plants=1
Conference pear planted 2012 => crop=pear plants=1 variety=Conference
Bramley apple planted 1995 => crop=apple plants=1 variety=Bramley
cherry tree planted 2010 => ? options=cherry_sweet,cherry_sour
Morello cherry planted 2010 => crop=cherry_sour variety=Morello
Victoria plum planted 2005 => crop=plum variety=Victoria
damson tree planted 2005 => crop=plum plants=1
3 hazel bushes planted 2011 => crop=hazelnut plants=3
black hamburgh grape planted 2014 => crop=grape plants=1
2 kiwi vines planted 2015 => crop=kiwi plants=2 variety=
quince tree planted 2012 => crop=quince plants=1
10 parsley sown 1 April => crop=parsley plants=10
mint in a pot, planted 2022 => crop=mint plants=1 bed=pot
sage bush planted 2020 => crop=sage plants=1
3 thyme planted 2023 => crop=thyme plants=3
rosemary planted 2016 => crop=rosemary plants=1
20 sunflowers sown 1 May => crop=sunflower plants=20
30 sweet peas sown 1 March => crop=sweet_pea_flower plants=30
10 dahlias planted 15 May => crop=dahlia plants=10
20 cornflowers sown 15 April => crop=cornflower plants=20
40 gladioli planted 20 April => crop=gladiolus plants=40
12 pot marigolds sown 15 April => crop=calendula plants=12
5 lavender planted 2021 => crop=lavender plants=5
2 peonies planted 2015 => crop=peony plants=2
8 tomatillos planted 5 June => crop=tomatillo plants=8
20 borlotti beans sown 20 May => crop=bean_dry plants=20
30 edamame sown 25 May => crop=edamame plants=30
3 Charentais melons planted 1 June => crop=melon_charentais plants=3
2 luffa planted 1 June => crop=luffa plants=2
6 ginger planted 1 April => crop=ginger plants=6
20 mangetout sown 1 April => crop=pea_mangetout plants=20
20 snap peas sown 1 April => crop=pea_sugar_snap plants=20
10 runner beans sown 15 May => crop=bean_runner plants=10
20 yellow wax beans sown 15 May => crop=bean_yellow plants=20
30 new potatoes planted 25 March => crop=potato_early plants=30
6 purple potatoes planted 10 April => crop=potato_maincrop variety=purple
6 purple carrots sown 1 May => crop=carrot variety=purple
6 black radishes sown 1 Aug => crop=radish_root variety=black
6 red onions planted 1 April => crop=onion_bulb variety=red
6 white aubergines planted 1 June => crop=aubergine variety=white
4 orange cherry tomatoes planted 20 May => crop=tomato_cherry_orange plants=4
6 winter lettuce sown 1 Sept => ? options=lettuce_heading variety=winter
6 autumn cabbage planted 20 June => crop=cabbage variety=autumn
6 spring cabbage planted 1 Sept 2025 => crop=cabbage variety=spring from=2025-09-01
6 May Queen lettuce sown 3 April => crop=lettuce_heading variety=May_Queen from=2026-04-03
10 April cabbage planted 1 Sept 2025 => crop=cabbage variety=April from=2025-09-01
6 dwarf kale planted 1 June => crop=kale_leaf variety=dwarf
6 Easter Egg radish sown 1 Sept => crop=radish_root variety=Easter_Egg
`;

const US = `
40 radishes sown 6/1/2026 => crop=radish_root from=2026-06-01
6 eggplants planted 5/20/2026 => crop=aubergine from=2026-05-20
6 eggplants planted May 20, 2026 => crop=aubergine from=2026-05-20
6 kale planted 6/1 => crop=kale_leaf from=2026-06-01
6 kale planted 6-1-26 => crop=kale_leaf from=2026-06-01
20 garlic planted Oct 21 2025 => crop=garlic_softneck from=2025-10-21
6 kale planted 12/1/2026 => ? crop=kale_leaf asks=day
10 ft row of peas, sown 4/1 => crop=pea_shelling lengthM=3.05 from=2026-04-01
two 10-foot rows of bush beans, sown 5/10 => crop=bean_bush lengthM=6.1 from=2026-05-10
15' of carrots sown April 15 => crop=carrot lengthM=4.57 from=2026-04-15
8 feet beets sown 4/20/26 => crop=beetroot lengthM=2.44
4 sq ft of spinach sown March 10 => crop=spinach areaM2=0.37 from=2026-03-10
4x4 ft of carrots sown 4/15 => crop=carrot areaM2=1.49
4 by 8 ft bed of garlic planted October 2025 => crop=garlic_softneck areaM2=2.97
100 square feet of corn sown 5/10 => crop=sweetcorn areaM2=9.29
3 hills of zucchini sown mid-May => crop=courgette plants=3 from=2026-05-11 to=2026-05-21
1 dozen bell peppers set out 5/25 => crop=pepper_sweet plants=12 event=planted from=2026-05-25
6 jalapeños planted Memorial Day => crop=chilli plants=6 from=2026-05-25
4 Better Boy tomatoes, 72 days, planted 5/15, raised bed 1 => crop=tomato_large plants=4 variety=Better_Boy packet=72-72 bed=raised_bed_1
8 collards planted in the fall of 2025 => crop=collards from=2025-09-01 to=2025-11-30
6 cilantro sown last fall => crop=cilantro from=2025-09-01 to=2025-11-30
2 fig trees planted in 2012 => crop=fig plants=2 from=2012-01-01
3 okra Clemson Spineless sown 6/1 => crop=okra plants=3 variety=Clemson_Spineless
20 edamame, 75-90 days, sown 6/1 => crop=edamame packet=75-90
2 rows green beans, 12 ft each, sown 5/5 => crop=bean_bush lengthM=7.32
12 sweet potato slips set out 6/5 => crop=sweet_potato_root plants=12 variety= event=planted from=2026-06-05
5 Jack Be Little pumpkins sown 6/10 => crop=pumpkin plants=5 variety=Jack_Be_Little
sour cherry tree planted 2012 => crop=cherry_sour plants=1
sugar peas 40 sown 3/20 => ? options=pea_mangetout,pea_sugar_snap plants=40
Thai peppers 2 planted 6/1 => crop=chilli plants=2
4 dozen garlic cloves, hardneck, Oct 20 last year => crop=garlic_hardneck plants=48 from=2025-10-20
hens, 4, since spring 2024 => crop=hens_eggs plants=4 event=planted from=2024-03-01
strawberry spinach 4 sown 5/1 => !
corn, beans and squash sown 5/20 => ? asks=crop
Tomatoes: 4 Brandywine, planted 5/20 => crop=tomato_large plants=4 variety=Brandywine
pepper - jalapeño x 3 - planted 6/1 => crop=chilli plants=3
apple espalier planted 1998 => crop=apple plants=1 variety=espalier
6 chili peppers planted 6/5 => crop=chilli plants=6
potatoes, second early, 12, planted 4/10 => crop=potato_early plants=12
sweetcorn 4 x 6 block planted 5/25 => crop=sweetcorn plants=24
5kg seed potatoes planted 4/10 => ? crop=potato_maincrop asks=amount
garlic Music, 24, planted Oct 15 2025 => crop=garlic_hardneck variety=Music
cut and come again salad 1 m sown 9/1 => crop=lettuce_cca lengthM=1
6 crookneck squash planted 5/25 => ? plants=6 options=courgette
6 Yellow Crookneck squash planted 5/25 => crop=courgette plants=6
`;

export interface TypedExample {
  line: string;
  units: "metric" | "us";
  status: "understood" | "asks" | "refused";
  /** Part of the answer and what it has to be, as written. */
  parts: Record<string, string>;
}

const examples = (text: string, units: "metric" | "us"): TypedExample[] =>
  text
    .split("\n")
    .filter((row) => row.includes("=>"))
    .map((row) => {
      const [line = "", said = ""] = row.split("=>").map((part) => part.trim());
      const status = said.startsWith("?") ? "asks" : said.startsWith("!") ? "refused" : "understood";
      const parts = said.replace(/^[?!]\s*/, "").split(/\s+/).filter(Boolean).map((p) => p.split("=") as [string, string]); // prettier-ignore
      return { line, units, status, parts: Object.fromEntries(parts.map(([k, v = ""]) => [k, v.replace(/_(?=[A-Z\d]|$)|(?<=[a-z])_(?=[a-z])/g, k === "crop" || k === "options" ? "_" : " ")])) }; // prettier-ignore
    });

export const LINE_EXAMPLES: readonly TypedExample[] = [...examples(METRIC, "metric"), ...examples(US, "us")];
