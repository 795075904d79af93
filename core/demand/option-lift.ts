import { shareDifference, sharesP, type Difference } from './difference'
import { falseDiscovery } from './false-discovery'
import { wilsonInterval, type ProportionInterval } from './wilson'

/** A listing by the options it was put up with: name of the choice → what was chosen; left out where it is not known. */
export interface Choice {
  options: Record<string, string>
  sold: boolean
}

/** One option beside all listings that chose something else. */
export interface OptionLift {
  /** 'Format', and 'auction' */
  choice: string
  option: string
  sold: number
  of: number
  share: ProportionInterval
  lift: Difference
  /** its interval leaves zero out, and so does a control of the false discovery rate over all options compared */
  isLift: boolean
}

/** fewer listings on either side say nothing */
const least = 10

/**
 * By how much each option lifts or lowers the share of listings that sold, against the rest of its choice, with Newcombe's interval
 * and Benjamini and Hochberg's control at 5 % over all that are compared. Options of fewer than ten listings are left out.
 */
export function optionLifts(listings: readonly Choice[]): OptionLift[] {
  const counts: OptionCounts = new Map()
  for (const { options, sold } of listings) {
    for (const [choice, option] of Object.entries(options)) {
      const known = counts.get(choice) ?? new Map<string, { sold: number; of: number }>()
      counts.set(choice, known)
      const n = known.get(option) ?? { sold: 0, of: 0 }
      known.set(option, { sold: n.sold + Number(sold), of: n.of + 1 })
    }
  }
  return liftsOfCounts(counts)
}

/** How many chose each option of a choice, and how many of them sold: choice → option → counts. */
export type OptionCounts = Map<string, Map<string, { sold: number; of: number }>>

/** The same out of counts, for those who count by themselves. */
export function liftsOfCounts(counts: OptionCounts): OptionLift[] {
  const compared = [...counts].flatMap(([choice, options]) => {
    const all = [...options.values()].reduce((a, b) => ({ sold: a.sold + b.sold, of: a.of + b.of }), { sold: 0, of: 0 })
    return [...options].flatMap(([option, { sold, of }]) => {
      const [restSold, rest] = [all.sold - sold, all.of - of]
      const [share, lift] = [wilsonInterval(sold, of), shareDifference(sold, of, restSold, rest)]
      if (of < least || rest < least || !share || !lift) return []
      return [{ choice, option, sold, of, share, lift, p: sharesP(sold, of, restSold, rest) }]
    })
  })
  const adjusted = falseDiscovery(compared.map((c) => c.p))
  return compared.map(({ p: _, ...c }, i) => ({
    ...c,
    isLift: (adjusted[i] as number) <= 0.05 && (c.lift.low > 0 || c.lift.high < 0),
  }))
}
