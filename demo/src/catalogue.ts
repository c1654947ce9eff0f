/**
 * The ferry house: an invented home of three generations on a river. Everything here is made up.
 *
 * A bin is written `name | look | width cm | height cm | lid | things`, a thing
 * `name; unit; how many; pack size; days it keeps; used per month; low mark; more`, parts at the end may be left out.
 * `more` holds `#tag`, `=synonym`, `o5` (keeps five days opened), `f3` (three months in a freezer).
 */
import type { BinLook, ShelfKind, SpaceKind } from '@ours/core';

export interface CataloguePerson {
  name: string;
  role: 'adult' | 'child' | 'helper';
  age: number | null;
  reachCm: number | null;
  note: string;
}
export interface CatalogueShelf {
  kind: ShelfKind;
  name?: string;
  /** Centimetres; the surface above the foot of the space. */
  bottom?: number;
  left?: number;
  width?: number;
  height?: number;
  depth?: number;
  /** Lies on holes and can be moved. */
  adjustable?: boolean;
  /** What it is for, and what belongs there. */
  purpose?: { words: string; takes: string[] };
  loadKg?: number;
  surface?: 'solid' | 'wire';
  lip?: number;
  bins: string[];
  /** Things without a bin. */
  loose?: string;
}
export interface CatalogueSpace {
  room: string;
  name: string;
  kind: SpaceKind;
  size: [width: number, height: number, depth: number];
  post?: number;
  /** Corner posts, front to back. */
  postDepth?: number;
  /** Centimetres: hole pitch, the lowest hole above the foot, thickness of a board. */
  holes?: [pitch: number, first: number, board: number];
  /** Clear way in through the door frame. */
  opening?: [width: number, height: number];
  hinge?: 'left' | 'right';
  loadKg?: number;
  locked?: boolean;
  note?: string;
  shelves: CatalogueShelf[];
}

export const PEOPLE: CataloguePerson[] = [
  { name: 'Runa', role: 'adult', age: 38, reachCm: 205, note: '' },
  { name: 'Eskil', role: 'adult', age: 41, reachCm: 220, note: '' },
  { name: 'Tove', role: 'child', age: 9, reachCm: 160, note: '' },
  { name: 'Pim', role: 'child', age: 4, reachCm: 115, note: 'climbs' },
  { name: 'Alma', role: 'adult', age: 76, reachCm: 170, note: 'takes a prescription; no steps' },
  { name: 'Jonas', role: 'helper', age: null, reachCm: 210, note: 'Fridays' },
];

const TOWELS =
  'Bath towel, white; piece; 8 | Bath towel, river blue; piece; 6 | Hand towel, white; piece; 10 | Guest towel, linen; piece; 6; ; ; ; ; #guest';

