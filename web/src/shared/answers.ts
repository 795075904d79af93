import type { Item } from '@sickle/core/catalog'
import { count, dayInWords, decimal, money, percent, plural, signed } from './format'

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
      : ` ${life.slopePerWeek >= 0 ? 'up' : 'down'} ${percent(Math.abs(life.slopePerWeek), 1)} a week over 90 days`
  const growth =
    life.growth === null
      ? ''
      : `; 28 days against the 28 before: ${life.growth > 0 ? '+' : ''}${percent(life.growth)}${life.growthLow === null ? '' : ` (95 %: ${percent(life.growthLow)} to ${life.growthHigh === null ? 'open' : percent(life.growthHigh)})`}`
  switch (item.stage) {
    case 'Unclear':
      return `Unclear: ${count(life.units90)} units in ${count(life.observedDays)} observed days are too few to tell.`
    case 'Flash':
      return `Flash: half or more of 90 days' sales fell in one fortnight, and it has ebbed since${growth}.`
    default:
      return `${item.stage}:${slope}${growth}.`
  }
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
