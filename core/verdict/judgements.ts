/** A point that is judged by eye. */
export interface Judgement {
  id: string
  text: string
  /** speaks for it, or against it */
  good: boolean
  /** what the figures say to it; null where they say nothing */
  hint: string | null
}

interface Judged {
  priceLowE4: number | null
  rating: number | null
  best: { margin: number | null } | null
  offer: { offer: { stock: number | null } } | null
}

/** Bands of the trade (common practice, no source): impulse price of dropshipped goods, stock before promoting, rating. */
export const judgementRules = { impulseE4: [50_000, 400_000] as const, stock: 1000, rating: 4, margin: 0.2 }

/** The trade's checklist, with what is known of the item beside each point. */
export function judgementsFor({ priceLowE4, rating, best, offer }: Judged, rules = judgementRules): Judgement[] {
  const point =
    (good: boolean) =>
    (id: string, text: string, hint: string | null = null) => ({ id, text, good, hint })
  const [pro, con] = [point(true), point(false)]
  const [low, high] = rules.impulseE4
  const stock = offer?.offer.stock ?? null
  const impulse =
    priceLowE4 === null
      ? null
      : priceLowE4 < low
        ? 'its price is under the usual band'
        : priceLowE4 > high
          ? 'its price is above the usual band'
          : 'its price lies in the usual band'
  return [
    pro('problem', 'Solves a problem'),
    pro('eye', 'Stands out to the eye'),
    pro('impulse', 'Cheap enough to buy on impulse', impulse),
    pro('appeal', 'Broad appeal'),
    pro('show', 'Easy to show'),
    pro('pictures', 'Good pictures to be had'),
    pro(
      'stock',
      'Stock for a rush',
      stock === null
        ? null
        : `the supplier holds ${stock.toLocaleString('en')}${stock < rules.stock ? `, under ${rules.stock.toLocaleString('en')}` : ''}`,
    ),
    con('bulky', 'Bulky'),
    con('fragile', 'Fragile'),
    con('licensed', 'Licensed or trademarked'),
    con('hazard', 'Hazardous'),
    con(
      'rated',
      'Low-rated',
      rating === null ? null : `${rating.toFixed(1)} stars${rating < rules.rating ? `, under ${rules.rating}` : ''}`,
    ),
    con(
      'margin',
      'Low margin',
      best?.margin == null
        ? null
        : `${Math.round(best.margin * 100)} %${best.margin < rules.margin ? `, under ${rules.margin * 100} %` : ''}`,
    ),
    con('returns', 'Many come back'),
  ]
}
