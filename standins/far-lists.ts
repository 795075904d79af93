import { archetypes, type Archetype } from './archetypes'
import { seasonFactor } from './demand-curve'
import { FarMarket, perGoods } from './far-market'
import { supplierNames } from './names'
import { chance, type Chance } from './random'

/** A record as the connector contract has it. */
export type FarRecord = Record<string, string | number | null>
export type FarListName = 'offers' | 'clips' | 'ads' | 'terms'

const lastDay = Math.floor(Date.UTC(2026, 4, 31) / 86_400_000)
const iso = (day: number) => new Date(day * 86_400_000).toISOString().slice(0, 10)
const suppliers = supplierNames(60, chance(5))
const countries = ['IE', 'PT', 'PL', 'LT', 'CZ']
const channels = ['feed', 'stories', 'search', 'banner']
const longer = ['for balcony', 'small', 'large', 'gift', 'weatherproof', 'with hooks']

/**
 * What the far market knows beside its listings: supplier offers, clips, advertisements, terms, competing offers and daily sales.
 * Like the listings, record number n of a list is worked out from n alone.
 */
export class FarLists {
  readonly #market: FarMarket

  constructor(market: FarMarket) {
    this.#market = market
  }

  /** Numbers of the records that belong to some listings. */
  of(list: FarListName, listings: readonly number[]): number[] {
    if (list === 'terms') return termsOf(listings)
    if (list === 'offers') {
      const goods = [...new Set(listings.map((k) => Math.floor(k / perGoods)))]
      return goods.flatMap((g) => some(chance(g * 13 + 5).whole(1, 3)).map((j) => g * 4 + j))
    }
    if (list === 'clips') return listings.flatMap((k) => some(chance(k * 17 + 3).whole(-6, 3)).map((j) => k * 4 + j))
    return listings.filter((k) => chance(k * 23 + 7).happens(0.08))
  }

  record(list: FarListName, n: number): FarRecord {
    if (list === 'terms') return this.#term(n)
    if (list === 'offers') return this.#offer(n)
    return list === 'clips' ? this.#clip(n) : this.#ad(n)
  }

  /** Offers of other stores for the same goods, as they are found on the page of an item. */
  competing(k: number): FarRecord[] {
    const { name: market, currency, size } = this.#market
    return some(perGoods)
      .map((i) => Math.floor(k / perGoods) * perGoods + i)
      .filter((n) => n < size)
      .map((n) => {
        const { id, store, price, delivery, rating, units30 } = this.#market.listing(n)
        const random = chance(n * 29 + 1)
        const feedback30 = random.poisson(units30 / 2)
        const feedback90 = feedback30 + random.poisson(units30)
        return {
          market,
          id,
          store,
          price,
          currency,
          delivery,
          rating,
          feedback30,
          feedback90,
          featured: random.between(0, 0.5),
          day: iso(lastDay),
        }
      })
  }

  /** Units of each of the last 180 days; the last 30 come to the units that the listing tells of. */
  history(k: number): FarRecord[] {
    const { id, units30 } = this.#market.listing(k)
    const random = chance(k * 31 + 11)
    const recent = shared(units30, 30, random)
    const sort = sortOf(k)
    return some(180).map((i) => {
      const day = lastDay - 179 + i
      const expected = (units30 / 30) * (seasonFactor(sort.season, day) / seasonFactor(sort.season, lastDay - 15))
      const units = i >= 150 ? (recent[i - 150] as number) : random.poisson(expected)
      return { market: this.#market.name, id, day: iso(day), units }
    })
  }

  #offer(n: number): FarRecord {
    const goods = Math.floor(n / 4)
    const { title, gtin, category } = this.#market.listing(goods * perGoods)
    const sort = sortOf(goods * perGoods)
    const random = chance(n * 37 + 9)
    const price = sort.price * sort.cost * random.between(0.85, 1.25)
    const tiers = [1, 10, 50].map((from, i) => `${from}:${(price * (1 - 0.06 * i)).toFixed(2)}`).join(';')
    return {
      supplier: suppliers[random.whole(0, suppliers.length - 1)] as string,
      id: `S${n}`,
      title: title.replace(/, (?:pack|set|lot) of \d+/i, ''),
      tiers,
      price: Number(price.toFixed(2)),
      currency: this.#market.currency,
      minOrder: random.pick([1, 1, 10, 50]),
      delivery: random.pick([0, 4.5, 9.9]),
      leadDays: random.whole(2, 21),
      shipsFrom: random.pick(countries),
      stock: random.whole(0, 4000),
      orders: random.whole(0, 3000),
      rating: Math.round(random.between(3.6, 5) * 10) / 10,
      since: iso(lastDay - random.whole(200, 4000)),
      category,
      gtin,
    }
  }

