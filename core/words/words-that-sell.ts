import cdf from '@stdlib/stats-base-dists-normal-cdf'
import { falseDiscovery, middleOf } from '../demand'
import { logOddsPrior, type WordCount, type WordPull } from './log-odds'
import { longestRun, rememberedStems, titleRuns, withoutNested, WrittenForms } from './title-words'

export interface SoldTitle {
  title: string
  /** units in 30 days */
  units: number
}

/** A word or run of words with its pull. */
export interface RunPull extends WordPull {
  /** its stems: what to look for in other titles */
  stems: string
}

export interface SellingWords {
  /** listings looked at, and how many of them sell better than the middle one */
  of: number
  better: number
  /** units in 30 days of the middle listing */
  median: number
  /** words that the better ones use more, strongest first; and those that the others do */
  more: RunPull[]
  less: RunPull[]
}

const [leastTitles, leastUses, most] = [20, 5, 8]
/** share of the words shown that may be there by chance */
const rate = 0.05

/**
 * Words, and runs of up to four, that titles which sell use more than those which do not, and the other way round: listings above
 * the middle against the rest, by log-odds with a prior, runs of one length against each other. One counts from five listings on,
 * and where it stands out though many were looked at (false discovery rate 5 %); of runs within one another only the one that
 * pulls most is shown. Null with fewer than twenty listings, or where all sell alike.
 */
export function wordsThatSell(titles: readonly SoldTitle[]): SellingWords | null {
  if (titles.length < leastTitles) return null
  const median = middleOf(titles.map((t) => t.units)) ?? 0
  const better = titles.filter((t) => t.units > median).length
  if (better < leastUses) return null
  const { counts, forms } = countRuns(titles, median)
  const pulls = counts
    .flatMap((sameLength) => logOddsPrior(sameLength))
    .filter((p) => p.first + p.second >= leastUses)
    .sort((a, b) => b.z - a.z)
  const chance = falseDiscovery(pulls.map((p) => 2 * cdf(-Math.abs(p.z), 0, 1)))
  const clear = pulls.filter((_, i) => (chance[i] as number) <= rate)
  const shown = (list: WordPull[]) =>
    withoutNested(list, (p) => p.word)
      .slice(0, most)
      .map((p) => ({ ...p, stems: p.word, word: forms.of(p.word) }))
  return {
    of: titles.length,
    better,
    median,
    more: shown(clear.filter((p) => p.z > 0)),
    less: shown(clear.filter((p) => p.z < 0).reverse()),
  }
}

/** How many titles of either group have each run, by length of the run. */
function countRuns(titles: readonly SoldTitle[], median: number): { counts: WordCount[][]; forms: WrittenForms } {
  const byLength = Array.from({ length: longestRun }, () => new Map<string, WordCount>())
  const forms = new WrittenForms()
  const stem = rememberedStems()
  for (const { title, units } of titles)
    for (const run of titleRuns(title, longestRun, stem)) {
      const counts = byLength[run.length - 1] as Map<string, WordCount>
      const count = counts.get(run.stems) ?? { word: run.stems, first: 0, second: 0 }
      count[units > median ? 'first' : 'second']++
      counts.set(run.stems, count)
      forms.add(run)
    }
  return { counts: byLength.map((counts) => [...counts.values()]), forms }
}
