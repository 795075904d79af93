import type { Clip } from './clip'
import { clipOutlook, paidRatio, type ClipOutlook, type ClipRules, type EarningClip } from './clip-outlook'

/** What a clip about an item would sell at. Money in E4 of the home currency. */
export interface ItemOnClips {
  /** keys of its listings */
  listings: ReadonlySet<string>
  priceE4: number | null
  /** share of the price that a creator gets; null where nobody says */
  commission: number | null
}

/** A clip about another item of the same sort, and by how much more the item that is asked about sells; null where either's units are not known. */
export interface ClipAlike {
  clip: Clip
  factor: number | null
}

export interface ItemOutlook extends ClipOutlook {
  /** whose clips it is judged by: those about the item, or those about its category too */
  by: 'item' | 'category'
  /** clips about the item that say neither units nor sales, of which nothing is known */
  silent: number
  /** share of clips that pay the wage that is asked for; null where none is asked for */
  paidRatio: number | null
}

/** creators of clips about the item itself from which no others are asked */
const enough = 9
/** no item is taken to sell more or less than another by more than that, for the sake of its clips */
const [leastFactor, mostFactor] = [0.1, 10]

/**
 * What a clip of mine about an item would earn: units × price × commission × (1 − cancelled), over creators. Where fewer than nine speak of the item, clips
 * of its category are asked too, at its price and commission, and as much more or less as it sells more or less than theirs.
 *
 * @returns null where no commission is known, or no clip says what it sold
 */
export function itemOutlook(
  own: readonly Clip[],
  alike: readonly ClipAlike[],
  { item, rules }: { item: ItemOnClips; rules: ClipRules },
): ItemOutlook | null {
  const kept = 1 - (rules.cancelledRatio ?? 0)
  const mine = own.flatMap((clip): EarningClip[] => {
    const commission = clip.commission ?? item.commission
    const salesE4 = clip.revenueE4 ?? times(clip.units, item.priceE4)
    return salesE4 === null || commission === null
      ? []
      : [{ creator: clip.creator, earnedE4: Math.round(salesE4 * commission * kept) }]
  })
  const silent = own.filter((c) => c.units === null && c.revenueE4 === null).length
  const isEnough = new Set(mine.map((c) => c.creator)).size >= enough
  const others = isEnough ? [] : ofCategory(alike, item, kept)
  const clips = [...mine, ...others]
  const outlook = clipOutlook(clips)
  if (!outlook) return null
  return { ...outlook, by: others.length > 0 ? 'category' : 'item', silent, paidRatio: paidRatio(clips, rules) }
}

function ofCategory(alike: readonly ClipAlike[], { priceE4, commission }: ItemOnClips, kept: number): EarningClip[] {
  if (priceE4 === null || commission === null) return []
  return alike.flatMap(({ clip: { creator, units }, factor }): EarningClip[] => {
    if (units === null || factor === null) return []
    const scale = Math.max(leastFactor, Math.min(mostFactor, factor))
    return [{ creator, earnedE4: Math.round(units * scale * priceE4 * commission * kept) }]
  })
}

const times = (n: number | null, e4: number | null) => (n === null || e4 === null ? null : n * e4)
