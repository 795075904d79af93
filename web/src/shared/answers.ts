import {
  assumptionWords,
  comparable,
  type Item,
  type ItemSeller,
  type Overruling,
  type UnpublishedUnits,
} from '@sickle/core/catalog'
import type { Clearance, ClearEntry } from '@sickle/core/clear'
import {
  isSeason,
  noiseStrength,
  stageRules,
  type StageOfLife,
  type Course,
  type OptionLift,
  type PriceResponse,
  type Pull,
  type Season,
  type UnitSeries,
  type WeekdayPull,
} from '@sickle/core/demand'
import type { PriceSpread } from '@sickle/core/room'
import type { Posted } from '@sickle/core/social'
import type { SellingWords } from '@sickle/core/words'
import { count, dayInWords, decimal, money, percent, plural, signed, signedPercent } from './format'
import { daysTold, whyChosen } from './supply-words'

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
    ? ` (${percent(item.sellThrough.ratio)}; 95\u00a0%: ${percent(item.sellThrough.low)}–${percent(item.sellThrough.high)})`
    : ''
  return `${plural(item.units, 'unit')} in 30 days to ${dayInWords(item.windowEnd)}, ${item.unitsGrade}.${sold}${interval}; ${decimal(item.unitsPerListing)} units a listing.`
}

/** From what units that nobody publishes were estimated. */
export function howEstimated({ units, low, high, by }: UnpublishedUnits): string {
  const from = { reviews: 'the rise of its reviews', stock: 'falls of its stock', rank: 'its sales rank' }
  const parts = Object.entries(by).map(
    ([method, e]) => `${from[method as keyof typeof from]} (${count(e.low)} to ${count(e.high)})`,
  )
  return `about ${count(units)} units in 30 days, 80\u00a0%: ${count(low)} to ${count(high)}, estimated from ${parts.join(' and ')}`
}

/** Which of an item's listings sell by estimate alone; '' where none does. */
export function whatIsEstimated(item: Item): string {
  const guessed = item.listings.flatMap((l) =>
    l.unpublished ? [{ who: l.store ?? l.market, how: l.unpublished }] : [],
  )
  const [first] = guessed
  if (!first) return ''
  const more = guessed.length > 1 ? `; ${plural(guessed.length - 1, 'more listing')} likewise` : ''
  return `${first.who} does not show what it sells: ${howEstimated(first.how)}${more}. Such listings are left out of the share that sold.`
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
      : `; 28 days against the 28 before${sameWords(life)}: ${life.growth > 0 ? '+' : ''}${percent(life.growth)}${life.growthLow === null ? '' : ` (95\u00a0%: ${percent(life.growthLow)} to ${life.growthHigh === null ? 'open' : percent(life.growthHigh)})`}`
  const seasonless =
    life.growthSeasonless === null
      ? ''
      : `; without the season that its category is searched for by: ${signedPercent(life.growthSeasonless)}`
  switch (item.stage) {
    case 'Unclear':
      return `Unclear: ${count(life.units90)} units in ${count(life.observedDays)} observed days are too few, or swing too much, to tell${growth}.`
    case 'Flash':
      return `Flash: half or more of 90 days' sales fell in one fortnight, and it has ebbed since${growth}.`
    case 'Ripe':
      return `Ripe: it moves no more than its own swings make it;${slope}${growth}${seasonless}.`
    default:
      return `${item.stage}:${slope}${growth}${seasonless}.`
  }
}

/** Growth is told of the listings that know both windows. */
function sameWords({ compared, listings }: StageOfLife): string {
  return compared < listings ? `, of the ${compared} of ${listings} listings that know both` : ''
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
  if (season.strength < noiseStrength(season.of)) return `No season beyond what noise reaches: ${strength}.`
  if (!isSeason(season, stageRules.seasonStrength)) return `Little season: ${strength}.`
  const best = monthNames.filter((_, m) => (season.months[m] as number) >= 1.2)
  return `A season: ${strength}, most in ${best.join(', ') || 'no one month'}.`
}

export function whenItSells(weekdays: readonly WeekdayPull[] | null): string {
  if (!weekdays) return 'Unclear: it takes daily figures of eight weeks and 70 units.'
  const lifts = weekdays.filter((d) => d.isLift)
  if (lifts.length === 0) return 'No weekday stands out beyond chance.'
  const says = lifts.map(
    (d) =>
      `${weekdayNames[d.weekday] ?? ''} ${signedPercent(d.lift)} (95\u00a0%: ${signedPercent(d.low)} to ${d.high === null ? 'open' : signedPercent(d.high)})`,
  )
  return `${says.join('; ')} against the other days.`
}

