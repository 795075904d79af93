import type { RowRecord } from '../tables'
import { isLiveSort, isPaidWord } from './clip'

export interface PostedClip {
  title: string
  creator: string
  day: number | null
  isLive: boolean
  views: number | null
  units: number | null
  /** money taken through it × commission, E4 of its own currency; null where either is not known */
  earnedE4: number | null
  currency: string | null
  isPaid: boolean | null
}

/** What is posted about an item: clips, lives and advertisements that name one of its listings. */
export interface Posted {
  clips: number
  lives: number
  /** days on which the first and the last of them was posted */
  postedFrom: number | null
  postedTo: number | null
  creators: number
  views: number
  /** units through clips, as reported; null where none says */
  units: number | null
  /** of the clips that say so, how many had their reach paid for */
  paid: number
  paidKnown: number
  /** mean commission of those that name one, 0–1 */
  commission: number | null
  ads: number
  advertisers: number
  /** days on which an advertisement was first and last seen */
  adsFrom: number | null
  adsTo: number | null
  /** those that sold most, then those seen most */
  best: PostedClip[]
}

const text = (v: unknown) => (typeof v === 'string' ? v : null)
const figure = (v: unknown) => (typeof v === 'number' ? v : null)
const keyOf = (r: RowRecord) => `${text(r.market) ?? '?'}/${text(r.id) ?? '?'}`

/** @param keys keys of the item's listings @param most how many of the best clips */
export function postedAbout(
  clips: readonly RowRecord[],
  ads: readonly RowRecord[],
  keys: ReadonlySet<string>,
  most = 5,
): Posted {
  const mine = clips.filter((c) => keys.has(keyOf(c))).map(clipOf)
  const rates = clips.filter((c) => keys.has(keyOf(c))).flatMap((c) => figure(c.commission) ?? [])
  const shown = ads.filter((a) => keys.has(keyOf(a)))
  const units = mine.flatMap((c) => c.units ?? [])
  const known = mine.filter((c) => c.isPaid !== null)
  const days = (name: string) => shown.flatMap((a) => figure(a[name]) ?? [])
  return {
    clips: mine.filter((c) => !c.isLive).length,
    lives: mine.filter((c) => c.isLive).length,
    postedFrom: least(mine.flatMap((c) => c.day ?? [])),
    postedTo: least(
      mine.flatMap((c) => (c.day === null ? [] : -c.day)),
      -1,
    ),
    creators: new Set(mine.map((c) => c.creator)).size,
    views: mine.reduce((sum, c) => sum + (c.views ?? 0), 0),
    units: units.length ? units.reduce((a, b) => a + b, 0) : null,
    paid: known.filter((c) => c.isPaid).length,
    paidKnown: known.length,
    commission: rates.length ? rates.reduce((a, b) => a + b, 0) / rates.length : null,
    ads: shown.length,
    advertisers: new Set(shown.map((a) => text(a.advertiser))).size,
    adsFrom: least(days('firstSeen')),
    adsTo: least(
      days('lastSeen').map((d) => -d),
      -1,
    ),
    best: [...mine].sort((a, b) => (b.units ?? -1) - (a.units ?? -1) || (b.views ?? 0) - (a.views ?? 0)).slice(0, most),
  }
}

function least(values: number[], sign = 1): number | null {
  return values.length ? sign * values.reduce((a, b) => Math.min(a, b), Infinity) : null
}

function clipOf(r: RowRecord): PostedClip {
  const paid = text(r.paid)
  const [revenue, rate] = [figure(r.revenue), figure(r.commission)]
  return {
    title: text(r.title) ?? text(r.clip) ?? '',
    creator: text(r.creator) ?? '?',
    day: figure(r.day),
    isLive: isLiveSort(text(r.sort)),
    views: figure(r.views),
    units: figure(r.units),
    earnedE4: revenue === null || rate === null ? null : Math.round(revenue * rate),
    currency: text(r.currency),
    isPaid: isPaidWord(paid),
  }
}
