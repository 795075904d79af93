import type { Request, Response } from 'express'
import { FarMarket, type FarListing } from '@sickle/standins'
import { lists, mostPerPage } from '@sickle/core/scan'

/** How the stand-in behaves; all of it can be changed while it runs. */
export interface StandinKnobs {
  /** listings, up to 1,000,000 */
  size: number
  stores: number
  latencyMs: number
  /** requests a second; more are answered 429 */
  perSecond: number
  /** share of requests that go wrong: an error, a wait, half an answer or none */
  faultShare: number
  /** how often the market has moved on */
  round: number
}

export const usualKnobs: StandinKnobs = {
  size: 60_000,
  stores: 40,
  latencyMs: 30,
  perSecond: 60,
  faultShare: 0,
  round: 0,
}
const bounds: Record<keyof StandinKnobs, [number, number]> = {
  size: [1, 1_000_000],
  stores: [1, 600],
  latencyMs: [0, 60_000],
  perSecond: [1, 100_000],
  faultShare: [0, 1],
  round: [0, 1000],
}

export interface StandinDeps {
  now: () => number
  random: () => number
  sleep: (ms: number) => Promise<void>
}

/** A source that keeps to the connector contract and tells of the far market, as well or as badly as it is told to. */
export class StandinSource {
  #knobs: StandinKnobs
  #market: FarMarket
  #lists = new Map<string, number[]>()
  #asked: number[] = []
  readonly #deps: StandinDeps

  constructor(knobs: Partial<StandinKnobs>, deps: StandinDeps) {
    this.#deps = deps
    this.#knobs = { ...usualKnobs, ...knobs }
    this.#market = new FarMarket(this.#knobs)
  }

  get knobs(): StandinKnobs {
    return this.#knobs
  }

  /** @throws RangeError naming the knob that is out of bounds */
  turn(some: Record<string, unknown>): void {
    for (const [name, value] of Object.entries(some)) {
      const [low, high] = bounds[name as keyof StandinKnobs] ?? [1, 0]
      if (typeof value !== 'number' || !(value >= low && value <= high))
        throw new RangeError(`${name} must be a number from ${low} to ${high}`)
    }
    this.#knobs = { ...this.#knobs, ...some }
    this.#market = new FarMarket(this.#knobs)
    this.#lists.clear()
  }

  /** Answers one call of the contract. */
  async answer(path: string, query: Record<string, string>, req: Request, res: Response): Promise<void> {
    await this.#deps.sleep(this.#knobs.latencyMs)
    if (this.#tooMany()) return void res.status(429).set('Retry-After', '1').json({ reason: 'too many requests' })
    if (path !== 'about' && this.#deps.random() < this.#knobs.faultShare) return this.#goWrong(req, res)
    if (path === 'about') return void res.json(this.#about())
    if (path === 'listings') return this.#listings(query, res)
    if (path.startsWith('items/')) return this.#item(decodeURIComponent(path.slice(6)), res)
    if (path in lists) return void res.json({ ...this.#page(0), records: [] })
    res.status(404).json({ reason: 'there is no such list' })
  }

  #about() {
    const market = this.#market
    const categories = [
      ...new Set(Array.from({ length: Math.min(market.size, 2000) }, (_, k) => market.listing(k).category)),
    ]
    return {
      name: market.name,
      currency: market.currency,
      lists: ['listings'],
      stores: market.stores.slice(0, 100),
      terms: market.terms.map((t) => t.term),
      categories: categories.sort(),
    }
  }

  #listings(query: Record<string, string>, res: Response): void {
    const [page, limit] = [Number(query.page ?? 0), Number(query.limit ?? 200)]
    if (!Number.isInteger(page) || page < 0 || !Number.isInteger(limit) || limit < 1 || limit > mostPerPage)
      return void res.status(400).json({ reason: `page must be 0 or more, limit from 1 to ${mostPerPage}` })
    const numbers = this.#numbers(query)
    if (!numbers) return void res.status(400).json({ reason: 'say store, term, category or ids' })
    const records = numbers
      .slice(page * limit, (page + 1) * limit)
      .map((k) => recordOf(this.#market.listing(k), this.#market))
    res.json({ ...this.#page(numbers.length), records })
  }

  #page(total: number) {
    return { total, asOf: `${this.#knobs.size}-${this.#knobs.round}`, capturedOn: '2026-05-31', windowDays: 30 }
  }

  #numbers({ store, term, category, ids }: Record<string, string>): number[] | null {
    const key = JSON.stringify([store, term, category, ids])
    const known = this.#lists.get(key)
    if (known) return known
    const market = this.#market
    const made =
      store !== undefined
        ? market.ofStore(store)
        : term !== undefined
          ? market.ofTerm(term)
          : category !== undefined
            ? market.ofCategory(category)
            : ids !== undefined
              ? ids.split(',').flatMap((id) => market.numberOf(id) ?? [])
              : null
    if (made) {
      if (this.#lists.size > 50) this.#lists.clear()
      this.#lists.set(key, made)
    }
    return made
  }

  #item(id: string, res: Response): void {
    const k = this.#market.numberOf(id)
    if (k === null) return void res.status(404).json({ reason: 'there is no such item' })
    const listing = this.#market.listing(k)
    const { currency, name: market } = this.#market
    const near = Array.from({ length: 4 }, (_, i) => Math.floor(k / 4) * 4 + i).filter((n) => n < this.#market.size)
    const offers = near.map((n) => this.#market.listing(n)).map(({ id: item, store, price, delivery, rating }) => ({ market, id: item, store, price, currency, delivery, rating })) // prettier-ignore
    res.json({ listing: recordOf(listing, this.#market), offers, history: [] })
  }

  #tooMany(): boolean {
    const now = this.#deps.now()
    this.#asked = this.#asked.filter((t) => t > now - 1000)
    if (this.#asked.length >= this.#knobs.perSecond) return true
    this.#asked.push(now)
    return false
  }

  /** The ways in which services fail in passing. */
  #goWrong(req: Request, res: Response): void {
    const ways = [
      () => res.status(500).json({ reason: 'something broke' }),
      () => res.status(503).set('Retry-After', '1').json({ reason: 'busy' }),
      () => res.status(200).type('json').send('{"total": 3, "records": [{"id":'),
      () => req.socket.destroy(),
    ]
    ways[Math.floor(this.#deps.random() * ways.length)]?.()
  }
}

function recordOf({ units30, goods: _, ...l }: FarListing, market: FarMarket) {
  return { market: market.name, currency: market.currency, ...l, units: units30 }
}
