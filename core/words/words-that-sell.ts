import cdf from '@stdlib/stats-base-dists-normal-cdf'
import { falseDiscovery } from '../demand'
import { logOddsPrior, type WordCount, type WordPull } from './log-odds'
import { titleWords } from './title-words'

export interface SoldTitle {
  title: string
  /** units in 30 days */
  units: number
}

export interface SellingWords {
  /** listings looked at, and how many of them sell better than the middle one */
  of: number
  better: number
  /** units in 30 days of the middle listing */
  median: number
  /** words that the better ones use more, strongest first; and those that the others do */
  more: WordPull[]
  less: WordPull[]
}

const [leastTitles, leastUses, most] = [20, 5, 8]
/** share of the words shown that may be there by chance */
const rate = 0.05

/**
 * Words that titles which sell use more than those which do not, and the other way round: listings above the middle against the
 * rest, by log-odds with a prior. A word counts from five listings on, and where
 * it stands out though many were looked at (false discovery rate 5 %); null with fewer than twenty listings, or where all sell alike.
 */
export function wordsThatSell(titles: readonly SoldTitle[]): SellingWords | null {
  if (titles.length < leastTitles) return null
  const median = middle(titles.map((t) => t.units))
  const counts = new Map<string, WordCount>()
  let better = 0
  for (const { title, units } of titles) {
    const group = units > median ? 'first' : 'second'
    if (group === 'first') better++
    for (const word of titleWords(title)) {
      const count = counts.get(word) ?? { word, first: 0, second: 0 }
      count[group]++
      counts.set(word, count)
    }
  }
  if (better < leastUses) return null
  const pulls = logOddsPrior([...counts.values()])
    .filter((p) => p.first + p.second >= leastUses)
    .sort((a, b) => b.z - a.z)
  const chance = falseDiscovery(pulls.map((p) => 2 * cdf(-Math.abs(p.z), 0, 1)))
  const clear = pulls.filter((_, i) => (chance[i] as number) <= rate)
  return {
    of: titles.length,
    better,
    median,
    more: clear.filter((p) => p.z > 0).slice(0, most),
    less: clear.filter((p) => p.z < 0).reverse().slice(0, most),
  }
} // prettier-ignore

function middle(values: number[]): number {
  const sorted = values.sort((a, b) => a - b)
  const at = sorted.length >> 1
  return sorted.length % 2 === 1 ? (sorted[at] as number) : ((sorted[at - 1] as number) + (sorted[at] as number)) / 2
}
