import type { Item } from '@sickle/core/catalog'
import { stageRules, type Course, type Season, type UnitSeries, type WeekdayPull } from '@sickle/core/demand'
import type { SellingWords } from '@sickle/core/words'
import { count, dayInWords, decimal, money, percent, plural, signed, signedPercent } from './format'

export const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
export const weekdayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const pValue = (p: number) => (p < 0.001 ? '< 0.001' : `= ${decimal(p, 3)}`)

/** Answers to a seller's questions, in sentences made from the figures. What is not known is said to be not known. */

export function isItSelling(item: Item): string {
  if (item.units === null) return 'No sales figures are known for it.'
  const sold = item.sellThrough
    ? ` ${Math.round(item.sellThrough.ratio * item.unitsKnown)} of ${plural(item.unitsKnown, 'listing')} sold`
    : ''
  const interval = item.sellThrough
    ? ` (${percent(item.sellThrough.ratio)}; 95 %: ${percent(item.sellThrough.low)}–${percent(item.sellThrough.high)})`
    : ''
  return `${plural(item.units, 'unit')} in 30 days to ${dayInWords(item.windowEnd)}, ${item.unitsGrade}.${sold}${interval}; ${decimal(item.unitsPerListing)} units a listing.`
}

export function willItLast(item: Item): string {
  const life = item.life
  if (!life) return 'Unclear: no daily or weekly sales are known.'
  const slope =
    life.slopePerWeek === null
      ? ''
      : ` ${life.slopePerWeek >= 0 ? 'up' : 'down'} ${percent(Math.abs(life.slopePerWeek), 1)} a week over ${plural(Math.min(182, life.observedDays), 'day')}${life.growthSeasonless === null ? '' : ', its season taken out'}`
  const growth =
    life.growth === null
      ? ''
      : `; 28 days against the 28 before: ${life.growth > 0 ? '+' : ''}${percent(life.growth)}${life.growthLow === null ? '' : ` (95 %: ${percent(life.growthLow)} to ${life.growthHigh === null ? 'open' : percent(life.growthHigh)})`}`
  const seasonless =
    life.growthSeasonless === null
      ? ''
      : `; without the season that its category is searched for by: ${signedPercent(life.growthSeasonless)}`
  switch (item.stage) {
    case 'Unclear':
      return `Unclear: ${count(life.units90)} units in ${count(life.observedDays)} observed days are too few to tell.`
    case 'Flash':
      return `Flash: half or more of 90 days' sales fell in one fortnight, and it has ebbed since${growth}.`
    default:
      return `${item.stage}:${slope}${growth}${seasonless}.`
  }
}

/** The level's change and the season, where they are known; what is not is said to be not. */
export function howItChanges({ change, season }: Course, series: UnitSeries): string {
  const level = change
    ? `Its level changed most around ${dayInWords(change.day)}: ${decimal(change.before, 1)} units a day before, ${decimal(change.after, 1)} since (Pettitt, p ${pValue(change.p)}).`
    : 'Its level shows no clear change.'
  return `${level} ${seasonSentence(season, series)}`
}

function seasonSentence(season: Season | null, { values, stepDays }: UnitSeries): string {
  if (!season)
    return `Season unclear: it takes more than two years of figures, ${plural(values.length * stepDays, 'day')} are known.`
  const strength = `strength ${decimal(season.strength, 2)} over ${season.of} months`
  if (season.strength < stageRules.seasonStrength) return `Little season: ${strength}.`
  const best = monthNames.filter((_, m) => (season.months[m] as number) >= 1.2)
  return `A season: ${strength}, most in ${best.join(', ') || 'no one month'}.`
}

export function whenItSells(weekdays: readonly WeekdayPull[] | null): string {
  if (!weekdays) return 'Unclear: it takes daily figures of eight weeks and 70 units.'
  const lifts = weekdays.filter((d) => d.isLift)
  if (lifts.length === 0) return 'No weekday stands out beyond chance.'
  const says = lifts.map(
    (d) =>
      `${weekdayNames[d.weekday] ?? ''} ${signedPercent(d.lift)} (95 %: ${signedPercent(d.low)} to ${d.high === null ? 'open' : signedPercent(d.high)})`,
  )
  return `${says.join('; ')} against the other days.`
}

export function whichWords(words: SellingWords | null, { category }: Item): string {
  if (category === null) return 'Unclear: its category is not known.'
  if (!words) return `Unclear: too few listings in ${category} have known sales, or all sell alike.`
  return `Of ${count(words.of)} listings in ${category} with sales known, ${count(words.better)} sell more than the middle one (${plural(Math.round(words.median), 'unit')} in 30 days). ${words.more.length + words.less.length > 0 ? 'Words that go with it beyond chance:' : 'No word goes with it beyond chance.'}`
}

export function isThereRoom(item: Item): string {
  const { sellers, topShare, hhi, word } = item.room
  const sold =
    topShare === null
      ? 'how sales are spread is not known'
      : `the largest takes ${percent(topShare)} of the units (concentration ${count(hhi)})`
  const meaning = {
    open: 'open',
    shared: 'open, but shared by many',
    held: 'held by one: undercutting it is the way in',
    crowded: 'crowded',
    untested: 'untested: one seller alone proves little',
    unclear: 'unclear',
  }
  return `${plural(sellers, 'seller')}; ${sold}: ${meaning[word]}.`
}

export function canIGetIt(item: Item, home: string): string {
  if (item.kind === 'digital') return 'A file: nothing to buy and nothing to ship.'
  if (!item.offer) return 'No supplier offer is known to be the same goods.'
  const { offer, by } = item.offer
  const how = { barcode: 'same barcode', words: 'same words', you: 'chosen by you' }[by]
  const lead = offer.leadDays === null ? 'delivery time not stated' : `${plural(offer.leadDays, 'day')} at most`
  return `Landed ${money(item.landedE4, home)} a pack of ${item.pack} from ${offer.supplier}, ${lead} (${how}).`
}

export function whatDoIMake(item: Item, home: string): string {
  if (!item.best)
    return item.profits.length === 0 ? 'Not known: no competing price is known.' : 'Not known: a cost is missing.'
  const { market, lowestE4, profitE4, margin } = item.best
  return `${signed(profitE4, home)} (${percent(margin)}) at the lowest competing price, ${money(lowestE4, home)} delivered on ${market}.`
}
