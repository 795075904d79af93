import { combine, fromFeedback, learnedRate, storeSales, usualLeaveRate, type JudgedEstimate } from '../core/estimates'
import { lastDayOf } from '../core/demand'
import { judgedPairs } from '../core/own/judged-pairs'
import { quietnessOf, salesOfRanks, stepsOf } from '../core/stores'
import { judgedThemes } from '../core/stores/judged-themes'
import { falseDiscovery } from '../core/demand'
import { makeWorld, ranksOf, trueUnits, type StandinListing, type World } from '../standins'
import { ownPairs } from '../standins/parted'
import { chance } from '../standins/random'
import { seenStores } from '../standins/store-trials'
import { heldShare, leastJudged } from '../standins/trials'
import { silentStoresTable } from './estimate-silent-stores'

const ways = ['feedback', 'items', 'ranks', 'together'] as const
type Way = (typeof ways)[number]
const market = 'Marrowgate'
const p = (x: number) => `${(x * 100).toFixed(1)} %`
/** seeds of the worlds that no bound was found on */
const otherSeeds = [4711, 99, 7, 8, 9]

/** Every store of one market as if it published nothing, by each way of estimating it, beside what it truly sold in 30 days. */
function trialsOf(world: World): Record<Way, JudgedEstimate[]> {
  const on = world.listings.filter((l) => l.store.market.name === market)
  const { stores, sold, left, held } = seenStores({ ...world, listings: on })
  const ranks = ranksOf(world, market)
  const rankOf = (l: StandinListing) => ranks.get(l.id) as number
  // every seventh listing publishes what it sells: what ranks mean is learned from those
  const [steps] = stepsOf(on.filter((_, i) => i % 7 === 0).map((l) => ({ rank: rankOf(l), units: trueUnits(l, 30) })))
  // as many of the stores state both feedback and sales
  const rate = learnedRate(
    stores.flatMap(([, list], i) => (i % 2 === 0 ? [{ left: left(list), sold: sold(list) }] : [])).slice(0, ownPairs),
    usualLeaveRate,
  )
  const trials: Record<Way, JudgedEstimate[]> = { feedback: [], items: [], ranks: [], together: [] }
  for (const [name, list] of stores) {
    const truth = sold(list)
    if (truth < leastJudged || !steps) continue
    const by = {
      feedback: fromFeedback(left(list), rate),
      items: storeSales(held(name)),
      ranks: salesOfRanks(list.map(rankOf), steps),
    }
    const all = { ...by, together: combine(Object.values(by).flatMap((e) => e ?? [])) }
    for (const way of ways) if (all[way]) trials[way].push({ estimate: all[way], truth })
  }
  return trials
}

function judged(trials: readonly JudgedEstimate[]): { bias: number; spread: number; held: number; of: number } {
  const errors = trials.map((t) => Math.log(t.estimate.units / t.truth)).sort((a, b) => a - b)
  const at = (q: number) => errors[Math.floor(errors.length * q)] ?? NaN
  return {
    bias: Math.expm1(at(0.5)),
    spread: Math.expm1((at(0.84) - at(0.16)) / 2),
    held: heldShare(trials),
    of: trials.length,
  }
}

