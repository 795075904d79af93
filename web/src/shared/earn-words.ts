import type { Item } from '@sickle/core/catalog'
import { wageE4, type ClipRules } from '@sickle/core/social'
import { sharedProfit } from '@sickle/core/verdict'
import type { Earnings } from '@/workers/clip-methods'
import { count, money, percent, plural } from './format'

/** What a clip of mine would earn, in sentences: the middle one, how many earn nothing, where most lie, and whom it is judged by. */
export function whatWouldIEarn(earnings: Earnings | null, home: string, rules: ClipRules): string {
  if (!earnings) return 'Not known: no clip about it says what it sold, or no commission is known.'
  const { middleE4, nothingRatio, range, clips, creators, by, bestClipRatio } = earnings.outlook
  const nothing = nothingRatio === 0 ? 'none earned nothing' : `${percent(nothingRatio)} earned nothing`
  const spread = range
    ? `; of five clips of others like you four would earn ${money(range.lowE4, home)} to ${money(range.highE4, home)}`
    : '; too few creators to say how far clips of others would lie'
  const whose = by === 'item' ? 'about it' : 'about it and its category, at its price and commission'
  const lucky =
    bestClipRatio !== null && clips > 1 && bestClipRatio >= 0.5
      ? ` One clip earned ${percent(bestClipRatio)} of all: that is luck, not what to expect.`
      : ''
  const before = rules.cancelledRatio === null ? ' Cancelled orders are not taken off: say how many there are.' : ''
  return `The middle clip earned ${money(middleE4, home)}, ${nothing}${spread}. By ${plural(clips, 'clip')} of ${plural(creators, 'creator')} ${whose}, each creator counting once.${lucky}${before}`
}

/** What the middle clip pays an hour, and how many pay the wage that is asked for. */
export function wageTold({ outlook }: Earnings, home: string, rules: ClipRules): string {
  const wage = money(wageE4(outlook.middleE4, rules), home)
  const hours = `At ${plural(rules.hours, 'hour')} a clip${rules.costE4 > 0 ? ` and ${money(rules.costE4, home)} of cost` : ''} the middle one pays ${wage} an hour`
  if (outlook.paidRatio === null) return `${hours}.`
  return `${hours}; ${percent(outlook.paidRatio)} pay the ${money(rules.leastWageE4, home)} that you ask for.`
}

/** The same beside selling the thing oneself; '' where what that earns is not known. */
export function besideSelling({ outlook }: Earnings, item: Item, home: string): string {
  const profit = item.best?.profitE4 ?? null
  if (profit === null || item.units === null) return ''
  const monthE4 = Math.round(sharedProfit(profit, item.units, item.listings.length))
  const clips =
    outlook.middleE4 > 0
      ? `, as much as ${plural(Math.ceil(Math.max(0, monthE4) / outlook.middleE4), 'middle clip')}`
      : ''
  return `Selling it yourself would leave ${money(monthE4, home)} a month at a fair share of its ${count(item.units)} sales${monthE4 > 0 ? clips : ''}.`
}