  #clip(n: number): FarRecord {
    const { id, title, price, units30 } = this.#market.listing(Math.floor(n / 4))
    const random = chance(n * 41 + 13)
    const units = random.poisson(units30 / 6)
    const views = Math.round((units + 1) * random.between(40, 900))
    return {
      market: this.#market.name,
      clip: `C${n}`,
      creator: `@${random.pick(['pot', 'sill', 'rail', 'perch', 'tern'])}${random.whole(1, 900)}`,
      title: `${title.split(',')[0] ?? title} tried out`,
      day: iso(lastDay - random.whole(0, 80)),
      sort: random.happens(0.15) ? 'live' : 'clip',
      hour: random.whole(7, 22),
      length: random.whole(8, 75),
      views,
      likes: Math.round(views * random.between(0.01, 0.09)),
      comments: Math.round(views * 0.004),
      shares: Math.round(views * 0.002),
      units,
      revenue: Number((units * price).toFixed(2)),
      currency: this.#market.currency,
      commission: random.pick([0.1, 0.15, 0.2]),
      paid: random.happens(0.3) ? 'yes' : 'no',
      id,
    }
  }

  #ad(k: number): FarRecord {
    const { id, title, store } = this.#market.listing(k)
    const random = chance(k * 43 + 17)
    const first = lastDay - random.whole(5, 200)
    const views = random.whole(200, 90_000)
    return {
      market: this.#market.name,
      ad: `A${k}`,
      advertiser: store,
      channel: random.pick(channels),
      title: title.split(',')[0] ?? title,
      firstSeen: iso(first),
      lastSeen: iso(Math.min(lastDay, first + random.whole(2, 90))),
      country: random.pick(countries),
      text: random.pick(['Put up in a minute', 'Made to last', 'For small balconies']),
      medium: random.pick(['picture', 'video']),
      language: 'English',
      views,
      likes: Math.round(views * 0.02),
      comments: Math.round(views * 0.002),
      shares: Math.round(views * 0.001),
      id,
    }
  }

  #term(n: number): FarRecord {
    const { sort, phrase, month } = termAt(n)
    const words = phrasesOf(sort)
    const random = chance(n * 47 + 19)
    const day = Date.UTC(2025, 5 + month, 1) / 86_400_000
    const share = 1 / (1 + phrase)
    const searches = random.poisson(1200 * share * seasonFactor(sort.season, day + 15))
    const listings = Math.round(this.#market.size / archetypes.length / (1 + phrase ** 1.3))
    return {
      market: this.#market.name,
      term: words[phrase] as string,
      searches,
      competing: listings,
      currency: this.#market.currency,
      price: sort.price,
      day: iso(day),
      region: 'IE',
      category: sort.category.split('/').join(' / '),
    }
  }
}

const months = 12
const mostPhrases = 16
const some = (n: number): number[] => Array.from({ length: Math.max(0, n) }, (_, i) => i)
const sortOf = (k: number) => archetypes[Math.floor(k / perGoods) % archetypes.length] as Archetype
const phrasesOf = ({ noun, also }: Archetype) =>
  [noun, ...also, ...longer.map((words) => `${noun.toLowerCase()} ${words}`)].slice(0, mostPhrases)

/** Each phrase of each sort among the listings, over twelve months. */
function termsOf(listings: readonly number[]): number[] {
  const sorts = [...new Set(listings.map((k) => Math.floor(k / perGoods) % archetypes.length))].sort((a, b) => a - b)
  return sorts.flatMap((at) =>
    phrasesOf(archetypes[at] as Archetype).flatMap((_, phrase) =>
      some(months).map((m) => (at * mostPhrases + phrase) * months + m),
    ),
  )
}

function termAt(n: number) {
  const at = Math.floor(n / months)
  const sort = archetypes[Math.floor(at / mostPhrases)] as Archetype
  return { sort, phrase: at % mostPhrases, month: n % months }
}

/** Units dealt out over days. */
function shared(units: number, days: number, random: Chance): number[] {
  const list = new Array<number>(days).fill(0)
  for (let u = 0; u < units; u++) {
    const at = random.whole(0, days - 1)
    list[at] = (list[at] as number) + 1
  }
  return list
}