/** How often a listing whose sales did not change is said to have stopped, and how often one that did stop is told, at several rates. */
function silences(): string {
  const random = chance(20_261_126)
  const courses = {
    Poisson: () => 0,
    'weekly swings (AR 0.6, sd 0.5)': swings(random),
  }
  const rates = [0.1, 0.3, 1, 3]
  const one = (perDay: number, mood: () => number, stops: boolean) => {
    let log = 0
    const values = Float64Array.from({ length: 180 }, (_, d) => {
      if (d % 7 === 0) log = mood()
      return stops && d >= 150 ? 0 : random.poisson(perDay * Math.exp(log))
    })
    const series = { start: 0, stepDays: 1 as const, values }
    return quietnessOf(series, lastDayOf(series))
  }
  const share = (perDay: number, mood: () => number, stops: boolean) => {
    // in the company of as many that sell on, as in a store
    const tries = Array.from({ length: 400 }, () => one(perDay, mood, stops))
    const company = Array.from({ length: 400 }, () => one(perDay, mood, false))
    const all = [...tries, ...company]
    const chances = falseDiscovery(all.map((q) => (q?.last === 0 ? q.p : 1)))
    return tries.filter((q, i) => q?.last === 0 && (chances[i] as number) <= 0.05).length / tries.length
  }
  const rows = Object.entries(courses).flatMap(([name, mood]) =>
    [false, true].map(
      (stops) =>
        `| ${name}, ${stops ? 'nothing for 30 days' : 'steady'} | ${rates.map((r) => p(share(r, mood, stops))).join(' | ')} |`,
    ),
  )
  return [
    `| course | ${rates.map((r) => `${r} a day`).join(' | ')} |`,
    `|---|${rates.map(() => '---:|').join('')}`,
    ...rows,
  ].join('\n')
}

function swings(random: ReturnType<typeof chance>): () => number {
  let log = 0
  const own = 0.5 * Math.sqrt(1 - 0.6 ** 2)
  return () => (log = 0.6 * log + own * random.normal())
}

/** What Rivals says, judged: written into docs/estimates.md by `npm run estimates`. */
export async function storesSection(world: World): Promise<string> {
  const first = trialsOf(world)
  const others = otherSeeds.map((seed) => trialsOf(makeWorld({ seed })))
  const line = (way: Way) => {
    const [a, b] = [judged(first[way]), judged(others.flatMap((t) => t[way]))]
    const each = others.map((t) => judged(t[way]).held)
    return `| ${way} | ${p(a.held)} of ${a.of} | ${p(b.held)} of ${b.of} (${p(Math.min(...each))} to ${p(Math.max(...each))}) | ${p(b.bias)} | ${p(b.spread)} |`
  }
  const [tuned, aside] = [await judgedPairs(0), await judgedPairs(1)]
  const [themes, kept] = [await judgedThemes('tuned'), await judgedThemes('aside')]
  const both = (name: string, of: (c: typeof tuned) => string) => `| ${name} | ${of(tuned)} | ${of(aside)} |`
  return `## Stores that publish nothing

Units of every store of one market in 30 days, as if it said nothing of them. Spreads were set on the first world; the other five (seeds ${otherSeeds.join(', ')}) of the same
make were used for nothing else. How often the 80 % interval holds the truth; bias and spread over the other worlds.

| from | first world | other worlds (least and most of one) | bias | spread |
|---|---:|---:|---:|---:|
${ways.map(line).join('\n')}

Feedback at the rate that is learned from thirty stores of the market that state both; items by how often the offer is featured, which is not how much of an item's sales it has; ranks by isotonic steps through every
seventh listing. Of a single world with some sixty stores a coverage is known to about ±10 points.

${silentStoresTable()}

## What is mine

Pairs of titles of four trades in three languages, without barcodes, labelled by hand before the rule was written (\`core/own/fixtures/own-pairs.tsv\`); every
second pair was kept aside. "May be mine" is neither counted as mine nor as a gap.

| | tuned on | kept aside |
|---|---:|---:|
${both('pairs', (c) => String(c.pairs))}
${both('called mine, and wrong', (c) => `${c.sureWrong} of ${c.sure}`)}
${both('the same goods, and not met at all', (c) => `${c.missed} of ${c.same}`)}
${both('other goods that stay gaps', (c) => `${c.gaps} of ${c.others}`)}

Words that mean the same are learned from listings of one barcode, where there are such; without them another word for the same thing is missed.

## Themes of stores

Eight stores of as many trades in three languages, every second title serving one of four themes; half of the stores were not looked at until the rule stood.

| | tuned on | kept aside |
|---|---:|---:|
| themes met | ${themes.met} of ${themes.of} | ${kept.met} of ${kept.of} |
| others called a theme | ${themes.wrong} | ${kept.wrong} |

## What fell silent

Listings that are said to have stopped selling: of those whose sales did not change, it should be next to none; of those that truly stopped 30 days ago, what can be told.

${silences()}
`
}
