import { moneyE4, orNull, ratio, record, span } from '../schema'

/** A clip or live, and what its creator earned by it. */
export interface EarningClip {
  creator: string
  /** commission of what was sold through it, E4 of any one currency */
  earnedE4: number
}

/** What a clip of mine may earn, judged by those of others: the middle one and how they spread, never the best. Money as the clips have it. */
export interface ClipOutlook {
  clips: number
  creators: number
  middleE4: number
  /** a tenth of all clips earn as much or more */
  upperTenthE4: number
  /** share of clips that earned nothing */
  nothingRatio: number
  /** where four of five clips of somebody who is not among these creators lie; null from fewer than nine creators */
  range: { lowE4: number; highE4: number } | null
  /** share of all that was earned by the best clip, and by the creator who earned most; null where nothing was earned */
  bestClipRatio: number | null
  bestCreatorRatio: number | null
}

/** creators from which a range can be told: of fewer no four fifths lie between two of them */
const leastCreators = 9
const [tail, all] = [0.1, 0.8]

/**
 * What clips earn, each creator counting once however many clips she made. The range is that of order statistics for one more of the same kind
 * (a prediction interval without a distribution: Wilks 1941): its ranks are of n + 1 creators. Where a tenth and more earn nothing, it begins at nothing
 * and leaves a fifth above.
 *
 * @returns null without any clip
 */
export function clipOutlook(clips: readonly EarningClip[]): ClipOutlook | null {
  if (clips.length === 0) return null
  const byCreator = new Map<string, number[]>()
  for (const { creator, earnedE4 } of clips) {
    const hers = byCreator.get(creator)
    if (hers) hers.push(earnedE4)
    else byCreator.set(creator, [earnedE4])
  }
  const creators = byCreator.size
  const drawn = [...byCreator.values()]
    .flatMap((earned) => earned.map((earnedE4) => ({ earnedE4, weight: 1 / earned.length / creators })))
    .sort((a, b) => a.earnedE4 - b.earnedE4)
  const at = (share: number) => quantile(drawn, share)
  const nothingRatio = drawn.reduce((sum, d) => sum + (d.earnedE4 === 0 ? d.weight : 0), 0)
  const earned = clips.reduce((sum, c) => sum + c.earnedE4, 0)
  const sums = [...byCreator.values()].map((list) => list.reduce((a, b) => a + b, 0))
  return {
    clips: clips.length,
    creators,
    middleE4: at(0.5),
    upperTenthE4: at(1 - tail),
    nothingRatio,
    range: creators < leastCreators ? null : rangeOf(at, creators, nothingRatio),
    bestClipRatio: earned === 0 ? null : mostOf(clips.map((c) => c.earnedE4)) / earned,
    bestCreatorRatio: earned === 0 ? null : mostOf(sums) / earned,
  }
}

const mostOf = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), 0)

function rangeOf(at: (share: number) => number, creators: number, nothingRatio: number): ClipOutlook['range'] {
  const ofOneMore = (share: number) => (share * (creators + 1)) / creators
  if (nothingRatio >= tail) return { lowE4: 0, highE4: at(Math.min(1, ofOneMore(all))) }
  return { lowE4: at(Math.max(0, ofOneMore(tail) - 1 / creators)), highE4: at(Math.min(1, ofOneMore(1 - tail))) }
}

/** The least value that a share of the weight does not pass. */
function quantile(drawn: readonly { earnedE4: number; weight: number }[], share: number): number {
  let sum = 0
  for (const { earnedE4, weight } of drawn) {
    sum += weight
    if (sum >= share - 1e-9) return earnedE4
  }
  return drawn.at(-1)?.earnedE4 ?? 0
}

/** What a seller counts of making clips. Money in E4 of the home currency; null is not entered. */
export interface ClipRules {
  hours: number
  leastWageE4: number | null
  /** samples, props and whatever else one clip costs */
  costE4: number
  /** share of orders that are cancelled or sent back, and pay no commission */
  cancelledRatio: number | null
}

export const clipRulesSchema = record({
  hours: span(0.1, 200),
  leastWageE4: orNull(moneyE4()),
  costE4: moneyE4(),
  cancelledRatio: orNull(ratio()),
})

export const clipRules: ClipRules = { hours: 2, leastWageE4: null, costE4: 0, cancelledRatio: null }

/** The wage an hour that something earned comes to, E4; below zero where it does not pay what a clip costs. */
export const wageE4 = (earnedE4: number, { hours, costE4 }: Pick<ClipRules, 'hours' | 'costE4'>): number =>
  Math.round((earnedE4 - costE4) / hours)

/** Share of clips, each creator counting once, that pay what a clip costs and the wage that is asked for; null where none is. */
export function paidRatio(clips: readonly EarningClip[], rules: ClipRules): number | null {
  const { leastWageE4 } = rules
  if (leastWageE4 === null || clips.length === 0) return null
  const ofCreator = new Map<string, [paid: number, of: number]>()
  for (const { creator, earnedE4 } of clips) {
    const [paid, of] = ofCreator.get(creator) ?? [0, 0]
    const isPaid = earnedE4 - rules.costE4 >= leastWageE4 * rules.hours
    ofCreator.set(creator, [paid + (isPaid ? 1 : 0), of + 1])
  }
  return [...ofCreator.values()].reduce((sum, [paid, of]) => sum + paid / of, 0) / ofCreator.size
}