export function whichWords(words: SellingWords | null, { category }: Item): string {
  if (category === null) return 'Unclear: its category is not known.'
  if (!words) return `Unclear: too few listings in ${category} have known sales, or all sell alike.`
  return `Of ${count(words.of)} listings in ${category} with sales known, ${count(words.better)} sell more than the middle one (${plural(Math.round(words.median), 'unit')} in 30 days). ${words.more.length + words.less.length > 0 ? 'Words that go with it beyond chance:' : 'No word goes with it beyond chance.'}`
}

export function isThereRoom(item: Item): string {
  const { sellers, known, topShare, hhi, makeMost, gini, word } = item.room
  const sold =
    topShare === null
      ? `too little is known of ${known < sellers ? `${count(known)} of them` : 'their sales'} to tell how sales are spread`
      : `${known < sellers ? `of the ${count(known)} whose sales are known ` : ''}the largest takes ${percent(topShare)} of the units (concentration ${count(hhi)})${sellers > 2 ? `, ${makeMost === 1 ? 'one makes' : `${count(makeMost)} make`} 80\u00a0% (Gini ${decimal(gini)})` : ''}`
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
  if (!item.offer)
    return item.choice.candidates.length > 0
      ? 'Every offer of the same goods is of a supplier you avoid.'
      : 'No supplier offer is known to be the same goods.'
  const { offer, by } = item.offer
  const how = { barcode: 'same barcode', words: 'same words', you: 'the same, as you said' }[by]
  const why = whyChosen(item.choice, home)
  return `Landed ${money(item.landedE4, home)} a pack of ${item.pack} from ${offer.supplier}, ${daysTold(offer)} (${how}): ${why}.`
}

export function whatDoIMake(item: Item, home: string): string {
  if (!item.best)
    return item.profits.length === 0 ? 'Not known: no competing price is known.' : 'Not known: a cost is missing.'
  const { market, lowestE4, isDelivered, profitE4, margin, assumed } = item.best
  const rests = assumed.length === 0 ? '' : ` Assumed ○: ${assumed.map((a) => assumptionWords[a]).join('; ')}.`
  return `${signed(profitE4, home)} (${percent(margin)}) at the lowest competing price, ${money(lowestE4, home)} ${isDelivered ? `delivered on ${market}` : `on ${market}, delivery not stated`}.${rests}`
}

export function whatDoesItSellFor(spread: PriceSpread | null, item: Item, home: string): string {
  if (!spread) return 'Not known: no listing has a price.'
  const way = comparable(item.listings).isDelivered ? ' delivered' : ', delivery not stated,'
  const asked =
    spread.lowE4 === spread.highE4
      ? `All ask ${money(spread.lowE4, home)}${way}`
      : `Asked: ${money(spread.quartersE4[1], home)}${way} in the middle, the middle half ${money(spread.quartersE4[0], home)} to ${money(spread.quartersE4[2], home)}, of ${plural(spread.of, 'listing')}`
  const sold =
    spread.soldE4 === null
      ? 'nothing sold in 30 days'
      : `half of the units went for ${money(spread.soldE4, home)} or less`
  const each =
    item.pack > 1 ? ` A piece of the pack of ${item.pack}: ${money(spread.quartersE4[1] / item.pack, home)}.` : ''
  return `${asked}; ${sold}.${each}`
}

export function whichOptions(lifts: readonly OptionLift[] | null, { category }: Item): string {
  if (category === null) return 'Unclear: its category is not known.'
  if (!lifts || lifts.length === 0)
    return `Unclear: for ${category} no option is known of ten listings or more on either side.`
  const sure = lifts.filter((l) => l.isLift)
  if (sure.length === 0) return 'No option goes with selling beyond chance.'
  const best = [...sure].sort((a, b) => Math.abs(b.lift.difference) - Math.abs(a.lift.difference)).slice(0, 3)
  const says = best.map(
    (l) =>
      `${l.choice} ${l.option} ${signedPercent(l.lift.difference)} (95\u00a0%: ${signedPercent(l.lift.low)} to ${signedPercent(l.lift.high)})`,
  )
  return `Listings that sold in 30 days, against the rest: ${says.join('; ')}. What goes with selling need not cause it.`
}

const monthParts = ['the 1st to 10th', 'the 11th to 20th', 'the 21st on']

export function whenInTheMonth(parts: readonly Pull[] | null): string {
  const lifts = (parts ?? []).flatMap((p, i) => (p.isLift ? [`${monthParts[i] ?? ''} ${signedPercent(p.lift)}`] : []))
  if (!parts) return ''
  return lifts.length === 0 ? 'No part of the month stands out.' : `In the month: ${lifts.join('; ')}.`
}

