import type { Chance } from './random'

const first = [
  'Tern',
  'Larkspur',
  'Hedge',
  'Quay',
  'Sill',
  'Moss',
  'Bramble',
  'Harbour',
  'Linnet',
  'Thistle',
  'Wicker',
  'Saltmarsh',
  'Fennel',
  'Rook',
  'Clover',
  'Pebble',
  'Heron',
  'Sorrel',
  'Juniper',
  'Plover',
  'Catkin',
  'Alder',
  'Gorse',
  'Marram',
  'Teasel',
  'Sparrow',
  'Yarrow',
  'Lantern',
  'Kelp',
  'Hazel',
]
const second = [
  '& Trowel',
  '& Loam',
  'End Co.',
  'Perch',
  'Life',
  '& Twine',
  'Row',
  'Goods',
  'Yard',
  'Bench',
  'Potting',
  '& Daughters',
  'Nook',
  'Works',
  'Supply',
  'House',
  'Lane',
  'Shed',
  'Terrace',
  'Rail',
]
const trade = ['Manufactory', 'Wholesale', 'Trading', 'Exports', 'Mill', 'Foundry', 'Print Works', 'Depot']

/** Names of shops that do not exist, all different. */
export function storeNames(count: number, random: Chance): string[] {
  const names = new Set<string>()
  while (names.size < count) names.add(`${random.pick(first)} ${random.pick(second)}`)
  return [...names]
}

export function supplierNames(count: number, random: Chance): string[] {
  const names = new Set<string>()
  while (names.size < count) names.add(`${random.pick(first)} ${random.pick(trade)}`)
  return [...names]
}

/** Names of ranges that makers give their goods, so that a large market has enough different ones: 900 of them. */
export function rangeName(at: number): string {
  return `${first[at % first.length] as string} ${first[Math.floor(at / first.length) % first.length] as string}`
}
