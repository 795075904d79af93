import { breaksByWords } from './word-warnings'

/** How somebody sells: what speaks for a thing, and which price is bought on impulse, follow from it. */
export const sellerKinds = ['dropshipped', 'social', 'printed', 'digital'] as const
export type SellerKind = (typeof sellerKinds)[number]
export const sellerKindLabels: Record<SellerKind, string> = {
  dropshipped: 'Dropshipped',
  social: 'By clips and lives',
  printed: 'Printed to order',
  digital: 'Files',
}

/** A point that is judged by eye. */
export interface Judgement {
  id: string
  text: string
  /** speaks for it, or against it */
  good: boolean
  /** what the figures say to it; null where they say nothing */
  hint: string | null
  /** the hint warns */
  isWarning: boolean
}

interface Judged {
  title: string
  priceLowE4: number | null
  rating: number | null
  best: { margin: number | null } | null
  offer: { offer: { stock: number | null; weightG: number | null } } | null
}

interface JudgementRules {
  /** price that is bought on impulse, E4 of the home currency; null where the trade names none */
  impulseE4: readonly [number, number] | null
  stock: number
  rating: number
  margin: number
  /** grams from which a thing is bulky to send */
  bulkyG: number
}

const shared = { stock: 1000, rating: 4, margin: 0.2, bulkyG: 5000 }
/** Bands of the trade (common practice, no source): impulse price of dropshipped goods and of those shown in clips, stock before promoting, rating. */
export const judgementRules: Record<SellerKind, JudgementRules> = {
  dropshipped: { ...shared, impulseE4: [50_000, 400_000] },
  social: { ...shared, impulseE4: [200_000, 1_000_000] },
  printed: { ...shared, impulseE4: null },
  digital: { ...shared, impulseE4: null },
}

/** what is sent from somewhere, and can break or come back; files cannot */
const sent = new Set(['stock', 'bulky', 'fragile', 'hazard', 'returns'])

/**
 * The trade's checklist for one kind of seller, with what is known of the item beside each point.
 *
 * @param isElectric whether it runs on electricity, by its words
 */
export function judgementsFor(item: Judged, kind: SellerKind = 'dropshipped', isElectric = false): Judgement[] {
  const rules = judgementRules[kind]
  const known = hintsOf(item, rules, isElectric)
  const point =
    (good: boolean) =>
    (id: string, text: string): Judgement => ({
      id,
      text,
      good,
      hint: known[id]?.[0] ?? null,
      isWarning: known[id]?.[1] ?? false,
    })
  const [pro, con] = [point(true), point(false)]
  return [
    pro('problem', 'Solves a problem'),
    pro('eye', 'Stands out to the eye'),
    pro('impulse', 'Cheap enough to buy on impulse'),
    pro('appeal', 'Broad appeal'),
    pro('show', kind === 'social' ? 'Shows what it does within seconds' : 'Easy to show'),
    pro('pictures', 'Good pictures to be had'),
    pro('stock', 'Stock for a rush'),
    con('bulky', 'Bulky'),
    con('fragile', 'Fragile'),
    con('licensed', 'Licensed or trademarked'),
    con('hazard', 'Hazardous'),
    con('rated', 'Low-rated'),
    con('margin', 'Low margin'),
    con('returns', 'Many come back'),
  ].filter(({ id }) => !(kind === 'digital' && sent.has(id)) && !(kind === 'printed' && id === 'stock'))
}

type Hint = readonly [text: string, isWarning: boolean]

/** What is known to each point; points of which nothing is are left out. */
function hintsOf({ title, priceLowE4, rating, best, offer }: Judged, rules: JudgementRules, isElectric: boolean) {
  const [stock, weight] = [offer?.offer.stock ?? null, offer?.offer.weightG ?? null]
  const margin = best?.margin ?? null
  const hints: Record<string, Hint> = {}
  if (priceLowE4 !== null && rules.impulseE4) hints.impulse = impulseHint(priceLowE4, rules.impulseE4)
  if (stock !== null)
    hints.stock = [
      `the supplier holds ${stock.toLocaleString('en')}${stock < rules.stock ? `, under ${rules.stock.toLocaleString('en')}` : ''}`,
      stock < rules.stock,
    ]
  if (weight !== null && weight >= rules.bulkyG) hints.bulky = [`weighs ${(weight / 1000).toFixed(1)} kg`, true]
  if (breaksByWords(title)) hints.fragile = ['its words say so', true]
  if (isElectric) {
    hints.hazard = ['by its words it runs on electricity', true]
    hints.returns = ['of cheap electrics about one in ten comes back', true]
  }
  if (rating !== null)
    hints.rated = [
      `${rating.toFixed(1)} stars${rating < rules.rating ? `, under ${rules.rating}` : ''}`,
      rating < rules.rating,
    ]
  if (margin !== null)
    hints.margin = [
      `${Math.round(margin * 100)} %${margin < rules.margin ? `, under ${rules.margin * 100} %` : ''}`,
      margin < rules.margin,
    ]
  return hints
}

function impulseHint(priceE4: number, [low, high]: readonly [number, number]): Hint {
  const band = `${low / 10_000}–${high / 10_000}`
  if (priceE4 < low) return [`its price is under the usual ${band}`, false]
  return priceE4 > high
    ? [`its price is above the usual ${band}`, true]
    : [`its price lies in the usual ${band}`, false]
}
