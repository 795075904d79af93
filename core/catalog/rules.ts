import type { AvoidLine } from '../clear'
import { blankInputs, ofRules, type CostInputs, type FeeSchedule, type RuleCosts } from '../margin'
import type { Rate } from '../money'
import { supplyRules, type MatchJudgement, type SupplierStanding, type SupplyRules } from '../supply'
import { worthRules, type WorthRules } from '../verdict'

export type GoodsKind = 'physical' | 'printed' | 'digital'

/** What the seller decides once and every figure of money follows from. */
export interface SellerRules {
  homeCurrency: string
  rates: Rate[]
  schedules: FeeSchedule[]
  /** costs of one sale that do not depend on the item; money in the home currency */
  costs: RuleCosts
  /** least profit a price may leave, and the step under the lowest competing price */
  minProfitE4: number
  stepE4: number
  worth: WorthRules
  /** what an offer has to keep to be chosen */
  supply: SupplyRules
}

/** What the user corrected by hand, each by key of item or offer. */
export interface Corrections {
  /** pieces in a listing's or an offer's pack */
  packs: Record<string, number>
  /** the offer that is to be reckoned with for an item; '' where none is */
  offers: Record<string, string>
  /** what an offer is to an item, by key of item and of offer */
  judged: Record<string, Record<string, MatchJudgement>>
  /** suppliers that need no proof, and those that are never chosen, by name */
  suppliers: Record<string, SupplierStanding>
  /** costs that hold for one item only, by its key */
  costs: Record<string, Partial<CostInputs>>
  /** listings that are not the goods of the item they were joined to, by their key: that item's key */
  apart: Record<string, string>
  /** listings that are the goods of another item, by their key: that item's key */
  together: Record<string, string>
  /** what titles taught of words and the seller does not want, by `lessonName` */
  unlearned: Record<string, true>
  /** what the seller will not list */
  avoid: AvoidLine[]
  /** items that the seller lists whatever a list says, by key */
  cleared: Record<string, Overruling>
}

/** Why the seller lists something in spite of what a list says. */
export interface Overruling {
  reason: string
  /** ms */
  at: number
}

/** What decides which listings are the same goods, whatever their titles say, and what of them is to be avoided. */
export type SaidOfGoods = Pick<Corrections, 'apart' | 'together' | 'unlearned' | 'avoid'>

export const noCorrections: Corrections = {
  packs: {},
  offers: {},
  judged: {},
  suppliers: {},
  costs: {},
  apart: {},
  together: {},
  unlearned: {},
  avoid: [],
  cleared: {},
}

/** Rules of a fresh workspace: no tax, no fees known; of each market they are assumed until the seller enters them. */
export function plainRules(homeCurrency: string): SellerRules {
  return {
    homeCurrency,
    rates: [],
    schedules: [],
    costs: ofRules(blankInputs(homeCurrency)),
    minProfitE4: 20_000,
    stepE4: 100,
    worth: worthRules,
    supply: supplyRules,
  }
}

export function goodsKind(text: string | null): GoodsKind {
  if (text === null) return 'physical'
  if (/digital|printable|download|file/i.test(text)) return 'digital'
  return /print/i.test(text) ? 'printed' : 'physical'
}
