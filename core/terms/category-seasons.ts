import { seasonIndex, type SeasonIndex } from '../demand'
import type { Term } from './term'

/** searches a month below which a category's year is too thin to go by: our own bound */
const least = 200

/**
 * The season of each category by what buyers search for in it: searches of its terms by month, all terms together, the mean
 * month 1. Only of terms whose twelve months are all known, and where they come to 200 searches a month or more.
 */
export function categorySeasons(terms: readonly Term[]): Map<string, SeasonIndex> {
  const sums = new Map<string, Float64Array>()
  for (const { category, months } of terms) {
    if (category === null || months.length !== 12 || months.includes(null)) continue
    const sum = sums.get(category) ?? new Float64Array(12)
    months.forEach((m, i) => (sum[i] = (sum[i] as number) + (m as number)))
    sums.set(category, sum)
  }
  const seasons = new Map<string, SeasonIndex>()
  for (const [category, sum] of sums) {
    const mean = sum.reduce((a, b) => a + b, 0) / 12
    if (mean >= least && sum.every((v) => v > 0)) seasons.set(category, seasonIndex(sum))
  }
  return seasons
}
