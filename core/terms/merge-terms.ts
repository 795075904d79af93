import type { Capture } from '../records'
import { pairedGrowth } from '../demand'
import { monthOf } from '../identity'
import { rowReader } from '../tables'
import type { Term, TermChange } from './term'

/** What one phrase was searched for in one month, over all places. */
interface Month {
  searches: number
  competing: number | null
}

interface Gathered {
  market: string
  phrase: string
  category: string | null
  /** months since the year 0 → month */
  months: Map<number, Month>
  /** rows without a date: a month's searches each, the newest import counts */
  undated: Month | null
  places: Map<string, number>
  reported: number | null
}

/**
 * Terms of all captures. Several rows of a term are places and periods: places add up, periods become months (a week counts in the
 * month that it begins in). A later capture of the same month and place replaces the earlier one.
 */
export function mergeTerms(captures: readonly Capture[]): Term[] {
  const cells = new Map<string, Cell>()
  for (const capture of captures) if (capture.kind === 'terms') takeRows(capture, cells)
  const terms = new Map<string, Gathered>()
  for (const cell of cells.values()) addCell(terms, cell)
  return [...terms].map(([key, gathered]) => ({ key, ...termOf(gathered) })).sort((a, b) => b.searches - a.searches)
}

/** A phrase in one place and period. */
interface Cell {
  key: string
  market: string
  phrase: string
  category: string | null
  region: string
  day: number | null
  /** undated: brought to 30 days */
  searches: number
  competing: number | null
  reported: number | null
}

function takeRows({ table, windowDays }: Capture, cells: Map<string, Cell>): void {
  const { text, number: figure } = rowReader(table)
  for (let row = 0; row < table.rows; row++) {
    const phrase = text('term', row)
    const searches = figure('searches', row)
    if (phrase === null || searches === null) continue
    const market = text('market', row) ?? '?'
    const key = termKey(market, phrase)
    const day = figure('day', row)
    const region = text('region', row) ?? ''
    cells.set(`${key}\n${region}\n${day ?? ''}`, {
      key,
      market,
      phrase: phrase.trim(),
      category: text('category', row),
      region,
      day,
      searches: day === null ? (searches * 30) / windowDays : searches,
      competing: figure('competing', row),
      reported: figure('change', row),
    })
  }
}

/** @example termKey('Fernhand', ' Tea towel') // 'Fernhand/tea towel' */
export function termKey(market: string, phrase: string): string {
  return `${market}/${phrase.trim().toLowerCase()}`
}

function addCell(terms: Map<string, Gathered>, cell: Cell): void {
  const { key, market, phrase } = cell
  let term = terms.get(key)
  if (!term) {
    term = { market, phrase, category: null, months: new Map(), undated: null, places: new Map(), reported: null }
    terms.set(key, term)
  }
  term.category ??= cell.category
  term.reported = cell.reported ?? term.reported
  const month = cell.day === null ? null : monthOf(cell.day)
  const before = month === null ? term.undated : term.months.get(month)
  const sum: Month = {
    searches: (before?.searches ?? 0) + cell.searches,
    competing: most(before?.competing ?? null, cell.competing),
  }
  if (month === null) term.undated = sum
  else term.months.set(month, sum)
  if (cell.region !== '') term.places.set(cell.region, (term.places.get(cell.region) ?? 0) + cell.searches)
}

/** Places share the market's listings: the most that any of them names. */
function most(a: number | null, b: number | null): number | null {
  return a === null || b === null ? (a ?? b) : Math.max(a, b)
}

function termOf({ market, phrase, category, months, undated, places, reported }: Gathered): Omit<Term, 'key'> {
  const last = Math.max(...months.keys())
  const year = Array.from({ length: 12 }, (_, i) => months.get(last - i) ?? null)
  const known = year.flatMap((m) => m ?? [])
  const dated = known.length > 0
  const searches = dated ? known.reduce((sum, m) => sum + m.searches, 0) / known.length : (undated?.searches ?? 0)
  const competing = (dated ? known.find((m) => m.competing !== null)?.competing : undated?.competing) ?? null
  const all = [...places.values()].reduce((a, b) => a + b, 0)
  const byMonth = new Array<number | null>(12).fill(null)
  year.forEach((m, i) => (byMonth[(((last - i) % 12) + 12) % 12] = m?.searches ?? null))
  return {
    market,
    phrase,
    category,
    searches,
    ofMonths: dated ? known.length : 1,
    lastDay: dated ? firstDay(last) : null,
    competing,
    balance: competing === null || competing === 0 ? null : searches / competing,
    months: dated ? byMonth : [],
    places: [...places]
      .map(([name, n]) => ({ name, share: all === 0 ? 0 : n / all }))
      .sort((a, b) => b.share - a.share),
    change: changeOf(months, last) ?? reportedChange(reported),
  }
}

/** The last three months against the same a year before, which takes the season out; else against the three before. */
function changeOf(months: Map<number, Month>, last: number): TermChange | null {
  const three = (end: number) => {
    const list = [0, 1, 2].flatMap((i) => months.get(end - i)?.searches ?? [])
    return list.length === 3 ? list : null
  }
  const later = three(last)
  if (later === null) return null
  for (const [back, against] of [
    [12, 'a year before'],
    [3, 'the three months before'],
  ] as const) {
    const earlier = three(last - back)
    if (earlier !== null) return { ...pairedGrowth(later, earlier), against }
  }
  return null
}

function reportedChange(ratio: number | null): TermChange | null {
  return ratio === null ? null : { ratio, low: null, high: null, against: 'as reported' }
}

function firstDay(month: number): number {
  return Math.round(Date.UTC(Math.floor(month / 12), month % 12, 1) / 86_400_000)
}
