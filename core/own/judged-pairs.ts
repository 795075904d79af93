import { readFileSync } from 'node:fs'
import { buildCatalog } from '../catalog'
import { tableOf } from '../records/table-of'
import { isSameGoods } from '.'
import { mergeOwn } from './own-goods'
import { OwnMatcher } from './own-matcher'

export interface PairCounts {
  pairs: number
  /** pairs that are the same, and those of them that are not met at all */
  same: number
  missed: number
  /** pairs that are said to be the same, and those of them that are not */
  sure: number
  sureWrong: number
  /** pairs of different things, and those of them that stay gaps */
  others: number
  gaps: number
}

/**
 * How the matcher judges pairs of titles of four trades and three languages, labelled by hand before it was written. For tests and
 * docs/estimates.md.
 *
 * @param half 0 for those that were looked at, 1 for every second one, kept aside
 */
export async function judgedPairs(half: 0 | 1): Promise<PairCounts> {
  const lines = readFileSync(new URL('fixtures/own-pairs.tsv', import.meta.url), 'utf8')
    .trim()
    .split('\n')
    .map((line) => line.split('\t') as [mine: string, theirs: string, label: 'same' | 'pack' | 'other'])
  const capture = (kind: 'listings' | 'catalogue', rows: Parameters<typeof tableOf>[1]) => ({
    id: kind,
    kind,
    capturedOn: 20_604,
    windowDays: 30,
    table: tableOf(kind, rows),
  })
  const listings = lines.map(([, title], i) => ({ market: 'Marrowgate', id: String(i), title, store: `Store ${i}` }))
  const catalog = await buildCatalog([capture('listings', listings)])
  const counts = { pairs: 0, same: 0, missed: 0, sure: 0, sureWrong: 0, others: 0, gaps: 0 }
  for (const [i, [title, , label]] of lines.entries()) {
    if (i % 2 !== half) continue
    counts.pairs++
    const own = mergeOwn([capture('catalogue', [{ sku: 'x', title }])], { homeCurrency: 'EUR', rates: [] })
    const match = new OwnMatcher(own, catalog).matches([i]).get(catalog.itemOf[i] as number)
    const isSure = match !== undefined && isSameGoods(match.way)
    if (isSure) counts.sure++
    if (isSure && label !== 'same') counts.sureWrong++
    if (label === 'same') counts.same++
    if (label === 'same' && !match) counts.missed++
    if (label === 'other') counts.others++
    if (label === 'other' && !match) counts.gaps++
  }
  return counts
}
