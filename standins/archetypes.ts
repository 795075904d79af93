export type Season = 'warm' | 'cold' | 'sowing' | 'even'
export type Kind = 'physical' | 'print on demand' | 'digital'

/** A sort of goods, from which many goods are made by size, colour, pack or motif. */
export interface Archetype {
  noun: string
  /** other words sellers use for it */
  also: string[]
  category: string
  kind: Kind
  /** usual price of one piece in EUR */
  price: number
  /** a supplier's price as a share of it */
  cost: number
  season: Season
  shape: Shape
  sizes?: string[]
  colours?: string[]
  packs?: number[]
  motifs?: string[]
}

export type Shape = 'feeder' | 'planter' | 'spikes' | 'house' | 'ball' | 'hook' | 'bath' | 'tool' | 'pot' | 'net' | 'mug' | 'towel' | 'bag' | 'sheet' | 'label' | 'calendar'

const green = ['green', 'black', 'white', 'terracotta']
const soft = ['sage', 'anthracite', 'cream', 'rust']
const birds = ['Wren', 'Robin', 'Goldfinch', 'Blue tit', 'Long-tailed tit', 'Nuthatch', 'Bullfinch', 'Kingfisher', 'Barn owl', 'Swallow', 'House martin', 'Lapwing', 'Dunnock', 'Siskin', 'Treecreeper', 'Chaffinch', 'Blackcap', 'Starling', 'Curlew', 'Puffin']
const zones = ['climate zone 6', 'climate zone 7', 'climate zone 8', 'climate zone 9', 'balcony', 'north-facing', 'cold frame', 'raised bed', 'window sill', 'greenhouse']

