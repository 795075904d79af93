import {
  calibrated,
  calibrationOf,
  combine,
  fromFeedback,
  learnedRate,
  storeSales,
  usualLeaveRate,
  type JudgedEstimate,
} from '../core/estimates'
import { salesOfRanks, stepsOf } from '../core/stores'
import {
  asideMakes,
  demoMake,
  makeWorld,
  otherMakes,
  ranksOf,
  trueUnits,
  type StandinListing,
  type WorldMake,
} from '../standins'
import { chance } from '../standins/random'
import { seenStores } from '../standins/store-trials'
import { heldShare } from '../standins/trials'

const market = 'Marrowgate'
/** stores of the market that publish what they sell */
const publishing = 25
const seeds = [1, 2, 3, 4]
const size = { goods: 250, listings: 4500, stores: 400, offers: 300 }

/** Stores of a market of which 25 publish what they sell, by all ways together: before those teach how far that lies off, and after. */
function trialsOf(make: WorldMake, seed: number): { before: JudgedEstimate[]; after: JudgedEstimate[] } {
  const world = makeWorld({ ...size, seed, make })
  const on = world.listings.filter((l) => l.store.market.name === market)
  const { stores, sold, left, held } = seenStores({ ...world, listings: on })
  const own = drawn(
    stores.map(([name]) => name),
    seed,
  )
  const ranks = ranksOf(world, market)
  const rank = (l: StandinListing) => ranks.get(l.id) as number
  const stepsOfStores = (isOf: (place: number) => boolean) => {
    const names = new Set(own.filter((_, i) => isOf(i)))
    return stepsOf(
      on.filter((l) => names.has(l.store.name)).map((l) => ({ rank: rank(l), units: trueUnits(l, 30) })),
    )[0]
  }
  const all = stepsOfStores(() => true)
  // a store that teaches is judged by ranks that it had no part in
  const beside = [0, 1].map((half) => stepsOfStores((i) => i % 2 !== half))
  const teaching = stores.filter(([name]) => own.includes(name))
  const rate = learnedRate(
    teaching.map(([, list]) => ({ left: left(list), sold: sold(list) })),
    usualLeaveRate,
  )
  const byItems = (name: string) => storeSales(held(name))
  const items = calibrationOf(teaching.flatMap(([name, list]) => judged(byItems(name), sold(list))))
  const together = ([name, list]: (typeof stores)[number]) => {
    const sum = byItems(name)
    const steps = own.includes(name) ? beside[own.indexOf(name) % 2] : all
    const ways = [
      fromFeedback(left(list), rate),
      sum && calibrated(sum, items),
      steps && salesOfRanks(list.map(rank), steps),
    ]
    return judged(combine(ways.flatMap((e) => e ?? [])), sold(list))
  }
  const learned = calibrationOf(teaching.flatMap(together))
  const before = stores.filter(([name]) => !own.includes(name)).flatMap(together)
  return { before, after: before.map((t) => ({ ...t, estimate: calibrated(t.estimate, learned) })) }
}

const judged = (estimate: JudgedEstimate['estimate'] | null, truth: number) => (estimate ? [{ estimate, truth }] : [])

function drawn(names: readonly string[], seed: number): string[] {
  const random = chance(seed)
  const own = new Set<string>()
  while (own.size < publishing) own.add(names[random.whole(0, names.length - 1)] as string)
  return [...own]
}

/** Written into docs/estimates.md by `npm run estimates`. */
export function silentStoresTable(): string {
  const rows = [demoMake, ...otherMakes, ...asideMakes].map((make) => {
    const found = seeds.map((seed) => trialsOf(make, seed))
    const share = (of: 'before' | 'after') => `${(100 * heldShare(found.flatMap((t) => t[of]))).toFixed(1)} %`
    return `| ${make.name} | ${share('before')} | ${share('after')} |`
  })
  return `Feedback, items and ranks together, in worlds of every make, where ${publishing} stores of a market publish what they sell and the others nothing: how often the 80 % interval holds, before those
teach how far such estimates lie off and after. A store that teaches is judged by ranks that it had no part in; a first version let it have one, and held in as few as 65 of 100.

| world | before | after |
|---|---:|---:|
${rows.join('\n')}`
}