export const SPACES: CatalogueSpace[] = [
  {
    room: 'Boat loft',
    name: 'Rack 1',
    kind: 'storage_rack',
    size: [180, 210, 50],
    post: 3.5,
    postDepth: 3.5,
    loadKg: 250,
    note: 'Anchored to the rafters. 250 kg in all.',
    shelves: [
      {
        kind: 'shelf',
        loadKg: 60,
        bottom: 164,
        height: 40,
        bins: [
          'garden cushions | closed | 52 | 30 | | Garden cushion, striped; piece; 6; ; ; ; ; #garden | Bench pad; piece; 2; ; ; ; ; #garden',
          'hammock | closed | 52 | 30 | | Hammock; piece; 1; ; ; ; ; #garden | Hammock rope; piece; 2 | Shade cloth; piece; 1; ; ; ; ; #garden',
          'picnic rugs | woven | 54 | 24 | | Picnic rug; piece; 3; ; ; ; ; #picnic | Enamel picnic plate; piece; 8; ; ; ; ; #picnic | Thermos jug; piece; 2; ; ; ; ; #picnic',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 60,
        bottom: 122,
        height: 40,
        bins: [
          'paper lanterns | see_through | 40 | 34 | lid | Paper lantern, midsummer; piece; 24; ; ; ; ; #midsummer =lampion | Lantern frame, spare; piece; 4; ; ; ; ; #midsummer',
          'lantern wire | see_through | 40 | 34 | lid | Lantern wire hook; piece; 60; ; ; ; 20; #midsummer | Binding wire; roll; 2; 20 m | Pliers, small; piece; 1',
          'tea lights | see_through | 40 | 34 | lid | Tea lights; pack; 2; 50 ct; ; 0.6; 2; #midsummer | Glass holder; piece; 12; ; ; ; ; #midsummer | Long matches; box; 3; ; ; 0.2; 1; =firelighters',
          'spare lanterns | kept_free | 38 | 28 | |',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 60,
        bottom: 80,
        height: 40,
        bins: [
          'harvest bunting | slatted | 80 | 33 | | Harvest-fair bunting; piece; 9; 10 m; ; ; ; #harvest | Bunting, small flags; piece; 4; 5 m; ; ; ; #harvest | Corn wreath; piece; 3; ; ; ; ; #harvest',
          'fair table cloths | slatted | 82 | 33 | | Fair table cloth, checked; piece; 6; ; ; ; ; #harvest | Table clips; piece; 24; ; ; ; ; #harvest | Price signs; set; 1; ; ; ; ; #harvest',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 60,
        bottom: 42,
        height: 36,
        bins: [
          'lamp oil | see_through | 52 | 24 | lid | Lamp oil; bottle; 2; 1 l; 900; 0.1; 1; | Wick; piece; 6; ; ; ; 2 | Funnel; piece; 1 | Lamp glass; piece; 3; ; ; ; ; #fragile | Storm lantern; piece; 2; ; ; ; ; #midsummer',
          'party glass | closed | 52 | 26 | | Wine glass; piece; 18; ; ; ; ; #party #fragile | Water carafe; piece; 3; ; ; ; ; #party #fragile',
          'party plates | closed | 52 | 26 | | Large platter; piece; 4; ; ; ; ; #party | Cake stand; piece; 2; ; ; ; ; #party #fragile | Serving spoon; piece; 6; ; ; ; ; #party | Candle holder; piece; 5; ; ; ; ; #party | Punch bowl; piece; 1; ; ; ; ; #party #fragile',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 60,
        bottom: 6,
        height: 34,
        bins: [
          'canvas and tents | woven | 100 | 32 | | Family tent; piece; 1; ; ; ; ; #camping | Canvas sheet 3 × 4 m; piece; 2; ; ; ; ; #camping | Groundsheet; piece; 3; ; ; ; ; #camping',
          'tent pegs | slatted | 60 | 24 | | Tent pegs; piece; 46; ; ; ; 30; #camping | Mallet; piece; 1; ; ; ; ; #camping | Camp stove; piece; 1; ; ; ; ; #camping | Sleeping mat; piece; 4; ; ; ; ; #camping | Guy line; piece; 12; 3 m; ; ; ; #camping',
        ],
      },
    ],
  },
  {
    room: 'Boat loft',
    name: 'Rack 2',
    kind: 'storage_rack',
    size: [150, 210, 50],
    post: 3.5,
    postDepth: 3.5,
    loadKg: 200,
    shelves: [
      {
        kind: 'shelf',
        loadKg: 50,
        bottom: 166,
        height: 40,
        bins: [
          'winter hats | closed | 46 | 28 | | Wool hat; piece; 7; ; ; ; ; #winter | Mittens; pair; 8; ; ; ; ; #winter | Scarf; piece; 6; ; ; ; ; #winter | Wool socks; pair; 9; ; ; ; ; #winter',
          'ice cleats | closed | 46 | 28 | | Ice cleats; pair; 4; ; ; ; ; #winter | Snow shovel, child; piece; 1; ; ; ; ; #winter',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 50,
        bottom: 126,
        height: 38,
        bins: [
          'life jackets | see_through | 64 | 32 | | Life jacket, adult; piece; 4; ; ; ; ; #boat | Life jacket, child; piece; 3; ; ; ; ; #boat | Whistle; piece; 5; ; ; ; ; #boat',
          'ropes | slatted | 60 | 30 | | Mooring rope; piece; 3; 12 m; ; ; ; #boat | Fender; piece; 4; ; ; ; ; #boat | Boat hook; piece; 1; ; ; ; ; #boat',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 50,
        bottom: 86,
        height: 38,
        bins: [
          'fishing | closed | 50 | 26 | | Spinning rod; piece; 3; ; ; ; ; #fishing | Pike lure; piece; 14; ; ; ; ; #fishing | Hooks, mixed; piece; 35; ; ; ; ; #fishing | Float; piece; 8; ; ; ; ; #fishing | Bait box; piece; 2; ; ; ; ; #fishing | Fishing line; roll; 2; 150 m; ; ; ; #fishing | Landing net; piece; 1; ; ; ; ; #fishing',
          'paint | closed | 50 | 26 | lid | Boat paint, white; tin; 1; 750 ml; 700 | Varnish; tin; 2; 1 l; 700 | Brush, 50 mm; piece; 5 | Sandpaper; piece; 20; ; ; ; 5',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 50,
        bottom: 44,
        height: 40,
        bins: [
          'school archive | closed | 44 | 30 | lid | Drawings, Tove; box; 2; ; ; ; ; #papers | GroupBy books, first years; piece; 11; ; ; ; ; #papers',
          'small toys | see_through | 44 | 30 | lid | Wooden train; set; 1; ; ; ; ; #toys | Building blocks; piece; 120; ; ; ; ; #toys | Puzzle; piece; 6; ; ; ; ; #toys | Marbles; piece; 40; ; ; ; ; #toys | Toy boat; piece; 3; ; ; ; ; #toys | Card game; piece; 4; ; ; ; ; #toys',
          'baby things | closed | 40 | 30 | lid | Baby blanket; piece; 3 | Cot sheet; piece; 4',
        ],
      },
      {
        kind: 'shelf',
        loadKg: 50,
        bottom: 6,
        height: 36,
        bins: [
          'oars and poles | kept_free | 60 | 20 | | Paddle; piece; 4; ; ; ; ; #boat',
          'coal and kindling | woven | 70 | 30 | | Charcoal; bag; 2; 5 kg; ; 0.3; 1 | Kindling; bag; 3; ; ; 0.8; 2 | Grill lighter cubes; pack; 1; ; ; 0.2; 1',
        ],
      },
    ],
  },
  {
    room: 'Stairs',
    name: 'Stair press',
    kind: 'closet',
    size: [92, 204, 42],
    post: 2,
    holes: [3.2, 10.2, 1.8],
    opening: [86, 198],
    hinge: 'left',
    note: 'Linen. The top shelf is out of Alma’s reach.',
    shelves: [
      {
        kind: 'shelf',
        adjustable: true,
        purpose: { words: 'guests', takes: ['guest'] },
        bottom: 172,
        height: 28,
        bins: [
          'guest quilts | closed | 84 | 25 | | Guest quilt; piece; 3; ; ; ; ; #guest | Guest pillow; piece; 4; ; ; ; ; #guest',
        ],
      },
      {
        kind: 'shelf',
        adjustable: true,
        bottom: 140,
        height: 30,
        bins: [
          `towels | woven | 42 | 24 | | ${TOWELS}`,
          'kitchen linen | woven | 40 | 24 | | Tea towel; piece; 14 | Apron; piece; 3 | Bread cloth; piece; 4 | Jar cover; piece; 6 | Oven cloth; piece; 5',
        ],
      },
      {
        kind: 'shelf',
        adjustable: true,
        bottom: 108,
        height: 30,
        bins: [
          'double sheets | closed | 42 | 24 | | Double sheet; piece; 4 | Double cover; piece; 4 | Pillowcase; piece; 12',
          'single sheets | closed | 40 | 24 | | Single sheet; piece; 8 | Single cover; piece; 8 | Cot cover; piece; 2',
        ],
      },
      {
        kind: 'shelf',
        adjustable: true,
        bottom: 76,
        height: 30,
        bins: [
          'table linen | slatted | 84 | 22 | | Table cloth, long; piece; 3 | Napkin, linen; piece; 24; ; ; ; ; #party | Table runner; piece; 2',
        ],
      },
      {
        kind: 'shelf',
        adjustable: true,
        bottom: 44,
        height: 30,
        bins: [
          'wool blankets | woven | 42 | 26 | | Wool blanket; piece; 5 | Throw; piece; 2',
          'mending | see_through | 36 | 18 | lid | Thread, white; roll; 4 | Thread, black; roll; 3 | Buttons, mixed; piece; 85 | Iron-on patch; piece; 7 | Needle book; piece; 1 | Elastic, 6 mm; roll; 2; 10 m | Zip, 20 cm; piece; 5 | Hook and eye; piece; 14 | Tape measure; piece; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 4,
        height: 38,
        bins: [
          'swim things | closed | 44 | 28 | | Swim towel; piece; 6; ; ; ; ; #summer | Swim shoes; pair; 4; ; ; ; ; #summer',
          'rag bag | woven | 36 | 30 | | Cleaning rag; piece; 30; ; ; 1; 10',
        ],
      },
      {
        kind: 'door_rack',
        name: 'door rack, upper',
        bottom: 130,
        height: 30,
        bins: ['lavender | woven | 20 | 14 | | Lavender sachet; piece; 6; ; 400; 0.2; 2 | Cedar block; piece; 4'],
      },
      {
        kind: 'door_rack',
        name: 'door rack, lower',
        bottom: 60,
        height: 40,
        bins: ['lint and pins | see_through | 20 | 12 | | Lint roller; piece; 2; ; ; 0.2; 1 | Safety pins; piece; 40'],
      },
    ],
  },
  {
    room: 'Wash room',
    name: 'Wash-room cupboard',
    kind: 'cupboard',
    size: [100, 200, 40],
    post: 2,
    note: 'Cleaners stand above Pim’s reach; the door has a catch.',
    shelves: [
      {
        kind: 'shelf',
        bottom: 158,
        height: 38,
        bins: [
          'strong cleaners | closed | 44 | 28 | lid | Chlorine bleach; bottle; 1; 1 l; 365; 0.2; 1; #chemical | Drain cleaner; bottle; 1; 500 ml; 900; 0.05; ; #chemical | Limescale remover; bottle; 2; 750 ml; 900; 0.3; 1; #chemical',
          'polish | closed | 44 | 24 | | Wood polish; tin; 1; 400 ml; 900; 0.1; | Silver cloth; piece; 2 | Glass cleaner; bottle; 2; 750 ml; 900; 0.4; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 118,
        height: 38,
        bins: [
          'washing, in order | see_through | 92 | 26 | | Stain remover; bottle; 1; 500 ml; 900; 0.3; 1 | Detergent canister; canister; 1; 1 l; ; ; | Wool detergent; bottle; 1; 750 ml; 900; 0.3; 1 | Fabric rinse; bottle; 1; 1 l; 900; 0.4; 1 | Dosing cap; piece; 2',
        ],
      },
      {
        kind: 'shelf',
        bottom: 66,
        height: 50,
        bins: [
          'dish and tabs | see_through | 40 | 28 | | Dishwasher tablets; piece; 9; ; 900; 22; 15 | Dishwasher salt; box; 1; 1.5 kg; ; 0.3; 1 | Washing-up liquid; bottle; 2; 500 ml; 900; 0.9; 1',
          'hand wash waiting | woven | 46 | 30 | | Wool jumper, to wash; piece; 2',
        ],
      },
      {
        kind: 'hook_rail',
        name: 'hook rail',
        bottom: 42,
        height: 20,
        bins: [],
        loose: 'Broom; piece; 1 | Dustpan; piece; 1 | Mop; piece; 1 | Step stool, folding; piece; 1',
      },
      {
        kind: 'floor',
        bottom: 2,
        height: 38,
        bins: [
          'bulk detergent | closed | 40 | 34 | | Detergent, bulk bottle; bottle; 2; 5 l; 900; 0.35; 1',
          'paper | woven | 48 | 34 | | Toilet paper; roll; 14; ; ; 16; 8 | Kitchen paper; roll; 4; ; ; 3; 2 | Tissues; box; 5; ; ; 2; 2',
        ],
      },
    ],
  },
  {
    room: 'Back porch',
    name: 'Porch freezer',
    kind: 'chest_freezer',
    size: [96, 86, 60],
    post: 5,
    shelves: [
      {
        kind: 'hanging_basket',
        name: 'left basket',
        left: 0,
        bottom: 50,
        width: 42,
        height: 24,
        depth: 48,
        bins: [
          'bread, ice, berries | slatted | 42 | 22 | | Rye bread; loaf; 3; 750 g; 90; 5; 2; f3 | Blueberries; bag; 6; 500 g; 300; 1.5; 2; f10 | Raspberries; bag; 3; 500 g; 300; 1; ; f10 | Ice cubes; bag; 2; ; ; 1; | Elderflower ice; piece; 6; ; 200; 2; ; f6',
        ],
      },
      {
        kind: 'hanging_basket',
        name: 'right basket',
        left: 43,
        bottom: 50,
        width: 42,
        height: 24,
        depth: 48,
        bins: [
          'soups, butter | slatted | 42 | 22 | | Pea soup; portion; 4; 400 ml; 88; 3; ; f3 | Nettle soup; portion; 3; 400 ml; 88; 2; ; f3 | Butter; pack; 5; 250 g; 200; 4; 2; f9 | Stock, chicken; tub; 4; 500 ml; 120; 2; 1; f4',
        ],
      },
      {
        kind: 'floor',
        name: 'under the baskets',
        left: 0,
        width: 66,
        bottom: 0,
        height: 48,
        depth: 50,
        bins: [
          'fish | see_through | 15 | 36 | | Pike fillet; pack; 5; 300 g; 170; 1.5; 2; f6 | Smoked eel; pack; 2; 200 g; 80; 0.6; ; f2 | Trout, whole; piece; 4; ; 170; 1; ; f6',
          'game | see_through | 15 | 36 | | Venison stew meat; pack; 4; 600 g; 300; 1; 1; f10 | Wild boar sausage; pack; 3; 400 g; 55; 1; ; f2 | Duck; piece; 2; ; 300; 0.3; ; f12',
          'stock and bones | see_through | 15 | 36 | | Bones; bag; 2; 1 kg; 300; 0.5; ; f10 | Vegetable ends; bag; 3; ; 300; 0.5; ; f10',
          'greens | see_through | 15 | 36 | | Peas; bag; 4; 750 g; 300; 2; 2; f10 =garden peas | Kale; bag; 5; 400 g; 300; 1.5; ; f10 | Beans, cut; bag; 3; 500 g; 300; 1; ; f10 | Dill; tub; 2; ; 300; 0.5; ; f8',
        ],
      },
      {
        kind: 'floor',
        name: 'on the step',
        left: 66,
        width: 20,
        bottom: 28,
        height: 20,
        depth: 50,
        bins: [
          'dough and pastry | closed | 20 | 14 | | Pizza dough; piece; 4; 250 g; 55; 2; ; f2 | Puff pastry; pack; 2; 275 g; 170; 0.6; ; f6',
        ],
      },
    ],
  },
  {
    room: 'Kitchen',
    name: 'Refrigerator',
    kind: 'refrigerator',
    size: [70, 190, 65],
    post: 4,
    note: 'Above: 4 °C. Drawers below: −18 °C.',
    shelves: [
      {
        kind: 'shelf',
        name: 'top shelf',
        bottom: 158,
        height: 24,
        bins: [],
        loose:
          'Leftover stew; tub; 2; 400 ml; 4; 6; ; o3 | Jam, open; jar; 2; 370 g; 300; 1; ; o40 | Mustard; jar; 1; 200 g; 300; 0.3; ; o90 | Pickled cucumber; jar; 2; 670 g; 400; 0.6; ; o30 | Horseradish; jar; 1; 140 g; 200; 0.3; ; o30',
      },
      {
        kind: 'shelf',
        name: 'middle shelf',
        bottom: 130,
        height: 24,
        bins: [
          'breakfast tray | slatted | 30 | 10 | | Cheese, sliced; pack; 3; 200 g; 28; 6; 1; o5 | Liver paste; tin; 2; 150 g; 60; 2; ; o4 | Cured ham; pack; 2; 120 g; 30; 3; ; o4 | Butter, on the table; pack; 1; 250 g; 60; 4; ; o20',
        ],
        loose:
          'Eggs; piece; 11; ; 24; 42; 8 | Yoghurt, plain; tub; 3; 500 g; 21; 8; 1; o5 | Cream; carton; 2; 250 ml; 14; 4; 1; o4',
      },
      {
        kind: 'drawer',
        name: 'cold drawer',
        bottom: 104,
        height: 22,
        bins: [
          'raw, lowest | see_through | 56 | 16 | lid | Minced beef; pack; 1; 500 g; 3; 4; | Chicken pieces; pack; 1; 800 g; 3; 3; | Smoked trout; pack; 2; 150 g; 12; 2; ',
        ],
      },
      {
        kind: 'drawer',
        name: 'vegetable drawer',
        bottom: 80,
        height: 22,
        bins: [
          'vegetables | see_through | 56 | 18 | | Carrots; bag; 2; 1 kg; 28; 4; 1 | Leek; piece; 3; ; 14; 6; | Apples; piece; 9; ; 40; 30; 4 | Lettuce; head; 1; ; 6; 5; | Beetroot; bag; 1; 1 kg; 40; 1.5; ',
        ],
      },
      {
        kind: 'drawer',
        name: 'freezer drawer 1',
        bottom: 54,
        height: 22,
        bins: [
          'this week | see_through | 56 | 18 | | Soup, this week; portion; 3; 400 ml; 80; 4; ; f3 | Bread rolls; bag; 2; ; 80; 3; 1; f3 | Fish fingers; pack; 1; 450 g; 200; 1.5; 1; f8',
        ],
      },
      {
        kind: 'drawer',
        name: 'freezer drawer 2',
        bottom: 30,
        height: 22,
        bins: [
          'vegetables, frozen | see_through | 56 | 18 | | Spinach; bag; 2; 450 g; 300; 2; 1; f10 | Herbs, mixed; tub; 2; 50 g; 300; 1; ; f8 | Peas, kitchen; bag; 1; 750 g; 300; 2; 1; f10',
        ],
      },
      {
        kind: 'drawer',
        name: 'freezer drawer 3',
        bottom: 6,
        height: 22,
        bins: [
          'ice and treats | see_through | 56 | 18 | | Ice cream, vanilla; tub; 1; 1 l; 250; 1.5; 1; f8 | Ice pops; piece; 8; ; 300; 6; 4; f10 | Cold pack; piece; 3',
        ],
      },
      {
        kind: 'door_rack',
        name: 'door, top',
        bottom: 140,
        height: 20,
        bins: [],
        loose:
          'Yeast, fresh; block; 2; 42 g; 18; 2; | Lemon juice; bottle; 1; 200 ml; 200; 0.4; ; o30 | Eye drops; bottle; 1; 10 ml; 200; 0.2; ; o28',
      },
      {
        kind: 'door_rack',
        name: 'door, middle',
        bottom: 90,
        height: 24,
        bins: [],
        loose:
          'Milk; carton; 4; 1 l; 9; 16; 2; o4 | Oat drink; carton; 1; 1 l; 120; 3; 1; o5 | Apple juice; bottle; 2; 1 l; 200; 3; 1; o7',
      },
      {
        kind: 'door_rack',
        name: 'door, low',
        bottom: 30,
        height: 34,
        bins: [],
        loose:
          'Mineral water; bottle; 5; 1 l; 400; 12; 4 | White wine; bottle; 1; 750 ml; ; 1; | Cordial, elderflower; bottle; 2; 500 ml; 300; 1; ; o30',
      },
    ],
  },
  {
    room: 'Cellar',
    name: 'Supply rack',
    kind: 'storage_rack',
    size: [160, 200, 45],
    post: 3.5,
    note: 'Reserve for ten days. Floor is damp: nothing below 10 cm.',
    shelves: [
      {
        kind: 'shelf',
        bottom: 160,
        height: 36,
        bins: [
          'candles and light | closed | 50 | 26 | lid | Candle, household; piece; 20; ; ; 1; 8 | Torch; piece; 2 | Battery AA; piece; 16; ; 1800; 2; 8 | Battery AAA; piece; 10; ; 1800; 1.5; 4 | Wind-up radio; piece; 1',
          'jars, empty | see_through | 60 | 28 | | Jar, 500 ml; piece; 18 | Jar lid; piece; 20; ; ; ; 6 | Bottle, swing top; piece; 7',
        ],
      },
      {
        kind: 'shelf',
        bottom: 120,
        height: 38,
        bins: [
          'tins, vegetables | slatted | 48 | 24 | | Tomatoes, chopped; tin; 12; 400 g; 800; 7; 6 | Sweetcorn; tin; 5; 300 g; 900; 1.5; 2 | Chickpeas; tin; 6; 400 g; 900; 2; 2 | Peas, tin; tin; 4; 400 g; 900; 0.8; 1 | Kidney beans; tin; 5; 400 g; 900; 1.2; 2 | Beans, white; tin; 6; 400 g; 900; 2; 2 | Tomato paste; tube; 3; 200 g; 500; 1; 1',
          'tins, fish and meat | slatted | 48 | 24 | | Tuna; tin; 7; 185 g; 1000; 2.5; 3 | Sardines; tin; 6; 120 g; 1000; 1.5; 2 | Mackerel in tomato; tin; 6; 125 g; 1000; 1.5; 2 | Corned beef; tin; 3; 340 g; 1200; 0.5; 1',
          'preserves | closed | 46 | 24 | | Plum jam; jar; 9; 370 g; 700; 1.2; 3 | Apple sauce; jar; 7; 500 g; 500; 1.2; 2 | Beetroot, pickled; jar; 5; 500 g; 500; 0.8; 2 | Honey; jar; 4; 500 g; 900; 0.7; 1 | Rhubarb compote; jar; 5; 500 g; 500; 0.8; 2 | Blackcurrant jelly; jar; 4; 250 g; 600; 0.6; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 80,
        height: 38,
        bins: [
          'pasta and rice | see_through | 48 | 26 | lid | Spaghetti; pack; 6; 500 g; 700; 4; 3 | Macaroni; pack; 4; 500 g; 700; 2.5; 2 | Rice, long grain; bag; 3; 2 kg; 700; 1.2; 1 | Couscous; pack; 2; 500 g; 600; 0.6; 1',
          'flour and sugar | closed | 48 | 26 | lid | Wheat flour; bag; 6; 1 kg; 270; 4; 3 | Rye flour; bag; 3; 1 kg; 240; 2; 1 | Sugar; bag; 4; 1 kg; 1500; 1.5; 2 | Salt; pack; 3; 500 g; ; 0.4; 1',
          'oil and vinegar | see_through | 44 | 30 | | Rapeseed oil; bottle; 4; 1 l; 400; 1.5; 2 | Olive oil; bottle; 2; 750 ml; 500; 0.8; 1 | Vinegar, cider; bottle; 3; 750 ml; 900; 0.5; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 44,
        height: 34,
        bins: [
          'drinks | slatted | 70 | 28 | | Apple juice, reserve; bottle; 8; 1 l; 400; 3; 4 | Elderflower cordial; bottle; 6; 500 ml; 500; 1; 2 | Small beer; bottle; 14; 330 ml; 200; 6; 6',
          'coffee and tea | closed | 60 | 24 | lid | Coffee, ground; pack; 4; 500 g; 300; 3; 2 | Black tea; box; 3; 100 g; 700; 0.6; 1 | Cocoa; tin; 2; 250 g; 500; 0.5; 1 | Peppermint tea; box; 2; 40 g; 500; 0.6; 1 | Rosehip tea; box; 2; 50 g; 500; 0.5; 1 | Coffee filters; pack; 2; 100 ct; ; 0.3; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 10,
        height: 32,
        bins: [
          'water reserve | slatted | 90 | 30 | | Drinking water; canister; 6; 5 l; 600; 0.2; 4; #reserve',
          'potatoes and onions | woven | 54 | 28 | | Potatoes; bag; 3; 5 kg; 90; 2; 1 | Onions; bag; 2; 2 kg; 80; 1.5; 1 | Garlic; head; 6; ; 90; 3; 2',
        ],
      },
    ],
  },
  {
    room: 'Kitchen',
    name: 'Pantry alcove',
    kind: 'closet',
    size: [110, 210, 36],
    post: 2,
    holes: [2, 10.2, 1.8],
    shelves: [
      {
        kind: 'shelf',
        bottom: 178,
        height: 28,
        bins: [
          'preserving | closed | 50 | 24 | | Preserving pan; piece; 1 | Muslin; piece; 3 | Gelling sugar; pack; 3; 500 g; 700; 0.3; 1',
          'party snacks | closed | 46 | 22 | lid | Paper cups; piece; 40; ; ; ; ; #party | Straws, paper; piece; 60; ; ; ; ; #party | Pretzels; bag; 2; 250 g; 120; 0.8; ',
        ],
      },
      {
        kind: 'shelf',
        bottom: 146,
        height: 30,
        bins: [
          'breakfast jars | see_through | 62 | 24 | lid | Rolled oats; kg; 0.4; ; 240; 1.6; 0.5 | Muesli; kg; 1.1; ; 180; 1; 0.4 | Raisins; kg; 0.35; ; 240; 0.2; 0.1 | Linseed; kg; 0.5; ; 240; 0.2; 0.1',
          'spreads | woven | 38 | 18 | | Peanut butter; jar; 1; 350 g; 300; 0.8; 1; o90 | Honey, table; jar; 1; 500 g; 900; 0.5; | Hazelnut spread; jar; 2; 400 g; 300; 1; 1',
        ],
      },
      {
        kind: 'shelf',
        bottom: 114,
        height: 30.2,
        adjustable: true,
        bins: [
          'baking | see_through | 52 | 22 | | Baking powder; sachet; 7; 15 g; 500; 3; 3 | Dry yeast; sachet; 9; 7 g; 500; 4; 4 | Vanilla sugar; sachet; 5; 8 g; 700; 2; 2 | Chocolate, dark; bar; 4; 100 g; 400; 3; 2 | Almonds, ground; bag; 2; 200 g; 200; 0.7; 1 | Icing sugar; pack; 1; 250 g; 900; 0.3; 1 | Cake sprinkles; jar; 2; ; 700; 0.1 | Raisins, bag; bag; 2; 200 g; 300; 0.6; 1 | Walnuts; bag; 2; 150 g; 180; 0.6; 1 | Desiccated coconut; bag; 1; 200 g; 300; 0.3; | Custard powder; sachet; 5; 40 g; 500; 1; 2 | Cornflour; pack; 1; 400 g; 600; 0.3; ',
          'stock and sauce | slatted | 48 | 22 | | Vegetable stock; jar; 1; 250 g; 500; 0.6; 1; o120 | Soy sauce; bottle; 1; 250 ml; 700; 0.3; ; o90 | Coconut milk; tin; 3; 400 ml; 700; 1.5; 2 | Mustard, reserve; jar; 2; 200 g; 500; 0.3; 1 | Mayonnaise; jar; 1; 250 ml; 150; 0.6; ; o30',
        ],
      },
      {
        kind: 'shelf',
        bottom: 82,
        height: 30.2,
        adjustable: true,
        bins: [
          'rice and lentils | see_through | 54 | 24 | lid | Rice, jar; kg; 1.2; ; 500; 1.2; 0.5 | Red lentils; kg; 0.8; ; 500; 0.6; 0.3 | Brown lentils; kg; 0.6; ; 500; 0.3; 0.2 | Pearl barley; kg; 0.7; ; 400; 0.3; 0.2',
          'spices | see_through | 46 | 14 | | Pepper, black; jar; 2; 50 g; 900; 0.2; 1 | Paprika; jar; 1; 50 g; 600; 0.15; | Caraway; jar; 1; 45 g; 700; 0.1; | Cinnamon; jar; 2; 40 g; 700; 0.2; 1 | Cardamom; jar; 1; 30 g; 600; 0.1; | Bay leaves; jar; 1; 10 g; 700; 0.1; | Nutmeg; jar; 1; 30 g; 900; 0.05; | Curry; jar; 1; 50 g; 500; 0.2; | Oregano; jar; 1; 15 g; 500; 0.2; | Juniper; jar; 1; 30 g; 700; 0.1;  | Thyme; jar; 1; 15 g; 500; 0.2; | Marjoram; jar; 1; 15 g; 500; 0.15; | Cloves; jar; 1; 30 g; 900; 0.05; | Turmeric; jar; 1; 45 g; 600; 0.1; | Chilli flakes; jar; 1; 35 g; 600; 0.1; | Fennel seed; jar; 1; 40 g; 700; 0.05; | Allspice; jar; 1; 40 g; 700; 0.05; | Mustard seed; jar; 1; 60 g; 900; 0.05; ',
        ],
      },
      {
        kind: 'shelf',
        bottom: 44,
        height: 36.2,
        bins: [
          'snacks for the children | woven | 46 | 20 | | Crispbread; pack; 3; 250 g; 200; 3; 1 | Oat biscuits; pack; 2; 300 g; 150; 4; 2 | Dried apple; bag; 3; 100 g; 200; 2; 1 | Rice cakes; pack; 2; 100 g; 200; 2; 1',
          'lunch boxes | see_through | 52 | 26 | | Lunch box; piece; 5 | Drinking bottle; piece; 6 | Bread paper; roll; 2; 20 m; ; 0.5; 1 | Freezer bag, 3 l; piece; 34; ; ; 10; 20',
        ],
      },
      {
        kind: 'floor',
        bottom: 2,
        height: 38,
        bins: [
          'cat | closed | 44 | 34 | lid | Cat food, dry; bag; 1; 4 kg; 300; 0.8; 1 | Cat food, tins; tin; 11; 200 g; 700; 20; 8 | Cat litter; bag; 2; 10 l; ; 1.5; 1',
          'deposit bottles | slatted | 50 | 30 | | Deposit bottle; piece; 13',
        ],
      },
    ],
  },
  {
    room: 'Upstairs hall',
    name: 'Medicine cupboard',
    kind: 'medicine_cupboard',
    size: [46, 66, 16],
    post: 1.5,
    locked: true,
    note: 'Locked. Key on the lintel. Read the package and ask a pharmacist or doctor.',
    shelves: [
      {
        kind: 'shelf',
        bottom: 44,
        height: 20,
        bins: [
          'Alma | closed | 18 | 14 | lid | Blood-pressure tablets; tablet; 46; ; 500; 30; 20; #prescription | Weekly dispenser; piece; 1',
          'fever and pain | see_through | 20 | 12 | | Paracetamol tablets; tablet; 14; 500 mg; 700; 4; 10 | Paracetamol syrup, child; bottle; 1; 100 ml; 400; 0.1; 1; o180 | Fever thermometer; piece; 1 | Thermometer covers; piece; 22; ; ; 1; 10',
        ],
      },
      {
        kind: 'shelf',
        bottom: 22,
        height: 20,
        bins: [
          'cold and throat | see_through | 20 | 12 | | Throat lozenges; piece; 18; ; 500; 4; 8 | Nasal spray, saline; bottle; 2; 20 ml; 500; 0.4; 1; o60 | Cough tea; box; 1; ; 500; 0.2',
          'stomach | see_through | 18 | 12 | | Rehydration powder; sachet; 5; ; 500; 0.3; 4 | Charcoal tablets; tablet; 20; ; 600; 0.4; 10',
        ],
      },
      {
        kind: 'shelf',
        bottom: 2,
        height: 18,
        bins: [
          'wounds | see_through | 40 | 12 | | Plasters; piece; 31; ; 1500; 8; 15 | Gauze; piece; 9; ; 1500; 0.5; 4 | Wound disinfectant; bottle; 1; 50 ml; 400; 0.1; 1; o180 | Elastic bandage; piece; 3 | Tick tweezers; piece; 2 | Sun cream; tube; 2; 200 ml; 500; 0.3; 1; o365 =sunscreen',
        ],
      },
    ],
  },
  {
    room: 'Van',
    name: 'Van first-aid kit',
    kind: 'vehicle',
    size: [60, 30, 40],
    post: 1,
    shelves: [
      {
        kind: 'shelf',
        bottom: 1,
        height: 27,
        bins: [
          'first-aid bag | closed | 34 | 22 | lid | First-aid leaflet; piece; 1 | Foil blanket; piece; 2; ; 1500 | Triangular bandage; piece; 2; ; 1500 | Wound dressing, large; piece; 3; ; 1500; ; 2 | Disposable gloves; pair; 4; ; 900; ; 2 | Plasters, van; piece; 12; ; 900; ; 8 | Scissors, blunt; piece; 1',
          'breakdown | closed | 18 | 20 | | Warning triangle; piece; 1 | High-visibility vest; piece; 3 | Torch, van; piece; 1 | Tow strap; piece; 1 | Fuse, spare; piece; 6 | Bulb, headlamp; piece; 2 | Ice scraper; piece; 1',
        ],
      },
    ],
  },
];

/** Bins that stand in other bins: the outer bin's name, then the inner bin as above. */
export const INNER_BINS: [outer: string, inner: string][] = [
  [
    'candles and light',
    'batteries | see_through | 18 | 12 | lid | Button cell; piece; 6; ; 1500; 0.2; 2 | Battery tester; piece; 1',
  ],
  ['mending', 'button tin | closed | 12 | 8 | lid | Buttons, pearl; piece; 18 | Press studs; piece; 12'],
  [
    'first-aid bag',
    'plaster pouch | closed | 14 | 8 | | Plaster roll; roll; 1; 5 m; 1200 | Blister plasters; piece; 6; ; 900',
  ],
];

/** Things that lie where they do not belong: the thing's name, then the bin it strayed to. */
export const STRAYED: [thing: string, bin: string][] = [
  ['Tea lights', 'table linen'],
  ['Torch', 'garden cushions'],
  ['Tea towel', 'swim things'],
  ['Mittens', 'rag bag'],
  ['Tomatoes, chopped', 'drinks'],
  ['Plasters', 'lunch boxes'],
];

export type { BinLook };
