import { ListingReader, type Catalog } from '../catalog'
import {
  calibrated,
  combine,
  fromFeedback,
  fromLog,
  storeSales,
  usualLeaveRate,
  type Calibration,
  type Estimate,
  type HeldItem,
  type LeaveRate,
} from '../estimates'
import type { CompetingOffer } from '../room'
import { salesOfRanks, type RankSales } from './rank-sales'
import { unitsReader } from './window-units'

/** Units of a store in 30 days, as each way of knowing them has it. */
export interface StoreEstimates {
  /** from the feedback left in 30 days, and how much that was; 'list': from its rise between two lists of stores */
  feedback: (Estimate & { count: number; by: 'offers' | 'list' }) | null
  /** from what its items sell on their market, and how often its offer of each is featured */
  items: (Estimate & { of: number }) | null
  /** from the ranks of its listings, and what of them is published */
  ranks: (Estimate & { of: number }) | null
  /** all of them together */
  all: Estimate | null
}

export interface StoreEvidence {
  catalog: Catalog
  /** rows of its listings */
  rows: Int32Array
  /** what it offers of items that several sell */
  offers: readonly CompetingOffer[]
  /** feedback it had altogether, by the day of the list that says so, oldest first */
  looks: readonly { day: number; feedback: number }[]
  /** key of a listing → its row; null where there is none */
  find: (key: string) => number | null
  /** market of the store → what ranks there say of units; null where too little is known */
  rankSales: RankSales | null
  leaveRate?: LeaveRate
  /** how far its market's estimates lie off; null or left out: nothing was learned */
  learned?: StoreLearning
  /** whether what its listings publish is passed over, as if it published nothing */
  isHidden?: boolean
}

/** How far estimates of a market's stores lie off: of sums over items, and of all ways together. */
export interface StoreLearning {
  items: Calibration | null
  together: Calibration | null
}

/** A market of whose stores nothing is known. */
export const unlearnedStores: StoreLearning = { items: null, together: null }

const windowDays = 30
/** days that must lie between two lists for a rise to be told, and days beyond which it speaks of another time */
const [leastDays, mostDays] = [14, 120]
/** how far, in logs, the share of an item's sales lies from the share of time featured; found on one made-up world, judged on others */
const featuredLogSd = 0.85

/** What a store that publishes nothing sells, estimated in every way that what is gathered allows. */
export function estimateStore({ leaveRate = usualLeaveRate, ...evidence }: StoreEvidence): StoreEstimates {
  const feedback = byFeedback(evidence, leaveRate)
  const items = byItems(evidence)
  const ranks = byRanks(evidence)
  const parts = [feedback, items, ranks].flatMap((e) => e ?? [])
  const all = combine(parts)
  // learned of stores as if they published nothing: what is published does not lie off
  const together = parts.length > 1 && !publishesAny(evidence) ? (evidence.learned?.together ?? null) : null
  return { feedback, items, ranks, all: all && calibrated(all, together) }
}

function publishesAny({ catalog, rows, isHidden = false }: StoreEvidence): boolean {
  const unitsAt = unitsReader(catalog, windowDays)
  return !isHidden && rows.some((row) => unitsAt(row) !== null)
}

function byFeedback({ offers, looks }: StoreEvidence, leaveRate: LeaveRate): StoreEstimates['feedback'] {
  const count = feedbackOfOffers(offers)
  if (count !== null) return { ...fromFeedback(count, leaveRate), count, by: 'offers' }
  const last = looks.at(-1)
  const first = looks.findLast((l) => last && last.day - l.day >= leastDays && last.day - l.day <= mostDays)
  if (!first || !last || last.feedback < first.feedback) return null
  const rise = last.feedback - first.feedback
  const scale = windowDays / (last.day - first.day)
  const whole = fromFeedback(rise, leaveRate)
  const { units, low, high, mean } = whole
  return {
    ...whole,
    units: units * scale,
    low: low * scale,
    high: high * scale,
    mean: mean * scale,
    count: rise,
    by: 'list',
  }
}

/**
 * Feedback of 30 days over all offers of a store. Where every offer says the same it is the store's own and counts once; else each speaks
 * of its item. Null where none says any.
 */
export function feedbackOfOffers(offers: readonly CompetingOffer[]): number | null {
  const said = offers.flatMap((o) => (o.feedback30 === null ? [] : [[o.feedback30, o.feedback90, o.feedback365]]))
  const first = said[0]
  if (!first) return null
  const isOne = said.length > 1 && said.every((s) => s.join() === first.join())
  return isOne ? (first[0] as number) : said.reduce((sum, s) => sum + (s[0] as number), 0)
}

function byItems({ learned = unlearnedStores, ...evidence }: StoreEvidence): StoreEstimates['items'] {
  const held = heldItems(evidence)
  const sum = storeSales(held.map((h) => h.held))
  return sum && { ...calibrated(sum, learned.items), of: held.length }
}

/** What a store offers of items whose sales on their market are known, with the item of each. */
export function heldItems({
  catalog,
  offers,
  find,
}: Pick<StoreEvidence, 'catalog' | 'offers' | 'find'>): { item: number; held: HeldItem }[] {
  const unitsAt = unitsReader(catalog, windowDays)
  const reader = new ListingReader(catalog.listings)
  return offers.flatMap(({ market, id, featured }) => {
    const row = featured === null ? null : find(`${market}/${id}`)
    if (row === null || featured === null) return []
    const item = catalog.itemOf[row] as number
    let [units, known] = [0, 0]
    for (let at = catalog.starts[item] as number; at < (catalog.starts[item + 1] as number); at++) {
      const member = catalog.members[at] as number
      if (reader.market(member) !== market) continue
      const of = unitsAt(member)
      if (!of) continue
      known++
      units += of.units
    }
    return known === 0 ? [] : [{ item, held: heldItem(units, featured) }]
  })
}

/** What all sell of an item, taken for known, with the spread of what a featured share says of a share of sales. */
export function heldItem(units: number, featured: number): HeldItem {
  const atLeast = Math.max(units, 0.5)
  return { units: fromLog('combined', Math.log(atLeast), featuredLogSd, units), featured }
}

function byRanks({ catalog, rows, rankSales, isHidden = false }: StoreEvidence): StoreEstimates['ranks'] {
  if (!rankSales) return null
  const unitsAt = unitsReader(catalog, windowDays)
  const reader = new ListingReader(catalog.listings)
  const ranks: number[] = []
  let published = 0
  for (const row of rows) {
    const known = isHidden ? null : unitsAt(row)
    const rank = reader.figure('rank', row)
    if (known) published += known.units
    else if (rank !== null) ranks.push(rank)
  }
  const sum = salesOfRanks(ranks, rankSales)
  return sum && { ...plus(sum, published), of: ranks.length }
}

/** What is published beside an estimate is as it is, and leaves its spread where it was. */
function plus({ units, low, high, mean, logSd, method }: Estimate, known: number): Estimate {
  return {
    method,
    units: units + known,
    low: low + known,
    high: high + known,
    mean: mean + known,
    logSd: (logSd * units) / (units + known),
  }
}