export function whoSellsIt(sellers: readonly ItemSeller[], home: string): string {
  const { list: priced, isDelivered } = comparable(sellers)
  if (priced.length === 0) return 'Nobody is known to offer it at a price.'
  const idle = sellers.filter((s) => s.activity === 'inactive' || s.activity === 'quiet').length
  const known = sellers.filter((s) => s.activity !== null).length
  const under = sellers.filter((s) => s.myProfitE4 !== null && s.myProfitE4 < 0).length
  const quiet =
    known === 0
      ? ''
      : idle === 0
        ? ` ${known === 1 ? 'The one' : `All ${count(known)}`} whose feedback is known had some in 30 days.`
        : ` Of ${count(known)} whose feedback is known, ${count(idle)} had none in 30 days: not really selling.`
  const low =
    under === 0 ? '' : ` ${count(under)} ${under === 1 ? 'sells' : 'sell'} below my break-even: not to be copied.`
  const least = money(Math.min(...priced.map((s) => s.deliveredE4 as number)), home)
  const way = isDelivered ? ' delivered' : ', delivery not stated'
  return `${plural(sellers.length, 'offer')}, from ${least}${way}.${quiet}${low}`
}

export function whatIsPosted(posted: Posted | null): string {
  if (!posted) return 'Not known: no clips or advertisements were brought in.'
  if (posted.clips + posted.lives + posted.ads === 0) return 'Nothing of what was brought in names it.'
  const clips = `${plural(posted.clips, 'clip')} and ${plural(posted.lives, 'live')} by ${plural(posted.creators, 'creator')}, ${posted.postedFrom === null || posted.postedTo === null ? '' : `${dayInWords(posted.postedFrom)} to ${dayInWords(posted.postedTo)}, `}${posted.views === null ? 'views not stated' : `seen ${count(posted.views)} times`}`
  const sold = posted.units === null ? '' : `, ${plural(posted.units, 'unit')} through them`
  const free =
    posted.paidKnown === 0
      ? ''
      : `; ${count(posted.paidKnown - posted.paid)} of ${count(posted.paidKnown)} without paid reach`
  const rate = posted.commission === null ? '' : `; commission ${percent(posted.commission)} on average`
  const ads =
    posted.ads === 0
      ? ''
      : ` ${plural(posted.ads, 'advertisement')} by ${plural(posted.advertisers, 'advertiser')}${posted.adsTo === null ? '' : `, last seen ${dayInWords(posted.adsTo)}`}.`
  return `${clips}${sold}${free}${rate}.${ads}`
}

/** Which of several values Finds counts, where listings, or clips, name more than one. */
export function whichCounts({
  listings,
  commission,
  creators,
  rank,
  reach,
}: Pick<Item, 'listings' | 'commission' | 'creators' | 'rank' | 'reach'>): string {
  const of = listings.length > 1 ? `of its ${count(listings.length)} listings` : 'of its listing'
  const rate =
    commission === null
      ? null
      : `commission ${percent(commission)}, ${commission === reach.clipCommission ? 'the highest that its clips name' : `the highest ${of}`}`
  const people =
    creators === null
      ? null
      : `${plural(creators, 'creator')}, ${creators === reach.clipCreators ? 'those of its clips' : `the most that any ${of} states`}`
  const place = rank === null ? null : `sales rank ${count(rank)}, the best ${of}`
  const all = [rate, people, place].filter((part) => part !== null)
  return all.length === 0 ? '' : `Finds counts ${all.join('; ')}.`
}

export function mayIListIt(allowed: (Clearance & { overruled: Overruling | null }) | null): string {
  if (!allowed) return 'Not known: no list of restricted items was brought in.'
  const first = allowed.because[0]
  if (allowed.overruled)
    return `Yes, as you said: ${allowed.overruled.reason}${first ? ` (${whoSays(first)}: “${first.what}”, ${first.status})` : ''}.`
  if (!first) return 'Not known: no entry of your lists speaks of it.'
  const when = first.checked === null ? '' : `, checked ${dayInWords(first.checked)}`
  const words = { restricted: 'No', 'needs approval': 'Only with approval', allowed: 'Yes', unknown: 'Unclear' }
  return `${words[allowed.status]}: ${whoSays(first)}, “${first.what}”${first.note ? ` (${first.note})` : ''}${when}.`
}

/** Whose word an entry is. */
export const whoSays = ({ by, market }: ClearEntry): string =>
  by === 'you' ? 'your own list' : (market ?? 'a list of no market')

export function howPriceTells(response: PriceResponse | null): string {
  if (!response) return ''
  const { elasticity: e, promotion, of } = response
  const cheaper = (v: number) => signedPercent(0.9 ** v - 1)
  const price = `Over ${plural(of, 'day or week', 'days or weeks')}, 10\u00a0% off the price went with ${cheaper(e.value)} units (95\u00a0%: ${cheaper(e.high)} to ${cheaper(e.low)})`
  const shown = promotion
    ? `; promoted, at the same price, with ${signedPercent(promotion.value)} (95\u00a0%: ${signedPercent(promotion.low)} to ${signedPercent(promotion.high)})`
    : ''
  return `${price}${shown}. What went together need not have caused it.`
}
