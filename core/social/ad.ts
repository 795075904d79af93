import type { Capture } from '../records'
import { rowReader } from '../tables'

/** An advertisement as it was seen, over all captures of its number. Days since 1970; null where nothing says. */
export interface Ad {
  key: string
  market: string
  /** key of the listing that it shows; null where it names none */
  listing: string | null
  advertiser: string
  channel: string | null
  medium: string | null
  language: string | null
  country: string | null
  /** what it says: its headline, and what stands under it */
  title: string
  text: string
  picture: string | null
  url: string | null
  firstSeen: number | null
  lastSeen: number | null
  views: number | null
  /** likes, comments and shares together */
  reactions: number | null
  /** views as they stood when it was captured, oldest first, each day once */
  looks: { day: number; views: number }[]
}

/** All advertisements of all captures; a later one of the same number says what holds, and how its views rose. */
export function mergeAds(captures: readonly Capture[]): Ad[] {
  const byKey = new Map<string, Ad>()
  for (const { id: capture, kind, table, capturedOn } of [...captures].sort((a, b) => a.capturedOn - b.capturedOn)) {
    if (kind !== 'ads') continue
    const { text, number } = rowReader(table)
    for (let row = 0; row < table.rows; row++) {
      const market = text('market', row) ?? '?'
      const key = `${market}/${text('ad', row) ?? `${capture} ${row}`}`
      const before = byKey.get(key)
      const id = text('id', row)
      const [views, first, last] = [number('views', row), number('firstSeen', row), number('lastSeen', row)]
      const reacted = ['likes', 'comments', 'shares'].flatMap((name) => number(name, row) ?? [])
      byKey.set(key, {
        key,
        market,
        listing: id === null ? (before?.listing ?? null) : `${market}/${id}`,
        advertiser: text('advertiser', row) ?? '?',
        channel: text('channel', row) ?? before?.channel ?? null,
        medium: text('medium', row) ?? before?.medium ?? null,
        language: text('language', row) ?? before?.language ?? null,
        country: text('country', row) ?? before?.country ?? null,
        title: text('title', row) ?? before?.title ?? '',
        text: text('text', row) ?? before?.text ?? '',
        picture: text('picture', row) ?? before?.picture ?? null,
        url: text('url', row) ?? before?.url ?? null,
        firstSeen: ends(Math.min, first, before?.firstSeen ?? null),
        lastSeen: ends(Math.max, last, before?.lastSeen ?? null),
        views: views ?? before?.views ?? null,
        reactions: reacted.length === 0 ? (before?.reactions ?? null) : reacted.reduce((a, b) => a + b, 0),
        looks: looksOf(before, views === null ? null : { day: last ?? capturedOn, views }),
      })
    }
  }
  return [...byKey.values()]
}

function ends(of: (...days: number[]) => number, a: number | null, b: number | null): number | null {
  const known = [a, b].flatMap((d) => d ?? [])
  return known.length === 0 ? null : of(...known)
}

function looksOf(before: Ad | undefined, look: { day: number; views: number } | null): Ad['looks'] {
  const known = before?.looks ?? []
  if (look === null) return known
  return [...known.filter((l) => l.day < look.day), look]
}
