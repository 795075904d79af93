import {
  calibrated,
  calibrationOf,
  combine,
  fromFeedback,
  fromRank,
  fromReviews,
  fromStock,
  unlearnedStock,
  learnedRate,
  rankCurve,
  usualLeaveRate,
  usualReviewRate,
  type Estimate,
  type JudgedEstimate,
} from '@sickle/core/estimates'
import { feedbackOf, ranksOf, reviewRiseOf, stockLooksOf, trueUnits } from './observables'
import { ownPairs, parted, type Trials } from './parted'
import { byStores } from './store-trials'
import type { StandinListing } from './things'
import type { World } from './world'

/** true units from which on an estimate is judged */
export const leastJudged = 5

/** How often the 80 % interval holds, of what truly sold five and more. */
export function heldShare(trials: readonly JudgedEstimate[]): number {
  const some = trials.filter((t) => t.truth >= leastJudged)
  const held = some.filter(({ estimate: e, truth }) => Math.round(e.low) <= truth && truth <= Math.round(e.high))
  return held.length / some.length
}

/** draws of own pairs: thirty of them know a spread to some ten per cent, so one draw says little of a world */
export const usualDraws = 8

/** Every estimator on every listing or store of a world, as far as it applies, over several draws of what is one's own. */
export function trialsOf(world: World, draws = usualDraws): Record<string, Trials> {
  const listings = world.listings.filter((l) => !l.daily.slice(-90).includes(null))
  const all: Record<string, Trials> = {}
  for (let draw = 0; draw < draws; draw++) {
    const parts = { ...byListings(world, parted(listings, draw)), ...byStores(world, draw) }
    for (const [name, { plain, learned }] of Object.entries(parts)) {
      const known = all[name] ?? { plain: [], learned: [] }
      all[name] = { plain: draw === 0 ? plain : known.plain, learned: [...known.learned, ...learned] }
    }
  }
  return { ...all, rank: byRank(world) }
}

function byListings(
  world: World,
  { own, others }: { own: readonly StandinListing[]; others: readonly StandinListing[] },
): Record<string, Trials> {
  const { seen } = world.make
  const leaving = (left: (l: StandinListing) => number, usual: typeof usualLeaveRate, from: typeof fromFeedback) => {
    const rate = learnedRate(
      own.map((l) => ({ left: left(l), sold: trueUnits(l, 90) })),
      usual,
    )
    const by = (r: typeof rate) => (l: StandinListing) => from(left(l), r)
    return { plain: by(usual), learned: by(rate) }
  }
  const feedback = leaving((l) => feedbackOf(l, seen).days90, usualLeaveRate, fromFeedback)
  const reviews = leaving((l) => reviewRiseOf(l, seen), usualReviewRate, fromReviews)
  const trials = (list: readonly StandinListing[], of: (l: StandinListing) => Estimate | null, truth = units90) =>
    list.flatMap((l): JudgedEstimate[] => {
      const estimate = of(l)
      return estimate ? [{ estimate, truth: truth(l) }] : []
    })
  const both = (way: 'plain' | 'learned') => (l: StandinListing) => combine([feedback[way](l), reviews[way](l)])
  const learnt = (of: (l: StandinListing) => Estimate | null, truth = units90) => {
    const learned = calibrationOf(trials(own, of, truth))
    return trials(others, of, truth).map((t) => ({ ...t, estimate: calibrated(t.estimate, learned) }))
  }
  const byStock = (l: StandinListing) => fromStock(stockLooksOf(l, seen)).estimate
  const beforePairs = (l: StandinListing) => {
    const estimate = byStock(l)
    return estimate && unlearnedStock(estimate)
  }
  const pair = (way: (of: 'plain' | 'learned') => (l: StandinListing) => Estimate | null) => ({
    plain: trials(others, way('plain')),
    learned: trials(others, way('learned')),
  })
  return {
    feedback: pair((of) => feedback[of]),
    reviews: pair((of) => reviews[of]),
    'feedback and reviews': { plain: trials(others, both('plain')), learned: learnt(both('learned')) },
    stock: { plain: trials(others, beforePairs, seenUnits(world)), learned: learnt(byStock, seenUnits(world)) },
  }
}

const units90 = (l: StandinListing) => trueUnits(l, 90)

/** Units between the first and the last look at the stock. */
function seenUnits(world: World): (l: StandinListing) => number {
  return (l) => {
    const looks = stockLooksOf(l, world.make.seen)
    const [first, last] = [looks[0]?.day ?? 0, looks.at(-1)?.day ?? 0]
    return l.daily
      .slice(-90)
      .slice(first + 1, last + 1)
      .reduce<number>((sum, n) => sum + (n ?? 0), 0)
  }
}

/** Own listings of a market, from which the line is drawn; the others are judged. Over ten such draws. */
function byRank(world: World): Trials {
  const learned = ['Marrowgate', 'Gavelhop'].flatMap((market) => {
    const ranks = ranksOf(world, market)
    const list = world.listings.filter((l) => l.store.market.name === market)
    const step = Math.floor(list.length / ownPairs)
    const pair = (l: StandinListing) => ({ rank: ranks.get(l.id) ?? 1, units: trueUnits(l, 30) })
    return Array.from({ length: 10 }, (_, draw) => {
      const isOwn = (i: number) => i % step === draw
      const curve = rankCurve(list.filter((_, i) => isOwn(i)).map(pair))
      return list.flatMap((l, i): JudgedEstimate[] => {
        const estimate = curve && !isOwn(i) ? fromRank(pair(l).rank, curve) : null
        return estimate ? [{ estimate, truth: pair(l).units }] : []
      })
    }).flat()
  })
  return { plain: [], learned }
}
