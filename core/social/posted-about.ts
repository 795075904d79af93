import type { RowRecord } from '../tables'
import type { Clip } from './clip'

export type PostedClip = Clip & {
  /** money taken through it × commission; null where either is not known */
  earnedE4: number | null
}

/** What is posted about an item: clips, lives and advertisements that name one of its listings. */
export interface Posted {
  clips: number
  lives: number
  /** days on which the first and the last of them was posted */
  postedFrom: number | null
  postedTo: number | null
  creators: number
  /** over the clips that say; null where none does */
  views: number | null
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
  clips: readonly Clip[],
  ads: readonly RowRecord[],
  keys: ReadonlySet<string>,
  most = 5,
): Posted {
  const mine = clips
    .filter(({ listing }) => listing !== null && keys.has(listing))
    .map((clip): PostedClip => ({ ...clip, earnedE4: earnedBy(clip) }))
  const rates = mine.flatMap((c) => c.commission ?? [])
  const shown = ads.filter((a) => keys.has(keyOf(a)))
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
    views: total(mine.flatMap((c) => c.views ?? [])),
    units: total(mine.flatMap((c) => c.units ?? [])),
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

const total = (values: readonly number[]) => (values.length === 0 ? null : values.reduce((a, b) => a + b, 0))

const earnedBy = ({ revenueE4, commission }: Clip): number | null =>
  revenueE4 === null || commission === null ? null : Math.round(revenueE4 * commission)
