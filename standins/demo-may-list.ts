import { delimited, lastDay, type Row } from './demo-rows'
import type { World } from './world'

/** Words that the market watches, in a list as such a market hands out. */
const phrases: Row[] = [
  ['herb scissors', 'phrase', 'needs approval', 'blades: proof of age at the door', null],
  ['pruning snips', 'phrase', 'needs approval', 'blades: proof of age at the door', null],
  ['ladybird', 'phrase', 'restricted', 'living animals and what is sold for them', null],
  ['ladybug', 'phrase', 'restricted', 'living animals and what is sold for them', null],
  ['weed killer', 'phrase', 'restricted', 'hazardous', null],
]

/** every so many barcodes the market has answered already */
const answered = 6

/** What Marrowgate says may be listed: words, and the barcodes that somebody asked about. */
export function mayListFile(world: World): string {
  const coded = world.goods.filter((g) => g.gtin !== null && g.id % answered === 0)
  const barcodes = coded.map((g): Row => [
    g.gtin,
    'item',
    g.id % (answered * 9) === 0 ? 'restricted' : 'allowed',
    g.id % (answered * 9) === 0 ? 'licensed' : '',
    lastDay(world),
  ])
  const head = ['Entry', 'Entry type', 'Can I list?', 'Reason', 'Checked on']
  return delimited([head, ...phrases, ...barcodes], ',')
}
