/** Lines and their readings, first part: which way it goes, how many, in what packs. Our own making. */
export const AMOUNT_LINES = `
## taken, said anywhere | dmy
2 eggs used => -2 | eggs
eggs -2 => -2 | eggs
eggs − 2 => -2 | eggs | ?which_reading
used 2 eggs => -2 | eggs
ate 3 apples => -3 | apples
3 apples eaten => -3 | apples
took 2 tins tomatoes => -2 tin | tomatoes
2 tins tomatoes taken => -2 tin | tomatoes
took out 2 bags of peas => -2 bag | peas
threw away 2 yoghurts => -2 | yoghurts | other
threw out half a cabbage => -0.5 | cabbage | other
2 yoghurts thrown away => -2 | yoghurts | other
binned 1 loaf bread => -1 loaf | bread | other
gave away 4 jars jam => -4 jar | jam | given_away
4 jars jam given away => -4 jar | jam | given_away
donated 3 blankets => -3 | blankets | given_away
3 yoghurts went off => -3 | yoghurts | spoiled
2 glasses broke => -2 | glasses | broken
used 200 g flour => -200 g | flour
flour used 200 g => -200 g | flour
flour -200g => -200 g | flour
rice -0.5 kg => -0.5 kg | rice
- 500 g rice => -500 g | rice
-500g rice => -500 g | rice
−1 rice => -1 | rice
minus 2 candles => -2 | candles
used half a kilo of rice => -0.5 kg | rice
drank 2 bottles lemonade => -2 bottle | lemonade
finished 2 jars honey => -2 jar | honey
removed 5 hangers => -5 | hangers
used up 3 tea lights => -3 | tea lights
consumed 4 portions soup => -4 portion | soup
out 2 candles => -2 | candles
take 3 bin bags => -3 | bin bags
eggs: used 2 => -2 | eggs
eggs, 2 used => -2 | eggs
2 eggs used today => -2 | eggs
used a dozen eggs => -12 | eggs
used six eggs => -6 | eggs
sold 2 chairs => -2 | chairs
lost 3 pegs => -3 | pegs
fed 2 tins cat food => -2 tin | cat food

## none left | dmy
last milk gone => =0 | milk
out of rice => =0 | rice
ran out of rice => =0 | rice
no rice left => =0 | rice
no more rice => =0 | rice
rice all gone => =0 | rice
rice is gone => =0 | rice
rice gone => =0 | rice
milk finished => =0 | milk
milk is empty => =0 | milk
used up the rice => =0 | rice
took the last candle => =0 | candle
used the last eggs => =0 | eggs
rice ran out => =0 | rice
none left of the rice => =0 | rice
rice: none left => =0 | rice
honey finished today => =0 | honey

## counts, said anywhere | dmy
rice =4 => =4 | rice
rice = 4 => =4 | rice
=4 rice => =4 | rice
= 4 rice => =4 | rice
only 2 left milk => =2 | milk
only 2 milk left => =2 | milk
2 milk left => =2 | milk
milk, only 2 left => =2 | milk
milk 2 left => =2 | milk
milk: 2 left => =2 | milk
there are 5 candles => =5 | candles
there are 5 candles left => =5 | candles
still 3 tins beans => =3 tin | beans
still have 3 tins beans => =3 tin | beans
3 tins beans remaining => =3 tin | beans
candles now 5 => =5 | candles
now 5 candles => =5 | candles
down to 2 rolls foil => =2 roll | foil
count 12 plates => =12 | plates
counted 12 plates => =12 | plates
12 plates counted => =12 | plates
have 4 jars jam => =4 jar | jam
we have 4 jars jam => =4 jar | jam
rice 500 g left => =500 g | rice
500 g rice left => =500 g | rice
half a bag of flour left => =0.5 bag | flour
candles left 7 => =7 | candles
7 candles in stock => =7 | candles
towels in total 9 => =9 | towels
3 left, tea lights => =3 | tea lights
tea lights, left: 3 => =3 | tea lights

## asked whether none | dmy
0 towels => =0 | towels | ?none_of_it
zero towels => =0 | towels | ?none_of_it
no towels => =0 | towels | ?none_of_it
towels 0 => =0 | towels | ?none_of_it
0 kg rice => =0 | rice | ?none_of_it
no sugar => =0 | sugar | ?none_of_it
0 towels left => =0 | towels
=0 towels => =0 | towels

## put in | dmy
+3 candles => +3 | candles
candles +3 => +3 | candles
added 3 candles => +3 | candles
3 candles added => +3 | candles
bought 2 kg rice => +2 kg | rice
2 kg rice bought => +2 kg | rice
got 3 milk => +3 | milk
put 3 candles => +3 | candles
put in 3 candles => +3 | candles
plus 2 towels => +2 | towels
new potatoes => + | new potatoes
another 2 jars jam => +2 jar | jam
2 more candles => +2 | candles
received 10 plates => +10 | plates
restocked 4 rolls foil => +4 roll | foil
got 6 x 400 g tomatoes => +6 | tomatoes | 400 g
bought a dozen eggs => +12 | eggs

## plain numbers | dmy
rice => + | rice
2 bath towels white => +2 | bath towels white
two bath towels => +2 | bath towels
6tins tomatoes => +6 tin | tomatoes
6x tea lights => +6 | tea lights
6 x tea lights => +6 | tea lights
x6 tea lights => +6 | tea lights
tea lights x6 => +6 | tea lights
tea lights x 6 => +6 | tea lights
tea lights 6x => +6 | tea lights
tea lights (6) => +6 | tea lights
tea lights (x6) => +6 | tea lights
tea lights: 6 => +6 | tea lights
tea lights, 6 => +6 | tea lights
tea lights qty 6 => +6 | tea lights
tea lights * 6 => +6 | tea lights
1½ cabbages => +1.5 | cabbages
1 ½ cabbages => +1.5 | cabbages
1 1/2 cabbages => +1.5 | cabbages
1-1/2 cabbages => +1.5 | cabbages
½ cabbage => +0.5 | cabbage
half cabbage => +0.5 | cabbage
half a cabbage => +0.5 | cabbage
a half cabbage => +0.5 | cabbage
one and a half cabbages => +1.5 | cabbages
2 and a half cabbages => +2.5 | cabbages
two and a half cabbages => +2.5 | cabbages
quarter of a cabbage => +0.25 | cabbage
three quarters of a cabbage => +0.75 | cabbage
2,5 bags charcoal => +2.5 bag | charcoal
2.5 bags charcoal => +2.5 bag | charcoal
.5 cabbage => +0.5 | cabbage
about 20 candles => +20 | candles
approx. 20 candles => +20 | candles
ca 20 candles => +20 | candles
~20 candles => +20 | candles

## number words | dmy
seven forks => +7 | forks
thirteen forks => +13 | forks
nineteen forks => +19 | forks
twenty forks => +20 | forks
twenty five forks => +25 | forks
twenty-five forks => +25 | forks
forty two forks => +42 | forks
ninety-nine forks => +99 | forks
a hundred screws => +100 | screws
one hundred screws => +100 | screws
hundred screws => +100 | screws
two hundred screws => +200 | screws
one hundred and twenty screws => +120 | screws
a dozen forks => +12 | forks
two dozen forks => +24 | forks
3 dozen forks => +36 | forks
half a dozen forks => +6 | forks
half dozen forks => +6 | forks
dozen forks => +12 | forks
a couple of forks => +2 | forks
couple of forks => +2 | forks
a couple forks => +2 | forks
a pair of gloves => +1 pair | gloves
three pairs of gloves => +3 pair | gloves
six tins of tomatoes => +6 tin | tomatoes
a tin of tomatoes => +1 tin | tomatoes
half a kilo of flour => +0.5 kg | flour
half kilo flour => +0.5 kg | flour
half a litre of cream => +0.5 l | cream
one and a half kilos flour => +1.5 kg | flour
two and a half kg flour => +2.5 kg | flour
quarter pound of butter => +0.25 lb | butter
three quarters of a litre cream => +0.75 l | cream
a kilo and a half of flour => +1.5 kg | flour
two kilos flour => +2 kg | flour
twenty five kg flour => +25 kg | flour

## asked how many | dmy
a few candles => + | candles | ?how_many 2 3 4 5
few candles => + | candles | ?how_many 2 3 4 5
some candles => + | candles | ?how_many 2 3 4 5
several candles => + | candles | ?how_many 2 3 4 5
lots of candles => + | candles | ?how_many
many candles => + | candles | ?how_many
a handful of nails => + | nails | ?how_many 2 3 4 5
2-3 candles => +2 | candles | ?how_many 2 3
2 - 3 candles => +2 | candles | ?how_many 2 3
2 to 3 candles => +2 | candles | ?how_many 2 3
2 or 3 candles => +2 | candles | ?how_many 2 3
two or three candles => +2 | candles | ?how_many 2 3
4-5 tins beans => +4 tin | beans | ?how_many 4 5
400-500 g cheese => +400 g | cheese | ?how_many 400 500
10–12 eggs => +10 | eggs | ?how_many 10 12
1.500 screws => +1500 | screws | ?how_many 1500 1.5
1,500 kg flour => +1.5 kg | flour | ?how_many 1.5 1500

## thousands | dmy
1,500 screws => +1500 | screws
1'500 screws => +1500 | screws
12,500 screws => +12500 | screws
1,500 g flour => +1500 g | flour
1.500 kg flour => +1.5 kg | flour
0,500 kg flour => +0.5 kg | flour
1,250 ml cream => +1250 ml | cream
1000 screws => +1000 | screws
2,000 sheets paper => +2000 sheet | paper
1.25 kg flour => +1.25 kg | flour
1,5 kg flour => +1.5 kg | flour
0.125 kg yeast => +0.125 kg | yeast

## packs in packs | dmy
case of 12 tomatoes => +12 | tomatoes
a case of 12 tomatoes => +12 | tomatoes
1 case of 12 tins tomatoes => +12 tin | tomatoes
2 cases of 12 tins tomatoes => +24 tin | tomatoes
tray of 18 eggs => +18 | eggs
eggs tray of 18 => +18 | eggs
eggs, tray of 18 => +18 | eggs
2 trays of 18 eggs => +36 | eggs
2 x 6 pack cola => +12 | cola
2 x 6-pack cola => +12 | cola
2 6-packs cola => +12 | cola
two 6 packs of cola => +12 | cola
6 pack cola => +6 | cola
6-pack cola => +6 | cola
a 6 pack of cola => +6 | cola
cola 6 pack => +6 | cola
12 pack toilet paper => +12 | toilet paper
toilet paper 2 packs of 8 rolls => +16 roll | toilet paper
3 packs of 4 rolls kitchen paper => +12 roll | kitchen paper
2 boxes of 100 gloves => +200 | gloves
box of 50 tea bags => +50 | tea bags
pack of 4 light bulbs => +4 | light bulbs
light bulbs pack of 4 => +4 | light bulbs
2 packs (10) napkins => +20 | napkins
6 x 400 g tomatoes => +6 | tomatoes | 400 g
6x400g tomatoes => +6 | tomatoes | 400 g
6×400 g tomatoes => +6 | tomatoes | 400 g
tomatoes 6 x 400 g => +6 | tomatoes | 400 g
tomatoes 6x400g => +6 | tomatoes | 400 g
2 x 6 x 330 ml cola => +12 | cola | 330 ml
cola 4x6x330ml => +24 | cola | 330 ml
case of 24 x 500 ml water => +24 | water | 500 ml
2 bags of 10 kg dog food => +2 bag | dog food | 10 kg
3 bags of 500 g pasta => +3 bag | pasta | 500 g
2 tins of 400 g tomatoes => +2 tin | tomatoes | 400 g
6 tins x 400 g tomatoes => +6 tin | tomatoes | 400 g
2 dozen packs candles => +24 pack | candles

## a size before the count | dmy
400g tomatoes x 6 => +6 | tomatoes | 400 g
400 g tomatoes x6 => +6 | tomatoes | 400 g
1.5l water x6 => +6 | water | 1.5 l
1.5 l water x 6 => +6 | water | 1.5 l
400g x 6 tomatoes => +6 | tomatoes | 400 g
500 ml x 12 water => +12 | water | 500 ml
60 l bin bags 2 rolls => +2 roll | bin bags | 60 l
3 ply toilet paper 8 rolls => +8 roll | toilet paper | 3 ply
toilet paper 3 ply 8 rolls => +8 roll | toilet paper | 3 ply
400 g tins tomatoes x 6 => +6 tin | tomatoes | 400 g
500 g bag rice => + bag | rice | 500 g
1 kg flour 4 bags => +4 bag | flour | 1 kg
330ml cola 24 cans => +24 can | cola | 330 ml
2 l bottles water 6 => + bottle | water 6 | 2 l | ?number_in_name
250 g butter, 3 packs => +3 pack | butter | 250 g
5 l canister detergent x2 => +2 canister | detergent | 5 l

## measures | dmy
2 kg rice => +2 kg | rice
2kg rice => +2 kg | rice
500 grams of butter => +500 g | butter
1 lb 4 oz beef => +20 oz | beef
2 lbs carrots => +2 lb | carrots
rice 2 kg => + | rice | 2 kg
milk 1 l => + | milk | 1 l
milk 1l => + | milk | 1 l
milk 1.5 litres => + | milk | 1.5 l
3 milk 1 l => +3 | milk | 1 l
6 tins tomatoes 400 g => +6 tin | tomatoes | 400 g
6 tins tomatoes 400g each => +6 tin | tomatoes | 400 g
6 tins tomatoes (400 g) => +6 tin | tomatoes | 400 g
6 tins (400 g) tomatoes => +6 tin | tomatoes | 400 g
6 400 g tins tomatoes => +6 tin | tomatoes | 400 g
4 cans beans 15 oz => +4 can | beans | 15 oz
4 cans beans 15.5oz => +4 can | beans | 15.5 oz
cream 8 fl oz => + | cream | 8 fl oz
cream 8 fl. oz. => + | cream | 8 fl oz
1 gallon vinegar => +1 gal | vinegar
1/2 gal milk => +0.5 gal | milk
10 m cord => +10 m | cord
cord 20 m => + | cord | 20 m
2 rolls tape 50 m => +2 roll | tape | 50 m
75 cl wine x 6 => +6 | wine | 75 cl
tea bags 80 ct => +80 | tea bags
2 boxes tea bags 80 ct => +2 box | tea bags | 80 ct

## units people use | dmy
3 pots basil => +3 pot | basil
2 punnets strawberries => +2 punnet | strawberries
1 sack potatoes => +1 sack | potatoes
30 capsules fish oil => +30 capsule | fish oil
500 sheets paper => +500 sheet | paper
2 reams paper => +2 ream | paper
1 block feta => +1 block | feta
3 bunches dill => +3 bunch | dill
2 heads lettuce => +2 head | lettuce
2 tubs ice cream => +2 tub | ice cream
4 pairs socks => +4 pair | socks
2 sets sheets => +2 set | sheets
3 pkt yeast => +3 pack | yeast
3 pcs soap => +3 piece | soap
4 btls wine => +4 bottle | wine
2 buckets paint => +2 bucket | paint
6 pouches cat food => +6 pouch | cat food
2 reels thread => +2 reel | thread
5 skeins wool => +5 skein | wool
3 sachets yeast => +3 sachet | yeast
10 envelopes seeds => +10 envelope | seeds
2 stalks celery => +2 stalk | celery
3 cloves garlic => +3 clove | garlic
2 cartridges ink => +2 cartridge | ink
4 refills soap => +4 refill | soap
1 multipack crisps => +1 multipack | crisps
12 tablets aspirin => +12 tablet | aspirin
24 pills iron => +24 pill | iron
5 rolls => +5 | rolls
2 sheets => +2 | sheets
2 sheets blue => +2 | sheets blue
3 bowls white => +3 | bowls white
4 jars small => +4 | jars small
2 box files => +2 | box files
3 jar lids => +3 | jar lids
2 jars empty => +2 | jars empty
basil 3 pots => +3 pot | basil
paper 500 sheets => +500 sheet | paper
wine 4 btl => +4 bottle | wine
yeast 3 pkts => +3 pack | yeast
`;