/** The trade of Harrow Quay Garden Post: balcony gardening and garden birds. */
export const archetypes: readonly Archetype[] = [
  { noun: 'clip-on window feeder', also: ['window bird feeder clip', 'bird feeder for windows'], category: 'Garden/Birds/Feeders', kind: 'physical', price: 12.5, cost: 0.24, season: 'cold', shape: 'feeder', sizes: ['15 cm', '20 cm', '28 cm'], colours: ['clear', 'green', 'blue'], packs: [1, 2] },
  { noun: 'peanut feeder', also: ['nut feeder', 'peanut bird feeder'], category: 'Garden/Birds/Feeders', kind: 'physical', price: 13.9, cost: 0.26, season: 'cold', shape: 'feeder', sizes: ['250 g', '500 g', '1 kg'], colours: ['green', 'black', 'copper'], packs: [1, 2] },
  { noun: 'seed feeder tube', also: ['tube seed feeder', 'hanging seed feeder'], category: 'Garden/Birds/Feeders', kind: 'physical', price: 14.9, cost: 0.27, season: 'cold', shape: 'feeder', sizes: ['25 cm', '38 cm', '50 cm'], colours: green, packs: [1, 2] },
  { noun: 'fat-ball holder', also: ['fat ball feeder', 'suet ball holder'], category: 'Garden/Birds/Feeders', kind: 'physical', price: 7.9, cost: 0.2, season: 'cold', shape: 'ball', sizes: ['4 balls', '6 balls'], colours: ['green', 'black', 'white'], packs: [1, 2, 3] },
  { noun: 'fat balls', also: ['suet balls', 'fat ball bird food'], category: 'Garden/Birds/Food', kind: 'physical', price: 0.62, cost: 0.38, season: 'cold', shape: 'ball', sizes: ['90 g', '100 g'], packs: [12, 24, 50, 100] },
  { noun: 'suet block', also: ['suet cake', 'fat block'], category: 'Garden/Birds/Food', kind: 'physical', price: 2.1, cost: 0.4, season: 'cold', shape: 'ball', sizes: ['300 g', '320 g'], packs: [3, 6, 10], motifs: ['mealworm', 'berry', 'peanut'] },
  { noun: 'nest box for tits', also: ['tit nest box', 'bird nesting box'], category: 'Garden/Birds/Nest boxes', kind: 'physical', price: 19.9, cost: 0.31, season: 'sowing', shape: 'house', sizes: ['26 mm', '28 mm', '32 mm'], colours: ['natural', ...soft], packs: [1, 2] },
  { noun: 'open-front nest box', also: ['robin nest box', 'open nesting box'], category: 'Garden/Birds/Nest boxes', kind: 'physical', price: 18.5, cost: 0.3, season: 'sowing', shape: 'house', sizes: ['14 cm', '18 cm'], colours: ['natural', ...soft], packs: [1, 2] },
  { noun: 'swift box', also: ['nest box for swifts'], category: 'Garden/Birds/Nest boxes', kind: 'physical', price: 29.9, cost: 0.34, season: 'sowing', shape: 'house', sizes: ['34 cm', '40 cm'], colours: ['natural', 'white', 'anthracite'] },
  { noun: 'hanging bird bath', also: ['bird bath hanging', 'bird drinker bath'], category: 'Garden/Birds/Water', kind: 'physical', price: 22.5, cost: 0.28, season: 'warm', shape: 'bath', sizes: ['22 cm', '26 cm', '30 cm'], colours: ['copper', 'green', 'rust', 'blue'] },
  { noun: 'bee hotel', also: ['insect house', 'solitary bee house'], category: 'Garden/Wildlife', kind: 'physical', price: 16.5, cost: 0.27, season: 'sowing', shape: 'house', sizes: ['20 cm', '26 cm', '35 cm'], colours: ['natural', 'sage', 'teal'], packs: [1, 2] },
  { noun: 'ladybird house', also: ['ladybird tower', 'ladybug house'], category: 'Garden/Wildlife', kind: 'physical', price: 13.2, cost: 0.25, season: 'sowing', shape: 'house', sizes: ['18 cm', '25 cm'], colours: ['natural', 'red', 'green'] },
  { noun: 'railing planter', also: ['balcony rail planter', 'balustrade flower box'], category: 'Garden/Balcony/Planters', kind: 'physical', price: 23.9, cost: 0.3, season: 'warm', shape: 'planter', sizes: ['40 cm', '60 cm', '80 cm'], colours: ['olive', 'anthracite', 'terracotta', 'white'], packs: [1, 2, 3] },
  { noun: 'self-watering planter', also: ['planter with reservoir', 'self watering pot'], category: 'Garden/Balcony/Planters', kind: 'physical', price: 21.5, cost: 0.31, season: 'warm', shape: 'pot', sizes: ['18 cm', '24 cm', '30 cm'], colours: soft, packs: [1, 2] },
  { noun: 'vertical pouch planter', also: ['wall planter pockets', 'hanging pocket planter'], category: 'Garden/Balcony/Planters', kind: 'physical', price: 24.9, cost: 0.24, season: 'warm', shape: 'planter', sizes: ['4 pockets', '7 pockets', '12 pockets'], colours: ['green', 'black', 'grey'] },
  { noun: 'herb trough', also: ['herb planter box', 'kitchen herb trough'], category: 'Garden/Balcony/Planters', kind: 'physical', price: 17.2, cost: 0.29, season: 'warm', shape: 'planter', sizes: ['30 x 14 cm', '40 x 14 cm', '50 x 15 cm'], colours: ['cream', 'sage', 'copper', 'black'] },
  { noun: 'drip tray', also: ['plant saucer tray', 'planter drip tray'], category: 'Garden/Balcony/Planters', kind: 'physical', price: 4.9, cost: 0.23, season: 'warm', shape: 'bath', sizes: ['30 x 20 cm', '40 x 30 cm', '60 x 20 cm'], colours: ['terracotta', 'black', 'clear'], packs: [1, 3, 5] },
  { noun: 'watering spikes', also: ['plant watering spikes', 'drip watering stakes'], category: 'Garden/Balcony/Watering', kind: 'physical', price: 2.1, cost: 0.22, season: 'warm', shape: 'spikes', sizes: ['15 cm', '20 cm'], colours: ['terracotta', 'green', 'clear'], packs: [4, 6, 10, 12] },
  { noun: 'watering globe', also: ['glass watering bulb', 'plant watering globe'], category: 'Garden/Balcony/Watering', kind: 'physical', price: 7.5, cost: 0.25, season: 'warm', shape: 'ball', sizes: ['22 cm', '28 cm'], colours: ['blue', 'green', 'clear'], packs: [1, 2, 4] },
  { noun: 'long-spout watering can', also: ['indoor watering can', 'slim watering can'], category: 'Garden/Balcony/Watering', kind: 'physical', price: 18.9, cost: 0.3, season: 'warm', shape: 'pot', sizes: ['1 l', '1.5 l', '2 l'], colours: ['copper', 'sage', 'white', 'mustard'] },
  { noun: 'balcony hook', also: ['railing hook', 'balcony hanger hook'], category: 'Garden/Balcony/Hooks', kind: 'physical', price: 4.2, cost: 0.19, season: 'warm', shape: 'hook', sizes: ['6 cm', '10 cm', '14 cm'], colours: ['black', 'white', 'silver'], packs: [2, 4, 8] },
  { noun: 'pot hanger', also: ['plant pot ring hanger', 'wall pot holder'], category: 'Garden/Balcony/Hooks', kind: 'physical', price: 6.4, cost: 0.21, season: 'warm', shape: 'hook', sizes: ['10 cm', '14 cm', '18 cm'], colours: ['black', 'copper', 'white'], packs: [1, 3, 6] },
  { noun: 'moss pole', also: ['plant moss pole', 'coir climbing pole'], category: 'Home/House plants', kind: 'physical', price: 8.9, cost: 0.22, season: 'even', shape: 'spikes', sizes: ['40 cm', '60 cm', '80 cm'], packs: [1, 2, 4] },
  { noun: 'propagation station', also: ['plant propagator glass', 'cutting vase stand'], category: 'Home/House plants', kind: 'physical', price: 19.5, cost: 0.27, season: 'even', shape: 'bath', sizes: ['3 tubes', '5 tubes', '8 tubes'], colours: ['natural', 'black', 'white'] },
  { noun: 'kneeling pad', also: ['garden kneeler mat', 'knee pad for gardening'], category: 'Garden/Tools', kind: 'physical', price: 11.8, cost: 0.24, season: 'warm', shape: 'sheet', sizes: ['40 x 20 cm', '45 x 28 cm'], colours: ['green', 'grey', 'pink'] },
  { noun: 'hand trowel', also: ['garden trowel', 'planting trowel'], category: 'Garden/Tools', kind: 'physical', price: 10.9, cost: 0.26, season: 'warm', shape: 'tool', sizes: ['28 cm', '32 cm'], colours: ['natural', 'green', 'copper'] },
  { noun: 'pruning snips', also: ['plant snips', 'herb scissors'], category: 'Garden/Tools', kind: 'physical', price: 12.4, cost: 0.25, season: 'warm', shape: 'tool', sizes: ['15 cm', '18 cm'], colours: ['red', 'green', 'black'] },
  { noun: 'jute twine', also: ['garden twine', 'jute string'], category: 'Garden/Tools', kind: 'physical', price: 3.8, cost: 0.24, season: 'even', shape: 'ball', sizes: ['50 m', '100 m'], colours: ['natural', 'green', 'red'], packs: [1, 2, 3] },
  { noun: 'fruit net', also: ['bird netting', 'plant protection net'], category: 'Garden/Protection', kind: 'physical', price: 12.6, cost: 0.25, season: 'warm', shape: 'net', sizes: ['2 x 5 m', '4 x 4 m', '4 x 6 m'], colours: ['green', 'black'] },
  { noun: 'cloche', also: ['garden bell cloche', 'plant dome'], category: 'Garden/Protection', kind: 'physical', price: 6.8, cost: 0.23, season: 'sowing', shape: 'pot', sizes: ['20 cm', '28 cm'], colours: ['clear', 'green'], packs: [1, 3, 6] },
  { noun: 'seed tray', also: ['seed starter tray', 'plug tray'], category: 'Garden/Sowing', kind: 'physical', price: 2.6, cost: 0.22, season: 'sowing', shape: 'planter', sizes: ['6 cells', '12 cells', '24 cells'], colours: ['black', 'green'], packs: [3, 5, 10] },
  { noun: 'bird mug', also: ['ceramic bird mug', 'mug with bird drawing'], category: 'Home/Kitchen/Mugs', kind: 'print on demand', price: 14.5, cost: 0.44, season: 'even', shape: 'mug', motifs: birds, sizes: ['330 ml', '440 ml'], colours: ['white', 'cream'] },
  { noun: 'bird tea towel', also: ['kitchen towel with bird', 'bird dish towel'], category: 'Home/Kitchen/Tea towels', kind: 'print on demand', price: 13.2, cost: 0.42, season: 'even', shape: 'towel', motifs: birds, colours: ['natural', 'white', 'sage'] },
  { noun: 'bird tote bag', also: ['canvas bag with bird', 'bird shopper'], category: 'Home/Bags', kind: 'print on demand', price: 17.5, cost: 0.43, season: 'even', shape: 'bag', motifs: birds, colours: ['natural', 'black', 'navy'] },
  { noun: 'sowing calendar', also: ['printable sowing calendar', 'seed calendar download'], category: 'Paper/Printables/Calendars', kind: 'digital', price: 4.6, cost: 0, season: 'sowing', shape: 'calendar', motifs: zones, sizes: ['A3', 'A4'] },
  { noun: 'planting planner', also: ['printable garden planner', 'bed planner'], category: 'Paper/Printables/Planners', kind: 'digital', price: 6.2, cost: 0, season: 'sowing', shape: 'sheet', motifs: zones, sizes: ['A4', 'A5'] },
  { noun: 'seed-packet labels', also: ['printable seed labels', 'seed envelope template'], category: 'Paper/Printables/Labels', kind: 'digital', price: 3.4, cost: 0, season: 'sowing', shape: 'label', motifs: ['botanical', 'watercolour', 'linocut', 'plain', 'folk', 'kraft', 'vintage', 'children'], sizes: ['A4', 'A5'] },
]
