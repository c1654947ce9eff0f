/** Lines and their readings, fourth part: what a mutation check showed that the others do not hold. Our own making. */
export const EDGE_LINES = `
## edges: numbers | dmy
a quarter cabbage => +0.25 | cabbage
one quarter of a cabbage => +0.25 | cabbage
two thirds of a jar honey => +0.667 jar | honey
2 and three quarters jars honey => +2.75 jar | honey
1 and 1/2 jars honey => +1.5 jar | honey
3 3/4 jars honey => +3.75 jar | honey
2⅓ jars honey => +2.333 jar | honey
1/7 cabbage => + | 1/7 cabbage | ?leftover
5/4 cabbages => + | 5/4 cabbages | ?leftover
half an onion => +0.5 | onion
one half onion => +0.5 | onion
point five kg flour => +0.5 kg | flour
one thousand screws => +1000 | screws
two thousand and five screws => +2005 | screws
three hundred twenty screws => +320 | screws
twenty-one eggs => +21 | eggs
1,500,000 pins => + | 1,500,000 pins | ?leftover
1.5.3 cable => + | 1.5.3 cable | ?leftover
12345678 pins => + | 12345678 pins | ?leftover
.1234 kg flour => + | 1234 kg flour | ?leftover
tomatoes .75 kg => + | tomatoes | 0.75 kg
~ 12 forks => +12 | forks
exactly 12 forks => +12 | forks
approx 2 kg rice => +2 kg | rice
qty: 6 forks => +6 | forks
forks quantity 6 => +6 | forks
forks times 6 => + | forks times 6 | ?number_in_name

## edges: measures and packs | dmy
floor mat 3 sq ft => + | floor mat | 3 sq ft
pan 12" steel => + | pan 12" steel
5 ft 2 in pole => + | 5 ft 2 in pole
1 kg 500 g flour => +1500 g | flour
2 l 500 ml juice => +2500 ml | juice
2 bot. wine => +2 bottle | wine
3 pkts. yeast => +3 pack | yeast
2 cases cola => +2 case | cola
2 cases (24) cola => +48 | cola
2 trays with 12 yoghurts => +24 | yoghurts
box containing 6 glasses => +6 | glasses
case of 6 x 75 cl wine => +6 | wine | 75 cl
2 cases of 6 x 75 cl wine => +12 | wine | 75 cl
1 set of sheets => +1 set | sheets
2 x 12 eggs => +24 | eggs
2 x 3 rolls foil => +6 roll | foil
3x5x2 boxes => + | 3x5x2 boxes
30x40x20 cm crate => + | crate | 3000x4000x2000 sides
2 crates 30x40x20 => +2 | crates 30x40x20
2 x 3 m rope => +2 | rope | 3 m | ?which_reading
6 tins tuna 80 g ea => +6 tin | tuna | 80 g
tuna 80 g each 6 tins => +6 tin | tuna | 80 g
6 x tuna 80 g => +6 | tuna | 80 g
AAA batteries 4-pack x2 => +8 | AAA batteries
toilet rolls 2x12 => + | toilet rolls 2x12 | ?which_reading
tea bags 2 boxes x 50 => +100 | tea bags
bin liners 35l 3 rolls of 20 => +60 | bin liners | 35 l
6 cartons oj 1l each => +6 carton | oj | 1 l
washing powder 40 washes => + | washing powder | 40 washes

## edges: numbers of names | dmy
no.5 => + | no.5
nr 12 filter => + | nr 12 filter
7-grain bread => + | 7-grain bread
4-way adapter => + | 4-way adapter
18 °C wine => + | 18 °C wine
vol 3 encyclopedia => + | vol 3 encyclopedia
mp3 player => + | mp3 player
3d glasses 2 pairs => +2 pair | 3d glasses
1st aid kit => + | 1st aid kit
bike lights 2 w => + | bike lights 2 w
syrup 5 mg/5 ml 100 ml => + | syrup 5 mg/5 ml | 100 ml
6 place mats => +6 | place mats
2 pocket knives => +2 | pocket knives
4 drawer cabinet => + | 4 drawer cabinet
cling film 30 cm x 50 m => + | cling film 30 cm x 50 m
torch 1 w/ batteries => + | torch 1 w/ batteries | ?number_in_name

## edges: the home's things | dmy | home
used rice => - kg | rice | * | ?how_many
rice exp 3/27 => + kg | rice | bb 2027-03-31 | * | ?how_many
rice opened => + | rice | opened 2026-11-25 | *
out of rice => =0 | rice | *
berries frozen 500 g => +500 g | berries | frozen 2026-11-25 | *
2 packs rice 500 g => +1 kg | rice | 500 g | *
1 case of 12 water => +12 | water | *
bread =2 loaves => =2 loaf | bread | *
2 in 1 shampoo 400 ml x2 => +2 | 2 in 1 shampoo | 400 ml | *
flour 1.5kg bb 12.27 => +1.5 kg | flour | bb 2027-12-31 | *
half a kilo of berries => +0.5 kg | berries | *

## edges: words | dmy
all the bread is gone => =0 | bread
we're out of coffee => =0 | coffee
need coffee => + | need coffee | ?leftover
coffee low => + | coffee low | ?leftover
low fat milk => + | low fat milk
milk half empty => + | milk half empty | ?leftover
dog food 10 kg, half used => + | dog food half used | 10 kg | ?leftover
gave 3 jars of jam => -3 jar | jam | given_away
just 2 candles => =2 | candles
last sponge => =0 | sponge | ?which_reading
took last sponge => =0 | sponge
last 2 sponges used => -2 | sponges
2 left gloves => =2 | gloves | ?which_reading
used the rest of the flour => =0 | flour
opened a new jar of mustard => + jar | mustard | opened 2026-11-25
bread all eaten => =0 | bread
potatoes harvested october 5kg => + | potatoes | 5 kg | harvested 2026-10-01
5 december eggs => + | eggs | ?date_meaning
soup, best by mar 2028, 4 cans => +4 can | soup | bb 2028-03-31
opened two days ago milk => + | milk | opened 2026-11-23
1 lasagne eaten yesterday => -1 | lasagne | ?date_meaning
2 candles left over from xmas => =2 | candles from xmas
cumin;2 jars;exp 2027 => +2 jar | cumin | bb 2027-12-31
2 candles BL1B3X => +2 | candles | @BL1B3X
2 candles in bl1 b3x => +2 | candles | @BL1B3X
2 candles bl1 b3y => +2 | candles | ?which_place
2 candles (BL1-B3X) => +2 | candles | @BL1B3X
2 candles at BL1-B3X, #xmas => +2 | candles | @BL1B3X | #xmas

## edges: shares, shares of what is there, who got it | dmy | home
2% milk 1 gallon => + | 2% milk | 1 gal
70% alcohol 500 ml x2 => +2 | 70% alcohol | 500 ml
half and half 1 pint => + | half and half | 1 pt
2 half and half => +2 | half and half
20ish candles => +20 | candles
20-ish candles => +20 | candles
opened olive oil 3 days ago => + | olive oil | opened 2026-11-22 | *
cooked chili yesterday => + | chili | cooked 2026-11-24
made jam 3 jars 2 days ago => +3 jar | jam | made 2026-11-23
gave 3 eggs to our neighbour => -3 | eggs | given_away | *
used half the rice => - kg | rice | * | ?how_many
half the eggs used => - | eggs | * | ?how_many
used all the rice => =0 | rice | *
## edges: signs, packs and noughts | dmy | home
tea bags 2x80 => + | tea bags 2x80 | ?which_reading
screws 4x40 => + | screws 4x40
duvet 135x200 => + | duvet 135x200
eggs-1 => -1 | eggs | * | ?which_reading
omega-3 60 caps => +60 capsule | omega-3
pasta flour 00 1kg => + | pasta flour 00 | 1 kg
stock take: 5 eggs => =5 | eggs | *
inventory eggs 5 => =5 | eggs | *
recount eggs 5 => =5 | eggs | *
1 000 screws => +1000 | screws
got 5 tins tomatoes left => =5 tin | tomatoes | *
dropped 1 jar jam => -1 jar | jam | broken
cleaning vinegar 5 l canister => +5 l | cleaning vinegar | 5 l | *
milk all used up => =0 | milk | *
## sides | dmy
paddle 160 x 20 x 8 cm => + | paddle | 16000x2000x800 sides
paddle 160x20x8 cm => + | paddle | 16000x2000x800 sides
paddle 160×20×8cm => + | paddle | 16000x2000x800 sides
4 paddles 160 x 20 x 8 cm @BL1-B3X => +4 | paddles | 16000x2000x800 sides | @BL1B3X
4 paddles, 1.6 m x 20 cm x 8 cm => +4 | paddles | 16000x2000x800 sides
suitcase 700 x 480 x 280 mm #travel => + | suitcase | 7000x4800x2800 sides | #travel
tent bag 1,2 x 0,3 x 0,3 m => + | tent bag | 12000x3000x3000 sides
crate 24 x 16 x 12 in => + | crate | 6096x4064x3048 sides
crate 24" x 16" x 12" => + | crate | 6096x4064x3048 sides
crate 24 x 16 x 12 in #boat => + | crate | 6096x4064x3048 sides | #boat
160 x 20 x 8 cm paddle x 4 => +4 | paddle | 16000x2000x800 sides
batten 20 x 40 x 2400 => + | batten 20 x 40 x 2400
2 x 6 x 330 ml cola => +12 | cola | 330 ml

## sides in the names of things | dmy | home
2 box 30 x 40 x 20 cm => +2 | box 30 x 40 x 20 cm | *
3 boxes 30 x 40 x 20 cm => +3 | boxes 30 x 40 x 20 cm | *
box 50 x 40 x 20 cm => + | box | 5000x4000x2000 sides
-1 box 30 x 40 x 20 cm => -1 | box 30 x 40 x 20 cm | *
knives 28 x 4 x 3 cm => + | knives | 2800x400x300 sides | *

## batches | dmy | home
6 tins tomatoes 400 g exp 3/27 batch L2231 => +6 tin | tomatoes | 400 g | bb 2027-03-31 | batch L2231 | *
eggs batch 4711 => + | eggs | batch 4711 | *
batch no. 12-A/7 milk => + | milk | batch 12-A/7 | *
2 milk lot: 26091B opened today => +2 | milk | opened 2026-11-25 | batch 26091B | *
tomatoes lot #7 use by 30 nov => + | tomatoes | ub 2026-11-30 | batch 7 | *
milk batch L2026-11-30 => + | milk | batch L2026-11-30 | *
parking lot tokens 4 => +4 | parking lot tokens
a lot of eggs => + | eggs | * | ?how_many
batch cooked chili => + | batch cooked chili
`;
