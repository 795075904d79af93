import type { Capture } from '../records'
import { rowReader } from '../tables'
import { isLiveSort, isPaidWord } from './clip-words'

/** A clip or a live, latest import of each. Money in E4 of the home currency. */
export interface Clip {
  key: string
  market: string
  /** key of the listing that it shows; null where it names none */
  listing: string | null
  creator: string
  title: string
  /** day on which it was posted, since 1970 */
  day: number | null
  isLive: boolean
  views: number | null
  likes: number | null
  comments: number | null
  shares: number | null
  /** seconds */
  length: number | null
  /** of the day at which it was posted, 0 to 23, in the market's own time */
  hour: number | null
  units: number | null
  revenueE4: number | null
  /** share of the price that its creator gets */
  commission: number | null
  /** whether its reach was paid for */
  isPaid: boolean | null
  url: string | null
}

type ToHome = (currency: string | null) => (e4: number | null) => number | null

/** What is no hour of a day is not known. */
const hourOf = (hour: number | null) => (hour !== null && hour >= 0 && hour < 24 ? Math.floor(hour) : null)

/** All clips of all captures; a later import replaces an earlier one of the same clip. What names no clip is one of its own. */
export function mergeClips(captures: readonly Capture[], toHome: ToHome): Clip[] {
  const byKey = new Map<string, Clip>()
  for (const { id, kind, table } of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (kind !== 'clips') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const market = text('market', row) ?? '?'
      const key = `${market}/${text('clip', row) ?? `${id} ${row}`}`
      const listing = text('id', row)
      byKey.set(key, {
        key,
        market,
        listing: listing === null ? null : `${market}/${listing}`,
        creator: text('creator', row) ?? '?',
        title: text('title', row) ?? '',
        day: number('day', row),
        isLive: isLiveSort(text('sort', row)),
        views: number('views', row),
        likes: number('likes', row),
        comments: number('comments', row),
        shares: number('shares', row),
        length: number('length', row),
        hour: hourOf(number('hour', row)),
        units: number('units', row),
        revenueE4: toHome(text('currency', row))(number('revenue', row)),
        commission: number('commission', row),
        isPaid: isPaidWord(text('paid', row)),
        url: text('url', row),
      })
    }
  }
  return [...byKey.values()]
}
