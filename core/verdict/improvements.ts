/** Something that those who sell an item leave to be done better, with the figure that says so. */
export interface Improvement {
  what: string
  figure: string
}

interface Offered {
  listings: readonly { title: string; tags: string | null; deliveryE4: number | null }[]
  rating: number | null
  reviews: number | null
  /** in 30 days */
  units: number | null
  pack: number
}

/** Our own bounds where the trade has none; the tag limit is common practice. */
export const improvementRules = { rating: 4, fewReviews: 10, tags: 13, shortTitle: 40, manyUnits: 10 }

/** What could be better about how an item is offered: only what the figures show, nothing of taste. */
export function improvementsOf(
  { listings, rating, reviews, units, pack }: Offered,
  rules = improvementRules,
): Improvement[] {
  const found: Improvement[] = []
  const say = (when: boolean, what: string, figure: string) => void (when && found.push({ what, figure }))
  const sells = (units ?? 0) >= rules.manyUnits
  const share = (n: number, of: number) => `${n} of ${of} listings`
  say(
    sells && rating !== null && rating < rules.rating,
    'Buyers buy it and are not pleased: better goods would be welcome',
    `${(rating ?? 0).toFixed(1)} stars on ${Math.round(units ?? 0)} units in 30 days`,
  )
  say(
    sells && reviews !== null && reviews < rules.fewReviews,
    'Few reviews yet: a shop that earns them stands out',
    `${reviews ?? 0} reviews on ${Math.round(units ?? 0)} units in 30 days`,
  )
  const tagged = listings.flatMap((l) =>
    l.tags === null ? [] : l.tags.split(/[,;|]/).filter((t) => t.trim() !== '').length,
  )
  const most = Math.max(0, ...tagged)
  say(
    tagged.length > 0 && most < rules.tags,
    `Tags are left unused: ${rules.tags} are usually allowed`,
    `at most ${most} used, by ${share(tagged.length, listings.length)} with tags known`,
  )
  const short = listings.filter((l) => [...l.title].length < rules.shortTitle).length
  say(
    short > listings.length / 2,
    'Titles are short: words buyers look for are left out',
    `${share(short, listings.length)} under ${rules.shortTitle} characters`,
  )
  const loud = listings.filter((l) => l.title.length > 8 && l.title === l.title.toUpperCase()).length
  say(loud > 0, 'Titles shout', `${share(loud, listings.length)} in capitals alone`)
  const silent = listings.filter((l) => l.deliveryE4 === null).length
  say(silent > 0, 'Delivery is not stated', share(silent, listings.length))
  const unpacked = pack > 1 ? listings.filter((l) => !/\d|pair|dozen|twin/i.test(l.title)).length : 0
  say(unpacked > 0, 'The title does not say how many are in the pack', share(unpacked, listings.length))
  return found
}
