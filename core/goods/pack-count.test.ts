import { readFileSync } from 'node:fs'
import { findPackCount } from '.'

/** Labelled by hand: titles and the pieces they say are in the pack; null where they say nothing. */
const labelled: [string, number | null][] = [
  ['Fat-ball holder, pack of 2', 2],
  ['Fat balls PACK OF 50', 50],
  ['Watering spikes, set of 6', 6],
  ['Watering spikes 6 pcs', 6],
  ['Balcony hook; galvanised, 4-pack', 4],
  ['Drip tray 40 x 30 cm lot of 5', 5],
  ['Moss pole 60cm twin pack', 2],
  ['Jute twine 3pk', 3],
  ['Suet blocks x6', 6],
  ['Suet blocks x 10', 10],
  ['Suet block (x3)', 3],
  ['Cloche 6 ct', 6],
  ['Seed trays - 12 count', 12],
  ['Pot hanger pair', 2],
  ['A pair of balcony hooks', 2],
  ['One dozen fat balls', 12],
  ['2 dozen clothes pegs', 24],
  ['Half dozen nest pads', 6],
  ['2 x 500 ml plant feed', 2],
  ['6 × 330ml mugs', 6],
  ['Plant feed 4x1 l', 4],
  ['Set of three herb pots', 3],
  ['Pack of ten labels', 10],
  ['Bird bath, hanging, 26 cm', null],
  ['Nest box 32 mm', null],
  ['Herb trough 3 x 14 cm', null],
  ['Herb trough 30 x 14 cm', null],
  ['Herb trough 30x14cm', null],
  ['Fruit net 4 x 6 m', null],
  ['Fruit net 2 x 5m green', null],
  ['Drip tray 40 x 30 cm', null],
  ['Kneeling pad 45 x 28 x 3 cm', null],
  ['Planter 12 inch', null],
  ['Robin mug 330 ml', null],
  ['Peanut feeder 500 g', null],
  ['Jute twine 3 mm 50 m', null],
  ['Sowing calendar climate zone 8', null],
  ['Sowing calendar A3', null],
  ['Pruning snips 15cm', null],
  ['Hand trowel', null],
  ['Vertical pouch planter 7 pockets', null],
  ['Seed tray 24 cells', null],
  ['Seed tray, 24 cells, pack of 3', 3],
  ['Drip tray 60 x 20 cm black 3 pieces', 3],
  ['Drip tray 3 pieces 60 x 20 cm', 3],
  ['Herb trough, 2 pack, cream, 50 x 15 cm', 2],
  ['Herb trough 50 x 15 cm x2', 2],
  ['Fat balls, 90 g set of 200', 200],
  ['Fat balls 100 x 90 g', 100],
  ['Balcony hook 8 pieces black 6 cm', 8],
  ['Peanut feeder 1kg grey x2', 2],
  ['NEW clip-on feeder twin-pack', 2],
  ['Triple pack suet', 3],
  ['Watering globe 28 cm 4pk blue', 4],
  ['4 pk watering globes', 4],
  ['Multipack 20 plant labels', 20],
  ['20 plant labels multipack', 20],
  ['Box of 12 seed pots', 12],
  ['Bundle of 3 tote bags', 3],
  ['Bag of 40 pegs', 40],
  ['Tote bag, natural', null],
  ['Job lot of 25 saucers', 25],
  ['Fat ball feeder, 6 balls', null],
  ['Pair of gardening gloves', null],
  ['10 pairs of gloves', 10],
  ['Quantity: 5 hooks', 5],
  ['qty 8 cable clips', 8],
  ['3 x Wren tea towel', 3],
  ['SET OF 4 COASTERS', 4],
  ['5 Stück Pflanzclips', 5],
  ['10stk Clips', 10],
  ['Long-spout watering can 1.5 l', null],
  ['Müllbeutel 3 Rollen à 20 Stück', 60],
  ['Hundebeutel 8 Rollen mit 15 Beuteln', 120],
  ['Sacs poubelle 30 L 2 rouleaux de 15', 30],
  ['Bolsas perro 6 rollos de 15', 90],
  ['Sacchetti 2 rotoli da 50', 100],
  ['Vuilniszakken 3 rollen van 25', 75],
  ['Worki na śmieci 2 rolki po 20 szt', 40],
  ['Sacos 2 rolos de 40', 80],
  ['Papier toilette 12 rouleaux', 12],
]

test('the list is as long as it should be', () => expect(labelled.length).toBeGreaterThanOrEqual(60))
test.each(labelled)('%s', (title, pack) => expect(findPackCount(title)?.count ?? null).toBe(pack))
test('it says what it was read from', () => {
  expect(findPackCount('Fat balls, 6 pcs, 90 g')).toEqual({ count: 6, from: '6 pcs' })
  expect(findPackCount('Drip tray 60 x 20 cm lot of 5')).toEqual({ count: 5, from: 'lot of 5' })
  expect(findPackCount('100 x 9cm square pots')).toEqual({ count: 100, from: '100 x' })
})

/** When first read, 95.8 % of 309 and 87 % of 61 awkward ones were right; the patterns were mended after that. */
test('of 370 titles labelled by hand all but three are read right', () => {
  const lines = readFileSync(new URL('./fixtures/pack-titles.txt', import.meta.url), 'utf8').split('\n')
  const titles = lines
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => line.split('\t') as [string, string])
  const wrong = titles.filter(([label, title]) => String(findPackCount(title)?.count ?? '-') !== label)
  expect(titles).toHaveLength(370)
  expect(wrong.map(([, title]) => title)).toEqual([
    'Terracotta pots 5 x 9cm with saucers',
    'Jute garden twine 3 x 100 m',
    'Seed envelopes 50 11x7cm',
  ])
})
