import {
  newDays,
  type MarketLeaveRate,
  type StoreEstimates,
  type StoreLook,
  type TitleHabits,
} from '@sickle/core/stores'
import type { StoreBeside } from '@/workers/store-methods'
import { count, dayInWords, decimal, percent, plural, signedPercent } from './format'

/** What made the money of a store, in a sentence. */
export function whatMadeTheMoney({ topFifth, makes80, summed }: StoreLook): string {
  if (summed.known === 0) return 'Not known: no listing of it says what it sold.'
  if (topFifth === null) return `Nothing sold in 30 days, of ${plural(summed.known, 'listing')} that say so.`
  const few = makes80 === 1 ? 'One listing makes' : `${count(makes80)} of ${count(summed.known)} listings make`
  return `${few} four fifths of the units of 30 days; the best fifth makes ${percent(topFifth)}.`
}

/** What is new in it and already sells. */
export function whatIsNew({ newListings, newThatSell, summed }: StoreLook): string {
  if (summed.listings === 0) return 'Not known: no listing of it is gathered.'
  if (newListings === 0) return `No listing is known to be put up in ${newDays} days.`
  return `${plural(newListings, 'listing')} put up in ${newDays} days; ${newThatSell === 0 ? 'none' : count(newThatSell)} of them sold.`
}

/** How much of a store is gathered, where a list says how much there is; null where nothing says so. */
export function whatIsGathered({ stated, summed }: StoreLook): string | null {
  if (stated?.listings == null) return null
  if (summed.listings >= stated.listings) return `All of its ${count(stated.listings)} listings are gathered.`
  return `${count(summed.listings)} of its ${count(stated.listings)} listings are gathered: sums are over these.`
}

/** How a store goes as a whole: over the listings whose days or weeks are known. */
export function howItGoes({ life, seriesKnown, summed }: StoreLook): string {
  if (!life) return 'Not known: of no listing are the days or weeks of its sales gathered.'
  const of = seriesKnown < summed.listings ? `, over ${count(seriesKnown)} of ${count(summed.listings)} listings` : ''
  if (life.growth === null) return `${life.stage}${of}: too little is known to compare two windows.`
  const interval =
    life.growthLow === null || life.growthHigh === null
      ? ''
      : ` (95\u00a0%: ${signedPercent(life.growthLow)} to ${signedPercent(life.growthHigh)})`
  return `${life.stage}: ${signedPercent(life.growth)} in 28 days against the 28 before${interval}, over the ${count(life.compared)} of ${plural(summed.listings, 'listing')} that know both.`
}

/** What it stopped selling. */
export function whatStopped({ stoppedCount, stoppedJudged }: StoreLook): string {
  if (stoppedJudged === 0) return 'Not known: of no listing is there a long enough record of days.'
  const of = `of ${plural(stoppedJudged, 'listing')} with a long enough record`
  if (stoppedCount === 0) return `None ${of} fell silent by more than chance.`
  return `${count(stoppedCount)} ${of} sold before and not once in 30 days, which is more than chance.`
}

/** What it dropped, by two looks at the whole of it. */
export function whatDropped({ dropped, droppedCount }: StoreLook): string {
  if (dropped.since === null) return 'What it dropped shows once it is gathered whole a second time.'
  return `${plural(droppedCount, 'listing')} of before ${droppedCount === 1 ? 'was' : 'were'} not in its list of ${dayInWords(dropped.since)}.`
}

/** When it puts things up. */
export function whenPutUp({ putUp, summed }: StoreLook): string {
  if (putUp.known === 0) return 'Not known: no listing of it says when it was put up.'
  const of = putUp.known < summed.listings ? ` ${count(putUp.known)} of ${count(summed.listings)} say when.` : ''
  const pace = putUp.perMonth === null ? '' : `${decimal(putUp.perMonth, 1)} a month over the last six whole months. `
  return `${pace}Of those still up; what it took down is not in it.${of}`
}

/** How it writes what sells, beside what does not. */
export function howItWrites({ selling, silent }: TitleHabits): string {
  if (selling.listings === 0) return 'Nothing of it is known to sell.'
  const length = (w: TitleHabits['selling']) => (w.titleLength === null ? '–' : decimal(w.titleLength, 0))
  const tags = (w: TitleHabits['selling']) => (w.tags === null ? '' : ` and ${decimal(w.tags, 0)} tags`)
  const unshown = selling.tagged + silent.tagged === 0 ? ' Tags are not shown.' : ''
  const first = `Titles of what sells have ${length(selling)} letters${tags(selling)}`
  return silent.listings === 0
    ? `${first}.${unshown}`
    : `${first}; of what does not, ${length(silent)}${tags(silent)}.${unshown}`
}

/** At what prices, beside others for the same goods. */
export function atWhatPrices({ prices }: StoreBeside): string {
  const { compared, cheaper, dearer, same, medianRatio } = prices
  if (compared === 0) return 'Nobody else is gathered that lists the same goods.'
  const middle = medianRatio === null ? '' : ` In the middle it asks ${signedPercent(medianRatio - 1, 1)}.`
  return `Of ${plural(compared, 'listing')} that others have too, ${count(cheaper)} are cheaper than the middle of theirs, ${count(dearer)} dearer, ${count(same)} as dear.${middle}`
}

/** Where we meet. */
export function whereWeMeetWords({ met, goods, perhaps }: StoreBeside): string {
  if (goods === 0) return 'Not known: my own catalogue is not brought in.'
  const also = perhaps > 0 ? ` ${count(perhaps)} more may be, or are mine in another pack.` : ''
  return met === 0
    ? `It sells nothing of mine.${also}`
    : `${plural(met, 'listing')} of it ${met === 1 ? 'is' : 'are'} of goods of mine.${also}`
}

/** What it has that I have not. */
export function whatIsMissing({ gaps, goods }: StoreBeside): string {
  if (goods === 0) return 'Bring in my own catalogue, or paste a list of it, and what I do not sell shows here.'
  return gaps === 0 ? 'It sells nothing that I do not.' : `${plural(gaps, 'item')} of it that I do not sell.`
}

/** One estimate in a line: the middle, and the span that holds the truth four times in five. */
export function estimateWords(estimate: { units: number; low: number; high: number } | null): string {
  if (!estimate) return 'not possible from what is gathered'
  return `about ${count(estimate.units)}; 80\u00a0%: ${count(estimate.low)} to ${count(estimate.high)}`
}

/** How each estimate came about. */
export function estimateSource(estimates: StoreEstimates, of: 'feedback' | 'items' | 'ranks'): string {
  if (of === 'feedback') {
    const { feedback } = estimates
    if (!feedback) return ''
    return feedback.by === 'offers'
      ? `${count(feedback.count)} left feedback in 30 days`
      : `its feedback rose by ${count(feedback.count)} between two lists`
  }
  const one = estimates[of]
  if (!one) return ''
  return of === 'items'
    ? `${plural(one.of, 'item')} it shares with others, by how often its offer is shown first`
    : `${plural(one.of, 'listing')} whose sales are not shown, by rank`
}

/** Where the rate of buyers who leave feedback comes from. */
export function leaveWords({ of }: MarketLeaveRate, isSet: boolean): string {
  if (isSet) return 'as you set it'
  if (of === 0) return 'usual in the trade: no store of its market states feedback and sales both'
  return `learned from ${plural(of, 'other store')} of its market that ${of === 1 ? 'states' : 'state'} feedback and sales`
}
