import type { Branch, Wordings } from '@sickle/core/engine'
import type { ListingSums } from '@sickle/core/catalog'
import { riseFrom, type Term } from '@sickle/core/terms'
import { monthNames } from './answers'
import { count, dayInWords, decimal, percent, plural, signedPercent } from './format'

/** Answers of Demand in sentences made from the figures. */

export function whereItSellsBest(here: Branch, best: Branch | null): string {
  if (here.sellThrough === null) return 'Of no listing here are the sales known.'
  const usual = `${count(here.sold)} of ${plural(here.known, 'listing')} sold in 30 days (${percent(here.sellThrough.ratio)}; 95\u00a0%: ${percent(here.sellThrough.low)}–${percent(here.sellThrough.high)})`
  if (!best?.sellThrough) return `${usual}; no branch below is surely better.`
  return `${usual}. Best below, by the lower end of its interval: ${best.path}, ${count(best.sold)} of ${count(best.known)} (${percent(best.sellThrough.ratio)}; from ${percent(best.sellThrough.low)}).`
}

export function howUnitsAreKnown({ byGrade, units }: Branch): string {
  if (units === 0) return 'no units'
  const says = Object.entries(byGrade).filter(([, n]) => n > 0)
  return says.map(([grade, n]) => `${percent(n / units)} ${grade}`).join(', ')
}

export function isTheTermWorthIt(term: Term): string {
  const months = term.ofMonths > 1 ? `mean of ${term.ofMonths} months` : 'one month'
  const to = term.lastDay === null ? '' : ` to ${monthNames[new Date(term.lastDay * 86_400_000).getUTCMonth()] ?? ''}`
  const crowd =
    term.competing === null
      ? 'How many listings answer to it is not known.'
      : `${plural(term.competing, 'listing')} ${term.competing === 1 ? 'answers' : 'answer'} to it: ${term.balance === null ? 'no balance' : `${balanceWords(term.balance)} searches a listing`}.`
  return `${count(term.searches)} searches a month (${months}${to}, reported). ${crowd} ${changeSentence(term)}`
}

export function balanceWords(balance: number | null): string {
  if (balance === null) return '–'
  return decimal(balance, balance >= 10 ? 0 : balance >= 1 ? 1 : 2)
}

function changeSentence({ change }: Term): string {
  if (change?.ratio == null) return ''
  if (change.against === 'as reported') return `${signedPercent(change.ratio)}, as the market reports.`
  const [low, high] = [change.low ?? -Infinity, change.high ?? Infinity]
  const sure =
    low >= riseFrom
      ? 'Rising'
      : high <= -riseFrom
        ? 'Falling'
        : low > -riseFrom && high < riseFrom
          ? 'Little changed'
          : 'No sure change'
  const season = change.against === 'a year before' ? '' : '; its season is not taken out'
  return `${sure}: the last three months ${signedPercent(change.ratio)} against ${change.against} (95\u00a0%: ${signedPercent(change.low)} to ${signedPercent(change.high)}${season}).`
}

export function whenIsItSearched({ months, ofMonths }: Term): string {
  if (ofMonths < 12) return `Its year is not known: ${plural(ofMonths, 'month')} of figures.`
  const mean = months.reduce<number>((sum, m) => sum + (m ?? 0), 0) / 12
  const strong = monthNames.filter((_, i) => (months[i] ?? 0) >= 1.2 * mean)
  const weak = monthNames.filter((_, i) => (months[i] ?? 0) <= 0.8 * mean)
  if (strong.length === 0 && weak.length === 0) return 'Searched for all year alike, within a fifth.'
  return `Strong in ${list(strong)}; weak in ${list(weak)}. One year: it may not come back alike.`
}

function list(names: string[]): string {
  return names.length === 0 ? 'no month' : names.join(', ')
}

export function whatSellsUnderIt(sums: ListingSums): string {
  if (sums.listings === 0) return 'No gathered listing has all these words in its title.'
  if (!sums.sellThrough || sums.windowEnd === null) return `${plural(sums.listings, 'listing')}, their sales not known.`
  return `${count(sums.sold)} of ${plural(sums.known, 'gathered listing')} of ${plural(sums.stores, 'store')} sold in 30 days to ${dayInWords(sums.windowEnd)} (${percent(sums.sellThrough.ratio)}; 95\u00a0%: ${percent(sums.sellThrough.low)}–${percent(sums.sellThrough.high)}); ${decimal(sums.unitsPerListing, 1)} units a listing.`
}

export function whichWordingSells({ difference, both }: Wordings, phrases: [string, string]): string {
  const shared = both === 0 ? '' : ` ${plural(both, 'listing')} with both ${both === 1 ? 'is' : 'are'} left out.`
  if (!difference) return `Too few gathered listings use one and not the other to tell.${shared}`
  const interval = `${signedPercent(difference.difference)} of listings sold (95\u00a0%: ${signedPercent(difference.low)} to ${signedPercent(difference.high)})`
  if (difference.low <= 0 && difference.high >= 0) return `Neither surely sells through better: ${interval}.${shared}`
  return `“${difference.low > 0 ? phrases[0] : phrases[1]}” sells through better: ${interval}.${shared}`
}
