import { asideMakes, demoMake, lastMakes, otherMakes } from './makes'
import { lastDays, sumOf } from './makes/world-make'
import { stockLooksOf } from './observables'
import { heldShare, trialsOf } from './trials'
import { makeWorld } from './world'

const size = { goods: 200, listings: 900, stores: 90, offers: 60, seed: 5 }
const makes = [demoMake, ...otherMakes, ...asideMakes, ...lastMakes].map((make) => [make.name, make] as const)

test.each(makes)('%s: once thirty pairs are known, every 80 %% interval holds about as often as it says', (_, make) => {
  const trials = trialsOf(makeWorld({ ...size, make }), 4)
  const names = [
    'feedback',
    'reviews',
    'feedback and reviews',
    'stock',
    'rank',
    'store, by its items',
    'store, by feedback',
  ]
  for (const name of names.filter((n) => n in trials)) {
    const { learned } = trials[name]!
    expect(learned.length).toBeGreaterThan(100)
    // 72–88 %, and what four draws of thirty pairs leave to chance; of stores hardly more than forty are judged
    expect([name, heldShare(learned) > (name.startsWith('store') ? 0.6 : 0.66)]).toEqual([name, true])
    expect([name, heldShare(learned) < 0.95]).toEqual([name, true])
  }
})

test.each(makes)('%s: what is seen follows from what is sold, and is the same each time', (_, make) => {
  const world = makeWorld({ ...size, make })
  const sold = world.listings.map((l) => sumOf(lastDays(l, 90)))
  expect(sold.filter((n) => n === 0).length / sold.length).toBeGreaterThan(0.4 * make.selling.dead)
  for (const l of world.listings.slice(0, 200)) {
    const looks = stockLooksOf(l, make.seen)
    expect(looks).toEqual(stockLooksOf(l, make.seen))
    expect(looks.every(({ stock, day }, i) => stock >= 0 && day < 90 && (i === 0 || day > looks[i - 1]!.day))).toBe(
      true,
    )
  }
  const item = world.listings.filter((l) => l.goods.id === world.listings[0]!.goods.id)
  expect(sumOf(make.seen.featured(item))).toBeCloseTo(1, 9)
  const titles = new Set(world.listings.map((l) => l.title))
  expect(titles.size).toBeGreaterThan(world.goods.length)
})
