import { isoDay } from '@sickle/core/identity'
import { delimited, type Row } from './demo-rows'
import { shuffled } from './goods'
import { chance } from './random'
import { sloppyTitle } from './titles'
import type { World } from './world'
import type { Goods } from './things'

/** One thing that the demo's shop sells itself, with what it truly is. */
export interface OwnGoods {
  ref: string
  goods: Goods
  title: string
  /** seven in ten bear the barcode of the goods, where these have one */
  gtin: string | null
  /** EUR */
  price: number
  cost: number
  stock: number
  listedOn: number
}

/** What Harrow Quay Garden Post sells: its own words for goods that others sell too. The same world gives the same catalogue. */
export function ownCatalogue(world: World, count = 500): OwnGoods[] {
  const random = chance(8087)
  const cents = (x: number) => Math.round(x * 100) / 100
  return shuffled(world.goods, random)
    .slice(0, count)
    .map((goods, i) => ({
      ref: `HQ-${String(i + 1).padStart(4, '0')}`,
      goods,
      title: sloppyTitle(goods, random, 0.6),
      gtin: random.happens(0.7) ? goods.gtin : null,
      price: cents(goods.price * Math.exp(0.06 * random.normal())),
      cost: cents(goods.pieceCost * goods.pack),
      stock: random.whole(0, 60),
      listedOn: world.firstDay + world.days - random.whole(30, 900),
    }))
}

/** The same as the file that the shop's own spreadsheet gives. */
export function ownFile(world: World): string {
  const head = ['Our ref', 'Description', 'EAN', 'Our price (EUR)', 'Unit cost', 'In hand', 'Listed since']
  const rows = ownCatalogue(world).map((o): Row => [
    o.ref,
    o.title,
    o.gtin,
    o.price.toFixed(2),
    o.cost.toFixed(2),
    o.stock,
    isoDay(o.listedOn),
  ])
  return delimited([head, ...rows], ',')
}
